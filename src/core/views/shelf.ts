import type { Station } from "../catalogue";
import { formatMinutes, type Wall } from "../units";
import { actState } from "./actState";
import type { ActBrief, BriefAct } from "./brief";

/** What a plate on the Shelf says; computed from the brief and the time alone. */
export interface Plate {
  readonly key: string;
  readonly station: Station;
  readonly material: string;
  readonly sign: "go" | "off" | "soon" | "never";
  readonly word: string;
  /** The big figure: time left, or "now". */
  readonly left: string;
  /** `Trim with a blade 14:10 to 14:25` */
  readonly until: string;
  /** 0 to 1: how much of the wait, or of the window, is used. */
  readonly used: number;
  /** For the order: closing first, then by the next time one may act, then no hurry. */
  readonly rank: readonly [group: number, at: number];
}

const MINUTE = 60_000;

/** The brief with only what the Shelf tells: small enough for every page. */
export function timedOnly(brief: ActBrief): ActBrief {
  return { ...brief, acts: brief.acts.filter(isTimed) };
}

const isTimed = ({ from, until, never }: BriefAct) => from !== undefined || until !== undefined || never !== undefined;

/** One plate for each clock that runs and still decides something; the one whose window closes first stands first. */
export function platesOf({ acts, closed }: ActBrief, now: number, wall: Wall): Plate[] {
  if (closed) return [];
  const found = acts
    .filter(isTimed)
    .flatMap((act) => plateOf(act, now, wall) ?? [])
    .sort(byRank);
  // several acts of one material at one time are one wait
  return found.filter(
    (plate, i) =>
      found.findIndex((other) => other.material === plate.material && other.sign === plate.sign && other.rank[1] === plate.rank[1]) === i,
  );
}

export function byRank(a: Plate, b: Plate): number {
  return a.rank[0] - b.rank[0] || a.rank[1] - b.rank[1];
}

function plateOf(act: BriefAct, now: number, wall: Wall): Plate | undefined {
  const { op: key, station, material = "a wait", title, from = 0, until, since = from } = act;
  const base = { key, station, material };
  const state = actState(act, now);
  if (state === "never") return { ...base, sign: "never", word: "Does not cure", left: "–", until: act.never ?? "", used: 1, rank: [0, 0] };
  if (state === "too-early")
    return {
      ...base,
      sign: "off",
      word: "Don’t touch",
      left: formatMinutes(Math.max(1, (from - now) / MINUTE)),
      until: until ? `${title} ${wall.when(from, now)} to ${wall.time(until)}` : `${title} from ${wall.when(from, now)}`,
      used: share(since, from, now),
      rank: [1, from],
    };
  if (state === "too-late") return undefined;
  if (until === undefined && act.material === undefined) return undefined;
  if (until === undefined) return { ...base, sign: "go", word: short(title), left: "now", until: "no hurry", used: 1, rank: [2, from] };
  return {
    ...base,
    sign: state === "closing" ? "soon" : "go",
    word: short(title),
    left: formatMinutes(Math.max(1, (until - now) / MINUTE)),
    until: `until ${wall.when(until, now)}`,
    used: share(Math.max(from, since), until, now),
    rank: [state === "closing" ? 0 : 1, until],
  };
}

/** The first words of an act, for a plate: "Trim with a blade". */
const short = (title: string): string => title.split(",")[0] ?? title;

function share(from: number, to: number, now: number): number {
  return to > from ? Math.min(1, Math.max(0, (now - from) / (to - from))) : 1;
}
