"use client";
import type { ReactNode } from "react";
import { EARLIER_GLUES, type EarlierGlue } from "@/core/catalogue";
import type { AskedAt } from "@/core/survey/askedAt";
import { type Check, type CheckRow, checksFor, LIMITS, type Limit } from "@/core/survey/inspection.data";
import { QUESTIONS, type Question } from "@/core/survey/questions.data";
import { NumberField } from "../forms/NumberField";
import { YesNo } from "../forms/YesNo";
import { SignShape } from "../signs/Sign";
import type { SurveyPart } from "./surveyPart";

/** What is not likely to change anything here: one line with its names, opened where it does. */
function Folded({ names, open, children }: { names: readonly string[]; open: boolean; children: ReactNode }) {
  if (names.length === 0) return null;
  return (
    <details className="mt-1" open={open}>
      <summary className="flex min-h-[44px] cursor-pointer items-center gap-2">
        <span>
          {names.length} more, taken as No<span className="sub block">{names.join(" · ")}</span>
        </span>
      </summary>
      {children}
    </details>
  );
}

/** How the piece is used: only questions that change a material or a step, what hardly does here folded. */
export function Use({ form, values, errors, at }: SurveyPart & { at: AskedAt }) {
  const first = QUESTIONS.filter(({ matters }) => matters(at));
  const rest = QUESTIONS.filter(({ matters }) => !matters(at));
  const open = first.filter(({ ask }) => values.service[ask] === undefined).length;
  const asked = ({ ask, text }: Question) => (
    <YesNo key={ask} text={text} value={values.service[ask]} onChange={(value) => form.setValue(`service.${ask}`, value)} />
  );
  return (
    <section aria-label="How it is used">
      <h2 className="flex items-baseline justify-between">
        How it is used <span className="sub">{open === 0 ? "all answered" : `${open} open, taken as No`}</span>
      </h2>
      {first.map(asked)}
      <YesNo
        text="The finish beside it must survive"
        value={values.finish_survives}
        onChange={(value) => form.setValue("finish_survives", value)}
      />
      <Folded names={rest.map(({ text }) => text)} open={rest.some(({ ask }) => values.service[ask] !== undefined)}>
        {rest.map(asked)}
      </Folded>
      <div className="mt-2 grid gap-1">
        <NumberField
          name="heat_C"
          label="Warmest it gets"
          unit="°C"
          value={values.heat_C}
          onChange={(text) => form.setValue("heat_C", text)}
          error={errors.heat_C}
          note="rinsing, sun, a lamp; empty = room"
        />
        <NumberField
          name="working_min"
          label="Assembly takes"
          unit="min"
          value={values.working_min}
          onChange={(text) => form.setValue("working_min", text)}
          error={errors.working_min}
          note="from the dry fit; empty = no limit"
        />
      </div>
    </section>
  );
}

/** What to look at on this material for this damage, what was glued before, and where the shop's licence ends. */
export function Inspection({ form, values, at }: SurveyPart & { at: AskedAt }) {
  const checks = values.kind === "" ? [] : checksFor(at.on, at.finish.film, values.kind);
  const rest = LIMITS.filter(({ matters }) => !matters(at));
  const limited = ({ limit, text }: (typeof LIMITS)[number]) => (
    <YesNo key={limit} text={text} value={values.limits[limit]} onChange={(value) => form.setValue(`limits.${limit as Limit}`, value)} />
  );
  const open = checks.filter(({ check }) => values.inspected[check] === undefined).length;
  return (
    <section aria-label="Inspected">
      <h2 className="flex items-baseline justify-between">
        Inspected <span className="sub">{values.kind === "" ? "" : open === 0 ? "all looked at" : `${open} open`}</span>
      </h2>
      {values.kind === "" && <p className="dim">What to look at depends on what is wrong: choose that first.</p>}
      {checks.map((row) => (
        <CheckField
          key={row.check}
          row={row}
          found={values.inspected[row.check]}
          set={(found) => form.setValue(`inspected.${row.check}`, found)}
        />
      ))}
      <label className="txt-label mt-3 block" htmlFor="earlier-glue">
        Glued before with
      </label>
      <select
        id="earlier-glue"
        className="txt"
        value={values.earlier_glue}
        onChange={(event) => form.setValue("earlier_glue", event.target.value as EarlierGlue | "")}
      >
        <option value="">Not looked at yet</option>
        {EARLIER_GLUES.map(({ glue, label, tell }) => (
          <option key={glue} value={glue}>
            {label}: {tell}
          </option>
        ))}
      </select>
      <h3 className="mt-4">Can it be done here?</h3>
      {LIMITS.filter(({ matters }) => matters(at)).map(limited)}
      <Folded names={rest.map(({ text }) => text)} open={rest.some(({ limit }) => values.limits[limit] !== undefined)}>
        {rest.map(limited)}
      </Folded>
    </section>
  );
}

/** One check with its two findings; the troubled one wears the diamond. Pressing the pressed one takes it back. */
function CheckField({
  row,
  found,
  set,
}: {
  row: CheckRow & { check: Check };
  found: string | undefined;
  set: (found: string | undefined) => void;
}) {
  const trouble = row.findings.find(({ finding }) => finding === found)?.flag !== undefined;
  return (
    <fieldset className="ask">
      <legend className="visually-hidden">{row.label}</legend>
      <span className="q" aria-hidden="true">
        <SignShape name={found === undefined ? "to-come" : trouble ? "never" : "done"} size={13} />
        <span>
          {row.label}
          <span className="sub block">{row.how}</span>
        </span>
      </span>
      <span className="yn words">
        {row.findings.map(({ finding, word }) => (
          <button
            key={finding}
            type="button"
            className="tight-focus"
            aria-label={`${row.label}: ${word}`}
            aria-pressed={found === finding}
            onClick={() => set(found === finding ? undefined : finding)}
          >
            {word}
          </button>
        ))}
      </span>
    </fieldset>
  );
}
