"use client";
import type { ComponentProps } from "react";
import type { StationPlan } from "@/core/plan/plan";
import { type StepMark, stepKey } from "@/core/record/treatment";
import { counted, formatMinutes } from "@/core/units";
import { LeaveStation } from "../stations/LeaveStation";
import { Photographs, type PhotographView } from "../stations/Photographs";
import { StepList } from "../stations/StepList";
import { DryRun } from "./DryRun";
import { FormChoice } from "./FormChoice";
import { OwnStep } from "./OwnStep";
import { Shards } from "./Shards";

interface Props {
  readonly treatment: string;
  readonly plan: StationPlan;
  readonly marks: Readonly<Record<string, StepMark>>;
  readonly done: boolean;
  readonly next: ComponentProps<typeof LeaveStation>["next"];
  readonly photographs: readonly PhotographView[];
  /** Panels that this damage and chain ask for. */
  readonly dryRun?: ComponentProps<typeof DryRun>;
  readonly shards?: ComponentProps<typeof Shards>;
  readonly form?: ComponentProps<typeof FormChoice>;
}

/** Make ready: the preparation that survey and chain ask for, in an order of one's own, ticked off step by step. */
export function ReadyStation({ treatment, plan, marks, done, next, photographs, dryRun, shards, form }: Props) {
  const open = plan.steps.filter(({ step }) => marks[stepKey("ready", step)] === undefined).length;
  return (
    <div className="cols cols-steps">
      <section className="col-rule">
        <h2 className="flex justify-between">
          Before anything is mixed <span className="sub">{formatMinutes(plan.hands_min)} of work planned, a rule of thumb</span>
        </h2>
        <StepList station="ready" steps={plan.steps} marks={marks} arrange />
        <OwnStep station="ready" />
      </section>
      <aside>
        <h2>Most failures start here</h2>
        <p className="dim">
          Each step follows from the survey and the chain you chose. Skip what does not apply, and say why: the record keeps it.
        </p>
        {form && <FormChoice {...form} />}
        {shards && <Shards {...shards} />}
        {dryRun && <DryRun {...dryRun} />}
        <LeaveStation
          treatment={treatment}
          station="ready"
          next={next}
          done={done}
          needed
          missing={open === 0 ? "" : counted(open, "step is open", "steps are open")}
        />
        <Photographs treatment={treatment} photographs={photographs} moment="during" />
      </aside>
    </div>
  );
}
