import type { Range } from "../catalogue";
import { isStirred } from "./cups";
import type { Measured } from "./measure";
import { sumRanges } from "./sums";

const LAYS: readonly string[] = ["place", "pour"];

/**
 * The hands of a mix that one damage takes in several cups: each is laid before the next is stirred, so that laying all but the last is part of
 * the mixing, and what is laid after it is the last cup.
 */
export function cupByCup(all: readonly Measured[]): Measured[] {
  const mixes = all.filter(({ lead, takes }) => isStirred(lead) && (takes?.batches ?? 1) > 1);
  const of = (lay: Measured) => mixes.find((mix) => LAYS.includes(lay.lead.kind) && isOf(lay, mix));
  return all.map((each): Measured => {
    const mix = of(each);
    if (mix) return { ...each, hands_min: times(each.hands_min, 1 / cupsIn(mix)) };
    if (!mixes.includes(each)) return each;
    const laid = all.filter((lay) => of(lay) === each).map(({ hands_min }) => times(hands_min, 1 - 1 / cupsIn(each)));
    return { ...each, hands_min: sumRanges([each.hands_min, ...laid]) };
  });
}

const cupsIn = ({ takes }: Measured): number => takes?.batches ?? 1;
const times = ([low, high]: Range, by: number): Range => [low * by, high * by];

/** Laid out of this mix: of its damage, round and layer. */
const isOf = (lay: Measured, mix: Measured): boolean =>
  lay.round === mix.round &&
  lay.lead.station === mix.lead.station &&
  lay.lead.subject.n === mix.lead.subject.n &&
  lay.lead.subject.group === mix.lead.subject.group &&
  lay.damages.some((damage) => mix.damages.includes(damage));
