import type { EventBody, EventKind } from "../record/events.schema";
import type { Treatment } from "../record/treatment";
import { inSentence } from "../units";
import { actsOf } from "./acts";
import type { Worked } from "./worked";

/** What an entry is held against: the log, the plan at the moment it speaks of. */
export interface Asked {
  readonly treatment: Treatment;
  readonly worked: Worked | undefined;
  /** Ms since the epoch: when it was done. */
  readonly at: number;
}

type Check<K extends EventKind> = (asked: Asked, body: Extract<EventBody, { kind: K }>) => string | undefined;

const needsSurvey = ({ treatment }: Asked) => (treatment.damages.length > 0 ? undefined : "Survey the damage first.");
const needsPlan = ({ treatment, worked }: Asked) =>
  needsSurvey({ treatment, worked, at: 0 }) ?? (worked ? undefined : "Choose the materials at Match first.");

/** What must be true before an entry may stand in the log; a kind that is missing is always admitted. */
const CHECKS: { readonly [K in EventKind]?: Check<K> } = {
  matched: ({ treatment }, { damage = "d1" }) =>
    treatment.damages.some(({ id }) => id === damage) ? undefined : "Survey the damage first.",
  done: admitDone,
  skipped: (asked, { op }) => needsPlan(asked) ?? knownOp(asked, op),
  "round-opened": (asked, { places }) => {
    const known = new Set(asked.worked?.repair.places.map(({ id }) => id));
    return (
      needsPlan(asked) ?? places.filter((place) => !known.has(place)).map((place) => `There is no place ${place} in this treatment.`)[0]
    );
  },
  closed: (asked) => (asked.treatment.closed ? "It is closed already." : needsSurvey(asked)),
  reopened: ({ treatment }) => (treatment.closed ? undefined : "It is not closed."),
};

function knownOp({ worked }: Asked, op: string): string | undefined {
  return worked?.repair.operations.some(({ id }) => id === op)
    ? undefined
    : `There is no operation ${op} in this plan: it may have changed since you opened the page.`;
}

/** Too early, too late and out of order are possible with a reason, which the record keeps; a second time is not. */
function admitDone(asked: Asked, { op, against }: Extract<EventBody, { kind: "done" }>): string | undefined {
  const missing = needsPlan(asked) ?? knownOp(asked, op);
  if (missing || !asked.worked) return missing;
  const act = actsOf(asked.worked, asked.at).find((each) => each.op.id === op);
  if (!act) return undefined;
  if (act.state === "done" || act.state === "skipped") return "It is on record already: take that back first.";
  if (act.needs === "nothing" || against) return undefined;
  return `${act.because} ${act.consequence ?? ""} Say why it is done all the same${act.because ? "" : `: ${inSentence(act.op.text)}`}.`;
}

const AFTER_CLOSE: readonly EventKind[] = ["reopened", "noted", "withdrawn", "closed"];

/** Why this entry can't stand in the log, in one sentence; undefined when it can. */
export function admit(asked: Asked, body: EventBody): string | undefined {
  if (asked.treatment.closed && !AFTER_CLOSE.includes(body.kind)) return "This treatment is closed. Reopen it at Close, with a reason.";
  return checkOf(asked, body);
}

function checkOf<K extends EventKind>(asked: Asked, body: Extract<EventBody, { kind: K }>): string | undefined {
  return (CHECKS[body.kind as K] as Check<K> | undefined)?.(asked, body);
}
