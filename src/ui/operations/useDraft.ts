"use client";
import type { OperationView } from "@/core/views/operationView";
import { useKept } from "../forms/kept";
import { useLog } from "../treatment/TreatmentLog";
import { type DoDraft, startDraft } from "./doDraft";

/** What is typed of an operation, kept on this device: the card and the scale beside it write the same one. */
export function useDraft(operation: OperationView) {
  const log = useLog();
  const { id, batch } = operation;
  // what is typed of one batch is not the next one's
  const name = `${log.treatment}:${id}${batch && batch.n > 1 ? `#${batch.n}` : ""}`;
  const first = startDraft(operation);
  const [kept, keep, forget] = useKept<DoDraft>(`op:${name}`, first);
  const draft = { ...first, ...kept };
  return { name, draft, change: (to: Partial<DoDraft>) => keep({ ...draft, ...to }), forget };
}
