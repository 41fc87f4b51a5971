import { present } from "../units";

interface Part {
  readonly name: string;
  readonly mass_g: number;
}

interface Portion {
  readonly place: string;
  readonly mass_g: number;
}

/** A mix that is stirred in several cups, as it is planned. */
export interface SplitMix {
  readonly mass_g: number;
  readonly batches: number;
  readonly parts: readonly Part[];
  readonly portions?: readonly Portion[];
}

/** The cup that comes next. */
export interface NextBatch {
  /** The n-th of so many. */
  readonly n: number;
  readonly of: number;
  readonly mass_g: number;
  readonly parts: readonly Part[];
  /** What of it goes where: places are filled one after the other. */
  readonly portions?: readonly Portion[];
}

/** A last cup is never less than this share of the whole: so little is within what stays on the knife. */
const LEAST_SHARE = 0.03;

/**
 * The batch that follows those that were mixed, g each: what is left of the whole, in equal parts over the batches that are left.
 * Mass balance: batches that are all mixed as told add up to the whole.
 */
export function nextBatch({ mass_g, batches, parts, portions }: SplitMix, mixed_g: readonly number[]): NextBatch {
  const mixed = mixed_g.reduce((sum, g) => sum + g, 0);
  const n = mixed_g.length + 1;
  const of = Math.max(batches, n);
  const mass = Math.max(mass_g - mixed, mass_g * LEAST_SHARE) / (of - mixed_g.length);
  return {
    n,
    of,
    mass_g: mass,
    parts: parts.map(({ name, mass_g: whole }) => ({ name, mass_g: (whole * mass) / mass_g })),
    ...present({ portions: portions && n < of ? between(portions, mixed, mixed + mass) : portions && between(portions, mixed, Infinity) }),
  };
}

/** What of the portions lies from so many grams on to so many, in their order. */
function between(portions: readonly Portion[], from_g: number, to_g: number): Portion[] {
  let start = 0;
  return portions.flatMap(({ place, mass_g }) => {
    const end = start + mass_g;
    const here = Math.min(end, to_g) - Math.max(start, from_g);
    start = end;
    return here > 1e-9 ? [{ place, mass_g: here }] : [];
  });
}

/** A part of a mix: what was planned of it, and what was weighed where it was, g. */
export interface Weighed {
  readonly name: string;
  readonly planned_g: number;
  readonly actual_g?: number;
}

/** What was taken of a part, g: as weighed, else as planned. */
export const takenOf = ({ planned_g, actual_g }: Pick<Weighed, "planned_g" | "actual_g">): number => actual_g ?? planned_g;

/** What was taken of all parts, g. */
export const takenInAll = (parts: ReadonlyArray<Pick<Weighed, "planned_g" | "actual_g">>): number =>
  parts.reduce((sum, part) => sum + takenOf(part), 0);

/** Several cups of one mix as one, part by part; planned is the whole where it is known, g. */
export function asOne(cups: ReadonlyArray<readonly Weighed[]>, whole_g?: number): Weighed[] {
  const sums = new Map<string, Weighed>();
  const weighed = cups.flat().some(({ actual_g }) => actual_g !== undefined);
  for (const part of cups.flat()) {
    const { name, planned_g } = part;
    const known = sums.get(name);
    const actual_g = takenOf(part) + (known ? takenOf(known) : 0);
    sums.set(name, { name, planned_g: planned_g + (known?.planned_g ?? 0), ...(weighed ? { actual_g } : {}) });
  }
  const planned = [...sums.values()].reduce((sum, { planned_g }) => sum + planned_g, 0);
  const factor = whole_g === undefined || planned <= 0 ? 1 : whole_g / planned;
  return [...sums.values()].map((part) => ({ ...part, planned_g: part.planned_g * factor }));
}
