"use client";
import type { StationPlan } from "@/core/plan/plan";
import { type StepMark, stepKey } from "@/core/record/treatment";
import { formatMinutes } from "@/core/units";
import { LeaveStation } from "./LeaveStation";
import { Photographs, type PhotographView } from "./Photographs";
import { StepList } from "./StepList";

interface Props {
  readonly treatment: string;
  readonly plan: StationPlan;
  readonly marks: Readonly<Record<string, StepMark>>;
  readonly done: boolean;
  readonly next: Parameters<typeof LeaveStation>[0]["next"];
  readonly photographs: readonly PhotographView[];
}

/** Make ready: the preparation that survey and chain ask for, ticked off step by step. */
export function ReadyStation({ treatment, plan, marks, done, next, photographs }: Props) {
  const open = plan.steps.filter(({ step }) => marks[stepKey("ready", step)] === undefined).length;
  return (
    <div className="cols cols-steps">
      <section className="col-rule">
        <h2 className="flex justify-between">
          Before anything is mixed <span className="sub">{formatMinutes(plan.hands_min)} of work planned, a rule of thumb</span>
        </h2>
        <StepList station="ready" steps={plan.steps} marks={marks} />
      </section>
      <aside>
        <h2>Most failures start here</h2>
        <p className="dim">
          Each step follows from the survey and the chain you chose. Skip what does not apply, and say why: the record keeps it.
        </p>
        <LeaveStation
          treatment={treatment}
          station="ready"
          next={next}
          done={done}
          needed
          missing={open === 0 ? "" : open === 1 ? "1 step is open" : `${open} steps are open`}
        />
        <Photographs treatment={treatment} photographs={photographs} moment="during" />
      </aside>
    </div>
  );
}
