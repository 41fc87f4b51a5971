"use client";
import type { ComponentProps } from "react";
import type { ActName } from "@/core/cure/windows.data";
import type { PressureFacts } from "@/core/join/pressure.data";
import { CLAMP_STEP } from "@/core/join/steps.data";
import type { Taken } from "@/core/match/match.schema";
import type { RunningCure } from "@/core/plan/clocks";
import type { StationPlan } from "@/core/plan/plan";
import { PLANNED_MIN } from "@/core/plan/planned.data";
import { materialTaken, type StepMark, stepKey } from "@/core/record/treatment";
import type { Loss } from "@/core/survey/loss";
import { counted } from "@/core/units";
import type { Air } from "../frame/climate";
import { Cautions } from "../stations/Cautions";
import { ClockPanel } from "../stations/ClockPanel";
import { LeaveStation } from "../stations/LeaveStation";
import { StartControl } from "../stations/StartControl";
import { StepList } from "../stations/StepList";
import { useLog } from "../treatment/TreatmentLog";
import { Backing } from "./Backing";
import { Bond } from "./Bond";
import { BracePanel } from "./BracePanel";

interface Props {
  readonly treatment: string;
  readonly plan: StationPlan;
  readonly marks: Readonly<Record<string, StepMark>>;
  readonly done: boolean;
  readonly next: Parameters<typeof LeaveStation>[0]["next"];
  readonly adhesive: Taken | undefined;
  readonly loss: Loss;
  readonly pressure: PressureFacts;
  /** What a brace is asked for; absent = nothing is let in here. */
  readonly brace?: Omit<ComponentProps<typeof BracePanel>, "treatment">;
  /** A thin place that is laid up from behind; absent = none. */
  readonly backing?: Omit<ComponentProps<typeof Backing>, "temp_C">;
  readonly cure?: RunningCure;
  readonly acts: readonly ActName[];
  readonly air: Air;
}

/** Join: bond and clamp; the clock says when the clamps come off. */
export function JoinStation({ treatment, plan, marks, done, next, adhesive, loss, pressure, brace, backing, cure, acts, air }: Props) {
  const log = useLog();
  if (!plan.needed)
    return (
      <div className="max-w-[460px] py-4 text-[16px] leading-[22px]">
        <p>Nothing is joined in this repair: {plan.note}.</p>
        <LeaveStation treatment={treatment} station="join" next={next} done={done} needed={false} missing="" />
      </div>
    );
  // clamping is recorded by starting its clock
  const clamped = cure
    ? { ...marks, [stepKey("join", CLAMP_STEP)]: { entry: cure.entry, status: "done" as const, at: new Date(cure.start).toISOString() } }
    : marks;
  const open = plan.steps.filter(({ step }) => clamped[stepKey("join", step)] === undefined).length;
  return (
    <div className="cols cols-steps">
      <section className="col-rule">
        <h2>Bond and clamp</h2>
        <StepList station="join" steps={plan.steps} marks={clamped} elsewhere={{ [CLAMP_STEP]: "starts the clock, right" }} />
        {brace && <BracePanel treatment={treatment} {...brace} />}
        {backing && <Backing {...backing} temp_C={air.temp_C} />}
      </section>
      <aside className="dusty">
        <h2>{adhesive ? materialTaken(adhesive).name : "Brace"}</h2>
        {adhesive && <Bond adhesive={materialTaken(adhesive)} loss={loss} temp_C={air.temp_C} pressure={pressure} cure={cure} />}
        {adhesive && <Cautions of={[...materialTaken(adhesive).hazards, "clamp-force"]} />}
        {cure && <ClockPanel cure={cure} done={acts} temp_C={air.temp_C} />}
        {adhesive && (
          <div className="mt-3">
            <StartControl
              label={cure ? "Clamped again" : "Clamped now"}
              main={!cure}
              disabled={log.busy || done}
              onStart={(minutes_ago) =>
                void log.write(
                  {
                    kind: "clamped",
                    ...adhesive,
                    layer: (cure?.layer ?? 0) + 1,
                    thickness_mm: loss.film_mm,
                    climate: { temp_C: air.temp_C, rh_pct: air.rh_pct },
                    hands_min: PLANNED_MIN.clamp,
                  },
                  { minutes_ago },
                )
              }
            />
          </div>
        )}
        <LeaveStation
          treatment={treatment}
          station="join"
          next={next}
          done={done}
          needed
          missing={open === 0 ? "" : counted(open, "step is open", "steps are open")}
          main={open === 0}
        />
      </aside>
    </div>
  );
}
