import type { Timed } from "./clock";
import type { Operation } from "./plan.schema";

const MINUTE = 60_000;
/** Where hands wait so long or longer a new sitting begins, min: it is told what is waited for. */
const PAUSE_MIN = 3;

/** Operations that follow without a wait. `left`: what is left to itself, told where the wait begins. */
export interface Sitting {
  readonly timed: readonly Timed[];
  readonly left: readonly Timed[];
}

/** What passes by itself: it is said before it begins, not once it is over. */
const PASSES: readonly Operation["kind"][] = ["wait", "dry"];

/** The sittings of one pair of hands; what is left to itself stands at the end of the one after which it is waited for. */
export function sittingsOf(timed: readonly Timed[]): Sitting[] {
  const byId = new Map(timed.map((each) => [each.op.id, each]));
  const begun = ({ op }: Timed): Timed | undefined => (PASSES.includes(op.kind) && bindingOf(op, byId) ? lastBefore(op, byId) : undefined);
  const runs: Array<{ done: Timed[]; left: Timed[] }> = [];
  let free = Number.NEGATIVE_INFINITY;
  for (const each of timed) {
    const from = begun(each);
    const at = from && runs.find(({ done }) => done.includes(from));
    const goesOn = each.start - free < PAUSE_MIN * MINUTE;
    if (at) at.left.push(each);
    else if (goesOn) runs.at(-1)?.done.push(each);
    else runs.push({ done: [each], left: [] });
    // a glance at what was left to itself is no sitting of its own
    if (!at || goesOn) free = each.end;
  }
  return runs.map(({ done, left }) => ({ timed: done, left }));
}

/** A shorter wait is not told, min. */
export const WAIT_MIN = 5;

type Wait = Operation["after"][number];
type ById = ReadonlyMap<string, Timed>;

/** Of what an operation waits for, and of what was left to itself for it, what is over last; undefined where it waits for nothing. */
export function bindingOf(op: Operation, byId: ById): Wait | undefined {
  const overAt = (wait: Wait) => (byId.get(wait.op)?.end ?? 0) + wait.min_min * MINUTE;
  return waitsOf(op, byId).sort((a, b) => overAt(b) - overAt(a))[0];
}

const waitsOf = ({ after }: Operation, byId: ById): Wait[] =>
  after.flatMap((wait) => {
    const before = byId.get(wait.op)?.op;
    if (!before) return [];
    if (wait.min_min >= WAIT_MIN) return [wait];
    return PASSES.includes(before.kind) ? waitsOf(before, byId) : [];
  });

/** The last of what is done before an operation. */
const lastBefore = ({ after }: Operation, byId: ById): Timed | undefined =>
  after.flatMap(({ op }) => byId.get(op) ?? []).sort((a, b) => b.end - a.end)[0];

/** A sitting, and how many right behind it are the same work on the next coat, layer or cycle. */
export function withRepeats(sittings: readonly Sitting[]): Array<{ readonly sitting: Sitting; readonly again: readonly Sitting[] }> {
  const found: Array<{ sitting: Sitting; again: Sitting[] }> = [];
  let shape = "";
  for (const sitting of sittings) {
    const now = shapeOf(sitting);
    const last = found.at(-1);
    if (last && now === shape) last.again.push(sitting);
    else found.push({ sitting, again: [] });
    shape = now;
  }
  return found;
}

const shapeOf = ({ timed, left }: Sitting): string =>
  [...timed, ...left].map(({ op: { name, class: of, coat_name, places } }) => [name, of, coat_name, ...places].join()).join("|");

/** Neighbours that are one sentence: rungs of a ladder, coats of a kind, the same at several places. */
export function runsOf(timed: readonly Timed[]): Timed[][] {
  const runs: Timed[][] = [];
  for (const each of timed) {
    const last = runs.at(-1)?.[0];
    if (last && isOneSentence(last.op, each.op)) runs.at(-1)?.push(each);
    else runs.push([each]);
  }
  return runs;
}

function isOneSentence(a: Operation, b: Operation): boolean {
  if (a.name !== b.name || a.class !== b.class || a.coat_name !== b.coat_name) return false;
  if (a.text === b.text) return true;
  return (a.grade !== undefined || a.coat_name !== undefined) && a.damages.join() === b.damages.join();
}
