import type { DamageKind, FinishRow } from "../catalogue";

/** What decides a form: the damage, whether there is a twin, and what lies on that. */
export interface FormFacts {
  readonly damage: DamageKind;
  readonly through: boolean;
  readonly twin: boolean | undefined;
  readonly finish: FinishRow;
  /** The filler is poured and would run away without a form. */
  readonly pours: boolean;
  readonly loss_cm3: number;
}

interface FormRow {
  readonly form: string;
  readonly label: string;
  readonly how: string;
  readonly when: (facts: FormFacts) => boolean;
  /** What speaks against it here, in one sentence. */
  readonly against: (facts: FormFacts) => string | undefined;
  /** Volume of mould material for a loss, cm³ a cm³ of loss; 0 = none is mixed. */
  readonly material_factor: number;
  readonly source: string;
}

const BUILT: readonly DamageKind[] = ["corner", "tip", "chip"];
const TRADE = "trade practice, a rule of thumb";

/** In the order of preference. A mould holds about three times the loss: walls as thick as the loss all round. */
const FORMS = [
  {
    form: "mould",
    label: "Mould off the twin",
    how: "Press or brush a mould over the twin, let it set, carry it over.",
    when: ({ damage, twin }) => BUILT.includes(damage) && twin === true,
    against: ({ finish }) => (finish.film || finish.finish === "gilding" ? `It can pull the ${finish.label.toLowerCase()} off the twin: try a hidden spot and part it well.` : undefined),
    material_factor: 3,
    source: "Buys and Oakley 1993 (moulding)",
  },
  {
    form: "dam",
    label: "Dam board",
    how: "A straight board under parting film, fixed behind the edge.",
    when: ({ damage, through }) => damage === "chip" || damage === "corner" || damage === "eroded" || through,
    against: ({ damage }) => (damage === "tip" ? "It holds one face only." : undefined),
    material_factor: 0,
    source: TRADE,
  },
  { form: "card", label: "Card form", how: "Thin card bent to the line and wedged in place.", when: ({ damage, pours }) => (BUILT.includes(damage) || damage === "hole") && pours, against: () => undefined, material_factor: 0, source: TRADE },
  { form: "free", label: "Free build", how: "Build by hand over a core, model while it is soft or carve when it is hard.", when: ({ damage }) => BUILT.includes(damage), against: ({ pours }) => (pours ? "What pours does not stand by itself." : undefined), material_factor: 0, source: TRADE },
  { form: "none", label: "No form", how: "The loss holds the fill by itself.", when: () => true, against: () => undefined, material_factor: 0, source: TRADE },
] as const satisfies readonly FormRow[];

type FormName = (typeof FORMS)[number]["form"];
export const FORM_NAMES = FORMS.map(({ form }) => form);

/** A form that a loss may have. */
export interface FormFor {
  readonly row: FormRow & { readonly form: FormName };
  /** What speaks against it. */
  readonly against?: string;
  /** Mould material to mix, cm³; 0 = none. */
  readonly material_cm3: number;
}

/** The forms that this loss may have, the best first; those with something against them come last. */
export function formsFor(facts: FormFacts): FormFor[] {
  const rows: ReadonlyArray<FormRow & { readonly form: FormName }> = FORMS;
  const able = rows
    .filter(({ when }) => when(facts))
    .map((row) => {
      const against = row.against(facts);
      return { row, material_cm3: row.material_factor * facts.loss_cm3, ...(against === undefined ? {} : { against }) };
    });
  return [...able.filter(({ against }) => against === undefined), ...able.filter(({ against }) => against !== undefined)];
}
