/** What lies on the surface. `film` finishes are levelled and coated over; `harmed_by` names what lifts them. */
export interface FinishRow {
  readonly finish: string;
  readonly label: string;
  readonly film: boolean;
  readonly gloss: boolean;
  /** What lies under it does not show: a fill needs no grain, and nothing clear goes over it. */
  readonly opaque: boolean;
  readonly harmed_by: readonly Carrier[];
  /** What heat it stands for minutes without a mark, °C. */
  readonly stands_C: number;
  readonly source: string;
}

/** What a wet material carries into its surroundings. */
export type Carrier = "water" | "alcohol" | "ketone" | "hydrocarbon" | "monomer" | "heat" | "none";

const SOLUBILITY = "C. V. Horie, Materials for Conservation, 2nd ed. 2010 (solubility)";

export const FINISHES = [
  { finish: "none", label: "No finish", film: false, gloss: false, opaque: false, harmed_by: [], stands_C: 200, source: SOLUBILITY },
  { finish: "bare", label: "Bare, to be coloured", film: false, gloss: false, opaque: false, harmed_by: [], stands_C: 200, source: SOLUBILITY },
  { finish: "glaze", label: "Glaze", film: false, gloss: true, opaque: true, harmed_by: [], stands_C: 200, source: SOLUBILITY },
  { finish: "paint", label: "Paint", film: true, gloss: false, opaque: true, harmed_by: ["ketone", "monomer", "heat"], stands_C: 60, source: SOLUBILITY },
  { finish: "shellac", label: "Shellac", film: true, gloss: true, opaque: false, harmed_by: ["alcohol", "ketone", "monomer", "heat"], stands_C: 50, source: SOLUBILITY },
  { finish: "lacquer", label: "Lacquer", film: true, gloss: true, opaque: false, harmed_by: ["ketone", "monomer", "heat"], stands_C: 60, source: SOLUBILITY },
  { finish: "polyester-film", label: "Polyester film", film: true, gloss: true, opaque: false, harmed_by: ["monomer"], stands_C: 90, source: SOLUBILITY },
  { finish: "oil", label: "Oil", film: false, gloss: false, opaque: false, harmed_by: ["ketone", "monomer"], stands_C: 80, source: SOLUBILITY },
  { finish: "wax", label: "Wax", film: false, gloss: false, opaque: false, harmed_by: ["hydrocarbon", "monomer", "heat"], stands_C: 40, source: SOLUBILITY },
  { finish: "dye", label: "Dye", film: false, gloss: false, opaque: false, harmed_by: ["water", "alcohol", "ketone"], stands_C: 50, source: SOLUBILITY },
  { finish: "foil", label: "Foil", film: true, gloss: false, opaque: true, harmed_by: ["ketone", "monomer", "heat"], stands_C: 55, source: SOLUBILITY },
  { finish: "gilding", label: "Gilding", film: true, gloss: true, opaque: true, harmed_by: ["water", "alcohol", "ketone", "monomer"], stands_C: 50, source: SOLUBILITY },
] as const satisfies readonly FinishRow[];

export type Finish = (typeof FINISHES)[number]["finish"];

/** The row of a finish. @throws {RangeError} on a name that is not in the table */
export function finishRow(finish: Finish): FinishRow {
  const row = FINISHES.find((candidate) => candidate.finish === finish);
  if (!row) throw new RangeError(`unknown finish: ${finish}`);
  return row;
}

/** What soaks in or lies bare has to reach the wood. */
const REACHES_BARE: readonly string[] = ["none", "bare", "oil", "wax"];

/** Whether the finish that is there has to go before the other: nothing clear goes over paint, and what soaks in goes over no film. */
export const isStripped = (now: FinishRow, to_be: FinishRow): boolean =>
  now.film && now.finish !== to_be.finish && now.finish !== "foil" && ((now.opaque && !to_be.opaque) || REACHES_BARE.includes(to_be.finish));

/** Films as they are usually found, µm with their spread; typical data sheets and finishing handbooks. */
export const TYPICAL_FILM_UM: Readonly<Record<string, readonly [um: number, sd: number]>> = {
  shellac: [40, 12],
  lacquer: [110, 25],
  "polyester-film": [300, 60],
  paint: [90, 30],
};
