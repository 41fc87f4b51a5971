import { setImmediate as pause } from "node:timers/promises";

/** So many are worked out before others have their turn. */
const AT_ONCE = 10;

/** Gives way to other requests between a few, and stops where whoever asked has gone. @throws the signal's reason */
export async function* withPauses<T>(all: readonly T[], gone?: AbortSignal): AsyncGenerator<T> {
  for (const [i, one] of all.entries()) {
    if (i % AT_ONCE === 0) await pause();
    gone?.throwIfAborted();
    yield one;
  }
}
