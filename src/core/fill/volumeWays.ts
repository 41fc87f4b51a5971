/** A way to know a volume other than by its measures. */
export interface VolumeWay {
  readonly way: "clay" | "water" | "last-mix" | "spoons";
  readonly label: string;
  readonly unit: string;
  readonly hint: string;
  /** How far a careful reading is off, percent; trade practice. */
  readonly off_pct: number;
  /** cm³ of one unit; a mix is divided by the density of its material. */
  readonly cm3_each: number;
}

/** Modelling clay that filled the loss and was weighed, g/cm³; typical data sheets of oil-bound modelling clays (1.6 to 2.0). */
const CLAY_DENSITY = 1.8;
/** A level teaspoon, ml. */
const SPOON_ML = 5;

export const VOLUME_WAYS: readonly VolumeWay[] = [
  {
    way: "clay",
    label: "Modelling clay",
    unit: "g",
    hint: "fill the loss with it to the level line, take it out, weigh it",
    off_pct: 12,
    cm3_each: 1 / CLAY_DENSITY,
  },
  { way: "water", label: "Water", unit: "ml", hint: "what a lined hollow holds, or what a cast of it displaces", off_pct: 8, cm3_each: 1 },
  { way: "last-mix", label: "Last mix", unit: "g", hint: "what went in last time, without what was left over", off_pct: 10, cm3_each: 1 },
  { way: "spoons", label: "Spoons", unit: "level", hint: "teaspoons of 5 ml, of dry sand for instance", off_pct: 20, cm3_each: SPOON_ML },
];

/** A volume by one way, cm³, with how far it may be off. */
export interface KnownVolume {
  readonly label: string;
  readonly cm3: number;
  readonly off_pct: number;
}

/** How far measures and simple solids are off for a real break, percent; said beside every volume. */
const MEASURED_OFF_PCT = 15;

export const byMeasures = (cm3: number): KnownVolume => ({ label: "Your measures", cm3, off_pct: MEASURED_OFF_PCT });

/** A reading as a volume. @example known("clay", 3.6, 1.6)?.cm3 // => 2 */
export function known(way: VolumeWay["way"], reading: number, density: number): KnownVolume | undefined {
  const row = VOLUME_WAYS.find((each) => each.way === way);
  if (!row || !(reading > 0)) return undefined;
  return { label: row.label, cm3: (reading * row.cm3_each) / (way === "last-mix" ? density : 1), off_pct: row.off_pct };
}

export interface Weighed {
  /** The mean of all, each by how sure it is: 1 over its error squared. */
  readonly cm3: number;
  /** How far the farthest two are apart, percent of the mean. */
  readonly spread_pct: number;
  /** They differ by more than their errors explain: one of them is wrong. */
  readonly disagree: boolean;
}

/** Several volumes of one loss in one: inverse-variance weighting (JCGM 100, 5.1). @throws {RangeError} without any */
export function together(volumes: readonly KnownVolume[]): Weighed {
  if (volumes.length === 0) throw new RangeError("no volume is known");
  const weights = volumes.map(({ cm3, off_pct }) => 1 / (cm3 * off_pct) ** 2);
  const sum = weights.reduce((all, each) => all + each, 0);
  const cm3 = volumes.reduce((all, each, i) => all + each.cm3 * (weights[i] ?? 0), 0) / sum;
  const [least, most] = [Math.min(...volumes.map((each) => each.cm3)), Math.max(...volumes.map((each) => each.cm3))];
  const apart = volumes.some((a) =>
    volumes.some((b) => Math.abs(a.cm3 - b.cm3) > 2 * Math.hypot((a.cm3 * a.off_pct) / 100, (b.cm3 * b.off_pct) / 100)),
  );
  return { cm3, spread_pct: ((most - least) / cm3) * 100, disagree: apart };
}
