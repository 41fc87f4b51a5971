"use client";
import { useState } from "react";
import type { OperationView } from "@/core/views/operationView";
import { FieldError } from "../forms/FieldError";
import { useKept } from "../forms/kept";
import type { Air } from "../frame/climate";
import { lazily } from "../frame/lazily";
import { useLog } from "../treatment/TreatmentLog";
import { DoDetails } from "./DoDetails";
import { type AgainstPlan, type DoDraft, doBody, doErrors, startDraft } from "./doDraft";

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

/** Record an operation: with the minutes it took, what was weighed, when it really was, and why where it goes against the plan. */
export function DoIt({ operation, air, now, against }: Props) {
  const log = useLog();
  const first = startDraft(operation);
  const [kept, keep, forget] = useKept<DoDraft>(`op:${log.treatment}:${operation.id}`, first);
  const draft = { ...first, ...kept };
  const weighs = operation.parts !== undefined && operation.parts.length > 1;
  const [open, setOpen] = useState(against !== undefined || (now && operation.kind === "mix" && weighs));
  const [tried, setTried] = useState(false);
  const [dialog, setDialog] = useState<"scale" | "by-hand" | "batch">();
  const close = () => setDialog(undefined);
  const { parts } = operation;
  const change = (to: Partial<DoDraft>) => keep({ ...draft, ...to });
  const asksWhy = against !== undefined || draft.asks;
  const wrong = doErrors(draft, asksWhy, Date.now());
  const label = operation.starts ? WORDS[operation.starts] : "Done";
  const record = async () => {
    setTried(true);
    if (Object.keys(wrong).length > 0) {
      setOpen(true);
      return;
    }
    const typed = draft.at !== "";
    if (await log.write(doBody(operation, draft, air, against), typed ? { at: new Date(draft.at).toISOString() } : {})) forget();
    // a time that does not fit what came before may still be right: the next try says why
    else if (typed && !asksWhy) change({ asks: true });
  };
  const shown = tried ? wrong : {};
  return (
    <form
      className="grid justify-items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void record();
      }}
      noValidate
    >
      {open && (
        <DoDetails
          operation={operation}
          draft={draft}
          change={change}
          wrong={shown}
          asksWhy={asksWhy}
          weigh={() => setDialog("scale")}
          byHand={() => setDialog("by-hand")}
        />
      )}
      <div className="op-acts">
        <label className="fld w-[108px]">
          <span className="visually-hidden">Minutes for: {operation.text}</span>
          <input
            value={draft.minutes}
            inputMode="decimal"
            onChange={(event) => change({ minutes: event.target.value })}
            aria-invalid={shown.minutes ? true : undefined}
            style={{ width: 56 }}
          />
          <span className="unit">min</span>
        </label>
        <button type="submit" className={`btn ${now ? "go" : ""}`} disabled={log.busy} aria-label={`${label}: ${operation.text}`}>
          {asksWhy ? "Do it all the same" : label}
        </button>
        {!open && (
          <button type="button" className="link-btn" onClick={() => setOpen(true)} aria-label={`More: ${operation.text}`}>
            More
          </button>
        )}
        {operation.start && operation.mass_g !== undefined && !asksWhy && (
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
      <FieldError id={`${operation.id}-minutes`}>{shown.minutes}</FieldError>
      {dialog === "scale" && parts && (
        <WeighDialog
          name={`${log.treatment}:${operation.id}`}
          title="Weigh it"
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
