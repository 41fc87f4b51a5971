import type { PlanInput } from "../plan/plan.schema";
import { plan } from "../plan/planCalc";
import { BODY_VERSION, type EventBody, type LogEntry } from "../record/events.schema";
import { readLog, type Treatment } from "../record/treatment";
import { minutesAtIt } from "./actState";
import { type Act, actsOf } from "./acts";
import { admit } from "./admit";
import { actAt } from "./brief";
import { briefOf } from "./briefOf";
import { AIR, idOf, MINUTE, NOON } from "./story.fixture";
import { type PieceFacts, type Worked, worked } from "./worked";

/** A job as a treatment's log has it before hands begin, its links as the plan takes them. */
export interface JobLog {
  readonly piece: PieceFacts;
  readonly log: readonly LogEntry[];
}

const entry = (log: readonly LogEntry[], at: number, body: EventBody): LogEntry => ({
  id: idOf(log.length + 1),
  seq: log.length + 1,
  v: BODY_VERSION,
  at: new Date(at).toISOString(),
  by: "M.",
  body,
});

/** The survey and the choice of every damage of a job, on record at noon. */
function settled(input: PlanInput): JobLog {
  const { links } = plan(input);
  const { piece, damages, stance } = input;
  const log: LogEntry[] = [];
  const part = piece.parts[0]?.id ?? "";
  for (const damage of damages)
    log.push(
      entry(log, NOON, {
        kind: "surveyed",
        damage: damage.id,
        part: damage.part ?? part,
        survey: damage.survey,
        hands_min: 0,
        ...(damage.way ? { way: { way: damage.way, reason: "as the job has it" } } : {}),
      }),
    );
  for (const { id } of damages) {
    const chain = links
      .filter(({ place }) => place.startsWith(`${id}/`))
      .map(({ role, class: name, place, overridden }) => ({ place, role, class: name, ...(overridden ? { because: overridden } : {}) }));
    if (chain.length > 0) log.push(entry(log, NOON, { kind: "matched", damage: id, stance, chain, hands_min: 0 }));
  }
  const parts = piece.parts.map(({ finish = "none", ...rest }) => ({ finish, ...rest }));
  return { piece: { kind: piece.kind ?? "other", part, parts }, log };
}

/** What a treatment is at a time. */
export interface Now {
  readonly treatment: Treatment;
  readonly worked: Worked;
  readonly acts: readonly Act[];
}

export function nowOf({ piece, log }: JobLog, now: number): Now {
  const treatment = readLog(log);
  const found = worked(piece, treatment, AIR, { constant_C: AIR.temp_C }, now);
  if (!found) throw new Error("nothing is chosen");
  return { treatment, worked: found, acts: actsOf(found, now) };
}

/** What is entered when an operation is done as it was planned. */
const asPlanned = ({ op }: Act): EventBody => ({
  kind: "done",
  op: op.id,
  hands_min: minutesAtIt(op.hands_min),
  ...(op.starts && op.class
    ? {
        start: {
          class: op.class,
          thickness_mm: op.thickness_mm ?? 1,
          ...(op.parts ? { parts: op.parts.map(({ name, mass_g }) => ({ name, planned_g: mass_g })) } : {}),
          climate: AIR,
        },
      }
    : {}),
});

const AGAINST = ["too-early", "too-late", "blocked"] as const;

/** An act as it is entered at a time, ms: against the plan only with a reason. */
function entered(act: Act, over: { readonly because?: string } = {}): EventBody {
  const against = AGAINST.find((state) => state === act.state);
  return { ...asPlanned(act), ...(against ? { against: { state: against, because: over.because ?? "it had to be" } } : {}) } as EventBody;
}

/** A job that was worked to its end. */
export interface Walked extends JobLog {
  /** What did not go as planned: after its window, out of order, refused. */
  readonly wrong: readonly string[];
  readonly end: number;
}

/** What Bench says first, done for as long as it was planned; undefined where only the signature is left. */
function next({ piece, log }: JobLog, now: number): { readonly act: Act; readonly end: number } | undefined {
  const { treatment, worked: seen, acts } = nowOf({ piece, log }, now);
  const { op: first } = actAt(briefOf(treatment, seen, now), now);
  const planned = acts.find(({ op }) => op.id === first);
  if (!planned || planned.op.kind === "sign") return undefined;
  const begun = planned.state === "too-early" ? Math.max(now, Math.ceil((planned.from ?? now) / MINUTE) * MINUTE) : now;
  const end = begun + minutesAtIt(planned.op.hands_min) * MINUTE;
  const act = actsOf(seen, end).find(({ op }) => op.id === first) ?? planned;
  const refusal = admit({ treatment, worked: seen, at: end }, entered(act));
  if (refusal) throw new Error(`${act.op.id}: ${typeof refusal === "string" ? refusal : refusal.message}`);
  return { act, end };
}

/**
 * A job worked by hands that never tire, as Bench says it; where what it says has to be waited for, as soon as it may be. An act is on record
 * from when it is done: that is when it is pressed.
 * @param found what is found when an act is done, and entered with it
 * @throws {Error} where it does not come to its end
 */
export function walk(input: PlanInput, found: (act: Act) => EventBody | undefined = () => undefined): Walked {
  const { piece, log: before } = settled(input);
  const log = [...before];
  const wrong: string[] = [];
  let now = NOON + MINUTE;
  for (let i = 0; i < 1000; i++) {
    const step = next({ piece, log }, now);
    if (!step) return { piece, log, wrong, end: now };
    const { act, end } = step;
    if (act.state !== "now") wrong.push(`${act.op.id} ${act.state}: ${act.because}`);
    now = end;
    log.push(entry(log, now, entered(act)));
    const then = found(act);
    if (then) log.push(entry(log, now, then));
  }
  throw new Error("it does not come to its end");
}

/** The same acts at their own times, entered afterwards in another order: what does not stand yet is entered with a reason. */
export function enteredLater({ piece, log }: JobLog, order: (log: readonly LogEntry[]) => readonly LogEntry[]): JobLog {
  const settledBefore = log.filter(({ body }) => body.kind !== "done");
  const later = [...settledBefore];
  for (const { at, body } of order(log.filter((each) => each.body.kind === "done"))) {
    const { treatment, worked: found } = nowOf({ piece, log: later }, Date.parse(at));
    const asked = { treatment, worked: found, at: Date.parse(at), past: true };
    const because = "written up in another order";
    const said = admit(asked, body) === undefined ? body : ({ ...body, against: { state: "blocked", because } } as EventBody);
    const refusal = admit(asked, said);
    if (refusal) throw new Error(typeof refusal === "string" ? refusal : refusal.message);
    later.push(entry(later, Date.parse(at), said));
  }
  return { piece, log: later };
}
