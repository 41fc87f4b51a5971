"use client";
import { type ReactNode, useState } from "react";
import type { OperationView } from "@/core/views/operationView";
import { FieldError } from "../forms/FieldError";
import type { Air } from "../frame/climate";
import { lazily } from "../frame/lazily";
import { type AgainstPlan, isCup, plannedMinutes } from "./doDraft";
import { useDoing } from "./useDoing";

const DoDetails = lazily(() => import("./DoDetails").then((module) => module.DoDetails));

interface Props {
  readonly operation: OperationView;
  readonly air: Air;
  /** Against the plan: it asks why, and the reason stays on record. */
  readonly against?: AgainstPlan;
  /** Smaller presses that stand beside its own. */
  readonly links: ReactNode;
}

const WORDS = { mixed: "Mixed now", clamped: "Glued now", coated: "Laid now" } as const;

/** What the press says that records it. */
const labelOf = ({ starts, batch }: OperationView): string =>
  `${starts ? WORDS[starts] : "Done"}${batch ? `: batch ${batch.n} of ${batch.of}` : ""}`;

/** Record an operation: with the minutes it took, when it really was, and why where it goes against the plan. */
export function DoIt({ operation, air, against, links }: Props) {
  const { draft, change, asksWhy, wrong, refusal, record, busy } = useDoing(operation, air, against);
  const [opened, setOpen] = useState(against !== undefined || operation.caliper !== undefined);
  const open = opened || refusal !== undefined;
  const label = asksWhy ? "Do it all the same" : labelOf(operation);
  const press = async (last: boolean) => {
    if (await record(last)) setOpen(true);
  };
  return (
    <>
      <form
        method="post"
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void press(false);
        }}
        noValidate
      >
        {open && <DoDetails operation={operation} draft={draft} change={change} wrong={wrong} asksWhy={asksWhy} refusal={refusal} />}
        <div className="card-main">
          <label className="fld">
            <span className="visually-hidden">Minutes for: {operation.text}</span>
            <input
              value={draft.minutes}
              placeholder={plannedMinutes(operation)}
              inputMode="decimal"
              onChange={(event) => change({ minutes: event.target.value })}
              aria-invalid={wrong.minutes ? true : undefined}
              className="w-[52px]"
            />
            <span className="unit">min</span>
          </label>
          <button type="submit" className="btn go" data-stop disabled={busy} aria-label={`${label}: ${operation.text}`}>
            {label}
          </button>
        </div>
        <FieldError id={`${operation.id}-minutes`}>{wrong.minutes}</FieldError>
        <FieldError id={`${operation.id}-grams`}>{wrong.grams}</FieldError>
      </form>
      <div className="flex flex-wrap gap-x-6">
        {links}
        {isCup(operation) && (
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
        {!open && (
          <button type="button" className="link-btn" onClick={() => setOpen(true)} aria-label={`More: ${operation.text}`}>
            More
          </button>
        )}
      </div>
    </>
  );
}
