import type { Calendar } from "../../schedule/schedule.schema";
import { formatMinutes, type Wall } from "../../units";
import { type Axis, weekAxis } from "./axis";
import { startWords } from "./startWords";
import type { PlacedBlock, PlanRow, WeekPlan } from "./weekPlan";

/** A block as it is drawn: shares of the width, 0 to 1. */
interface DrawnBlock {
  readonly id: string;
  readonly station: string;
  readonly left: number;
  readonly wide: number;
  readonly words: string;
}

interface DrawnWait {
  readonly key: string;
  readonly left: number;
  readonly wide: number;
  readonly label: string;
  readonly words: string;
  readonly window?: { readonly left: number; readonly wide: number; readonly missed: boolean };
}

export interface DrawnRow extends Pick<PlanRow, "treatment" | "piece" | "title" | "kind"> {
  readonly next: string;
  readonly blocks: readonly DrawnBlock[];
  readonly waits: readonly DrawnWait[];
  readonly ready: string;
  readonly promised: string;
  /** Days between ready and promised; absent = nothing is promised. */
  readonly slack_days?: number;
}

export interface WeekView {
  readonly stretches: Axis["stretches"];
  readonly now: number;
  readonly rows: readonly DrawnRow[];
  /** By working day: minutes of hands that are planned, and that there are. */
  readonly loads: ReadonlyArray<{
    readonly label: string;
    readonly left: number;
    readonly right: number;
    readonly taken: number;
    readonly there: number;
  }>;
  /** What is first, and why; then what is missed. */
  readonly why: readonly string[];
  readonly clashes: readonly string[];
}

const MINUTE = 60_000;
const DAY = 86_400_000;
const WEEK_DAYS = 6;

/** The plan as it is drawn: the next working days with nights folded, a row a treatment, the load of the hands, and why. */
export function weekView(plan: WeekPlan, calendar: Calendar, hands: number, wall: Wall): WeekView {
  const axis = weekAxis(plan.now, WEEK_DAYS, calendar, wall);
  const blocks = plan.rows.flatMap((row) => row.blocks.map((block) => ({ row, block }))).sort((a, b) => a.block.start - b.block.start);
  return {
    stretches: axis.stretches,
    now: axis.at(plan.now),
    rows: plan.rows.map((row) => drawn(row, axis, plan.now, wall)),
    loads: axis.stretches
      .filter(({ label }) => label !== undefined)
      .map(({ from, to, left, right, label = "" }) => ({
        label,
        left,
        right,
        taken: blocks.filter(({ block }) => block.start >= from && block.start < to).reduce((sum, { block }) => sum + block.hands_min, 0),
        there: (hands * (to - Math.max(from, plan.now))) / MINUTE,
      })),
    why: whyOf(plan, blocks, calendar, wall),
    clashes: plan.rows.flatMap((row) => clashesOf(row, plan.now, wall)),
  };
}

function drawn({ treatment, piece, title, kind, blocks, waits, ready, promised }: PlanRow, axis: Axis, now: number, wall: Wall): DrawnRow {
  const span = (from: number, to: number) => ({ left: axis.at(from), wide: Math.max(0, axis.at(to) - axis.at(from)) });
  const inside = <T extends { readonly from: number }>(all: readonly T[]) => all.filter(({ from }) => from < axis.to);
  const due = promised === null ? undefined : wall.moment(promised, 12);
  return {
    treatment,
    piece,
    title,
    kind,
    next: blocks[0]?.title ?? "",
    blocks: blocks
      .filter(({ start }) => start < axis.to)
      .map((block) => ({
        id: block.ops[0] ?? block.id,
        station: block.station,
        ...span(block.start, block.end),
        words: `${wall.when(block.start, now)} to ${wall.time(block.end)}: ${block.title}, ${formatMinutes(block.hands_min)}`,
      })),
    waits: inside(waits).map((wait, i) => ({
      key: `${i} ${wait.from}`,
      ...span(wait.from, wait.to),
      label: formatMinutes((wait.to - wait.from) / MINUTE),
      words: `${wait.because}: ${formatMinutes((wait.to - wait.from) / MINUTE)}`,
      ...(wait.until === undefined ? {} : { window: { ...span(wait.to, wait.until), missed: wait.missed_min !== undefined } }),
    })),
    ready: wall.when(ready, now),
    promised: due === undefined ? "" : wall.day(due),
    ...(due === undefined ? {} : { slack_days: (due - ready) / DAY }),
  };
}

interface At {
  readonly row: PlanRow;
  readonly block: PlacedBlock;
}

/** What stands first and why, and by when what starts a clock has to be begun. */
function whyOf(plan: WeekPlan, blocks: readonly At[], calendar: Calendar, wall: Wall): string[] {
  const [first] = blocks;
  if (!first) return [];
  const { row, block } = first;
  const until = windowWords(block, plan.now, wall);
  const promised = row.promised === null ? "" : ` It is promised for ${wall.day(wall.moment(row.promised, 12))}.`;
  const reason = until || promised || " Nothing else is more urgent.";
  const starts = blocks
    .filter(({ block: each }) => each.start - plan.now < DAY)
    .flatMap(({ row: of, block: each }) => {
      const words = startWords(of, each.id, calendar, plan.now, wall);
      return words === "" ? [] : [`${of.piece}, ${lower(each.title)}: ${words}`];
    });
  return [`First ${row.piece}: ${lower(block.title)}, ${wall.when(block.start, plan.now)}.${reason}`, ...starts];
}

function windowWords({ until, start }: PlacedBlock, now: number, wall: Wall): string {
  if (until === undefined) return "";
  return until < start
    ? ` Its window shuts before anyone is here, at ${wall.when(until, now)}.`
    : ` Its window closes at ${wall.when(until, now)}.`;
}

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

/** Windows that can't be met, each with how late it gets. */
const clashesOf = ({ piece, waits }: PlanRow, now: number, wall: Wall): string[] =>
  waits.flatMap(({ missed_min, until, because }) =>
    missed_min === undefined || until === undefined
      ? []
      : [
          `${piece}: ${lower(because)}, until ${wall.when(until, now)}; hands are there ${formatMinutes(missed_min)} later. Come for it, or reckon with what a missed window costs: its card says what.`,
        ],
  );
