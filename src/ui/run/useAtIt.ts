"use client";
import { useEffect } from "react";
import type { OperationView } from "@/core/views/operationView";
import { useKept } from "../forms/kept";
import { useNow } from "../frame/now";
import { useDraft } from "../operations/useDraft";

/** How long hands have been at an operation on this device: what ran before, and since when it runs, ms; neither since nor paused = not begun. */
interface Ran {
  readonly ms: number;
  readonly since?: number;
  readonly paused?: true;
}

export interface AtIt {
  /** `2:10`; from a hundred minutes on hours and minutes. */
  readonly words: string;
  readonly paused: boolean;
  readonly pause: () => void;
}

const SECOND = 1000;
const MINUTE = 60 * SECOND;
const two = (n: number) => String(n).padStart(2, "0");

/** @example elapsed(130_000) // "2:10" */
function elapsed(ms: number): string {
  const minutes = Math.floor(ms / MINUTE);
  return minutes < 100 ? `${minutes}:${two(Math.floor((ms % MINUTE) / SECOND))}` : `${Math.floor(minutes / 60)} h ${two(minutes % 60)}`;
}

/**
 * Counts hands at an operation from the moment one comes to it and may begin; a pause stops only one's own minutes, never a window. What ran stands in the
 * minutes of its draft, where it can be corrected.
 */
export function useAtIt(operation: OperationView): AtIt {
  const { draft, change } = useDraft(operation);
  const [ran, keep] = useKept<Ran>(`at-it:${operation.id}`, { ms: 0 });
  const now = useNow(SECOND);
  const fresh = operation.state === "now" && ran.since === undefined && !ran.paused;
  useEffect(() => {
    if (fresh) keep({ ms: ran.ms, since: now });
  }, [fresh, keep, now, ran.ms]);
  const ms = ran.ms + (ran.since === undefined ? 0 : Math.max(0, now - ran.since));
  const minutes = Math.floor(ms / MINUTE);
  const counted = minutes > 0 && (draft.minutes === "" || Number(draft.minutes) === minutes - 1);
  useEffect(() => {
    // a figure of one's own stands
    if (counted) change({ minutes: String(minutes) });
  });
  return {
    words: elapsed(ms),
    paused: ran.paused === true,
    pause: () => keep(ran.paused ? { ms: ran.ms, since: now } : { ms, paused: true }),
  };
}
