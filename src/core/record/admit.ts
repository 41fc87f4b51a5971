import { stationLabel } from "../catalogue";
import type { Taken } from "../match/match.schema";
import type { EventBody, EventKind } from "./events.schema";
import { chosen, materialTaken, type Treatment } from "./treatment";

type Check<K extends EventKind> = (treatment: Treatment, body: Extract<EventBody, { kind: K }>) => string | undefined;

const needsChoice = ({ choice }: Treatment) => (choice ? undefined : "Choose the materials at Match first.");
/** Work is admitted on a choice, or on the decision to do without one. */
const needsWork = (treatment: Treatment) => (treatment.settled ? undefined : needsChoice(treatment));
const needsSurvey = ({ survey }: Treatment) => (survey ? undefined : "Survey the damage first.");

const inChain = (treatment: Treatment, taken: Taken) =>
  needsChoice(treatment) ??
  (Object.values(chosen(treatment)).some((link) => link.class === taken.class)
    ? undefined
    : `${materialTaken(taken).name} is not in the chain you chose: choose it at Match first.`);

/** What must be true before an entry may stand in the log; a kind that is missing is always admitted. */
const CHECKS: { readonly [K in EventKind]?: Check<K> } = {
  matched: needsSurvey,
  mixed: (treatment, body) => inChain(treatment, body),
  clamped: (treatment, body) => inChain(treatment, body),
  coated: (treatment, body) => inChain(treatment, body),
  placed: ({ clocks }, { layer }) =>
    clocks.some(({ body }) => body.kind === "mixed" && body.layer === layer) ? undefined : `Layer ${layer} has not been mixed yet.`,
  "ladder-set": needsChoice,
  "grit-done": needsChoice,
  "went-back": needsChoice,
  "station-done": (treatment, { station }) =>
    station === "survey" || station === "match" ? `${stationLabel(station)} is done by saving it.` : needsWork(treatment),
  closed: (treatment) => (treatment.closed ? "It is closed already." : needsSurvey(treatment)),
  reopened: ({ closed }) => (closed ? undefined : "It is not closed."),
};

const AFTER_CLOSE: readonly EventKind[] = ["reopened", "noted", "withdrawn", "closed"];

/** Why this entry can't stand in the log, in one sentence; undefined when it can. */
export function admit(treatment: Treatment, body: EventBody): string | undefined {
  if (treatment.closed && !AFTER_CLOSE.includes(body.kind)) return "This treatment is closed. Reopen it at Close, with a reason.";
  return checkOf(treatment, body);
}

function checkOf<K extends EventKind>(treatment: Treatment, body: Extract<EventBody, { kind: K }>): string | undefined {
  return (CHECKS[body.kind as K] as Check<K> | undefined)?.(treatment, body);
}
