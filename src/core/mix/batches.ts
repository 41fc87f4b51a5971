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

interface Weighed {
  readonly name: string;
  readonly planned_g: number;
  readonly actual_g: number;
}

/** Several cups of one mix as one, part by part; planned is the whole where it is known, g. */
export function asOne(cups: ReadonlyArray<readonly Weighed[]>, whole_g?: number): Weighed[] {
  const sums = new Map<string, Weighed>();
  for (const { name, planned_g, actual_g } of cups.flat()) {
    const known = sums.get(name);
    sums.set(name, { name, planned_g: planned_g + (known?.planned_g ?? 0), actual_g: actual_g + (known?.actual_g ?? 0) });
  }
  const planned = [...sums.values()].reduce((sum, { planned_g }) => sum + planned_g, 0);
  const factor = whole_g === undefined || planned <= 0 ? 1 : whole_g / planned;
  return [...sums.values()].map((part) => ({ ...part, planned_g: part.planned_g * factor }));
}
