"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { type Station, stationLabel } from "@/core/catalogue";
import { useKept } from "../forms/kept";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";

interface Props {
  readonly treatment: string;
  readonly station: Station;
  readonly next: Station;
  readonly done: boolean;
  /** What is still open; the label of the button says it. Empty = ready to leave. */
  readonly missing: string;
  readonly needed: boolean;
  /** Whether leaving is the one thing to do now. */
  readonly main?: boolean;
  /** A clock that is not through yet, and the words of one who judges by hand that it is. */
  readonly early?: { readonly until: string; readonly judged: string } | undefined;
}

/** The end of a station: done, or skipped with a reason. */
export function LeaveStation({ treatment, station, next, done, missing, needed, main = true, early }: Props) {
  const router = useRouter();
  const log = useLog();
  const [skipping, setSkipping] = useState(false);
  const [reason, setReason, forget] = useKept(`skip:${station}:${treatment}`, "");
  const to = () => router.push(`/treatments/${treatment}/${next}`);
  const leave = async (note?: string) => {
    if (await log.write({ kind: "station-done", station, ...(note ? { note } : {}) })) to();
  };
  const open = missing || (early ? early.until : "");
  const skip = async () => {
    if (reason.trim() === "" || !(await log.write({ kind: "station-skipped", station, reason: reason.trim() }))) return;
    forget();
    to();
  };
  if (done || !needed)
    return (
      <div className="mt-4 grid gap-2">
        {done && <Sign name="done">{stationLabel(station)} is behind you</Sign>}
        <button type="button" className="btn big" onClick={to}>
          Go to {stationLabel(next)}
        </button>
      </div>
    );
  return (
    <div className="mt-4 grid gap-2">
      <button
        type="button"
        className={`btn big ${main && open === "" ? "go" : ""}`}
        disabled={open !== "" || log.busy}
        onClick={() => void leave()}
      >
        {open === "" ? `Leave ${stationLabel(station)}, go to ${stationLabel(next)}` : `Not yet: ${open}`}
      </button>
      {early && missing === "" && (
        <button type="button" className="link-btn justify-self-start" disabled={log.busy} onClick={() => void leave(early.judged)}>
          {early.judged}: leave {stationLabel(station)} now
        </button>
      )}
      {skipping ? (
        <form
          className="grid gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void skip();
          }}
        >
          <label className="txt-label">
            Why is {stationLabel(station)} skipped?
            <input className="txt" value={reason} onChange={(event) => setReason(event.target.value)} maxLength={2000} />
          </label>
          <button type="submit" className="btn" disabled={reason.trim() === "" || log.busy}>
            Skip {stationLabel(station)}
          </button>
        </form>
      ) : (
        <button type="button" className="link-btn justify-self-start" onClick={() => setSkipping(true)}>
          Skip this station
        </button>
      )}
    </div>
  );
}
