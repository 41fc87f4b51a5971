import { present } from "../units";
import { type ActTimes, actState, minutesAtIt } from "./actState";
import type { OperationView } from "./operationView";

/** What a page shows of an operation's time: the record's word, brought to the clock on the wall. */
export type Live = Pick<OperationView, "state" | "from" | "until">;

const MINUTE = 60_000;

/**
 * The state of an operation now, ms: a page may be older than its times. `kept`: when what is kept on this device, and not in the record
 * yet, was done. What waits for that follows it, and is too early by its own minutes as the record will find it.
 */
export function liveOf(operation: OperationView, kept: ReadonlyMap<string, number>, now: number): Live {
  const { state, blocked_by = "", from, until, hands_min } = operation;
  if (state === "done" || state === "skipped" || state === "never") return { state, ...present({ from, until }) };
  if (state !== "blocked") return byTimes({ from, until }, hands_min, now);
  return kept.has(blocked_by) ? afterKept(operation, kept, now) : { state };
}

function afterKept({ after = [], hands_min }: OperationView, kept: ReadonlyMap<string, number>, now: number): Live {
  const edges = after.flatMap(({ op, min_min, max_min }) => {
    const at = kept.get(op);
    if (at === undefined) return [];
    return [
      present({ from: min_min >= 1 ? at + min_min * MINUTE : undefined, until: max_min === undefined ? undefined : at + max_min * MINUTE }),
    ];
  });
  const froms = edges.flatMap(({ from }) => from ?? []);
  const untils = edges.flatMap(({ until }) => until ?? []);
  return byTimes(
    { from: froms.length > 0 ? Math.max(...froms) : undefined, until: untils.length > 0 ? Math.min(...untils) : undefined },
    hands_min,
    now,
  );
}

function byTimes({ from, until }: Pick<ActTimes, "from" | "until">, hands_min: OperationView["hands_min"], now: number): Live {
  const state = actState({ from, until, hands_min: minutesAtIt(hands_min) }, now);
  return { state: state === "closing" ? "now" : state, ...present({ from, until }) };
}
