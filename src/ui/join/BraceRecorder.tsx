"use client";
import { braceLabel } from "@/core/join/kinds.data";
import type { BodyOf } from "@/core/record/events.schema";
import { useKept } from "../forms/kept";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";

interface Props {
  readonly body: Omit<BodyOf<"braced">, "kind" | "reason">;
  /** It goes against what was worked out. */
  readonly against: boolean;
  readonly recorded: BodyOf<"braced"> | undefined;
  /** It is on record. */
  readonly done?: () => void;
}

/** Writes what is let in, and by which load; against the figures it asks why, and that stays on record. */
export function BraceRecorder({ body, against, recorded, done }: Props) {
  const log = useLog();
  const [reason, setReason, forget] = useKept(`brace-reason:${log.treatment}:${body.damage}`, recorded?.reason ?? "");
  const missing = against && reason.trim() === "";
  const why = reason.trim() === "" ? {} : { reason: reason.trim() };
  const record = async () => {
    if (!(await log.write({ kind: "braced", ...body, ...why }))) return;
    forget();
    done?.();
  };
  return (
    <div className="btn-row pt-2">
      {against && (
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
        {missing ? "Say why, against the figures" : `Record: ${braceLabel(body.brace).toLowerCase()}`}
      </button>
      {recorded?.brace === body.brace && (
        <OnRecord
          sized={sameFigures(recorded.size, body.size) && (!recorded.router || sameFigures(recorded.router, body.router))}
          judged={sameFigures(recorded.judged_by, body.judged_by)}
        />
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
