import { type ClassName, classRow, gradeLabel, guardsOf } from "../catalogue";
import { lagOf } from "../cure/lag";
import { sizeOf } from "../survey/size";
import { counted, euros, formatMinutes, grams, inSentence } from "../units";
import { byTheClock, type ShopHours, type Timed } from "./clock";
import { HAVE_READY } from "./haveReady.data";
import { materialOf } from "./materialOf";
import { holdsOwner, ownerOf } from "./owner";
import type { Operation } from "./plan.schema";
import type { Repair } from "./repair";
import type { OpName } from "./rows";
import { bindingOf, runsOf, type Sitting, sittingsOf, WAIT_MIN, withRepeats } from "./sittings";
import { sumRanges } from "./sums";

const MINUTE = 60_000;
/** Whoever waits so long or longer is told until when; shorter windows pass while hands are at it, min. */
const WINDOW_MIN = 15;
/** A wait that ends so shortly before an operation begins holds back a quick hand: it is told, min. */
const HELD_BACK_MIN = 15;

/** What is said loudly but stops nothing. */
const MINDED = ["no-load", "too-cold"];

/** What no sheet replaces. */
export const LIMITS = "Safety data sheet, local codes and licensed practice prevail.";

/** A line of a sheet: what is done has a box to tick; what only is so, or was waited for, has none. */
interface SheetLine {
  readonly text: string;
  readonly box: boolean;
}

/** What hands do in one go. */
export interface SheetRow {
  /** `Tue 6 Oct`, where a day begins. */
  readonly day?: string;
  readonly hour: string;
  readonly lines: readonly SheetLine[];
  /** Minutes of hands, in words. */
  readonly took: string;
  /** What guards hands and lungs, where it is first needed. */
  readonly guards: readonly string[];
}

/** A repair on one page, as a note to who does it. */
export interface WorkSheet {
  readonly title: string;
  /** Why nothing may be begun, and what can be chosen; then there is nothing else. */
  readonly stop?: { readonly because: readonly string[]; readonly choose: readonly string[] };
  /** Every damage: its tag where there are several, what it is, how it is met. */
  readonly heads: ReadonlyArray<{ readonly tag: string; readonly words: string }>;
  /** What is said loudly but stops nothing. */
  readonly minds: readonly string[];
  /** Hands, when it is ready, what its material costs. */
  readonly sums: string;
  readonly have_ready: readonly string[];
  readonly rows: readonly SheetRow[];
  /** What the owner may do, by from when. */
  readonly owner: ReadonlyArray<{ readonly when: string; readonly words: string }>;
}

/**
 * A repair on one page: what it may not be used for, what to have ready, then by the clock of the shop's hours from `at` (ms since the epoch)
 * on what is still open. What stops it stands alone.
 */
export function workSheetOf(
  repair: Repair,
  title: string,
  at: number,
  hours: ShopHours,
  { behind = new Map(), names = new Map() }: Known = {},
): WorkSheet {
  const stops = repair.refer.filter(({ code }) => !MINDED.includes(code));
  if (stops.length > 0) return { ...NOTHING, title, stop: { because: stops.map(({ message }) => message), choose: choicesOf(repair) } };
  const timed = byTheClock(repair.operations, at, hours, behind);
  const before = repair.operations.flatMap((op): Timed[] => {
    const end = behind.get(op.id);
    return end === undefined ? [] : [{ op, start: end, end }];
  });
  const byId = new Map([...before, ...timed].map((each) => [each.op.id, each]));
  return {
    title,
    heads: headsOf(repair, names),
    minds: repair.refer.map(({ message }) => message),
    sums: sumsOf(repair, timed, hours, behind.size > 0),
    have_ready: toHave(repair),
    rows: rowsOf(sittingsOf(timed), { all: repair.damages.length, at, hours, byId, names }),
    owner: ownerLines(repair, timed, hours),
  };
}

/** What a treatment knows beyond its plan. */
interface Known {
  /** When what is done was done, ms. */
  readonly behind?: ReadonlyMap<string, number>;
  /** The numbers of damages and what they are called, by their ids; absent = by those. */
  readonly names?: ReadonlyMap<string, { readonly tag: string; readonly title: string }>;
}

const NOTHING = { heads: [], minds: [], sums: "", have_ready: [], rows: [], owner: [] } as const;

/** What can be done where something stops it. */
const choicesOf = ({ damages }: Repair): string[] => [
  "take what comes nearest, with a reason that the record keeps",
  ...damages.flatMap(({ id, others }) => others.map((label) => `${damages.length > 1 ? `[${id}] ` : ""}${inSentence(label)}`)),
  "or refer it",
];

/** The hours of a shop that has not said its own: Monday to Friday, 8 to 18, by the clock that a moment is written in. */
export function usualHours(at: string): ShopHours {
  const [, sign = "+", hours = "0", minutes = "0"] = /([+-])(\d\d):(\d\d)$/.exec(at) ?? [];
  const offset = Number(hours) * 60 + Number(minutes);
  return { opens_min: 480, closes_min: 1080, days: [1, 2, 3, 4, 5], offset_min: sign === "-" ? -offset : offset };
}

const headsOf = ({ damages }: Repair, names: NonNullable<Known["names"]>): WorkSheet["heads"] =>
  damages.map(({ id, survey: { damage }, context: { f }, way }) => ({
    tag: damages.length > 1 ? `[${names.get(id)?.tag ?? id}]` : "",
    words: `${damages.length > 1 && names.get(id)?.title ? `${names.get(id)?.title}: ` : ""}${sizeOf(damage)}, ${inSentence(f.on.label)}, ${inSentence(f.finish.label)}: ${inSentence(way.label)}.`,
  }));

const span = ([low, high]: readonly [number, number]) =>
  Math.round(low) === Math.round(high) ? formatMinutes(low) : `${formatMinutes(low)} to ${formatMinutes(high)}`;

function sumsOf({ hands_min, cost_eur }: Repair, timed: readonly Timed[], hours: ShopHours, begun: boolean): string {
  const last = timed.at(-1);
  const left = sumRanges(timed.map(({ op }) => op.hands_min));
  const ready = last ? ` · ready ${dayOf(last.end, hours)} ${hourOf(last.end, hours)} if begun at once` : "";
  return begun
    ? `Hands ${span(left)} still${ready.replace(" if begun at once", "")} · material of all of it ${euros(cost_eur)}`
    : `Hands ${span(hands_min)}${ready} · material ${euros(cost_eur)}`;
}

/** Materials with all that is weighed of them, what is let in or stuck on by the piece, small stuff, and grades. What guards hands and lungs stands where the hand is. */
function toHave({ operations }: Repair): string[] {
  const open = operations.filter(({ status }) => status === "open");
  const masses = new Map<ClassName, number>();
  // where less can't be dosed a whole pot is stirred
  for (const { class: name, mass_g = 0, figures, mixed } of open)
    if (name && !mixed) masses.set(name, (masses.get(name) ?? 0) + Math.max(mass_g, figures?.pot_g ?? 0));
  const stuff = [...masses].map(([name, g]) => `${inSentence(classRow(name).name)}${g > 0 ? ` ${grams(g)}` : ""}`);
  const small = open.flatMap(({ name }) => HAVE_READY[name as OpName] ?? []);
  const papers = open.flatMap(({ grade, papers: also = [] }) => [...(grade ? [grade] : []), ...also]).sort((a, b) => a.grade - b.grade);
  const grades = [...new Set(papers.map(gradeLabel))].join(" ");
  return [...stuff, ...new Set(small), grades].filter((each) => each !== "");
}

/** What every line of the day plan is written with: how many damages there are, the hours, each operation at its time. */
interface Told {
  readonly all: number;
  /** From when on it is planned, ms. */
  readonly at: number;
  readonly names: NonNullable<Known["names"]>;
  readonly hours: ShopHours;
  readonly byId: ReadonlyMap<string, Timed>;
}

/** Every sitting a row at its hour, those that only repeat it a line; the day stands once; a guard where it is first needed. */
function rowsOf(sittings: readonly Sitting[], told: Told): SheetRow[] {
  const guarded = new Set<string>();
  let day = "";
  return withRepeats(sittings).flatMap(({ sitting, again }): SheetRow[] => {
    const [first] = sitting.timed;
    if (!first) return [];
    const today = dayOf(first.start, told.hours);
    const begins = today === day ? {} : { day: today };
    day = dayOf((again.at(-1) ?? sitting).timed[0]?.start ?? first.start, told.hours);
    const guards = guardsOf([sitting, ...again].flatMap(({ timed, left }) => [...timed, ...left]).flatMap(({ op }) => op.cautions))
      .map(({ short }) => short)
      .filter((short) => !guarded.has(short));
    for (const short of guards) guarded.add(short);
    const minutes = sitting.timed.reduce((sum, { start, end }) => sum + (end - start) / MINUTE, 0);
    const lines = [
      { text: waitWords(first.op, told), box: false },
      ...sentencesOf(sitting.timed, told).map((text) => ({ text, box: true })),
      { text: againWords(again, today, told), box: true },
      ...leftOf(sitting, told).map((text) => ({ text, box: false })),
    ];
    return [
      {
        ...begins,
        hour: hourOf(first.start, told.hours),
        lines: lines.filter(({ text }) => text !== ""),
        took: `${formatMinutes(minutes)}${again.length > 0 ? " each" : ""}`,
        guards,
      },
    ];
  });
}

/** What was waited for before a sitting, with its ends: "Hard (12 h to 35 h)."; of several damages, whose. */
function waitWords(op: Operation, { all, byId }: Told): string {
  const wait = bindingOf(op, byId);
  if (!wait) return "";
  const whose = all > 1 ? `${byId.get(wait.op)?.op.title}: ` : "";
  const [low, high] = wait.min_range;
  const words = `${whose}${all > 1 ? wait.because : capital(wait.because)}`;
  return `${words}${high > low ? ` (${span([low, high])})` : ""}.`;
}

/** What is left to itself after a sitting, and for how long. */
function leftOf({ timed, left }: Sitting, told: Told): string[] {
  const last = timed.at(-1);
  let of = last ? forWhich([last], told) : "";
  return left.map((each) => {
    const now = forWhich([each], told);
    const tag = now === of ? "" : now;
    of = now;
    const wait = bindingOf(each.op, told.byId);
    return `${tag}${sentence([each.op]).replace(/\.$/, "")}${wait ? ` (${span(wait.min_range)})` : ""}.`;
  });
}

function againWords(again: readonly Sitting[], today: string, told: Told): string {
  const [next] = again[0]?.timed ?? [];
  const last = again.at(-1)?.timed[0];
  if (!next || !last) return "";
  const day = dayOf(last.start, told.hours);
  const at = `${day === today ? "" : `${day} `}${hourOf(last.start, told.hours)}`;
  const wait = inSentence(waitWords(next.op, told).replace(/\.$/, ""));
  const times = again.length === 1 ? `Once more at ${at}` : `The same ${counted(again.length, "time")} more, the last ${at}`;
  return wait === "" ? `${times}.` : `${times}: ${wait}.`;
}

/** The sentences of a sitting; for which of several damages is said where it changes. */
function sentencesOf(timed: readonly Timed[], told: Told): string[] {
  let of = "";
  return runsOf(timed).flatMap((run) => {
    const [first] = run;
    if (!first) return [];
    const now = forWhich(run, told);
    const tag = now === of ? "" : now;
    of = now;
    return [`${tag}${sentence(run.map(({ op }) => op))}${windowOf(first, timed, told)}`];
  });
}

function sentence(ops: readonly Operation[]): string {
  const [first, ...rest] = ops;
  if (!first) return "";
  // the same at another place is said once, and so much of it there again
  const more = rest.filter(({ text }) => text !== first.text);
  const each = more.length < rest.length && /\d g$/.test(first.text) ? " each" : "";
  const more_grades = more.flatMap(({ grade }) => (grade ? [gradeLabel(grade)] : []));
  if (more_grades.length > 0) return `${first.text}; then ${more_grades.join(" · ")}, ${span(first.hands_min)} each.`;
  if (more.length > 0 && first.coat_name) return `${first.text}; ${counted(ops.length, "coat")} so.`;
  return `${first.text}${each}`.replace(/\.?$/, ".");
}

function forWhich(run: readonly Timed[], { all, names }: Told): string {
  const damages = [...new Set(run.flatMap(({ op }) => op.damages))];
  return all < 2 || damages.length === 0
    ? ""
    : `[${damages.length === all ? "all" : damages.map((id) => names.get(id)?.tag ?? id).join(" ")}] `;
}

/** From when and until when, where a quick hand would be too early or a slow one too late; and that no working hour is left for it. */
function windowOf({ op, start, until, missed }: Timed, sitting: readonly Timed[], { at, hours, byId }: Told): string {
  if (missed && until !== undefined && until < at)
    return ` (its window closed ${dayOf(until, hours)} ${hourOf(until, hours)}: look first, and say why)`;
  if (missed && until !== undefined && dayOf(until, hours) === dayOf(start, hours) && isOpen(until, hours))
    return ` (by ${hourOf(until, hours)}: quick hands, or another pair)`;
  if (missed && until !== undefined)
    return ` (its window shuts ${dayOf(until, hours)} ${hourOf(until, hours)}, out of hours: stay for it, or begin another day)`;
  const here = new Set(sitting.map((each) => each.op.id));
  const opens = op.after.flatMap(({ op: before, min_min }) => {
    const end = here.has(before) && min_min >= WAIT_MIN ? byId.get(before)?.end : undefined;
    return end === undefined ? [] : [end + min_min * MINUTE];
  });
  const from = Math.max(0, ...opens.filter((each) => start - each < HELD_BACK_MIN * MINUTE));
  const late = until !== undefined && until - start >= WINDOW_MIN * MINUTE;
  const day = late && dayOf(until, hours) !== dayOf(start, hours) ? `${dayOf(until, hours)} ` : "";
  const words = [...(from > 0 ? [`not before ${hourOf(from, hours)}`] : []), ...(late ? [`until ${day}${hourOf(until, hours)}`] : [])];
  return words.length > 0 ? ` (${words.join(", ")})` : "";
}

/** Whether the clock stands within the hours of a day. */
function isOpen(t: number, { opens_min, closes_min, offset_min }: ShopHours): boolean {
  const minute = (t / MINUTE + offset_min) % 1440;
  return minute >= opens_min && minute <= closes_min;
}

const local = (t: number, { offset_min }: ShopHours) => new Date(t + offset_min * MINUTE);
const two = (n: number) => String(n).padStart(2, "0");
function hourOf(t: number, hours: ShopHours): string {
  // to the minute that is reached, never the one before it
  const at = local(Math.ceil(t / MINUTE) * MINUTE, hours);
  return `${at.getUTCHours()}:${two(at.getUTCMinutes())}`;
}
const WEEKDAYS = ["Sun", "Mon", "Tue", "Wed", "Thu", "Fri", "Sat"] as const;
const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"] as const;
function dayOf(t: number, hours: ShopHours): string {
  const at = local(t, hours);
  return `${WEEKDAYS[at.getUTCDay()]} ${at.getUTCDate()} ${MONTHS[at.getUTCMonth()]}`;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** When it is signed and the last of what was laid is in full service, ms; undefined where nothing cures. */
function fullFrom(repair: Repair, timed: readonly Timed[]): number | undefined {
  const ends = timed.flatMap(({ op, end }) => {
    const material = materialOf(repair, op);
    const air = repair.damages.find(({ id }) => op.damages.includes(id))?.context.air;
    const full =
      material && air && op.starts && holdsOwner(op, repair.operations)
        ? lagOf(material, ["full", "hard", "handle"], op.thickness_mm ?? 1, air)
        : undefined;
    return full && Number.isFinite(full.min) ? [end + full.min * MINUTE] : [];
  });
  return ends.length > 0 ? Math.max(...ends, ...timed.map(({ end }) => end)) : undefined;
}

function ownerLines(repair: Repair, timed: readonly Timed[], hours: ShopHours): WorkSheet["owner"] {
  const lines = ownerOf(repair, false);
  const full = fullFrom(repair, timed);
  const when = { today: "now", full: full === undefined ? "when it is signed" : `from ${dayOf(full, hours)}`, never: "never" };
  return (["today", "full", "never"] as const)
    .map((from) => ({ from, acts: lines.filter((line) => line.when === from).map(({ act }) => inSentence(act).replace(/\.$/, "")) }))
    .filter(({ acts }) => acts.length > 0)
    .map(({ from, acts }) => ({ when: when[from], words: acts.join("; ") }));
}
