"use client";
import { useState } from "react";
import { useKept } from "../forms/kept";
import { useLog } from "../treatment/TreatmentLog";

/** A press that asks why first; what was typed is kept until it is recorded. */
export function Reasoned({
  name,
  open: label,
  ask,
  act,
  write,
}: {
  name: string;
  open: string;
  ask: string;
  act: string;
  write: (reason: string) => Promise<boolean>;
}) {
  const log = useLog();
  const [open, setOpen] = useState(false);
  const [reason, keep, forget] = useKept(`${name}:${log.treatment}`, "");
  if (!open)
    return (
      <button type="button" className="link-btn" onClick={() => setOpen(true)}>
        {label}
      </button>
    );
  return (
    <form
      method="post"
      className="reasoned grid w-full max-w-[340px] gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() === "") return;
        void write(reason.trim()).then((saved) => {
          if (!saved) return;
          forget();
          setOpen(false);
        });
      }}
    >
      <label className="txt-label">
        {ask}
        <input className="txt" value={reason} maxLength={2000} onChange={(event) => keep(event.target.value)} />
      </label>
      <div className="btn-row">
        <button type="submit" className="btn small" disabled={reason.trim() === "" || log.busy}>
          {act}
        </button>
        <button type="button" className="btn small" onClick={() => setOpen(false)}>
          Not now
        </button>
      </div>
    </form>
  );
}
