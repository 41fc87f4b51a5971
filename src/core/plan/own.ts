import { STATIONS, type Station } from "../catalogue";
import { inSentence } from "../units";
import type { OpMark } from "./marks";
import type { Operation } from "./plan.schema";

/** An operation of one's own at a station. */
export interface OwnOp {
  readonly id: string;
  readonly station: Station;
  readonly text: string;
  readonly why: string;
  readonly hands_min: number;
  /** Minutes that pass before what waits for it. */
  readonly wait_min: number;
  /** The operation that it follows; absent = the last of its station. */
  readonly after?: string;
}

const STATION_ORDER: readonly string[] = STATIONS.map(({ station }) => station);

function ownOperation(
  { id, station, text, why, hands_min }: OwnOp,
  before: Operation | undefined,
  marks: ReadonlyMap<string, OpMark>,
): Operation {
  return {
    id,
    name: "own",
    round: before?.round ?? 1,
    station,
    damages: [],
    places: [],
    kind: "check",
    title: text,
    text,
    why,
    hands_min: [hands_min, hands_min],
    after: before ? [{ op: before.id, min_min: 0, min_range: [0, 0], because: "you set it there" }] : [],
    cautions: [],
    mind: [],
    done_when: "you are content with it",
    status: marks.get(id)?.status ?? "open",
  };
}

/**
 * One's own operations in their places: each after the one that was named, and what needs that one waits for both; else at the end of its
 * station, and what stands behind waits where a wait was asked for.
 */
export function withOwn(operations: readonly Operation[], own: readonly OwnOp[], marks: ReadonlyMap<string, OpMark>): Operation[] {
  return own.reduce((all, each) => placed(all, each, marks), [...operations]);
}

function placed(all: readonly Operation[], own: OwnOp, marks: ReadonlyMap<string, OpMark>): Operation[] {
  const named = all.findIndex(({ id }) => id === own.after);
  const last =
    named >= 0
      ? named
      : all.findLastIndex(({ station, kind }) => kind !== "sign" && STATION_ORDER.indexOf(station) <= STATION_ORDER.indexOf(own.station));
  const before = named >= 0 ? all[named] : undefined;
  const edge = {
    op: own.id,
    min_min: own.wait_min,
    min_range: [own.wait_min, own.wait_min] as [number, number],
    because: own.wait_min > 0 ? `${inSentence(own.text)}: it waits` : inSentence(own.text),
  };
  const waits = (each: Operation) => (before ? each.after.some(({ op }) => op === before.id) : own.wait_min > 0);
  return [
    ...all.slice(0, last + 1),
    ownOperation(own, before, marks),
    ...all.slice(last + 1).map((each) => (waits(each) ? { ...each, after: [...each.after, edge] } : each)),
  ];
}
