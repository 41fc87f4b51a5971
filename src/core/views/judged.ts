import type { Operation } from "../plan/plan.schema";
import type { BodyOf } from "../record/events.schema";
import { type Entry, is, type Treatment } from "../record/treatment";
import { actState, minutesAtIt } from "./actState";
import { waitsOf } from "./edgeTimes";
import type { Worked } from "./worked";

export type Against = NonNullable<BodyOf<"done">["against"]>;

const MINUTE = 60_000;

/** When an act was done, ms, and how long hands were at it, min. */
interface DoneAt {
  readonly at: number;
  readonly hands_min?: number | undefined;
}

/**
 * What stands against an act at the time at which it was done, by what is on record of before then and by the clocks that ran:
 * early, late, or out of order; undefined where it was in order, whatever was said of it when it was entered.
 */
function judge(op: Operation, { at, hands_min }: DoneAt, said: Against, worked: Worked): Against | undefined {
  const known = new Set(worked.repair.operations.map(({ id }) => id));
  const edges = op.after.filter((edge) => known.has(edge.op));
  const { because } = said;
  const open = edges.some((edge) => {
    const mark = worked.marks.get(edge.op);
    return !mark || Date.parse(mark.at) >= at + MINUTE;
  });
  if (open) return { state: "blocked", because };
  const timed = waitsOf(worked)(op);
  const last = timed.reduce((late, each) => (each.from > late.from ? each : late), { from: 0, since: at });
  const until = Math.min(...timed.map((each) => each.until ?? Infinity));
  const state = timed.some(({ never }) => never !== undefined)
    ? "too-early"
    : actState({ from: last.from, until, hands_min: minutesAtIt(op.hands_min, hands_min) }, at);
  if (state === "too-late") return { state, because };
  if (state !== "too-early") return undefined;
  const asked = last.from - last.since;
  return { state, because, passed_min: Math.max(0, at - last.since) / MINUTE, ...(asked < Infinity ? { asked_min: asked / MINUTE } : {}) };
}

/**
 * What stands in the log in the order in which it was done, each act judged at its own time. A signed record keeps what it was signed with;
 * what the plan no longer asks for keeps what was said of it then. A reason that turns out not to be needed stays as a note.
 */
export function toldEntries(treatment: Treatment, worked: Worked | undefined): readonly Entry[] {
  const ops = new Map(worked?.repair.operations.map((operation) => [operation.id, operation]));
  const told = treatment.entries.map((entry) => {
    if (!worked || treatment.closed || (!is(entry, "done") && !is(entry, "batch-mixed"))) return entry;
    const op = ops.get(entry.body.op);
    return op && op.name !== "earlier" ? rejudged(entry, op, worked) : entry;
  });
  return told.sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || a.seq - b.seq);
}

function rejudged(entry: Entry<"done"> | Entry<"batch-mixed">, op: Operation, worked: Worked): Entry {
  const { against: said, ...body } = entry.body;
  if (!said) return entry;
  const against = judge(op, { at: Date.parse(entry.at), hands_min: body.hands_min }, said, worked);
  if (against) return { ...entry, body: { ...body, against } } as Entry;
  const note = [body.note, said.because].filter(Boolean).join(". ").slice(0, 2000);
  return { ...entry, body: { ...body, note } } as Entry;
}
