/** Shards by number, 0 to n − 1, and which touch which. */
export interface ShardMap {
  readonly count: number;
  readonly touching: ReadonlyArray<readonly [number, number]>;
  /** Shards with a free outer edge; absent = all. One without is shut in when everything around it stands. */
  readonly rim?: readonly number[];
}

interface Join {
  readonly a: readonly number[];
  readonly b: readonly number[];
}

interface Sitting {
  readonly joins: readonly Join[];
  /** What stands when the glue of this sitting has cured. */
  readonly groups: ReadonlyArray<readonly number[]>;
}

export interface Assembly {
  readonly sittings: readonly Sitting[];
  /** Groups that no free join brings together: they close a ring and have to be eased in at once. Empty = none. */
  readonly locked: ReadonlyArray<readonly number[]>;
  /** No order has fewer sittings: searched completely. */
  readonly proven: boolean;
}

/** Bits of a group of shards. */
type Group = bigint;
const bit = (shard: number): Group => 1n << BigInt(shard);

/** Up to so many shards every order is looked at. */
const EXACT_UP_TO = 10;
export const MOST_SHARDS = 60;
/** Minutes that one join takes where no dry run says better; trade practice, a rule of thumb. */
const JOIN_MIN = 4;

/** Joins, one after the other, that fit into the minutes for which the glue stays open; at least one. */
export function joinsASitting(open_min: number): number {
  return Math.max(1, Math.floor(open_min / JOIN_MIN));
}

/**
 * An order of joins in which no shard is locked out, in as few sittings as found: between sittings the glue cures.
 * In one sitting each growing group takes at most `joins_a_sitting` joins, as many as the glue stays open for.
 *
 * A join of two groups is free when they meet along one run of shards, or, for two groups of two or more shards that both reach
 * the rim, along at most two seams: halves that close like a book. A single shard that has to go in between two runs, or into a closed ring, is
 * what practitioners call locked out (Buys and Oakley 1993: assemble from one side, keep the last gap open).
 * @throws {RangeError} on more than 60 shards, or a shard that is not there
 */
export function assemblyOrder(map: ShardMap, joins_a_sitting: number): Assembly {
  const { count, touching, rim } = map;
  if (!(count >= 1 && count <= MOST_SHARDS)) throw new RangeError(`1 to ${MOST_SHARDS} shards, got ${count}`);
  if (touching.flat().some((shard) => !(shard >= 0 && shard < count))) throw new RangeError("a shard that touches is not there");
  const joins = Math.max(1, Math.floor(joins_a_sitting));
  const board = boardOf(count, touching, rim);
  return (count <= EXACT_UP_TO ? exactOrder(board, joins) : bisectedOrder(board, joins)) ?? greedyOrder(board, joins);
}

interface Board {
  readonly count: number;
  readonly neighbours: readonly Group[];
  readonly rim: Group;
  /** Connected pieces of the whole break: more than one when not everything touches. */
  readonly wholes: readonly Group[];
}

function boardOf(count: number, touching: ShardMap["touching"], rim: readonly number[] | undefined): Board {
  const neighbours = Array.from({ length: count }, () => 0n);
  for (const [a, b] of touching) {
    if (a === b) continue;
    neighbours[a] = (neighbours[a] ?? 0n) | bit(b);
    neighbours[b] = (neighbours[b] ?? 0n) | bit(a);
  }
  const all = (1n << BigInt(count)) - 1n;
  const rimBits = rim === undefined ? all : rim.reduce((bits, shard) => bits | bit(shard), 0n);
  const wholes: Group[] = [];
  for (let left = all; left > 0n; ) {
    const whole = spread(neighbours, left & -left, all);
    wholes.push(whole);
    left &= ~whole;
  }
  return { count, neighbours, rim: rimBits, wholes };
}

/** All shards of `within` that are reached from `seed`. */
function spread(neighbours: readonly Group[], seed: Group, within: Group): Group {
  let reached = seed;
  for (let front = seed; front > 0n; ) {
    const next = around(neighbours, front) & within & ~reached;
    reached |= next;
    front = next;
  }
  return reached;
}

function around(neighbours: readonly Group[], group: Group): Group {
  let found = 0n;
  for (const shard of shardsOf(group)) found |= neighbours[shard] ?? 0n;
  return found;
}

function shardsOf(group: Group): number[] {
  const shards: number[] = [];
  for (let left = group, shard = 0; left > 0n; left >>= 1n, shard++) if (left & 1n) shards.push(shard);
  return shards;
}

const isSingle = (group: Group) => (group & (group - 1n)) === 0n;

/** In how many separate runs a group lies along another. */
function runs({ neighbours }: Board, group: Group, along: Group): number {
  let found = 0;
  for (let left = around(neighbours, along) & group; left > 0n; found++) left &= ~spread(neighbours, left & -left, left);
  return found;
}

/** Whether two groups can be brought together without forcing one between others. */
function isFree(board: Board, a: Group, b: Group): boolean {
  const [onA, onB] = [runs(board, a, b), runs(board, b, a)];
  if (onA === 0) return false;
  const enclosed = (inner: Group) => (inner & board.rim) === 0n && (around(board.neighbours, inner) & ~inner & ~(a | b)) === 0n;
  if (isSingle(a) !== isSingle(b) && enclosed(isSingle(a) ? a : b)) return false;
  if (onA === 1 && onB === 1) return true;
  return !isSingle(a) && !isSingle(b) && (a & board.rim) > 0n && (b & board.rim) > 0n && seams(board, a, b) <= 2;
}

/** In how many separate seams two groups meet: shards of both sides that touch, one after the other. */
function seams({ neighbours }: Board, a: Group, b: Group): number {
  const along = (around(neighbours, b) & a) | (around(neighbours, a) & b);
  let found = 0;
  for (let left = along; left > 0n; found++) left &= ~spread(neighbours, left & -left, left);
  return found;
}

/** How a group came to be: in which sitting, out of which two. */
interface Made {
  readonly sitting: number;
  /** Joins it has taken in that sitting. */
  readonly wet: number;
  readonly from?: readonly [Group, Group];
}

/**
 * For every connected group the fewest sittings, and with those the fewest wet joins, by dynamic programming over its splits:
 * a group of one sitting more may start dry, one of the same sitting adds its wet joins.
 */
function exactOrder(board: Board, joins: number): Assembly | undefined {
  const made = new Map<Group, Made>();
  const make = exactMaker(board, joins, made);
  if (board.wholes.some((whole) => make(whole) === undefined)) return undefined;
  return { sittings: sittingsOf(board, made, board.wholes), locked: [], proven: true };
}

type Maker = (group: Group) => Made | undefined;

function exactMaker(board: Board, joins: number, made: Map<Group, Made>): Maker {
  const dead = new Set<Group>();
  const make: Maker = (group) => {
    const known = made.get(group);
    if (known || dead.has(group)) return known;
    const best = isSingle(group) ? { sitting: 0, wet: 0 } : bestSplit(board, group, joins, make);
    if (best) made.set(group, best);
    else dead.add(group);
    return best;
  };
  return make;
}

/** Subgroups up to this size are searched completely. */
const EXACT_PART = 7;
/** Splits that are tried a group, the evenest first. */
const SPLITS_TRIED = 3;

/** Many shards: cut the whole into two free halves as even as can be, and those again, down to parts that are searched completely. */
function bisectedOrder(board: Board, joins: number): Assembly | undefined {
  const made = new Map<Group, Made>();
  const exact = exactMaker(board, joins, made);
  const dead = new Set<Group>();
  const make: Maker = (group) => {
    const known = made.get(group);
    if (known || dead.has(group)) return known;
    if (sizeOf(group) <= EXACT_PART) return exact(group);
    for (const [a, b] of evenSplits(board, group)) {
      const [madeA, madeB] = [make(a), make(b)];
      if (!madeA || !madeB) continue;
      const found: Made = { ...joined(madeA, madeB, joins), from: [a, b] };
      made.set(group, found);
      return found;
    }
    dead.add(group);
    return undefined;
  };
  if (board.wholes.some((whole) => make(whole) === undefined)) return undefined;
  return { sittings: sittingsOf(board, made, board.wholes), locked: [], proven: false };
}

const sizeOf = (group: Group) => shardsOf(group).length;
/** Sweeps start from so many shards, spread over the group. */
const SWEEPS = 5;

/** Free splits of a group found by sweeping over it from several sides. */
function evenSplits(board: Board, group: Group): ReadonlyArray<readonly [Group, Group]> {
  const shards = shardsOf(group);
  const step = Math.max(1, Math.floor(shards.length / SWEEPS));
  const found = shards.filter((_, i) => i % step === 0).flatMap((seed) => sweep(board, group, bit(seed)));
  const uneven = ([a]: readonly [Group, Group]) => Math.abs(2 * sizeOf(a) - shards.length);
  return found.sort((x, y) => uneven(x) - uneven(y)).slice(0, SPLITS_TRIED);
}

/** What the wave from a seed has reached, ring by ring, against the rest, where both are whole and meet freely. */
function sweep(board: Board, group: Group, seed: Group): Array<readonly [Group, Group]> {
  const found: Array<readonly [Group, Group]> = [];
  for (let reached = seed; reached !== group; ) {
    const front = around(board.neighbours, reached) & group & ~reached;
    if (front === 0n) return found;
    for (const shard of shardsOf(front)) {
      reached |= bit(shard);
      const rest = group & ~reached;
      if (rest > 0n && isWhole(board, rest) && isWhole(board, reached) && isFree(board, reached, rest)) found.push([reached, rest]);
    }
  }
  return found;
}

function bestSplit(board: Board, group: Group, joins: number, make: Maker): Made | undefined {
  let best: Made | undefined;
  const lowest = group & -group;
  for (let a = (group - 1n) & group; a > 0n; a = (a - 1n) & group) {
    const b = group & ~a;
    if ((a & lowest) === 0n || !isWhole(board, a) || !isWhole(board, b) || !isFree(board, a, b)) continue;
    const [madeA, madeB] = [make(a), make(b)];
    if (!madeA || !madeB) continue;
    const found = joined(madeA, madeB, joins);
    if (!best || isSooner(found, best)) best = { ...found, from: [a, b] };
  }
  return best;
}

const isWhole = ({ neighbours }: Board, group: Group) => spread(neighbours, group & -group, group) === group;

/** Two groups joined: in the sitting of the later one while its glue is open, else in the next. */
function joined(a: Made, b: Made, joins: number): { sitting: number; wet: number } {
  const sitting = Math.max(a.sitting, b.sitting, 1);
  const wet = (a.sitting === sitting ? a.wet : 0) + (b.sitting === sitting ? b.wet : 0) + 1;
  return wet <= joins ? { sitting, wet } : { sitting: sitting + 1, wet: 1 };
}

const isSooner = (a: { sitting: number; wet: number }, b: Made) => a.sitting < b.sitting || (a.sitting === b.sitting && a.wet < b.wet);

/** Unfold how the wholes were made into sittings. */
function sittingsOf(board: Board, made: ReadonlyMap<Group, Made>, wholes: readonly Group[]): Sitting[] {
  const joins: { sitting: number; join: Join; whole: Group }[] = [];
  const unfold = (group: Group): void => {
    const how = made.get(group);
    if (!how?.from) return;
    const [a, b] = how.from;
    unfold(a);
    unfold(b);
    joins.push({ sitting: how.sitting, join: { a: shardsOf(a), b: shardsOf(b) }, whole: group });
  };
  for (const whole of wholes) unfold(whole);
  const last = Math.max(0, ...joins.map(({ sitting }) => sitting));
  let groups = Array.from({ length: board.count }, (_, shard) => bit(shard));
  return Array.from({ length: last }, (_, i) => {
    const now = joins.filter(({ sitting }) => sitting === i + 1);
    for (const { whole } of now) groups = [...groups.filter((group) => (group & ~whole) > 0n), whole];
    return { joins: now.map(({ join }) => join), groups: groups.map(shardsOf) };
  });
}

/** Sitting by sitting, small groups first, each with the free neighbour that leaves the fewest shards around; fast, not proven. */
function greedyOrder(board: Board, joins: number): Assembly {
  const made = new Map<Group, Made>();
  let groups = Array.from({ length: board.count }, (_, shard) => bit(shard));
  for (const group of groups) made.set(group, { sitting: 0, wet: 0 });
  for (let sitting = 1; groups.length > board.wholes.length; sitting++) {
    const before = groups.length;
    groups = oneSitting(board, groups, made, joins, sitting);
    if (groups.length === before) break;
  }
  const locked = groups.length > board.wholes.length ? groups.filter((group) => !board.wholes.includes(group)) : [];
  return { sittings: sittingsOf(board, made, groups), locked: locked.map(shardsOf), proven: false };
}

function oneSitting(board: Board, start: readonly Group[], made: Map<Group, Made>, joins: number, sitting: number): Group[] {
  let groups = [...start];
  for (;;) {
    const next = nextJoin(board, groups, made, joins, sitting);
    if (!next) return groups;
    const [a, b] = next;
    made.set(a | b, { sitting, wet: wetIn(made, a, sitting) + wetIn(made, b, sitting) + 1, from: [a, b] });
    groups = [...groups.filter((group) => group !== a && group !== b), a | b];
  }
}

const wetIn = (made: ReadonlyMap<Group, Made>, group: Group, sitting: number) => {
  const how = made.get(group);
  return how?.sitting === sitting ? how.wet : 0;
};

function nextJoin(
  board: Board,
  groups: readonly Group[],
  made: ReadonlyMap<Group, Made>,
  joins: number,
  sitting: number,
): [Group, Group] | undefined {
  const bySize = [...groups].sort((a, b) => shardsOf(a).length - shardsOf(b).length);
  for (const a of bySize) {
    const near = around(board.neighbours, a);
    const able = bySize.filter(
      (b) =>
        b !== a &&
        (near & b) > 0n &&
        wetIn(made, a, sitting) + wetIn(made, b, sitting) < joins &&
        isFree(board, a, b) &&
        isSafe(board, a | b),
    );
    const [best] = able.sort((b, c) => openness(board, a | b) - openness(board, a | c));
    if (best !== undefined) return [a, best];
  }
  return undefined;
}

/** A group must not shut in what is not part of it: no ring around a shard without a rim. */
function isSafe(board: Board, group: Group): boolean {
  const outside = wholeOf(board, group) & ~group;
  for (let left = outside; left > 0n; ) {
    const part = spread(board.neighbours, left & -left, outside);
    if ((part & board.rim) === 0n && isSingle(part)) return false;
    left &= ~part;
  }
  return true;
}

const wholeOf = ({ wholes }: Board, group: Group): Group => wholes.find((whole) => (whole & group) > 0n) ?? group;

/** Shards around a group: a compact one has few, and is easy to hold. */
const openness = (board: Board, group: Group) => shardsOf(around(board.neighbours, group) & ~group).length;
