"use client";
import type { BraceInput, BraceKind, BraceResult } from "@/core/join/brace.schema";
import type { BodyOf } from "@/core/record/events.schema";
import { useKept } from "../forms/kept";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { BRACE_LABELS } from "./braceLabels";

interface Props {
  readonly needed: BraceResult["needed"];
  readonly asked: BraceInput;
  readonly kind: BraceKind;
  readonly size: Readonly<Record<string, number>>;
  readonly recorded: BodyOf<"braced"> | undefined;
  /** It is on record. */
  readonly done: () => void;
}

/** Writes what is let in, and by which load; against the figures it asks why, and that stays on record. */
export function BraceRecorder({ needed, asked, kind, size, recorded, done }: Props) {
  const log = useLog();
  const [reason, setReason, forget] = useKept(`brace-reason:${log.treatment}`, recorded?.reason ?? "");
  const overridden = (needed === "yes" && kind === "none") || (needed === "no" && kind !== "none");
  const missing = overridden && reason.trim() === "";
  const { joint, load_N, lever_mm } = asked;
  const judged_by = { ...(load_N === undefined ? {} : { load_N }), ...(lever_mm === undefined ? {} : { lever_mm }) };
  const why = reason.trim() === "" ? {} : { reason: reason.trim() };
  const record = async () => {
    if (!(await log.write({ kind: "braced", joint, brace: kind, size: { ...size }, judged_by, ...why }))) return;
    forget();
    done();
  };
  return (
    <div className="btn-row pt-2">
      {overridden && (
        <input
          className="txt w-[340px]"
          aria-label="Why against the figures"
          placeholder="why against the figures"
          value={reason}
          maxLength={2000}
          onChange={(event) => setReason(event.target.value)}
        />
      )}
      <button type="button" className="btn" disabled={log.busy || missing} onClick={() => void record()}>
        {missing ? "Say why, against the figures" : `Record: ${BRACE_LABELS[kind].toLowerCase()}`}
      </button>
      {recorded?.brace === kind && (
        <OnRecord sized={sameFigures(recorded.size, size)} judged={sameFigures(recorded.judged_by, judged_by)} />
      )}
    </div>
  );
}

function OnRecord({ sized, judged }: { sized: boolean; judged: boolean }) {
  if (!sized) return <Sign name="soon">On record in another size</Sign>;
  return judged ? <Sign name="done">On record</Sign> : <Sign name="soon">On record, judged by another load</Sign>;
}

type Figures = Readonly<Record<string, number>>;
const sameFigures = (a: Figures = {}, b: Figures = {}) => Object.keys({ ...a, ...b }).every((name) => a[name] === b[name]);
