import { type CameOutWay, type CauseRow, likely, silent } from "../mix/causes";
import { plain } from "../units";
import { COAT_DEFECTS, type CoatDefect } from "./coatDefects.data";

/** What is on record of a coat, and what its class asks. */
export interface CoatFacts {
  readonly temp_C: number;
  readonly rh_pct: number;
  readonly reference_C: number;
  readonly min_C: number;
  /** Wet film as laid and as planned, mm. */
  readonly laid_mm: number;
  readonly planned_mm: number;
  /** It was laid before the coat under it was ready, against the plan. */
  readonly early: boolean;
  readonly late: boolean;
  /** What carries it away while it dries. */
  readonly carrier: string;
}

/** Above this the solvent's cold draws water out of the air, % RH; typical data sheets of lacquers and shellac. */
const DAMP_RH = 65;
/** So much thicker or thinner than planned is felt; trade practice. */
const OFF = 0.2;
const DEGREES = 5;

const volatile = ({ carrier }: CoatFacts) => ["alcohol", "ketone", "hydrocarbon"].includes(carrier);
const thick = ({ laid_mm, planned_mm }: CoatFacts) => Math.max(0, laid_mm / planned_mm - 1) / OFF;
const thin = ({ laid_mm, planned_mm }: CoatFacts) => Math.max(0, 1 - laid_mm / planned_mm) / OFF;
const warm = ({ temp_C, reference_C }: CoatFacts) => Math.max(0, temp_C - reference_C) / DEGREES;
const cold = ({ temp_C, reference_C }: CoatFacts) => Math.max(0, reference_C - temp_C) / DEGREES;
const um = (mm: number) => `${plain(mm * 1000, 0)} µm`;
const laidWords = ({ laid_mm, planned_mm }: CoatFacts) => `It was laid ${um(laid_mm)} wet, ${um(planned_mm)} were planned`;

/** Causes by defect. Trade practice; what each looks at stands in the record. */
const CAUSES: ReadonlyArray<CauseRow<CoatFacts, CoatDefect>> = [
  {
    of: ["orange-peel"],
    speaks: warm,
    says: ({ temp_C }) => `At ${plain(temp_C)} °C it dried before it flowed out: a slower thinner, or a cooler hour.`,
  },
  { of: ["orange-peel", "runs"], speaks: thick, says: (f) => `${laidWords(f)}: mist coats lie flatter and dry sooner.` },
  {
    of: ["orange-peel"],
    when: ({ rh_pct }) => rh_pct < 35,
    speaks: () => 0.6,
    says: ({ rh_pct }) => `The air is dry, ${plain(rh_pct)} %: it skins before it flows.`,
  },
  silent(["orange-peel"], "Too little thinner, too far from the surface, or too much pressure."),
  {
    of: ["bloom"],
    when: volatile,
    speaks: ({ rh_pct }) => Math.max(0, rh_pct - DAMP_RH) / 10 + (rh_pct > DAMP_RH ? 0.4 : 0),
    says: ({ rh_pct }) => `The air held ${plain(rh_pct)} % of water: the solvent cools the film, and dew settles in it.`,
  },
  {
    of: ["bloom"],
    when: volatile,
    speaks: cold,
    says: ({ temp_C }) => `At ${plain(temp_C)} °C the film cools under the dew point sooner.`,
  },
  silent(["bloom"], "Water in the thinner or in the air line; a draught over the wet film."),
  { of: ["runs"], speaks: cold, says: ({ temp_C }) => `At ${plain(temp_C)} °C it stays thin for longer: lay less at once.` },
  silent(["runs"], "The gun stood still at the turn, or the piece stands upright: lay it flat."),
  silent(["dust"], "Dust of the sanding, of clothes, of the floor: it settles for an hour after the last sweep."),
  {
    of: ["crazed"],
    speaks: ({ early }) => (early ? 3 : 0),
    says: () => "It was laid before the coat under it was ready: its solvent swells what is soft, and the film tears.",
  },
  {
    of: ["crazed"],
    speaks: ({ late }) => (late ? 2 : 0),
    says: () => "The window of the coat under it had closed: what has hardened lifts instead of melting in.",
  },
  { of: ["crazed"], speaks: thick, says: (f) => `${laidWords(f)}: a thick film dries on top first and tears as it shrinks.` },
  silent(["crazed"], "A hard coat over a soft one, or cold and damp while it dried."),
  { of: ["patchy"], speaks: thin, says: (f) => `${laidWords(f)}: here and there none was laid.` },
  silent(["patchy"], "An open ground drinks unevenly: seal it; finger marks and wax repel it: wipe it."),
  { of: ["too-light"], speaks: thin, says: (f) => `${laidWords(f)}: a thin coat of tint is a weak one.` },
  silent(["too-light"], "Wet it looks deeper than dry: judge a swatch when it is dry, under the last clear."),
  { of: ["too-dark"], speaks: thick, says: (f) => `${laidWords(f)}: twice as thick is as strong as two coats.` },
  silent(["too-dark"], "Transparent coats add up: the match was made for fewer of them."),
  silent(["too-red", "too-yellow"], "The match was judged in another light, or wet; the ground shows through what is transparent."),
  {
    of: ["still-tacky"],
    speaks: ({ temp_C, min_C }) => (temp_C < min_C ? 3 : 0),
    says: ({ temp_C, min_C }) => `Under ${plain(min_C)} °C it does not dry, and it was ${plain(temp_C)} °C.`,
  },
  { of: ["still-tacky"], speaks: thick, says: (f) => `${laidWords(f)}: drying goes with the square of it.` },
  {
    of: ["still-tacky"],
    when: ({ carrier }) => carrier === "water",
    speaks: ({ rh_pct }) => Math.max(0, rh_pct - 60) / 15,
    says: ({ rh_pct }) => `In air of ${plain(rh_pct)} % water leaves slowly.`,
  },
  silent(["still-tacky"], "Wax, oil or silicone under it, or a coat under it that never dried."),
];

/** Every way a coat may look wrong, with what it may come from by its record, and what to change in the next one. */
export const coatDefectsOf = (facts: CoatFacts): CameOutWay<CoatDefect>[] =>
  COAT_DEFECTS.map(({ defect, label, next }) => ({ defect, label, next, causes: likely(CAUSES, defect, facts) }));
