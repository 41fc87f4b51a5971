import { standing } from "../cure/windows";
import { formatMinutes, type Wall } from "../units";
import type { ActBrief } from "./nextAct";

/** What a plate on the Shelf says; computed from the brief and the time alone. */
export interface Plate {
  readonly sign: "go" | "off" | "soon" | "never";
  readonly word: string;
  /** The big figure: time left, or "now". */
  readonly left: string;
  /** `trim 14:10 to 14:25` */
  readonly until: string;
  /** 0 to 1: how much of the wait, or of the window, is used. */
  readonly used: number;
  /** For the order: closing first, then by the next time one may act, then no hurry. */
  readonly rank: readonly [group: number, at: number];
}

const MINUTE = 60_000;

/** The plate of a running clock, or undefined where no clock runs. */
export function plateOf({ clock, closed }: ActBrief, now: number, wall: Wall): Plate | undefined {
  if (clock === undefined || closed) return undefined;
  const where = standing(clock.cure, new Set(clock.done), now);
  switch (where.state) {
    case "never":
      return { sign: "never", word: "Does not cure", left: "–", until: where.reason, used: 1, rank: [0, 0] };
    case "off": {
      const { from, until, row } = where.next;
      const span = until ? ` to ${wall.time(until)}` : "";
      return {
        sign: "off",
        word: "Don’t touch",
        left: formatMinutes(Math.max(1, (from - now) / MINUTE)),
        until: until ? `${row.verb} ${wall.when(from, now)}${span}` : `${row.verb} from ${wall.when(from, now)}`,
        used: share(where.since, from, now),
        rank: [1, from],
      };
    }
    case "go":
    case "closing": {
      const { from, until, row } = where.window;
      if (until === undefined) return { sign: "go", word: row.word, left: "now", until: "no hurry", used: 1, rank: [2, from] };
      return {
        sign: where.state === "closing" ? "soon" : "go",
        word: row.word,
        left: formatMinutes(Math.max(1, (until - now) / MINUTE)),
        until: `until ${wall.when(until, now)}`,
        used: share(from, until, now),
        rank: [where.state === "closing" ? 0 : 1, until],
      };
    }
  }
}

export function byRank(a: Plate, b: Plate): number {
  return a.rank[0] - b.rank[0] || a.rank[1] - b.rank[1];
}

function share(from: number, to: number, now: number): number {
  return to > from ? Math.min(1, Math.max(0, (now - from) / (to - from))) : 1;
}
