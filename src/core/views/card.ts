import { figure, formatMinutes, type Wall } from "../units";
import { actState, byUrgency, minutesAtIt } from "./actState";
import { isInHand, leadOf } from "./chain";
import type { OperationView } from "./operationView";

/** What the card of an operation says of its state, and the figure that counts most now. */
export interface Card {
  readonly sign: "go" | "soon" | "off" | "never" | "to-come";
  readonly word: string;
  /** When, or what it waits for. */
  readonly when: string;
  /** The same as one line of a row that is not open. */
  readonly line: string;
  /** What is read from a metre away: time left, else grams. */
  readonly big?: { readonly figure: string; readonly unit: string };
}

type Timed = Pick<OperationView, "hands_min" | "state" | "from" | "until" | "since" | "because" | "consequence" | "mass_g">;

const MINUTE = 60_000;
const left = (ms: number) => ({ figure: formatMinutes(Math.max(1, ms / MINUTE)), unit: "" });

/**
 * The card of one operation at `now`, ms; times in the shop's zone.
 * @example cardOf(trim, now, wall) // { sign: "off", word: "Don’t touch", when: "until 15:31", big: { figure: "1 h 40", unit: "" } }
 */
export function cardOf({ state, from = 0, until, because, consequence = "", mass_g, hands_min }: Timed, now: number, wall: Wall): Card {
  const grams = mass_g === undefined ? {} : { big: { figure: figure(mass_g, 2), unit: "g" } };
  const to = until === undefined ? "" : wall.when(until, now);
  if (state === "blocked") return { sign: "to-come", word: "Not yet", when: because, line: because, ...grams };
  if (state === "never") return { sign: "never", word: "It can’t be", when: because, line: because };
  if (state === "too-early") {
    const opens = wall.when(from, now);
    const end = to && `, open to ${to}`;
    return {
      sign: "off",
      word: "Don’t touch",
      when: `until ${opens}${end}`,
      line: `from ${opens}${to && ` to ${to}`}`,
      big: left(from - now),
    };
  }
  if (state === "too-late") return { sign: "never", word: "Too late", when: `since ${to}. ${consequence}`, line: `too late since ${to}` };
  if (until === undefined) return { sign: "go", word: "Work now", when: "", line: "can be done now", ...grams };
  if (until < now) return { sign: "soon", word: "Closing", when: `begun by ${to}`, line: `now, begun by ${to}`, ...grams };
  const closing = actState({ from, until, hands_min: minutesAtIt(hands_min) }, now) === "closing";
  // a cup is weighed while its window is wide; once it closes it is the time that counts
  const big = closing || mass_g === undefined ? { big: left(until - now) } : grams;
  return { sign: closing ? "soon" : "go", word: closing ? "Closing" : "Work now", when: `until ${to}`, line: `now, until ${to}`, ...big };
}

type Listed = Pick<OperationView, "id" | "hands_min" | "chain_min" | "in_hand" | "state" | "from" | "until" | "since">;

/** What is up among the open ones, in the order of the list: a closing window, the first that can be done, what was missed, what comes first. */
export function upOf(open: readonly Listed[], now: number): string | undefined {
  const ready = open.find(({ state }) => state === "now");
  const ranked = open
    .filter(({ state }) => state !== "blocked")
    .map(
      (each) =>
        ({
          ...each,
          state: each.state === "now" ? actState({ ...each, hands_min: minutesAtIt(each.hands_min) }, now) : each.state,
        }) as const,
    )
    .filter((each): each is typeof each & { state: ReturnType<typeof actState> } => each.state !== "done" && each.state !== "skipped")
    .sort(byUrgency);
  const [urgent] = ranked;
  const first = ranked.find(isInHand) ?? (urgent?.state === "closing" ? urgent : (ranked.find(({ id }) => id === ready?.id) ?? urgent));
  return first ? leadOf(first, ranked, now).id : open[0]?.id;
}
