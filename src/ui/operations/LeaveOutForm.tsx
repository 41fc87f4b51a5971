"use client";
import { useState } from "react";
import type { OperationView } from "@/core/views/operationView";
import { CheckList } from "../forms/CheckList";
import { useKept } from "../forms/kept";
import { TypedField } from "../forms/TypedField";
import { useLog } from "../treatment/TreatmentLog";
import { useSendingAll } from "../treatment/useSendingAll";

interface Props {
  readonly operations: readonly Pick<OperationView, "id" | "title" | "round">[];
  readonly close: () => void;
}

/** Several operations left out in one go, with one reason. */
export function LeaveOutForm({ operations, close }: Props) {
  const log = useLog();
  const [chosen, choose] = useState<readonly string[]>([]);
  const [reason, keep, forget] = useKept(`leave-out:${log.treatment}`, "");
  const { sent, refusals, problem, busy } = useSendingAll(log.treatment, log.version);
  const going = operations.filter(({ id }) => chosen.includes(id));
  const ready = going.length > 0 && reason.trim() !== "";
  const press = async () => {
    if (!ready) return;
    const stands = await sent(
      going.map(({ id }) => ({ key: crypto.randomUUID(), body: { kind: "skipped", op: id, reason: reason.trim() } })),
    );
    if (!stands || stands.size < going.length) return;
    choose([]);
    forget();
    close();
  };
  return (
    <form
      method="post"
      aria-label="Leave several out"
      className="panel-block grid w-full max-w-[520px] gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void press();
      }}
    >
      <CheckList
        legend="What is left out"
        rows={operations.map(({ id, title, round }) => ({ id, label: `${round > 1 ? `Round ${round}: ` : ""}${title}` }))}
        chosen={chosen}
        choose={choose}
      />
      <TypedField label="Why are they left out?" value={reason} set={keep} />
      {[...new Set([...refusals.values(), ...(problem ? [problem.detail] : [])])].map((text) => (
        <p key={text} role="alert" className="wrap-anywhere">
          {text}
        </p>
      ))}
      <div className="btn-row">
        <button type="submit" className="btn" disabled={!ready || busy}>
          {going.length === 0 ? "Choose some first" : reason.trim() === "" ? "Say why first" : `Leave ${going.length} out`}
        </button>
        <button type="button" className="btn" onClick={close}>
          Not now
        </button>
      </div>
    </form>
  );
}
