import { middle, type Range } from "../catalogue";

/** When an act may be begun. Ms since the epoch; `since` = from when it is waited for. */
export interface ActTimes {
  readonly from?: number | undefined;
  readonly until?: number | undefined;
  readonly since?: number | undefined;
  /** How long hands are at it, min. */
  readonly hands_min?: number | undefined;
  /** Why it can't ever be, as things stand. */
  readonly never?: string | undefined;
}

/** Where a window stands; `closing` is its last part, in which it leads everything else. */
export type ActState = "now" | "closing" | "too-early" | "too-late" | "never";

/** Its last 15 minutes, or the last quarter where the window is short. */
const CLOSING_MS = 15 * 60_000;

const MINUTE = 60_000;

/**
 * How long hands are at an act, whole minutes, at least one: in the middle of what was planned, as the plan's own clock takes it.
 * Hands that were longer at it, `given`, count as they were.
 * @example minutesAtIt([4, 10]) // 6
 */
export const minutesAtIt = (planned: Range, given = 0): number => Math.max(1, Math.round(middle(planned)), given);

/**
 * Where an act stands that is done at `now`, ms, by its times alone: what list, Bench, Shelf, keys and the server's admission say. It takes its
 * minutes: it is in its window if it was begun before that closed and is done after it opened.
 * @example actState({ from: 10, until: 20 }, 25) // "too-late"
 */
export function actState({ from = 0, until, since = from, never, hands_min = 0 }: ActTimes, now: number): ActState {
  if (never !== undefined) return "never";
  if (from > now) return "too-early";
  if (until === undefined) return "now";
  if (until + hands_min * MINUTE < now) return "too-late";
  return until - now <= Math.min(CLOSING_MS, (until - Math.max(from, since)) / 4) ? "closing" : "now";
}

const RANKS: Readonly<Record<ActState | "closed", number>> = { closing: 0, never: 1, now: 2, "too-late": 3, "too-early": 4, closed: 5 };

interface Ranked extends Pick<ActTimes, "from" | "until"> {
  readonly state: ActState | "closed";
}

/** The order of urgency: a closing window, what can't go on, open windows by their end, what was missed, and what opens first. */
export function byUrgency(a: Ranked, b: Ranked): number {
  const when = ({ state, from = 0, until = Infinity }: Ranked) => (state === "too-early" ? from : until);
  return RANKS[a.state] - RANKS[b.state] || (when(a) === when(b) ? 0 : when(a) - when(b));
}

/** The field whose reason lets an act stand against the plan: a refusal at it asks why. */
export const WHY = "/body/against";
