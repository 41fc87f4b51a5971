"use client";
import { useState } from "react";
import type { Problem } from "@/core/problem";
import { actState, minutesAtIt, WHY } from "@/core/views/actState";
import type { OperationView } from "@/core/views/operationView";
import type { Air } from "../frame/climate";
import { useWall } from "../frame/now";
import { useLog } from "../treatment/TreatmentLog";
import { type AgainstPlan, batchBody, doBody, doErrors, typedAt } from "./doDraft";
import { useDraft } from "./useDraft";

/** So long ago it is asked once whether that is meant, ms. */
const LONG_AGO = 300 * 86_400_000;

/** What is typed of an operation, kept on this device, and the press that records it. `against`: done now, it goes against the plan. */
export function useDoing(operation: OperationView, air: Air, against: AgainstPlan | undefined) {
  const log = useLog();
  const wall = useWall();
  const { id } = operation;
  const { draft, change, forget } = useDraft(operation);
  const [tried, setTried] = useState(false);
  const [sure, setSure] = useState("");
  const now = Date.now();
  const asked = { now, wall, after: operation.since ?? now };
  const at = typedAt(draft, asked);
  // at a time of its own it is the record that judges, and asks why; at another time it is asked anew
  const refused = refusalOf(log.refusedHere, id, draft.at);
  const why = draft.at.trim() === "" ? against : refused?.errors?.some(({ path }) => path === WHY) ? againstAt(operation, at) : undefined;
  const wrong = doErrors(draft, { ...asked, why: why !== undefined });
  const longAgo = at !== undefined && now - at > LONG_AGO && sure !== draft.at;
  /** Answers whether something was wrong with what was typed. */
  const record = async (last: boolean): Promise<boolean> => {
    setTried(true);
    if (Object.keys(wrong).length > 0) return true;
    if (longAgo) {
      setSure(draft.at);
      return true;
    }
    const body = (last ? undefined : batchBody(operation, draft, air, why)) ?? doBody(operation, draft, air, why);
    const { stands, refused: no } = await log.attempt(
      body,
      at === undefined ? {} : { at: new Date(at).toISOString(), air_then: true },
      draft.at,
    );
    if (stands) {
      forget();
      setTried(false);
    }
    return no !== undefined;
  };
  return {
    draft,
    change,
    asksWhy: why !== undefined,
    wrong: tried ? wrong : {},
    refusal:
      sure !== "" && sure === draft.at && at !== undefined
        ? `${wall.stamp(at)} is long ago. Press again if that is right.`
        : refused?.detail,
    record,
    busy: log.busy,
  };
}

/** What the record said of this press, as long as it is of the time that is typed. */
function refusalOf(last: ReturnType<typeof useLog>["refusedHere"], op: string, at: string): Problem | undefined {
  return last && "op" in last.body && last.body.op === op && last.typed === at ? last.problem : undefined;
}

/** How a typed time stands to the plan as far as the page knows its window. */
function againstAt({ from, until, hands_min }: OperationView, at: number | undefined): AgainstPlan {
  const state = at === undefined ? "now" : actState({ from, until, hands_min: minutesAtIt(hands_min) }, at);
  return { state: state === "too-early" || state === "too-late" ? state : "blocked" };
}
