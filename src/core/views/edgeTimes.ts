import type { Operation } from "../plan/plan.schema";
import type { Worked } from "./worked";

/** When one thing that is waited for lets something begin, and until when. Ms since the epoch. */
export interface EdgeTimes {
  readonly from: number;
  readonly since: number;
  readonly until?: number;
  /** The operation whose clock it is. */
  readonly clock?: string;
  /** Why it never does. */
  readonly never?: string;
  /** It takes time, and is no mere order. */
  readonly waits: boolean;
  readonly because: string;
}

const MINUTE = 60_000;
type After = Operation["after"][number];

/** When one thing that is waited for lets this begin: by its own clock where one runs, else by the plan's minutes. */
export function edgeTimes(edge: After, { marks, clocks }: Pick<Worked, "marks" | "clocks">): EdgeTimes {
  const { op, min_min, max_min, stage, closes, share = 1, closes_share = 1, because } = edge;
  const since = Date.parse(marks.get(op)?.at ?? "1970-01-01T00:00:00Z");
  const clock = clocks.get(op);
  const at = (name: string | undefined, of: number) =>
    clock && name !== undefined ? (of === 1 ? clock.stages : clock.stagesAt(of)).find((each) => each.stage === name) : undefined;
  const opens = at(stage, share);
  const shuts = at(closes, closes_share);
  if (opens && opens.at === undefined)
    return { from: Infinity, since, never: opens.reason ?? "It does not cure here.", waits: true, because };
  const skipped = marks.get(op)?.status === "skipped";
  // what only follows in order is never judged by comparing times: clocks are set back, and an hour of October comes twice
  const waits = !skipped && (opens !== undefined || min_min >= 1);
  const from = waits ? (opens?.at ?? since + min_min * MINUTE) : 0;
  const until = skipped ? undefined : (shuts?.at ?? (max_min === undefined ? undefined : since + max_min * MINUTE));
  return { from, since, ...(until === undefined ? {} : { until }), ...(clock ? { clock: op } : {}), waits, because };
}

/**
 * What each operation waits for: its own edges first, then what an operation before it did not wait for. Who takes the clamps off early, or leaves
 * that step out, has not made the glue hard: what follows waits for the material all the same. Only what sets before that can't wait for it:
 * a cup that was stirred too early is used up.
 */
export function waitsOf(worked: Worked): (op: Operation) => readonly EdgeTimes[] {
  const byId = new Map(worked.repair.operations.map((operation) => [operation.id, operation]));
  const known = new Map<string, readonly EdgeTimes[]>();
  const waits = (op: Operation): readonly EdgeTimes[] => {
    const found = known.get(op.id);
    if (found) return found;
    known.set(op.id, []);
    const edges = op.after.filter((edge) => byId.has(edge.op));
    const own = edges.map((edge) => edgeTimes(edge, worked));
    const all = [...own, ...edges.flatMap((edge) => unwaited(byId.get(edge.op) as Operation, worked, waits))];
    known.set(op.id, all);
    return all;
  };
  return (op) => {
    const all = waits(op);
    const sets = Math.min(...all.map(({ until }) => until ?? Infinity));
    const own = op.after.filter((edge) => byId.has(edge.op)).length;
    return all.filter(({ from }, i) => i < own || from <= sets);
  };
}

/** The clocks that an operation which is behind did not wait for: they run on, with no window of their own. */
function unwaited(before: Operation, worked: Worked, waits: (op: Operation) => readonly EdgeTimes[]): EdgeTimes[] {
  const mark = worked.marks.get(before.id);
  if (!mark) return [];
  const at = Date.parse(mark.at);
  return waits(before)
    .filter(({ waits: takesTime, from, never, clock }) => takesTime && clock !== undefined && from > at && never === undefined)
    .map(({ from, since, clock, because }) => ({ from, since, waits: true, because, ...(clock ? { clock } : {}) }));
}
