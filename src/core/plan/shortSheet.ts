import { type ClassName, classRow, gradeLabel, guardsOf } from "../catalogue";
import { sizeOf } from "../survey/size";
import { counted, formatMinutes, grams, inSentence, plain } from "../units";
import { byTheClock, type ShopHours, type Timed } from "./clock";
import { ownerOf } from "./owner";
import type { Operation } from "./plan.schema";
import type { Repair } from "./repair";
import { wrapped } from "./wrapped";

/** Width of the sheet, and of the column with the hour, characters. */
const WIDTH = 108;
const MARGIN = 13;
/** What follows within so many minutes is the same sitting, and one paragraph. */
const SITTING_MIN = 10;
const MINUTE = 60_000;
/** Whoever waits so long or longer is told until when; shorter windows pass while hands are at it, min. */
const WINDOW_MIN = 15;

/** What is said loudly but stops nothing. */
const MINDED = ["no-load", "too-cold"];

/**
 * A repair on one page, as a note to who does it: what it may not be used for, what to have ready, then by the clock of the shop's hours
 * from `at` (ms since the epoch) on. What stops it stands first, and alone.
 */
export function shortSheetOf(repair: Repair, title: string, at: number, hours: ShopHours): string {
  const timed = byTheClock(repair.operations, at, hours);
  const stops = repair.refer.filter(({ code }) => !MINDED.includes(code));
  const minds = repair.refer.filter(({ code }) => MINDED.includes(code));
  return `${[
    ...headOf(repair, title),
    ...stops.flatMap(({ message }) => row("STOP", message)),
    ...minds.flatMap(({ message }) => row("MIND", message)),
    ...(stops.length > 0 ? [] : row("", sumsOf(repair, timed, hours))),
    ...row("HAVE READY", toHave(repair)),
    "",
    ...days(sittingsOf(timed), repair.damages.length, hours),
    "",
    ...row("OWNER", ownerWords(repair)),
    ...row("", "Safety data sheet, local codes and licensed practice prevail."),
  ].join("\n")}\n`;
}

/** The hours of a shop that has not said its own: Monday to Friday, 8 to 18, by the clock that a moment is written in. */
export function usualHours(at: string): ShopHours {
  const [, sign = "+", hours = "0", minutes = "0"] = /([+-])(\d\d):(\d\d)$/.exec(at) ?? [];
  const offset = Number(hours) * 60 + Number(minutes);
  return { opens_min: 480, closes_min: 1080, days: [1, 2, 3, 4, 5], offset_min: sign === "-" ? -offset : offset };
}

/** A paragraph behind its word in the margin. */
const row = (word: string, text: string): string[] =>
  text === "" ? [] : wrapped(text, WIDTH - MARGIN).map((line, i) => `${(i === 0 ? word : "").padEnd(MARGIN)}${line}`.trimEnd());

function headOf({ damages }: Repair, title: string): string[] {
  return [
    title.toUpperCase(),
    ...damages.flatMap(({ id, survey: { damage }, context: { f }, way }) =>
      row(
        damages.length > 1 ? `[${id}]` : "",
        `${sizeOf(damage)}, ${inSentence(f.on.label)}, ${inSentence(f.finish.label)}: ${inSentence(way.label)}.`,
      ),
    ),
  ];
}

const span = ([low, high]: readonly [number, number]) =>
  Math.round(low) === Math.round(high) ? formatMinutes(low) : `${formatMinutes(low)} to ${formatMinutes(high)}`;

function sumsOf({ hands_min, cost_eur }: Repair, timed: readonly Timed[], hours: ShopHours): string {
  const last = timed.at(-1);
  const ready = last ? ` · ready ${dayOf(last.end, hours)} ${hourOf(last.end, hours)} if begun at once` : "";
  return `Hands ${span(hands_min)}${ready} · material ${plain(cost_eur[0], 2)} to ${plain(cost_eur[1], 2)} €`;
}

/** Materials with all that is weighed of them, grades, and what guards hands and lungs. */
function toHave({ operations }: Repair): string {
  const open = operations.filter(({ status }) => status === "open");
  const masses = new Map<ClassName, number>();
  for (const { class: name, mass_g, mixed } of open) if (name && mass_g && !mixed) masses.set(name, (masses.get(name) ?? 0) + mass_g);
  const stuff = [...masses].map(([name, g]) => `${inSentence(classRow(name).name)} ${grams(g)}`);
  const grades = [...new Set(open.flatMap(({ grade }) => (grade ? [gradeLabel(grade)] : [])))];
  const guards = guardsOf([...new Set(open.flatMap(({ cautions }) => cautions))]).map(({ short }) => inSentence(short));
  return [stuff.join(" · "), grades.join(" "), guards.join(", ")].filter((each) => each !== "").join(" · ");
}

/** Operations that follow without a wait, as one sitting. */
function sittingsOf(timed: readonly Timed[]): Timed[][] {
  const sittings: Timed[][] = [];
  for (const each of timed) {
    const sitting = sittings.at(-1);
    const last = sitting?.at(-1);
    if (sitting && last && each.start - last.end < SITTING_MIN * MINUTE) sitting.push(each);
    else sittings.push([each]);
  }
  return sittings;
}

/** Every sitting a paragraph at its hour, those that only repeat the one before a sentence; the day stands once; a guard is told where it is first needed. */
function days(sittings: readonly (readonly Timed[])[], all: number, hours: ShopHours): string[] {
  const told = new Set<string>();
  const lines: string[] = [];
  let day = "";
  for (let i = 0; i < sittings.length; ) {
    const [sitting = [], ...again] = repeats(sittings, i);
    const [first] = sitting;
    if (!first) break;
    const today = dayOf(first.start, hours);
    const word = `${today === day ? "" : today.toUpperCase()}`.padEnd(7) + hourOf(first.start, hours).padStart(5);
    day = dayOf((again.at(-1) ?? sitting)[0]?.start ?? first.start, hours);
    const guards = guardsOf([sitting, ...again].flat().flatMap(({ op }) => op.cautions))
      .map(({ short }) => short)
      .filter((short) => !told.has(short));
    for (const short of guards) told.add(short);
    const minutes = sitting.reduce((sum, { start, end }) => sum + (end - start) / MINUTE, 0);
    const words = [...linesOf(sitting, all, hours), ...againWords(again, sittings, today, hours)].join(" ");
    const guarded = guards.length > 0 ? `  ${guards.join(", ").toUpperCase()}` : "";
    lines.push(
      ...row(word, `${waitedFor(first.op, sittings)}${words} [${formatMinutes(minutes)}${again.length > 0 ? " each" : ""}]${guarded}`),
    );
    i += 1 + again.length;
  }
  return lines;
}

/** A sitting and those right behind it that are the same work on the next coat, layer or cycle. */
function repeats(sittings: readonly (readonly Timed[])[], from: number): ReadonlyArray<readonly Timed[]> {
  const shape = (sitting: readonly Timed[] = []) =>
    sitting.map(({ op: { name, class: of, coat_name, damages, places } }) => [name, of, coat_name, damages, places].join()).join("|");
  const wanted = shape(sittings[from]);
  let to = from + 1;
  while (to < sittings.length && shape(sittings[to]) === wanted) to += 1;
  return sittings.slice(from, to);
}

function againWords(
  again: ReadonlyArray<readonly Timed[]>,
  sittings: readonly (readonly Timed[])[],
  today: string,
  hours: ShopHours,
): string[] {
  const [next] = again[0] ?? [];
  const last = again.at(-1)?.[0];
  if (!next || !last) return [];
  const day = dayOf(last.start, hours);
  const at = `${day === today ? "" : `${day} `}${hourOf(last.start, hours)}`;
  const wait = waitedFor(next.op, sittings).replace(/\. $/, "");
  return [`The same ${counted(again.length, "time")} more, each when: ${wait.charAt(0).toLowerCase()}${wait.slice(1)}; the last ${at}.`];
}

/** What was waited for before a sitting, with its ends: "Hard (12 h to 35 h)." */
function waitedFor({ after }: Operation, sittings: readonly (readonly Timed[])[]): string {
  const here = new Set(sittings.flat().map(({ op }) => op.id));
  const [longest] = after.filter(({ op, min_min }) => here.has(op) && min_min >= SITTING_MIN).sort((a, b) => b.min_min - a.min_min);
  if (!longest) return "";
  const [low, high] = longest.min_range;
  const range = high > low ? ` (${span([low, high])})` : "";
  return `${longest.because.charAt(0).toUpperCase()}${longest.because.slice(1)}${range}. `;
}

/** The sentences of a sitting: a ladder is one, coats are one, what may not be late says until when; for which of several is said where it changes. */
function linesOf(sitting: readonly Timed[], all: number, hours: ShopHours): string[] {
  const lines: string[] = [];
  let of = "";
  for (let i = 0; i < sitting.length; ) {
    const run = runFrom(sitting, i);
    const [first] = run;
    if (!first) break;
    const now = forWhich(first.op, all);
    lines.push(`${now === of ? "" : now}${sentence(run)}${windowOf(first, hours)}`);
    of = now;
    i += run.length;
  }
  return lines;
}

/** Rungs of one ladder, or coats of one kind, that follow one another. */
function runFrom(sitting: readonly Timed[], from: number): Timed[] {
  const first = sitting[from]?.op;
  const alike = ({ name, class: of, coat_name, damages }: Operation) =>
    first !== undefined &&
    name === first.name &&
    of === first.class &&
    coat_name === first.coat_name &&
    damages.join() === first.damages.join() &&
    (first.grade !== undefined || first.coat_name !== undefined);
  const run = [sitting[from] as Timed];
  while (sitting[from + run.length] && alike((sitting[from + run.length] as Timed).op)) run.push(sitting[from + run.length] as Timed);
  return run;
}

function sentence(run: readonly Timed[]): string {
  const ops = run.map(({ op }) => op);
  const [first, ...more] = ops;
  if (!first) return "";
  if (more.length === 0) return first.text.endsWith(".") ? first.text : `${first.text}.`;
  if (first.grade)
    return `${first.text}; then ${more.map(({ grade }) => (grade ? gradeLabel(grade) : "")).join(" · ")}, ${span(first.hands_min)} each.`;
  return `${first.text}; ${counted(ops.length, "coat")} so.`;
}

const forWhich = ({ damages }: Operation, all: number): string =>
  all < 2 || damages.length === 0 ? "" : `[${damages.length === all ? "all" : damages.join(" ")}] `;

/** Until when it has to be begun, where that is not at once; and that it can't be in working hours. */
function windowOf({ start, until, missed }: Timed, hours: ShopHours): string {
  if (until === undefined) return "";
  if (missed)
    return ` (its window shuts ${dayOf(until, hours).slice(0, 3)} ${hourOf(until, hours)}, out of hours: stay for it, or begin another day)`;
  const day = dayOf(until, hours) === dayOf(start, hours) ? "" : `${dayOf(until, hours)} `;
  return until - start < WINDOW_MIN * MINUTE ? "" : ` (until ${day}${hourOf(until, hours)})`;
}

const local = (t: number, { offset_min }: ShopHours) => new Date(t + offset_min * MINUTE).toISOString();
const hourOf = (t: number, hours: ShopHours): string => local(t, hours).slice(11, 16).replace(/^0/, "");
const WEEKDAYS = ["Sun", "Mon", "Tue", "Wed", "Thu", "Fri", "Sat"] as const;
const dayOf = (t: number, hours: ShopHours): string => {
  const date = local(t, hours);
  return `${WEEKDAYS[new Date(date).getUTCDay()]} ${Number(date.slice(8, 10))}`;
};

const WHEN = { today: "now", full: "from full cure", never: "never" } as const;

function ownerWords(repair: Repair): string {
  return ownerOf(repair, false)
    .map(({ when, act }) => `${WHEN[when]}: ${inSentence(act)}`)
    .join(" · ");
}
