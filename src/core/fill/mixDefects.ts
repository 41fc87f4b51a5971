import type { Range } from "../catalogue";
import { takenOf, type Weighed } from "../mix/batches";
import { type CameOutWay, type Cause, type CauseRow, likely, silent } from "../mix/causes";
import { RATIO_OFF_PCT } from "../mix/weighing";
import { formatMinutes, plain } from "../units";
import { MIX_DEFECTS, type MixDefect } from "./mixDefects.data";

/** What is on record of a mix, and what its class asks. */
export interface MixFacts {
  readonly parts: readonly Weighed[];
  readonly temp_C: number;
  readonly reference_C: number;
  /** Below this it does not cure. */
  readonly min_C: number;
  /** How long it stays open in that air. */
  readonly working_min: Range;
  readonly hands_min: number;
  readonly planned_hands_min: Range;
  readonly thickness_mm: number;
  readonly max_layer_mm: number;
  readonly shrinkage_pct: Range;
  /** It hardens by drying, not by a hardener. */
  readonly dries: boolean;
}

/** Which part fell short of its ratio to the others, and by how many percent. */
export function shortPart(parts: MixFacts["parts"]): { readonly name: string; readonly off_pct: number } {
  const most = Math.max(...parts.map((part) => takenOf(part) / part.planned_g));
  const shares = parts.map((part) => ({ name: part.name, off_pct: (1 - takenOf(part) / part.planned_g / most) * 100 }));
  return shares.reduce((short, each) => (each.off_pct > short.off_pct ? each : short), { name: "", off_pct: 0 });
}

/** So many degrees off the temperature of the data sheet are felt; a rule of thumb: a rate doubles or halves with some ten. */
const DEGREES_FELT = 5;
/** Above this shrinkage a fill is seen to sink, percent; trade practice. */
const SHRINKS_PCT = 2;

const cold = ({ temp_C, reference_C }: MixFacts) => Math.max(0, reference_C - temp_C) / DEGREES_FELT;
const warm = ({ temp_C, reference_C }: MixFacts) => Math.max(0, temp_C - reference_C) / DEGREES_FELT;
const hasHardener = ({ parts, dries }: MixFacts) => !dries && parts.length > 1;
const ratio = ({ parts }: MixFacts) => shortPart(parts).off_pct / RATIO_OFF_PCT;
const thick = ({ thickness_mm, max_layer_mm }: MixFacts) => (thickness_mm > max_layer_mm * 1.001 ? thickness_mm / max_layer_mm : 0);
const hurried = ({ hands_min, planned_hands_min: [low] }: MixFacts) => (hands_min < low ? low / Math.max(hands_min, low / 4) - 0.5 : 0);
const slow = ({ hands_min, working_min: [low] }: MixFacts) => hands_min / Math.max(low, 0.1);

function tooThick({ thickness_mm, max_layer_mm }: MixFacts): string {
  return `It was laid ${plain(thickness_mm)} mm thick; ${plain(max_layer_mm)} mm is the most in one layer.`;
}

/** Causes by defect. Trade practice; what each looks at stands in the record. */
const CAUSES: ReadonlyArray<CauseRow<MixFacts, MixDefect>> = [
  {
    of: ["still-soft"],
    speaks: ({ temp_C, min_C }) => (temp_C < min_C ? 3 : 0),
    says: ({ temp_C, min_C }) => `It does not cure under ${plain(min_C)} °C, and it was ${plain(temp_C)} °C: warm it.`,
  },
  {
    of: ["still-soft", "streaks"],
    when: hasHardener,
    speaks: ratio,
    says: ({ parts }) => {
      const { name, off_pct } = shortPart(parts);
      return `${name} was ${plain(off_pct)} % short of its ratio; over ${RATIO_OFF_PCT} % it stays soft for ever: take it out and mix anew.`;
    },
    else: "The ratio is right by the record, unless the cups were changed round.",
  },
  {
    of: ["still-soft"],
    speaks: cold,
    says: ({ temp_C, reference_C }) =>
      `It was ${plain(temp_C)} °C, the data sheet counts at ${plain(reference_C)} °C: give it longer, or warm it.`,
  },
  // a hardener works all through; what dries or draws damp does so from its face
  { of: ["still-soft"], when: (facts) => !hasHardener(facts), speaks: thick, says: tooThick },
  { of: ["sank", "pinholes"], speaks: thick, says: tooThick },
  {
    of: ["still-soft", "streaks"],
    when: hasHardener,
    speaks: hurried,
    says: ({ hands_min, planned_hands_min: [low] }) =>
      `Mixing and laying took ${formatMinutes(hands_min)}, ${formatMinutes(low)} at least were planned: what is not stirred through stays soft in streaks.`,
  },
  {
    of: ["set-in-cup"],
    speaks: (facts) => (slow(facts) > 0.8 ? slow(facts) : 0),
    says: ({ hands_min, working_min: [low] }) =>
      `It took ${formatMinutes(hands_min)}, and it stays open ${formatMinutes(low)} here: mix less at a time, or take a slower one.`,
  },
  {
    of: ["set-in-cup"],
    speaks: warm,
    says: ({ temp_C, reference_C }) =>
      `It was ${plain(temp_C)} °C; the data sheet counts at ${plain(reference_C)} °C. Cool the parts, spread it flat: in a heap it warms itself.`,
  },
  {
    of: ["streaks", "pinholes"],
    speaks: cold,
    says: ({ temp_C }) => `At ${plain(temp_C)} °C it is stiff and takes air in: warm the parts before mixing, not after.`,
  },
  {
    of: ["sank"],
    speaks: ({ shrinkage_pct: [, high] }) => high / SHRINKS_PCT / 2,
    says: ({ shrinkage_pct: [low, high] }) =>
      `It shrinks by ${plain(low)} to ${plain(high)} %: lay it prouder, or finish with one that shrinks less.`,
  },
  silent(["sank", "pinholes"], "An open ground drinks it and breathes out under it: seal the pores first."),
  silent(["pinholes"], "Air was stirred in: fold it, press it in from the edge, and stop the holes with a finer filler."),
  silent(["still-soft", "set-in-cup"], "The jar is old or was left open: look at its date, and try a little of it by itself."),
];

/** Every way a mix may come out badly, with what it may come from by its record. */
export const mixDefectsOf = (facts: MixFacts): CameOutWay<MixDefect>[] =>
  MIX_DEFECTS.map(({ defect, label }) => ({ defect, label, causes: causesOf(defect, facts) }));

/** Likely causes of a defect, what the record speaks for most first. */
export const causesOf = (defect: MixDefect, facts: MixFacts): Cause[] => likely(CAUSES, defect, facts);
