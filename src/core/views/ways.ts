import type { Range, Stance } from "../catalogue";
import type { Air } from "../cure/lag";
import type { Shelf } from "../match/case";
import { type DamageInput, wayFactsOf } from "../plan/damageContext";
import { SCALE_STEP_G } from "../plan/planCalc";
import { type Repair, repairOf } from "../plan/repair";
import { type PlaceKind, placeSize, volumeOf } from "../survey/place";
import type { WayRow } from "../survey/wayRow";
import { preselectedWay, waysFor } from "../survey/ways";
import { present } from "../units";

/** One way with what it takes, from the same engine that plans the work. */
export interface ComparedWay {
  readonly way: string;
  readonly label: string;
  readonly how: string;
  readonly lost: string;
  readonly risk: string;
  /** The materials that Match would put first. */
  readonly materials: readonly string[];
  /** A link that nothing serves, with what comes nearest. */
  readonly refused_because?: string;
  /** Why it is not taken unasked. */
  readonly not_first?: string;
  readonly preselected: boolean;
  /** The places that it makes, with their sizes in words, what they hold, and one face of each joint: what the plan works with. */
  readonly places: ReadonlyArray<{
    readonly label: string;
    readonly kind: PlaceKind;
    readonly size: string;
    readonly volume_cm3?: number;
    readonly area_mm2?: number;
  }>;
  readonly hands_min: Range;
  readonly elapsed_min: Range;
  readonly cost_eur: Range;
  /** Conditions that the chain carries: what can go wrong. */
  readonly conditions: number;
}

/** What is only asked about has no log and no hour. */
const ASKED = { tools: { scale_step_g: SCALE_STEP_G }, rounds: [], marks: new Map(), at: 0 };

/** Repair, replace or leave, side by side; the one that is taken unasked is marked. */
export function compareWays(input: Omit<DamageInput, "way" | "choose">, stance: Stance, air: Air, shelf?: Shelf): ComparedWay[] {
  const facts = wayFactsOf(input, stance);
  const plan = (way?: string): Repair =>
    repairOf({
      ...ASKED,
      damages: [{ ...input, ...(way === undefined ? {} : { way }) }],
      stance,
      air,
      ...(shelf ? { shelf } : {}),
    });
  const unasked = attempted(() => plan()).damages[0]?.way.way ?? preselectedWay(input.survey.damage, facts).way;
  return waysFor(input.survey.damage, facts).map((row) =>
    compared(
      row,
      attempted(() => plan(row.way)),
      row.way === unasked,
      row.not_first?.(input.survey.damage, facts),
    ),
  );
}

/** A way that can't be planned is shown with why. */
function attempted(
  plan: () => Repair,
): Pick<Repair, "hands_min" | "elapsed_min" | "cost_eur" | "links"> & { readonly damages: Repair["damages"]; readonly why?: string } {
  try {
    return plan();
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { hands_min: [0, 0], elapsed_min: [0, 0], cost_eur: [0, 0], links: [], damages: [], why: `${error.message}.` };
  }
}

function compared(
  { way, label, how, lost, risk }: WayRow,
  { hands_min, elapsed_min, cost_eur, links, damages, why }: ReturnType<typeof attempted>,
  preselected: boolean,
  not_first: string | undefined,
): ComparedWay {
  const missing = why ?? damages[0]?.missing[0]?.because;
  const conditions = new Set(links.flatMap(({ reasons }) => reasons.filter(({ effect }) => effect === "if").map(({ rule }) => rule)));
  return {
    way,
    label,
    how,
    lost,
    risk,
    materials: [...new Set(links.map(({ material }) => material.name))],
    ...(missing ? { refused_because: missing } : {}),
    ...(not_first ? { not_first } : {}),
    preselected,
    places: damages.flatMap(({ places }) => places.map(placeFigures)),
    hands_min,
    elapsed_min,
    cost_eur,
    conditions: conditions.size,
  };
}

/** The places of a damage as it would be met: by the way on record, else by the one taken unasked; none where it can't be planned. */
export function placesAsMet(input: Omit<DamageInput, "choose">, stance: Stance, air: Air): ComparedWay["places"] {
  return attempted(() => repairOf({ ...ASKED, damages: [input], stance, air })).damages.flatMap(({ places }) => places.map(placeFigures));
}

function placeFigures(place: Repair["places"][number]): ComparedWay["places"][number] {
  const { label, kind, area_mm2 } = place;
  const cm3 = volumeOf(place);
  return { label, kind, size: placeSize(place), ...present({ volume_cm3: cm3 > 0 ? cm3 : undefined, area_mm2 }) };
}
