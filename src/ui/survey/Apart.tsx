"use client";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { FieldError } from "../forms/FieldError";
import { useKept } from "../forms/kept";
import { send } from "../forms/send";
import { useLog } from "../treatment/TreatmentLog";

/** Takes this damage out into a treatment of its own, with all that was written and done of it. */
export function Apart({ damage, title }: { damage: string; title: string }) {
  const router = useRouter();
  const log = useLog();
  const [open, setOpen] = useState(false);
  const [name, keep, forget] = useKept(`apart:${log.treatment}:${damage}`, title);
  const [wrong, setWrong] = useState("");
  const [busy, setBusy] = useState(false);
  // one id a form: pressing twice makes one treatment
  const to = useRef<string>(undefined);
  const part = async () => {
    if (name.trim() === "") return setWrong("Name the treatment, so that it can be told from this one.");
    to.current ??= crypto.randomUUID();
    setBusy(true);
    const sent = await send<{ id: string }>("POST", `/api/treatments/${log.treatment}/apart`, {
      to: to.current,
      damage,
      version: log.version,
      title: name.trim(),
    });
    setBusy(false);
    if (!sent.ok) return setWrong(sent.problem.detail);
    forget();
    router.push(`/treatments/${sent.value.id}`);
  };
  if (!open)
    return (
      <button type="button" className="btn mt-3" onClick={() => setOpen(true)}>
        Treat this damage apart …
      </button>
    );
  return (
    <section aria-label="Treat apart" className="panel-block mt-3 grid max-w-[520px] gap-2">
      <p>
        It becomes a treatment of its own, with its own record and signature. What was done of it goes with it; minutes stay where they were
        counted.
      </p>
      <label className="txt-label">
        What that treatment is called
        <input className="txt" value={name} maxLength={200} onChange={(event) => keep(event.target.value)} />
      </label>
      <FieldError id="apart-wrong">{wrong}</FieldError>
      <div className="btn-row">
        <button type="button" className="btn go" disabled={busy || log.busy} onClick={() => void part()}>
          Treat it apart
        </button>
        <button type="button" className="btn" onClick={() => setOpen(false)}>
          Not now
        </button>
      </div>
    </section>
  );
}
