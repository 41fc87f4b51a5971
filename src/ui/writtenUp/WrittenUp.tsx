"use client";
import { useEffect } from "react";
import { counted, formatMinutes } from "@/core/units";
import { minutesOf, type PlacedRow, type UpRow } from "@/core/views/writtenUp";
import { FieldError } from "../forms/FieldError";
import type { Air } from "../frame/climate";
import { Link } from "../frame/Link";
import { useWall } from "../frame/now";
import { Sign } from "../signs/Sign";
import { UpRowView } from "./UpRowView";
import { useWritingUp } from "./useWritingUp";
import "./writtenUp.css";

interface Props {
  readonly treatment: string;
  readonly version: number;
  readonly rows: readonly UpRow[];
  readonly air: Air;
  /** When something was last done, ms. */
  readonly last_at?: number;
  readonly several: boolean;
}

/** Written up in the evening: what is open, each with a time, kept in one go. */
export function WrittenUp({ treatment, version, rows, air, last_at, several }: Props) {
  const up = useWritingUp(treatment, version, rows, air, last_at);
  const { times, press } = up;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== "Enter" || !(event.ctrlKey || event.metaKey)) return;
      event.preventDefault();
      void press();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
  const view = (placed: PlacedRow) => {
    const { id } = placed.row.operation;
    return (
      <UpRowView
        key={id}
        placed={placed}
        draft={up.drafts[id]}
        now={up.now}
        several={several}
        goes={up.goesUp(placed)}
        refused={up.refusalOf(placed)}
        change={(to) => up.change(id, to)}
        putBack={() => up.putBack(id)}
        toggle={() => up.toggle(id)}
      />
    );
  };
  const here = times.filter(({ state }) => state !== "to-come");
  const later = times.filter(({ state }) => state === "to-come");
  return (
    <div className="written-up">
      <Keep up={up} treatment={treatment} />
      <section aria-label="What was done" className="dusty min-w-0">
        <div className="up-row up-head" aria-hidden="true">
          <span />
          <span>done at</span>
          <span>took</span>
          <span>act</span>
          <span>weighed, measured, found</span>
          <span />
        </div>
        {here.length === 0 && (
          <p className="py-3 text-read">Nothing that is open could have been done by now. Give an earlier time at “began”.</p>
        )}
        <ol aria-label="Done by now">{here.map(view)}</ol>
        {later.length > 0 && (
          <details className="pt-2" open={here.length === 0}>
            <summary className="link-btn inline-flex cursor-pointer items-center">{counted(later.length, "act")} to come</summary>
            <ol aria-label="To come">{later.map(view)}</ol>
          </details>
        )}
        <p className="sub pt-2">
          <kbd>+15</kbd> after the one before · <kbd>14:20</kbd> · <kbd>Tue 9</kbd> · <kbd>8 Oct 9:15</kbd> · <kbd>Enter</kbd> next time.
          Grey is proposed and moves along; what you type stays. Take the tick off where hands stopped: it stays open, and so does what
          comes after it.
        </p>
      </section>
    </div>
  );
}

function Keep({ up, treatment }: { up: ReturnType<typeof useWritingUp>; treatment: string }) {
  const { times, goesUp, began, busy, kept, problem, press, now } = up;
  const wall = useWall();
  const going = times.filter(goesUp);
  const open = times.length;
  const done = going.filter(({ state }) => state !== "left-out");
  const hands = done.reduce((sum, { row }) => sum + minutesOf(row, up.drafts[row.operation.id]?.took ?? ""), 0);
  const [from, to] = [done[0]?.at, done.at(-1)?.at];
  return (
    <section aria-label="Keep it" className="up-keep">
      <h2>Written up</h2>
      <p className="up-count" aria-live="polite">
        <b>{going.length}</b> of {open} open
      </p>
      <p>
        {from !== undefined && to !== undefined
          ? `${formatMinutes(hands)} of hands, ${wall.when(from, now)} to ${wall.when(to, now)}. What does not fit waits here.`
          : "Give each act its time; what does not fit waits here."}
      </p>
      <label className="txt-label">
        Hands began
        <input
          className="txt"
          value={began.text}
          placeholder={began.shown}
          maxLength={60}
          onChange={(event) => began.set(event.target.value)}
        />
        <FieldError id="began">{began.wrong}</FieldError>
      </label>
      <button type="button" className="btn go big" disabled={busy || going.length === 0} onClick={() => void press()}>
        {busy ? "Keeping …" : `Keep ${counted(going.length, "act")}`} <kbd>Ctrl Enter</kbd>
      </button>
      <div aria-live="polite">
        {kept > 0 && <Sign name="done">{counted(kept, "act")} kept, each at its own time</Sign>}
        {problem && (
          <p role="alert">
            <Sign name="never">Not saved</Sign> {problem.detail} What you typed stays here.
          </p>
        )}
      </div>
      <Link className="link" href={`/treatments/${treatment}`}>
        Back to work
      </Link>
    </section>
  );
}
