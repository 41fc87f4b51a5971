"use client";
import { useState } from "react";
import type { OperationView } from "@/core/views/operationView";
import { FieldError } from "../forms/FieldError";
import type { Air } from "../frame/climate";
import { lazily } from "../frame/lazily";
import { DoDetails } from "./DoDetails";
import { type AgainstPlan, isCup, plannedMinutes } from "./doDraft";
import { useDoing } from "./useDoing";

const WeighDialog = lazily(() => import("../weigh/WeighDialog").then((module) => module.WeighDialog));
const MixDialog = lazily(() => import("../mix/MixDialog").then((module) => module.MixDialog));
const BatchDialog = lazily(() => import("./BatchDialog").then((module) => module.BatchDialog));

interface Props {
  readonly operation: OperationView;
  readonly air: Air;
  /** It stands out as the next thing to do. */
  readonly now: boolean;
  /** Against the plan: it asks why, and the reason stays on record. */
  readonly against?: AgainstPlan;
}

const WORDS = { mixed: "Mixed now", clamped: "Glued now", coated: "Laid now" } as const;

/** What the press says that records it. */
const labelOf = ({ starts, batch }: OperationView): string =>
  `${starts ? WORDS[starts] : "Done"}${batch ? `: batch ${batch.n} of ${batch.of}` : ""}`;

/** Record an operation: with the minutes it took, what was weighed, when it really was, and why where it goes against the plan. */
export function DoIt({ operation, air, now, against }: Props) {
  const { parts, batch } = operation;
  const { name, draft, change, asksWhy, wrong, refusal, record, busy } = useDoing(operation, air, against);
  const [opened, setOpen] = useState(
    against !== undefined ||
      operation.caliper !== undefined ||
      (now && operation.kind === "mix" && parts !== undefined && parts.length > 1),
  );
  const open = opened || refusal !== undefined;
  const [dialog, setDialog] = useState<"scale" | "by-hand" | "batch">();
  const close = () => setDialog(undefined);
  const cup = isCup(operation);
  const label = asksWhy ? "Do it all the same" : labelOf(operation);
  const press = async (last: boolean) => {
    if (await record(last)) setOpen(true);
  };
  return (
    <form
      method="post"
      className="grid justify-items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void press(false);
      }}
      noValidate
    >
      {open && (
        <DoDetails
          operation={operation}
          draft={draft}
          change={change}
          wrong={wrong}
          asksWhy={asksWhy}
          refusal={refusal}
          weigh={() => setDialog("scale")}
          byHand={() => setDialog("by-hand")}
        />
      )}
      <div className="op-acts">
        <label className="fld w-[108px]">
          <span className="visually-hidden">Minutes for: {operation.text}</span>
          <input
            value={draft.minutes}
            placeholder={plannedMinutes(operation)}
            inputMode="decimal"
            onChange={(event) => change({ minutes: event.target.value })}
            aria-invalid={wrong.minutes ? true : undefined}
            style={{ width: 56 }}
          />
          <span className="unit">min</span>
        </label>
        <button type="submit" className={`btn ${now ? "go" : ""}`} disabled={busy} aria-label={`${label}: ${operation.text}`}>
          {label}
        </button>
        {!open && (
          <button type="button" className="link-btn" onClick={() => setOpen(true)} aria-label={`More: ${operation.text}`}>
            More
          </button>
        )}
        {cup && (
          <button
            type="button"
            className="link-btn"
            disabled={busy}
            onClick={() => void press(true)}
            aria-label={`This is the last batch: ${operation.text}`}
          >
            This is the last batch
          </button>
        )}
        {operation.start && operation.mass_g !== undefined && !batch && !asksWhy && (
          <button
            type="button"
            className="link-btn"
            onClick={() => setDialog("batch")}
            aria-label={`Mix for others too: ${operation.text}`}
          >
            Mix for others too
          </button>
        )}
      </div>
      <FieldError id={`${operation.id}-minutes`}>{wrong.minutes}</FieldError>
      {dialog === "scale" && parts && (
        <WeighDialog
          name={name}
          title={batch ? `Weigh batch ${batch.n} of ${batch.of}` : "Weigh it"}
          parts={parts}
          use={(weighed) => {
            change(weighed);
            setOpen(true);
          }}
          close={close}
        />
      )}
      {dialog === "by-hand" && <MixDialog operation={operation} air={air} close={close} />}
      {dialog === "batch" && <BatchDialog operation={operation} air={air} close={close} />}
    </form>
  );
}
