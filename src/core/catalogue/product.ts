import { inSentence } from "../units";
import type { ClassName, MaterialClass } from "./classes";
import { classRow } from "./classes";
import type { Range, Stage } from "./materialClass";

/** A figure that a shop's own product may state otherwise than its class. */
export interface FigureRow {
  readonly figure: string;
  readonly label: string;
  readonly unit: string;
  readonly digits: number;
  /** Beyond these it is a slip of the pen. */
  readonly limits: Range;
  readonly of: (row: MaterialClass) => Range | undefined;
  readonly put: (row: MaterialClass, value: Range) => MaterialClass;
}

const stage = (name: Stage, label: string) =>
  ({
    figure: `${name}_min`,
    label,
    unit: "min",
    digits: 0,
    limits: [0, 600_000],
    of: (row: MaterialClass) => row.cure.stages.find((each) => each.stage === name)?.minutes,
    put: (row: MaterialClass, minutes: Range) => ({
      ...row,
      cure: { ...row.cure, stages: row.cure.stages.map((each) => (each.stage === name ? { ...each, minutes } : each)) },
    }),
  }) as const;

/** What may be overridden from a data sheet. Properties that neighbours in a chain look at are not among them. */
const FIGURES = [
  stage("working", "Workable"),
  stage("firm", "Trim from"),
  stage("stiff", "Too stiff from"),
  stage("handle", "Clamps off"),
  stage("recoat", "Next coat"),
  stage("hard", "Sand from"),
  stage("full", "Full service"),
  {
    figure: "shrinkage_pct",
    label: "Shrinks",
    unit: "%",
    digits: 1,
    limits: [0, 99],
    of: (row) => row.shrinkage_pct,
    put: (row, value) => ({ ...row, shrinkage_pct: value }),
  },
  {
    figure: "density_g_cm3",
    label: "Weight",
    unit: "g/cm³",
    digits: 2,
    limits: [0.1, 12],
    of: (row) => row.density,
    put: (row, value) => ({ ...row, density: value }),
  },
  {
    figure: "layer_mm",
    label: "Layer at most",
    unit: "mm",
    digits: 2,
    limits: [0.001, 500],
    of: (row) => [row.max_layer_mm, row.max_layer_mm],
    put: (row, [low]) => ({ ...row, max_layer_mm: low }),
  },
  {
    figure: "gap_mm",
    label: "Bridges",
    unit: "mm",
    digits: 2,
    limits: [0, 500],
    of: (row) => row.gap_mm,
    put: (row, value) => ({ ...row, gap_mm: value }),
  },
  {
    figure: "service_C",
    label: "Softens from",
    unit: "°C",
    digits: 0,
    limits: [0, 400],
    of: (row) => row.service_C,
    put: (row, value) => ({ ...row, service_C: value }),
  },
  {
    figure: "min_C",
    label: "Cures from",
    unit: "°C",
    digits: 0,
    limits: [-30, 60],
    of: (row) => [row.cure.min_C, row.cure.min_C],
    put: (row, [low]) => ({ ...row, cure: { ...row.cure, min_C: low } }),
  },
  {
    figure: "price_eur_kg",
    label: "Price",
    unit: "€/kg",
    digits: 2,
    limits: [0, 100_000],
    of: (row) => row.price_eur_kg,
    put: (row, value) => ({ ...row, price_eur_kg: value }),
  },
] as const satisfies readonly FigureRow[];

export type Figure = (typeof FIGURES)[number]["figure"];
export type Figures = Partial<Readonly<Record<Figure, Range>>>;

export const FIGURE_ROWS: ReadonlyArray<FigureRow & { readonly figure: Figure }> = FIGURES;

/** A shop's own product as a link of a chain keeps it: the class, and what its data sheet says otherwise. */
export interface OwnProduct {
  readonly id: string;
  readonly name: string;
  readonly figures: Figures;
}

/** A class with a product's own name and figures in place of the published ones. */
export function materialOf(name: ClassName, product?: Pick<OwnProduct, "name" | "figures">): MaterialClass {
  const row = classRow(name);
  if (!product) return row;
  const own = FIGURE_ROWS.reduce((made, { figure, put }) => {
    const value = product.figures[figure];
    return value === undefined ? made : put(made, value);
  }, row);
  return { ...own, name: product.name };
}

/** What is wrong with a product's figures, by figure; empty when they can be worked with. */
export function figureErrors(name: ClassName, figures: Figures): Partial<Record<Figure, string>> {
  const row = classRow(name);
  const errors: Partial<Record<Figure, string>> = {};
  for (const { figure, label, limits, of, unit } of FIGURE_ROWS) {
    const value = figures[figure];
    if (value === undefined) continue;
    if (of(row) === undefined) errors[figure] = `${label} means nothing for ${inSentence(row.name)}: leave it empty.`;
    else if (!(value[0] <= value[1])) errors[figure] = "The low figure comes first.";
    else if (value[0] < limits[0] || value[1] > limits[1]) errors[figure] = `Enter ${limits[0]} to ${limits[1]} ${unit}.`;
  }
  const { cure } = materialOf(name, { name: row.name, figures });
  cure.stages.forEach(({ stage: later, minutes }, i) => {
    const before = cure.stages[i - 1];
    const key = `${later}_min` as Figure;
    if (before && minutes[1] < before.minutes[0] && (figures[key] || figures[`${before.stage}_min` as Figure]))
      errors[figures[key] ? key : (`${before.stage}_min` as Figure)] ??=
        "The stages must follow one another: working, firm, clamps off, hard, full.";
  });
  return errors;
}
