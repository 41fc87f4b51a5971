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

/** The sittings of one pair of hands; what is left to itself stands at the end of the sitting before it. */
export function sittingsOf(timed: readonly Timed[]): Sitting[] {
  const runs: Timed[][] = [];
  for (const each of timed) {
    const last = runs.at(-1)?.at(-1);
    if (last && each.start - last.end < PAUSE_MIN * MINUTE) runs.at(-1)?.push(each);
    else runs.push([each]);
  }
  const sittings: Sitting[] = [];
  for (const run of runs) {
    const before = sittings.at(-1);
    const passes = before ? run.findIndex(({ op }) => !PASSES.includes(op.kind)) : 0;
    const over = passes < 0 ? run : run.slice(0, passes);
    if (before && over.length > 0) sittings[sittings.length - 1] = { ...before, left: [...before.left, ...over] };
    const rest = run.slice(over.length);
    if (rest.length > 0) sittings.push({ timed: rest, left: [] });
  }
  return sittings;
}

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
