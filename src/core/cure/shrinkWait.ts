import { type MaterialClass, middle, type Range } from "../catalogue";
import { paceOf } from "./pace";
import { rate } from "./rate";

/** What a fill or coat still sinks by, day by day. */
export interface ShrinkWait {
  /** µm that are left to sink now. */
  readonly left_um: number;
  /** Days from now until less than the eye sees is left. */
  readonly days: number;
  /** Points of the curve: days since it was laid, µm left. */
  readonly curve: ReadonlyArray<{ readonly day: number; readonly left_um: number }>;
  /** Whether an edge would be seen that was levelled today. */
  readonly seen: boolean;
}

/** A step at an edge is seen from so many µm on, by the gloss that lies over it; trade practice. */
export const WITNESS_UM = { gloss: 2, satin: 8, matt: 25 } as const;
export type Sheen = keyof typeof WITNESS_UM;

/** At the published time of full service all but this share of the shrinkage is over. */
const LEFT_AT_FULL = 0.02;
/** So much of the shrinkage is over when it is hard; what dries goes on longer than what reacts. */
const DAY_MIN = 1440;
const POINTS = 40;

/**
 * How much is still to sink of a layer that was laid so many minutes ago, and when the rest is too little to be seen. What is left falls
 * exponentially and is 2 % at the published time of full service, carried to the room by Arrhenius, to the air by its humidity, and for
 * what dries by the square of the thickness (Crank, The Mathematics of Diffusion, ch. 4: the late slope of drying of a sheet).
 * A model: good to a factor of two. mm, µm, min, °C, % RH.
 */
export function shrinkWait(
  material: MaterialClass,
  {
    thickness_mm,
    age_min,
    temp_C,
    rh_pct,
  }: { readonly thickness_mm: number; readonly age_min: number; readonly temp_C: number; readonly rh_pct: number },
  sheen: Sheen,
): ShrinkWait {
  const whole_um = thickness_mm * 1000 * (middle(material.shrinkage_pct) / 100);
  const tau = tauMin(material, thickness_mm, temp_C, rh_pct);
  const at = (min: number) => whole_um * Math.exp(-min / tau);
  const limit = WITNESS_UM[sheen];
  const until = whole_um > limit ? tau * Math.log(whole_um / limit) : 0;
  const last = Math.max(until * 1.3, age_min * 1.1, DAY_MIN);
  return {
    left_um: at(age_min),
    days: Math.max(0, until - age_min) / DAY_MIN,
    seen: at(age_min) > limit,
    curve: Array.from({ length: POINTS + 1 }, (_, i) => ({ day: (last * i) / POINTS / DAY_MIN, left_um: at((last * i) / POINTS) })),
  };
}

/** What is seen of an edge goes by the gloss that lies over it. */
export const sheenOf = ({ gloss, film }: { readonly gloss: boolean; readonly film: boolean }): Sheen =>
  gloss ? "gloss" : film ? "satin" : "matt";

/** The model is good to a factor of two. */
const SHRINK_OFF = 2;

/** Minutes from laying until what is left to sink is not seen, as the model has it and within its factor of two. */
export function shrinkLag(
  material: MaterialClass,
  thickness_mm: number,
  air: { readonly temp_C: number; readonly rh_pct: number },
  sheen: Sheen,
): { readonly min: number; readonly range: Range } {
  const min = shrinkWait(material, { thickness_mm, age_min: 0, ...air }, sheen).days * DAY_MIN;
  return { min, range: [min / SHRINK_OFF, min * SHRINK_OFF] };
}

/** The time in which what is left falls to its e-th part, min. */
function tauMin(material: MaterialClass, thickness_mm: number, temp_C: number, rh_pct: number): number {
  const { stages, reference_C } = material.cure;
  const full: Range = (stages.find(({ stage }) => stage === "full") ?? stages.at(-1))?.minutes ?? [DAY_MIN, DAY_MIN];
  const { factor, ea_kJ_mol } = paceOf(material, "full", thickness_mm, rh_pct);
  const speed = rate(temp_C, reference_C, { kind: "arrhenius", ea_kJ_mol });
  return (middle(full) * factor) / speed / -Math.log(LEFT_AT_FULL);
}
