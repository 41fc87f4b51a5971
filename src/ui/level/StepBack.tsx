"use client";
import { useState } from "react";
import { plain } from "@/core/units";
import type { Levelling } from "@/core/views/levelling";
import { FieldError } from "../forms/FieldError";
import { useKept } from "../forms/kept";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";

/** Back to a coarser grade: it and every finer one come again. Proposed where much is left for the next one. */
export function StepBack({ level: { damage, rungs, coarser } }: { level: Levelling }) {
  const log = useLog();
  const [tried, setTried] = useState(false);
  const walked = rungs.filter(({ state, grade }) => state === "done" && grade !== undefined);
  const first = coarser ? `${plain(coarser.proud_mm, 2)} mm still stands proud` : "";
  const [draft, keep, forget] = useKept(`step-back:${log.treatment}:${damage}`, { op: "", because: first });
  if (walked.length === 0) return null;
  const chosen = walked.find(({ op }) => op === draft.op) ?? walked.at(-1);
  const because = draft.because.trim() === "" ? first : draft.because.trim();
  const write = async () => {
    setTried(true);
    const to = chosen?.grade;
    if (!to || because === "") return;
    if (!(await log.write({ kind: "stepped-back", damage, to, because }))) return;
    forget();
    keep({ op: "", because: "" });
    setTried(false);
  };
  return (
    <details className="pt-2" open={coarser !== undefined}>
      <summary className="link-btn inline-flex cursor-pointer items-center">Step back to a coarser grade</summary>
      {coarser && (
        <Sign name="soon" wrap>
          {plain(coarser.proud_mm, 2)} mm still stands proud: {coarser.next} would take long for it. A step back is shorter.
        </Sign>
      )}
      <form
        method="post"
        className="grid max-w-[420px] gap-2 pt-2"
        onSubmit={(event) => {
          event.preventDefault();
          void write();
        }}
        noValidate
      >
        <label className="txt-label">
          Back to
          <select className="txt" value={chosen?.op} onChange={(event) => keep({ ...draft, op: event.target.value })}>
            {walked.map(({ op, label }) => (
              <option key={op} value={op}>
                {label}
              </option>
            ))}
          </select>
        </label>
        <label className="txt-label">
          Why
          <input
            className="txt"
            value={draft.because}
            placeholder={first}
            maxLength={2000}
            onChange={(event) => keep({ ...draft, because: event.target.value })}
          />
          <FieldError id={`step-back-${damage}`}>
            {tried && because === "" ? "Say what was found: the record tells it." : undefined}
          </FieldError>
        </label>
        <button type="submit" className="btn justify-self-start" disabled={log.busy}>
          Walk again from {chosen?.label}
        </button>
      </form>
    </details>
  );
}
