import type { Calendar } from "../../schedule/schedule.schema";
import type { Wall } from "../../units";
import type { Act } from "../acts";
import { type Blocks, blocksOf } from "./blocks";
import { startBy } from "./startBy";

const DAY = 86_400_000;

/**
 * By when a block has to be begun so that what has a window after it falls into hours, in words; empty where any hour of the day will do.
 * @example startWords(blocks, "mix", calendar, now, wall) // "start by 14:40, or what comes after it falls out of hours."
 */
export function startWords({ blocks, lags }: Blocks, id: string, calendar: Calendar, now: number, wall: Wall): string {
  const block = blocks.find((each) => each.id === id);
  if (!block) return "";
  const after = lags.flatMap((lag) => {
    const next = lag.from === id ? blocks.find((each) => each.id === lag.to) : undefined;
    return next ? [{ lag, next }] : [];
  });
  const found = startBy(block, after, calendar, Math.max(now, block.from ?? now));
  if (!found) return "";
  if (!found.now) return `not now: what comes after it falls out of hours. Start from ${wall.when(found.after ?? now, now)}.`;
  return found.by === undefined || found.by - now > DAY
    ? ""
    : `start by ${wall.when(found.by, now)}, or what comes after it falls out of hours.`;
}

/** The same for every operation that can be done now and opens such a window, by its id. */
export function startsNow(acts: readonly Act[], calendar: Calendar, now: number, wall: Wall): Readonly<Record<string, string>> {
  const blocks = blocksOf(acts, () => []);
  const ready = acts.filter(({ state, op }) => state === "now" && op.starts !== undefined);
  return Object.fromEntries(
    ready.flatMap(({ op }) => {
      const block = blocks.blocks.find(({ ops }) => ops.includes(op.id));
      const words = block ? startWords(blocks, block.id, calendar, now, wall) : "";
      return words === "" ? [] : [[op.id, words]];
    }),
  );
}
