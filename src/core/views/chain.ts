import { chained } from "../plan/chained";
import type { Operation } from "../plan/plan.schema";
import { type ActState, minutesAtIt } from "./actState";

/**
 * Hands at an operation and at all that must follow it at once, min: what is mixed is laid, what is spread is pressed. Once it is begun, so
 * long nothing else can be.
 */
export function chainOf(operations: readonly Operation[]): (id: string) => number {
  const byId = new Map(operations.map(({ id, hands_min }) => [id, minutesAtIt(hands_min)]));
  const then = new Map<string, string[]>();
  for (const { id, after } of operations) for (const { op } of after.filter(isAtOnce)) then.set(op, [...(then.get(op) ?? []), id]);
  return chained(
    (id: string) => byId.get(id) ?? 0,
    (id) => then.get(id) ?? [],
  );
}

/** It closes, and opens with what it follows: hands go on without a wait. */
const isAtOnce = ({ min_min, max_min }: Operation["after"][number]): boolean => max_min !== undefined && min_min < 1;

/** What follows at once on another: what is laid on what is mixed, what is pressed on what is spread. */
export const followsAtOnce = ({ after }: Operation): { in_hand?: true } => (after.some(isAtOnce) ? { in_hand: true } : {});

/** What is begun is brought to its end before anything else is. */
export const isInHand = ({ state, in_hand }: Candidate): boolean => in_hand === true && (state === "now" || state === "closing");

/** What may be begun, with its window and how long hands can't leave it. Ms since the epoch. */
interface Candidate {
  readonly state: ActState | "closed" | "blocked" | "done" | "skipped";
  readonly from?: number | undefined;
  readonly until?: number | undefined;
  readonly chain_min: number;
  readonly in_hand?: true;
}

const MINUTE = 60_000;

/**
 * What leads: the first, but where more windows would be missed by it than by what closes sooner, that, though it may have to be waited for.
 * One step ahead, what follows by its deadline (Jackson 1955); the plan orders its list alike (`plan/inOrder`).
 */
export function leadOf<T extends Candidate>(first: T, all: readonly T[], now: number): T {
  if (first.state !== "now" && first.state !== "closing") return first;
  const timed = all
    .filter(({ state, until }) => until !== undefined && (state === "now" || state === "closing" || state === "too-early"))
    .sort((a, b) => (a.until ?? 0) - (b.until ?? 0));
  const missed = (lead: T) => missedBy([lead, ...timed.filter((each) => each !== lead)], now);
  return timed.reduce((best, each) => (missed(each) < missed(best) ? each : best), first);
}

/** How many windows hands miss that do one thing after the other, each as soon as it may be. */
function missedBy(order: readonly Candidate[], now: number): number {
  let free = now;
  let missed = 0;
  for (const { from = 0, until = Infinity, chain_min } of order) {
    const start = Math.max(free, from);
    if (start > until) missed += 1;
    else free = start + chain_min * MINUTE;
  }
  return missed;
}
