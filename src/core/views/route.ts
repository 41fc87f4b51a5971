import { type Station, stationLabel } from "../catalogue";
import { STATION_ORDER, type Treatment } from "../record/treatment";
import { formatMinutes, type Wall } from "../units";
import { actState, minutesAtIt } from "./actState";
import type { ActBrief, NextAct } from "./brief";
import { actAt } from "./brief";
import type { Worked } from "./worked";

/** A damage's number on its way: where it stands, and whether it waits. */
interface Token {
  readonly number: number;
  readonly damage: string;
  readonly waits: boolean;
  /** Its round, where it is not the first. */
  readonly round?: number;
}

export interface RouteStop {
  readonly station: Station;
  readonly label: string;
  readonly status: "walked" | "skipped" | "now" | "to-come" | "unneeded";
  /** Under the name: when it was done, or what it holds. */
  readonly sub: string;
  /** Waiting between this station and the next, in words; absent = none worth drawing. */
  readonly wait?: string;
  readonly tokens: readonly Token[];
  /** A later round that came back here: which damage, and why. */
  readonly loop?: { readonly words: string };
}

/** Waits under this are not worth a hatch, min. */
const SHORTEST_WAIT_MIN = 45;

/** The route of a treatment as drawn above every station. */
export function routeOf(treatment: Treatment, worked: Worked | undefined, brief: ActBrief, wall: Wall, now: number): RouteStop[] {
  const act = actAt(brief, now);
  const tokens = tokensOf(treatment, worked, brief, now);
  return STATION_ORDER.map((station) => stopOf(station, { treatment, worked, act, tokens, wall, now }));
}

interface Drawn {
  readonly treatment: Treatment;
  readonly worked: Worked | undefined;
  readonly act: NextAct;
  readonly tokens: ReadonlyMap<Station, readonly Token[]>;
  readonly wall: Wall;
  readonly now: number;
}

function stopOf(station: Station, { treatment, worked, act, tokens, wall, now }: Drawn): RouteStop {
  const here = worked?.repair.operations.filter((operation) => operation.station === station) ?? [];
  const open = here.filter(({ id }) => !worked?.marks.has(id));
  const lastAt = lastDone(station, treatment, worked);
  const standing = tokens.get(station) ?? [];
  const current = treatment.closed ? undefined : act.station;
  const status = statusOf(station, current, treatment, here.length, open.length, lastAt !== undefined);
  const wait = open.length > 0 ? longestWait(station, worked) : undefined;
  const loop = [...treatment.rounds].reverse().find(({ body }) => body.station === station);
  return {
    station,
    label: stationLabel(station),
    status,
    sub:
      status === "walked" && lastAt !== undefined
        ? wall.when(lastAt, now)
        : open.length > 0
          ? subOf(open)
          : status === "unneeded"
            ? "not needed"
            : "",
    tokens: standing,
    ...(wait !== undefined && wait >= SHORTEST_WAIT_MIN ? { wait: formatMinutes(wait) } : {}),
    ...(loop && open.length > 0 ? { loop: { words: `round ${treatment.rounds.indexOf(loop) + 2}: ${loop.body.because}` } } : {}),
  };
}

const subOf = (open: ReadonlyArray<{ readonly hands_min: readonly [number, number] }>) =>
  `${open.length} to do, ${formatMinutes(open.reduce((sum, { hands_min }) => sum + minutesAtIt(hands_min), 0))}`;

function statusOf(
  station: Station,
  here: Station | undefined,
  treatment: Treatment,
  count: number,
  open: number,
  touched: boolean,
): RouteStop["status"] {
  if (station === here) return "now";
  if (station === "survey") return treatment.damages.length > 0 ? "walked" : "to-come";
  if (station === "match") return treatment.settled ? "walked" : "to-come";
  if (treatment.closed) return touched || count > 0 ? "walked" : "unneeded";
  if (!treatment.settled) return "to-come";
  if (count === 0) return "unneeded";
  return open === 0 ? "walked" : "to-come";
}

/** When a station was last worked at, ms. */
function lastDone(station: Station, treatment: Treatment, worked: Worked | undefined): number | undefined {
  if (station === "survey" || station === "match") {
    const kind = station === "survey" ? "surveyed" : "matched";
    const entry = treatment.entries.filter(({ body }) => body.kind === kind).at(-1);
    return entry && Date.parse(entry.at);
  }
  if (station === "close" && treatment.closed) return Date.parse(treatment.closed.at);
  const times = (worked?.repair.operations ?? [])
    .filter((operation) => operation.station === station)
    .flatMap(({ id }) => worked?.marks.get(id)?.at ?? []);
  return times.length > 0 ? Math.max(...times.map((at) => Date.parse(at))) : undefined;
}

/** The longest wait that leads out of a station, min. */
function longestWait(station: Station, worked: Worked | undefined): number | undefined {
  const operations = worked?.repair.operations ?? [];
  const mine = new Set(operations.filter((operation) => operation.station === station).map(({ id }) => id));
  const waits = operations
    .filter((operation) => operation.station !== station && operation.station !== "close")
    .flatMap(({ after }) => after.filter(({ op }) => mine.has(op)).map(({ min_min }) => min_min));
  return waits.length > 0 ? Math.max(...waits) : undefined;
}

/** Each damage stands at the station of its first open operation. */
function tokensOf(treatment: Treatment, worked: Worked | undefined, brief: ActBrief, now: number): Map<Station, Token[]> {
  const at = new Map<Station, Token[]>();
  if (treatment.closed) return at;
  treatment.damages.forEach(({ id, settled }, i) => {
    const open = worked?.repair.operations.filter((operation) => !worked.marks.has(operation.id) && operation.damages.includes(id)) ?? [];
    const station: Station = !settled ? "match" : (open[0]?.station ?? "close");
    const mine = brief.acts.filter(({ tokens }) => tokens.includes(i + 1));
    const waits = mine.length > 0 && mine.every((act) => actState(act, now) === "too-early");
    const round = open[0]?.round ?? 1;
    at.set(station, [...(at.get(station) ?? []), { number: i + 1, damage: id, waits, ...(round > 1 ? { round } : {}) }]);
  });
  return at;
}

/** The station that comes after this one for a treatment: the next that has something to do, else Close. */
export function stationAfter(station: Station, worked: Worked | undefined): Station {
  const needed = (each: Station) =>
    worked === undefined || each === "close" || worked.repair.operations.some((operation) => operation.station === each);
  return STATION_ORDER.slice(STATION_ORDER.indexOf(station) + 1).find(needed) ?? "close";
}

/** The stations of hands up to this one that had something to do: a round may go back to them. */
export function stationsBack(station: Station, { repair }: Worked): Station[] {
  const worked = new Set(repair.operations.map((operation) => operation.station));
  const hands = STATION_ORDER.slice(STATION_ORDER.indexOf("ready"), STATION_ORDER.indexOf(station) + 1);
  return hands.filter((each) => worked.has(each) && each !== "close");
}
