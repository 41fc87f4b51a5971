import { middle, type Station } from "../../catalogue";
import type { Operation } from "../../plan/plan.schema";
import { present } from "../../units";
import type { Act } from "../acts";
import type { Take } from "../needs";

/** Operations of one treatment that follow without a wait: one stretch of hands. Minutes, plain data. */
export interface Block {
  readonly id: string;
  readonly ops: readonly string[];
  readonly station: Station;
  /** What is done first in it. */
  readonly title: string;
  readonly hands_min: number;
  /** What it takes out of jars, g. */
  readonly takes: readonly Take[];
  /** Clamps and the one place to spray, held from its start. */
  readonly uses: readonly string[];
  /** Not before, and not after: ms since the epoch, of a clock that runs already. */
  readonly from?: number;
  readonly until?: number;
}

/** What lies between two blocks: from the end of the hands of one to the start of the other, minutes. */
export interface BlockLag {
  readonly from: string;
  readonly to: string;
  readonly min_min: number;
  readonly max_min?: number;
  /** What is waited for. */
  readonly because: string;
}

export interface Blocks {
  readonly blocks: readonly Block[];
  readonly lags: readonly BlockLag[];
}

/** Where hands wait so long or longer a new block begins, min. */
const PAUSE_MIN = 3;
const MINUTE = 60_000;

interface Placed {
  readonly block: number;
  /** Minutes of hands from the block's start to the start of the operation, and to its end. */
  readonly starts: number;
  readonly ends: number;
}

/**
 * What is still to do at a treatment as blocks of hands with lags and windows between them: 60 treatments are some 400 of them. In the
 * order of the plan; a block ends where what comes next waits for something within it, waits longer for an earlier one than what it began
 * with, or has to wait for a clock that runs. `takes` = what an operation takes out of jars.
 */
export function blocksOf(acts: readonly Act[], takes: (op: Operation) => readonly Take[]): Blocks {
  const open = acts.filter(({ state }) => state !== "done" && state !== "skipped");
  const runs: Act[][] = [];
  const placed = new Map<string, Placed>();
  for (const act of open) {
    const last = runs.at(-1);
    const begins =
      last === undefined ||
      waitsWithin(act, placed, runs.length - 1) ||
      waitsLonger(act, last, runs, placed) ||
      (act.from !== undefined && !runsFrom(last, act.from));
    if (begins) runs.push([act]);
    else last.push(act);
    const mine = runs[runs.length - 1] as Act[];
    const starts = mine.slice(0, -1).reduce((sum, { op }) => sum + middle(op.hands_min), 0);
    placed.set(act.op.id, { block: runs.length - 1, starts, ends: starts + middle(act.op.hands_min) });
  }
  const blocks = runs.map((run) => ({ ...blockOf(run, placed), takes: run.flatMap(({ op }) => takes(op)) }));
  return { blocks, lags: lagsOf(open, blocks, placed) };
}

/** It waits for something that is done in the very block. */
const waitsWithin = ({ op }: Act, placed: ReadonlyMap<string, Placed>, block: number): boolean =>
  op.after.some(({ op: before, min_min }) => min_min >= PAUSE_MIN && placed.get(before)?.block === block);

/** It waits for an earlier block longer than what is done before it here: what may be trimmed now does not wait for what has to be hard. */
function waitsLonger(act: Act, run: readonly Act[], runs: readonly Act[][], placed: ReadonlyMap<string, Placed>): boolean {
  const starts = run.reduce((sum, { op }) => sum + middle(op.hands_min), 0);
  const known = run.map((each) => waitsOf(each, placed.get(each.op.id)?.starts ?? 0, runs, placed));
  return [...waitsOf(act, starts, runs, placed)].some(
    ([block, wait]) => wait > Math.max(0, ...known.map((each) => each.get(block) ?? 0)) + PAUSE_MIN,
  );
}

/** For each earlier block how long after the end of its hands a block may begin that has the operation so many minutes in. */
function waitsOf({ op }: Act, starts: number, runs: readonly Act[][], placed: ReadonlyMap<string, Placed>): ReadonlyMap<number, number> {
  const waits = new Map<number, number>();
  for (const { op: before, min_min } of op.after) {
    const from = placed.get(before);
    if (!from || from.block === runs.length - 1) continue;
    const hands = (runs[from.block] ?? []).reduce((sum, each) => sum + middle(each.op.hands_min), 0);
    waits.set(from.block, Math.max(waits.get(from.block) ?? 0, min_min - (hands - from.ends) - starts));
  }
  return waits;
}

/** What began by a clock goes on by it: the same clock, or one that is over sooner. */
const runsFrom = (run: readonly Act[], from: number): boolean => (run[0]?.from ?? 0) >= from;

function blockOf(run: readonly Act[], placed: ReadonlyMap<string, Placed>): Omit<Block, "takes"> {
  const [first] = run as [Act];
  const starts = (act: Act) => (placed.get(act.op.id)?.starts ?? 0) * MINUTE;
  const froms = run.flatMap((act) => (act.from === undefined ? [] : [act.from - starts(act)]));
  const untils = run.flatMap((act) => (act.until === undefined ? [] : [act.until - starts(act)]));
  return {
    id: first.op.id,
    ops: run.map(({ op }) => op.id),
    station: first.op.station,
    title: first.op.title,
    hands_min: run.reduce((sum, { op }) => sum + middle(op.hands_min), 0),
    uses: [...new Set(run.flatMap(({ op }) => op.uses ?? []))],
    ...present({
      from: froms.length > 0 ? Math.max(...froms) : undefined,
      until: untils.length > 0 ? Math.min(...untils) : undefined,
    }),
  };
}

/** Every wait and every window between two blocks, counted from the end of all hands of the one to the start of the other. */
function lagsOf(open: readonly Act[], blocks: readonly Block[], placed: ReadonlyMap<string, Placed>): BlockLag[] {
  const between = new Map<string, BlockLag>();
  for (const { op } of open) {
    const to = placed.get(op.id);
    for (const edge of op.after) {
      const from = placed.get(edge.op);
      if (!to || !from || from.block === to.block) continue;
      const lag = lagOf(edge, from, to, blocks);
      const known = between.get(`${lag.from} ${lag.to}`);
      between.set(`${lag.from} ${lag.to}`, known ? tighter(known, lag) : lag);
    }
  }
  return [...between.values()];
}

function lagOf(edge: Operation["after"][number], from: Placed, to: Placed, blocks: readonly Block[]): BlockLag {
  const [first, second] = [blocks[from.block] as Block, blocks[to.block] as Block];
  // hands that follow in the one block, and come first in the other, pass while it is waited
  const passes = first.hands_min - from.ends + to.starts;
  return {
    from: first.id,
    to: second.id,
    min_min: Math.max(0, edge.min_min - passes),
    because: edge.because,
    ...(edge.max_min === undefined ? {} : { max_min: Math.max(0, edge.max_min - passes) }),
  };
}

function tighter(a: BlockLag, b: BlockLag): BlockLag {
  const most = [a.max_min, b.max_min].filter((each) => each !== undefined);
  const { max_min: _, ...longer } = a.min_min >= b.min_min ? a : b;
  return { ...longer, ...(most.length > 0 ? { max_min: Math.max(longer.min_min, Math.min(...most)) } : {}) };
}
