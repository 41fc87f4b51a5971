import { colour } from "./colour/colour";
import { ColourInput, ColourResult, DeltaEInput, DeltaEResult, TintInput, TintResult } from "./colour/colour.schema";
import { deltaE } from "./colour/deltaE";
import { tint } from "./colour/tint";
import { calibrate } from "./cure/calibrate";
import { CalibrateInput, CalibrateResult } from "./cure/calibrate.schema";
import { cure } from "./cure/cure";
import { CureInput, CureResult } from "./cure/cure.schema";
import { brace } from "./join/brace";
import { BraceInput, BraceResult } from "./join/brace.schema";
import { film } from "./level/film";
import { FilmInput, FilmResult } from "./level/film.schema";
import { ladder } from "./level/ladder";
import { LadderInput, LadderResult } from "./level/ladder.schema";
import { match } from "./match/match";
import { MatchInput, MatchResult } from "./match/match.schema";
import { mix } from "./mix/mix";
import { MixInput, MixResult } from "./mix/mix.schema";
import { rescue } from "./mix/rescue";
import { RescueInput, RescueResult } from "./mix/rescue.schema";
import { layersCalc } from "./plan/layersCalc";
import { LayersCalcInput, LayersCalcResult } from "./plan/layersCalc.schema";
import { PlanInput, PlanResult } from "./plan/plan.schema";
import { plan } from "./plan/planCalc";
import { check, type Problem, problem } from "./problem";
import { schedule } from "./schedule/schedule";
import { ScheduleInput, ScheduleResult } from "./schedule/schedule.schema";
import { volume } from "./survey/volume";
import { VolumeInput, VolumeResult } from "./survey/volume.schema";

/** The calculations that callers may ask for by name: what goes in, what comes out, what is done; `long` where it can take its time. */
export const CALCULATIONS = {
  volume: { title: "Volume of a loss", input: VolumeInput, result: VolumeResult, run: volume },
  mix: { title: "Parts of a mix", input: MixInput, result: MixResult, run: mix },
  rescue: { title: "Rescue an overshot mix", input: RescueInput, result: RescueResult, run: rescue },
  layers: { title: "Layers of a fill", input: LayersCalcInput, result: LayersCalcResult, run: layersCalc },
  cure: { title: "Stages of a cure", input: CureInput, result: CureResult, run: cure },
  calibrate: { title: "Clock factor of a product", input: CalibrateInput, result: CalibrateResult, run: calibrate, long: true },
  ladder: { title: "Grit ladder", input: LadderInput, result: LadderResult, run: ladder },
  match: { title: "Chains of materials", input: MatchInput, result: MatchResult, run: match, long: true },
  brace: { title: "Brace of a joint", input: BraceInput, result: BraceResult, run: brace },
  film: { title: "Film budget", input: FilmInput, result: FilmResult, run: film },
  deltaE: { title: "Difference of two colours", input: DeltaEInput, result: DeltaEResult, run: deltaE },
  colour: { title: "Recipe of a colour", input: ColourInput, result: ColourResult, run: colour, long: true },
  tint: { title: "Strength of a tint", input: TintInput, result: TintResult, run: tint },
  schedule: { title: "Days of the shop", input: ScheduleInput, result: ScheduleResult, run: schedule, long: true },
  plan: { title: "Whole repair", input: PlanInput, result: PlanResult, run: plan, long: true },
} as const;

export type CalcName = keyof typeof CALCULATIONS;
export type Outcome<T> = { readonly ok: true; readonly result: T } | { readonly ok: false; readonly problem: Problem };

/** Run a calculation by name on anything: an answer, or the problem that says what is wrong with the question. */
export function calc(name: string, input: unknown): Outcome<unknown> {
  if (!Object.hasOwn(CALCULATIONS, name))
    return { ok: false, problem: problem(404, "No such calculation", `“${name}” is not one of ${Object.keys(CALCULATIONS).join(", ")}.`) };
  return runChecked(CALCULATIONS[name as CalcName] as Calculation, input);
}

interface Calculation {
  readonly input: (typeof CALCULATIONS)[CalcName]["input"];
  readonly run: (input: never) => unknown;
}

function runChecked({ input: schema, run }: Calculation, input: unknown): Outcome<unknown> {
  const errors = check(schema, input);
  if (errors.length > 0) return { ok: false, problem: problem(422, "The input does not fit", "See the errors for each field.", errors) };
  try {
    return { ok: true, result: run(input as never) };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { ok: false, problem: problem(422, "The input can't be calculated", error.message, [{ path: "", message: error.message }]) };
  }
}
