import { STATIONS } from "../catalogue";
import type { Edge } from "./arrange";
import { chained } from "./chained";
import type { Measured } from "./measure";

type Edges = ReadonlyMap<Measured, readonly Edge[]>;

const STATION_RANK: ReadonlyMap<string, number> = new Map(STATIONS.map(({ station }, i) => [station, i]));

/** An operation that nothing keeps any more, with the minutes from which on, and until which, it may be begun. */
interface Free {
  readonly op: Measured;
  readonly opens: number;
  readonly closes: number;
  /** It follows at once on what was begun: what is mixed is laid before anything else is stirred. */
  readonly in_hand: boolean;
}

/**
 * Operations by the clock, as one pair of hands works them from top to bottom: nothing before what it waits for, what may be begun first
 * first, a closing window before an open one, then as stations, rounds and rows stand. Nothing is begun that would run past a window which
 * is still to be met: that one is waited for. List scheduling with the earliest deadline first (Graham 1969; Jackson 1955); hands at the
 * high end of their range, so that slow ones meet their windows too. @throws {RangeError} where operations wait for one another in a circle
 */
export function inOrder(all: readonly Measured[], edges: Edges): readonly Measured[] {
  const waits = new Map(all.map((op) => [op, new Set((edges.get(op) ?? []).map(({ from }) => from))]));
  const then = new Map<Measured, Measured[]>();
  for (const [op, froms] of waits) for (const from of froms) then.set(from, [...(then.get(from) ?? []), op]);
  const before = asRowsStand(all);
  const chain = chains(edges, then);
  const ended = new Map<Measured, number>();
  let free = all.filter((op) => waits.get(op)?.size === 0).map((op) => timed(op, edges, ended));
  let now = 0;
  while (free.length > 0) {
    const { op, opens } = nextOf(free, now, chain, before);
    now = Math.max(now, opens) + op.hands_min[1];
    ended.set(op, now);
    const follow = (then.get(op) ?? []).filter((each) => waits.get(each)?.delete(op) && waits.get(each)?.size === 0);
    free = [...free.filter((each) => each.op !== op), ...follow.map((each) => timed(each, edges, ended))];
  }
  if (ended.size < all.length) {
    const left = all.filter((each) => !ended.has(each));
    throw new RangeError(`operations wait for one another: ${left.map(({ id }) => id).join(", ")}`);
  }
  return [...ended.keys()];
}

/** From when, and until when, an operation may be begun, by what ended before it. Minutes. */
function timed(op: Measured, edges: Edges, ended: ReadonlyMap<Measured, number>): Free {
  const found = edges.get(op) ?? [];
  const since = (from: Measured) => ended.get(from) ?? 0;
  return {
    op,
    opens: Math.max(0, ...found.map(({ from, lag }) => since(from) + (lag?.min ?? 0))),
    closes: Math.min(Infinity, ...found.map(({ from, max }) => (max ? since(from) + max.min : Infinity))),
    in_hand: found.some(isAtOnce),
  };
}

type Compare = (a: Measured, b: Measured) => number;

/** What neither clock nor need orders: the earlier station, the earlier round, the earlier row. */
function asRowsStand(all: readonly Measured[]): Compare {
  const index = new Map(all.map((op, i) => [op, i]));
  const station = ({ lead }: Measured) => STATION_RANK.get(lead.station) ?? 0;
  return (a, b) => station(a) - station(b) || a.round - b.round || a.lead.rank - b.lead.rank || (index.get(a) ?? 0) - (index.get(b) ?? 0);
}

/** Hands on an operation and on all that must follow it within a window: once it is begun, so long nothing else can be. Minutes. */
const chains = (edges: Edges, then: ReadonlyMap<Measured, readonly Measured[]>): ((op: Measured) => number) =>
  chained(
    ({ hands_min }: Measured) => hands_min[1],
    (op) => (then.get(op) ?? []).filter((each) => (edges.get(each) ?? []).some((edge) => edge.from === op && isAtOnce(edge))),
  );

/** It closes, and opens with what it follows: hands go on without a wait. */
const isAtOnce = ({ max, lag }: Edge): boolean => max !== undefined && (lag?.min ?? 0) < 1;

/** What is begun next: what may be first; but where that would run past a window that can still be met, the one that closes first. */
function nextOf(free: readonly Free[], now: number, chain: (op: Measured) => number, before: Compare): Free {
  const start = ({ opens }: Free) => Math.max(now, opens);
  const first = free.reduce((best, each) => (isBefore(each, best, start, before) ? each : best));
  const until = start(first) + chain(first.op);
  const missed = free.filter((each) => each !== first && each.closes < until && start(each) <= each.closes);
  return missed.reduce((best, each) => (each.closes < best.closes ? each : best), first.closes < Infinity ? first : (missed[0] ?? first));
}

function isBefore(a: Free, b: Free, start: (of: Free) => number, before: Compare): boolean {
  if (start(a) !== start(b)) return start(a) < start(b);
  if (a.in_hand !== b.in_hand) return a.in_hand;
  const closing = Number(a.closes === Infinity) - Number(b.closes === Infinity);
  return (closing || (a.closes === Infinity ? 0 : a.closes - b.closes) || before(a.op, b.op)) < 0;
}
