"use client";
import { useState } from "react";
import type { PlannedStep, Station } from "@/core/catalogue";
import { type StepMark, stepKey } from "@/core/record/treatment";
import { formatMinutes } from "@/core/units";
import { useKept } from "../forms/kept";
import { useWall } from "../frame/now";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { Cautions } from "./Cautions";

interface Props {
  readonly station: Station;
  readonly steps: readonly PlannedStep[];
  readonly marks: Readonly<Record<string, StepMark>>;
  /** Steps that are recorded by their own panel, not by a tick. */
  readonly elsewhere?: Readonly<Record<string, string>>;
  /** Steps may be put in another order: by drag, or by the two arrows of each. */
  readonly arrange?: boolean;
}

/** The steps of a station: done with the minutes it took, or skipped with a reason; the first open one stands out. */
export function StepList({ station, steps, marks, elsewhere = {}, arrange = false }: Props) {
  const log = useLog();
  const [dragged, setDragged] = useState<string>();
  const names = steps.map(({ step }) => step);
  const move = (step: string, to: number) => {
    const rest = names.filter((each) => each !== step);
    void log.write({ kind: "steps-ordered", station, order: [...rest.slice(0, to), step, ...rest.slice(to)] });
  };
  const now = steps.find(({ step }) => marks[stepKey(station, step)] === undefined)?.step;
  return (
    <ol aria-label="Steps">
      {steps.map((step, i) => (
        <Step
          key={step.step}
          number={i + 1}
          station={station}
          step={step}
          mark={marks[stepKey(station, step.step)]}
          now={step.step === now}
          elsewhere={elsewhere[step.step]}
          order={
            arrange && marks[stepKey(station, step.step)] === undefined
              ? {
                  first: i === 0,
                  last: i === steps.length - 1,
                  move: (by) => move(step.step, i + by),
                  lift: () => setDragged(step.step),
                  drop: () => dragged && dragged !== step.step && move(dragged, i),
                }
              : undefined
          }
        />
      ))}
    </ol>
  );
}

interface StepProps {
  readonly number: number;
  readonly station: Station;
  readonly step: PlannedStep;
  readonly mark: StepMark | undefined;
  readonly now: boolean;
  readonly elsewhere: string | undefined;
  readonly order:
    | {
        readonly first: boolean;
        readonly last: boolean;
        readonly move: (by: -1 | 1) => void;
        readonly lift: () => void;
        readonly drop: () => void;
      }
    | undefined;
}

function Step({ number, station, step, mark, now, elsewhere, order }: StepProps) {
  const state = mark ? "done" : now ? "now" : "to-come";
  return (
    <li
      className="step"
      data-state={state}
      draggable={order !== undefined}
      onDragStart={order?.lift}
      onDragOver={(event) => order && event.preventDefault()}
      onDrop={order?.drop}
    >
      <span className="step-n">
        {number}
        {order && <Arrows step={step} order={order} />}
      </span>
      <div>
        <p className="step-t">{step.text}</p>
        <p className="dim leading-[18px]">
          {step.why} Done when {step.done_when}.
        </p>
        {now && <Cautions of={step.cautions} />}
        {mark && <Marked mark={mark} />}
        {step.wait_min > 0 && !mark && <p className="sub">then wait {formatMinutes(step.wait_min)}</p>}
      </div>
      {elsewhere && !mark ? (
        <span className="sub self-center">{elsewhere}</span>
      ) : (
        <StepActions station={station} step={step} mark={mark} now={now} />
      )}
    </li>
  );
}

function Marked({ mark }: { mark: StepMark }) {
  const wall = useWall();
  const took = mark.hands_min === undefined ? "" : `, ${formatMinutes(mark.hands_min)}`;
  return (
    <p className="pt-1">
      <Sign name={mark.status === "done" ? "done" : "to-come"}>
        {mark.status === "done" ? "Done" : "Skipped"} {wall.stamp(Date.parse(mark.at))}
        {took}
      </Sign>
      {mark.note && <span className="block wrap-anywhere">{mark.note}</span>}
    </p>
  );
}

/** The same as a drag, by keyboard and glove. */
function Arrows({ step, order }: { step: PlannedStep; order: NonNullable<StepProps["order"]> }) {
  const log = useLog();
  return (
    <span className="arrows">
      <button type="button" disabled={order.first || log.busy} onClick={() => order.move(-1)} aria-label={`Earlier: ${step.text}`}>
        ↑
      </button>
      <button type="button" disabled={order.last || log.busy} onClick={() => order.move(1)} aria-label={`Later: ${step.text}`}>
        ↓
      </button>
    </span>
  );
}

function StepActions({ station, step, mark, now }: Omit<StepProps, "number" | "elsewhere" | "order">) {
  const log = useLog();
  const [minutes, setMinutes] = useState(String(step.hands_min));
  const [skipping, setSkipping] = useState(false);
  const [reason, setReason, forget] = useKept(`skip:${station}/${step.step}:${log.treatment}`, "");
  if (mark)
    return (
      <button
        type="button"
        className="link-btn"
        onClick={() => void log.write({ kind: "withdrawn" }, { corrects: mark.entry })}
        disabled={log.busy}
      >
        Take back
      </button>
    );
  const skip = async () => {
    if (reason.trim() !== "" && (await log.write({ kind: "step-skipped", station, step: step.step, reason: reason.trim() }))) forget();
  };
  if (skipping)
    return (
      <form
        className="grid w-[260px] gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void skip();
        }}
      >
        <label className="txt-label">
          Why is it skipped?
          <input className="txt" value={reason} onChange={(event) => setReason(event.target.value)} maxLength={2000} />
        </label>
        <div className="btn-row">
          <button type="submit" className="btn small" disabled={reason.trim() === "" || log.busy}>
            Skip it
          </button>
          <button type="button" className="btn small" onClick={() => setSkipping(false)}>
            Keep it
          </button>
        </div>
      </form>
    );
  const took = Number(minutes);
  const valid = minutes.trim() !== "" && took >= 0 && took <= 10_000;
  return (
    <div className="grid justify-items-end gap-1">
      <div className="btn-row">
        <label className="fld w-[124px]">
          <span className="visually-hidden">Minutes for: {step.text}</span>
          <input
            value={minutes}
            inputMode="decimal"
            onChange={(event) => setMinutes(event.target.value)}
            aria-invalid={!valid || undefined}
            style={{ width: 70 }}
          />
          <span className="unit">min</span>
        </label>
        <button
          type="button"
          className={`btn ${now ? "go" : ""}`}
          disabled={log.busy || !valid}
          onClick={() => void log.write({ kind: "step-done", station, step: step.step, hands_min: took })}
          aria-label={`Done: ${step.text}`}
        >
          Done
        </button>
        <button type="button" className="link-btn" onClick={() => setSkipping(true)} aria-label={`Skip it: ${step.text}`}>
          Skip it
        </button>
      </div>
      {!valid && <p className="wrong-note">Enter minutes, 0 to 10 000.</p>}
    </div>
  );
}
