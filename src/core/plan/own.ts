import { STATIONS, type Station } from "../catalogue";
import type { OpMark } from "./marks";
import type { Operation } from "./plan.schema";

/** An operation of one's own at a station. */
export interface OwnOp {
  readonly id: string;
  readonly station: Station;
  readonly text: string;
  readonly why: string;
  readonly hands_min: number;
  readonly wait_min: number;
}

const STATION_ORDER: readonly string[] = STATIONS.map(({ station }) => station);

function ownOperation({ id, station, text, why, hands_min }: OwnOp, marks: ReadonlyMap<string, OpMark>): Operation {
  return {
    id,
    name: "own",
    round: 1,
    station,
    damages: [],
    places: [],
    kind: "check",
    title: text,
    text,
    why,
    hands_min: [hands_min, hands_min],
    after: [],
    cautions: [],
    mind: [],
    done_when: "you are content with it",
    status: marks.get(id)?.status ?? "open",
  };
}

/** One's own operations stand at the end of their station. */
export function withOwn(operations: readonly Operation[], own: readonly OwnOp[], marks: ReadonlyMap<string, OpMark>): Operation[] {
  return own
    .map((each) => ownOperation(each, marks))
    .reduce(
      (all, each) => {
        const last = all.findLastIndex(({ station }) => STATION_ORDER.indexOf(station) <= STATION_ORDER.indexOf(each.station));
        return [...all.slice(0, last + 1), each, ...all.slice(last + 1)];
      },
      [...operations],
    );
}
