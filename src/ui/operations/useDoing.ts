"use client";
import { useState } from "react";
import type { OperationView } from "@/core/views/operationView";
import { useKept } from "../forms/kept";
import type { Air } from "../frame/climate";
import { useLog } from "../treatment/TreatmentLog";
import { type AgainstPlan, batchBody, type DoDraft, doBody, doErrors, startDraft } from "./doDraft";

/** What is typed of an operation, kept on this device, and the press that records it. */
export function useDoing(operation: OperationView, air: Air, against: AgainstPlan | undefined) {
  const log = useLog();
  const { id, batch } = operation;
  // what is typed of one batch is not the next one's
  const name = `${log.treatment}:${id}${batch && batch.n > 1 ? `#${batch.n}` : ""}`;
  const first = startDraft(operation);
  const [kept, keep, forget] = useKept<DoDraft>(`op:${name}`, first);
  const [tried, setTried] = useState(false);
  const draft = { ...first, ...kept };
  const change = (to: Partial<DoDraft>) => keep({ ...draft, ...to });
  const asksWhy = against !== undefined || draft.asks;
  const wrong = doErrors(draft, asksWhy, Date.now());
  /** Answers whether something was wrong with what was typed. */
  const record = async (last: boolean): Promise<boolean> => {
    setTried(true);
    if (Object.keys(wrong).length > 0) return true;
    const typed = draft.at !== "";
    const body = (last ? undefined : batchBody(operation, draft, air, against)) ?? doBody(operation, draft, air, against);
    if (await log.write(body, typed ? { at: new Date(draft.at).toISOString() } : {})) {
      forget();
      setTried(false);
    }
    // a time that does not fit what came before may still be right: the next try says why
    else if (typed && !asksWhy) change({ asks: true });
    return false;
  };
  return { name, draft, change, asksWhy, wrong: tried ? wrong : {}, record, busy: log.busy };
}
