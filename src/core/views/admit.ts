import { gradeLabel, sameGrade } from "../catalogue";
import { gradeIn } from "../level/ladder";
import type { GradeInput } from "../level/ladder.schema";
import type { Operation } from "../plan/plan.schema";
import type { EventBody, EventKind, LogEntry } from "../record/events.schema";
import { readOpId } from "../record/opId";
import type { Treatment } from "../record/treatment";
import { DAMAGE_LABELS } from "../survey/measures.data";
import { wayRow } from "../survey/ways";
import { inSentence, present } from "../units";
import { actState, minutesAtIt, WHY } from "./actState";
import { actsOf } from "./acts";
import type { Worked } from "./worked";

/** What an entry is held against: the log, the plan at the moment it speaks of. */
export interface Asked {
  readonly treatment: Treatment;
  readonly worked: Worked | undefined;
  /** Ms since the epoch: when it was done. */
  readonly at: number;
  /** That time was typed: it is held against what the record says of before. */
  readonly past?: boolean;
  /** What it takes back or corrects; the treatment is read without it. */
  readonly back?: LogEntry;
}

/** Why not, in one sentence; with the field that it is said of where it is one field's. */
export type Refusal = string | { readonly path: string; readonly message: string };

type Check<K extends EventKind> = (asked: Asked, body: Extract<EventBody, { kind: K }>) => Refusal | undefined;

const needsSurvey = ({ treatment }: Asked) => (treatment.damages.length > 0 ? undefined : "Survey the damage first.");
const needsPlan = ({ treatment, worked }: Asked) =>
  needsSurvey({ treatment, worked, at: 0 }) ?? (worked ? undefined : "Choose the materials at Match first.");

/** What must be true before an entry may stand in the log; a kind that is missing is always admitted. */
const CHECKS: { readonly [K in EventKind]?: Check<K> } = {
  surveyed: (_, { survey: { damage }, way }) =>
    way && !wayRow(damage.kind, way.way)
      ? {
          path: "/body/way/way",
          message: `“${way.way}” is no way to meet ${inSentence(DAMAGE_LABELS[damage.kind])}: choose one of Survey’s.`,
        }
      : undefined,
  matched: ({ treatment }, { damage = "d1" }) =>
    treatment.damages.some(({ id }) => id === damage) ? undefined : "Survey the damage first.",
  done: admitDone,
  "batch-mixed": (asked, { op, start, against, hands_min }) => {
    const planned = asked.worked?.repair.operations.find(({ id }) => id === op);
    if (planned && (planned.kind !== "mix" || planned.class !== start.class))
      return "Nothing of that class is mixed there: the plan may have changed since you opened the page. Look at the step again.";
    return admitDone(asked, { kind: "done", op, ...present({ against, hands_min }) });
  },
  "found-soft": (asked, { op }) => needsPlan(asked) ?? (asked.worked?.clocks.has(op) ? undefined : "No clock was started there."),
  "came-out": (asked, { op }) =>
    needsPlan(asked) ??
    (asked.worked?.marks.get(op)?.status === "done" ? undefined : "It is not on record as done: it can’t have come out yet."),
  parted: ({ treatment }, { damage }) => {
    if (!treatment.damages.some(({ id }) => id === damage)) return "There is no such damage in this treatment.";
    return treatment.damages.length > 1 ? undefined : "It is the only damage here: it is treated apart already.";
  },
  skipped: (asked, { op }) => needsPlan(asked) ?? knownOp(asked, op),
  "round-opened": (asked, { places }) => {
    const known = new Set(asked.worked?.repair.places.map(({ id }) => id));
    return (
      needsPlan(asked) ?? places.filter((place) => !known.has(place)).map((place) => `There is no place ${place} in this treatment.`)[0]
    );
  },
  "fill-set": (asked, { damage = "d1", volumes = [] }) => {
    const known = new Set(asked.worked?.repair.places.map(({ id }) => id));
    const strange = volumes.find(({ place }) => !known.has(place));
    return needsPlan(asked) ?? knownDamage(asked, damage) ?? (strange && `There is no place ${strange.place} in this treatment.`);
  },
  "spot-found": (asked, { damage = "d1" }) => needsPlan(asked) ?? knownDamage(asked, damage),
  "stepped-back": (asked, { damage = "d1", to }) => needsPlan(asked) ?? knownDamage(asked, damage) ?? walkedRung(asked, damage, to),
  withdrawn: ({ treatment, back }) => (back?.body.kind === "round-opened" && isBegun(treatment, back.seq) ? BEGUN : undefined),
  closed: (asked) => (asked.treatment.closed ? "It is closed already." : needsSurvey(asked)),
  reopened: ({ treatment }) => (treatment.closed ? undefined : "It is not closed."),
};

const BEGUN = "Something of it, or of a round after it, is on record: take that back first, then the round.";

/** Whether anything of a round, or of one after it, is on record; `seq`: of the entry that opened it. */
export function isBegun({ rounds, marks }: Treatment, seq: number): boolean {
  const number = rounds.filter((each) => each.seq < seq).length + 2;
  return [...marks.keys()].some((op) => (readOpId(op)?.round ?? 1) >= number);
}

const knownDamage = ({ treatment }: Asked, damage: string): string | undefined =>
  treatment.damages.some(({ id }) => id === damage) ? undefined : "There is no such damage in this treatment.";

/** One goes back to a grade that was walked: to no other is there a way back. */
function walkedRung({ worked }: Asked, damage: string, to: GradeInput): string | undefined {
  const grade = gradeIn(to);
  if (!grade) return `${to.grade} is no grade of its system.`;
  const walked = worked?.repair.operations.some(
    (op) => op.name === "grit" && op.grade && sameGrade(op.grade, grade) && worked.marks.has(op.id) && op.damages.includes(damage),
  );
  return walked ? undefined : `${gradeLabel(grade)} was not walked here: sand with it as a step of your own.`;
}

function knownOp({ worked }: Asked, op: string): string | undefined {
  return worked?.repair.operations.some(({ id }) => id === op)
    ? undefined
    : `There is no operation ${op} in this plan: it may have changed since you opened the page.`;
}

/** Too early, too late and out of order are possible with a reason, which the record keeps; a second time is not. */
function admitDone(asked: Asked, { op, against, hands_min }: Extract<EventBody, { kind: "done" }>): Refusal | undefined {
  const missing = needsPlan(asked) ?? knownOp(asked, op);
  if (missing || !asked.worked) return missing;
  const act = actsOf(asked.worked, asked.at).find((each) => each.op.id === op);
  if (!act) return undefined;
  if (act.state === "done" || act.state === "skipped") return "It is on record already: take that back first.";
  if (against) return undefined;
  const later = asked.past ? standsAfter(asked.worked, act.op, asked.at) : undefined;
  if (later) return { path: WHY, message: `${later} Correct the time, or say why it is right all the same.` };
  const { until, from } = act;
  // hands that were longer at it than planned began it sooner
  const inTime =
    act.state === "too-late" && actState({ from, until, hands_min: minutesAtIt(act.op.hands_min, hands_min) }, asked.at) !== "too-late";
  if (act.needs === "nothing" || inTime) return undefined;
  const what = act.because ? "" : `: ${inSentence(act.op.title)}`;
  return { path: WHY, message: `${act.because} ${act.consequence ?? ""} Say why it is done all the same${what}.` };
}

/** A minute is the finest time that is typed, ms. */
const MINUTE = 60_000;

/** What must have gone before and is on record for later, or, of two coats or layers, for the same minute. */
function standsAfter({ repair, marks }: Worked, { after, starts }: Operation, at: number): string | undefined {
  const before = after.flatMap(({ op }) => {
    const mark = marks.get(op);
    const known = repair.operations.find(({ id }) => id === op);
    return mark?.status === "done" && known ? [{ known, time: Date.parse(mark.at) }] : [];
  });
  const later = before.find(({ time }) => time >= at + MINUTE);
  if (later) return `It comes after “${inSentence(later.known.title)}”, which is on record for later than that.`;
  const same = before.find(({ known, time }) => starts && known.starts && Math.abs(time - at) < MINUTE);
  return same ? `“${same.known.title}” is on record for the same minute.` : undefined;
}

const AFTER_CLOSE: readonly EventKind[] = ["reopened", "noted", "withdrawn", "closed"];

/** Why this entry can't stand in the log, in one sentence; undefined when it can. */
export function admit(asked: Asked, body: EventBody): Refusal | undefined {
  if (asked.treatment.closed && !AFTER_CLOSE.includes(body.kind)) return "This treatment is closed. Reopen it at Close, with a reason.";
  return checkOf(asked, body);
}

function checkOf<K extends EventKind>(asked: Asked, body: Extract<EventBody, { kind: K }>): Refusal | undefined {
  return (CHECKS[body.kind as K] as Check<K> | undefined)?.(asked, body);
}
