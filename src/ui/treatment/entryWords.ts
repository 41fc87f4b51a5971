import { gradeLabel, STANCE_LABELS, stationLabel } from "@/core/catalogue";
import type { BodyOf, EventBody, EventKind } from "@/core/record/events.schema";
import { materialTaken } from "@/core/record/treatment";
import { lossOf } from "@/core/survey/loss";
import { DAMAGE_LABELS } from "@/core/survey/measures.data";
import { optionLabel } from "@/core/survey/options.data";
import { counted, figure, inSentence, plain } from "@/core/units";

type Sayings = { readonly [K in EventKind]: (body: BodyOf<K>) => string };

const started = ({ parts, ...taken }: BodyOf<"mixed" | "clamped" | "coated">) => {
  const grams = parts?.map((part) => `${part.name} ${figure(part.actual_g, 2)} g`).join(", ");
  return `${materialTaken(taken).name}${grams ? ` (${grams})` : ""}`;
};

/** Each kind of entry in the words of the log; complete by type. */
const SAY: Sayings = {
  surveyed: ({ survey, decision }) =>
    `Surveyed: ${DAMAGE_LABELS[survey.damage.kind].toLowerCase()}, ${lossOf(survey.damage).size}${
      decision ? `. ${optionLabel(survey.damage.kind, decision.option)}: ${decision.reason}` : ""
    }`,
  "step-added": ({ text }) => `Added a step: ${text}`,
  "steps-ordered": ({ station }) => `Put the steps of ${stationLabel(station)} in another order`,
  "dry-run": ({ minutes, two_marks, items }) =>
    `Dry run: ${plain(minutes)} min, ${counted(items.length, "thing")} on the clamp map, ${two_marks ? "two marks meet" : "no marks"}`,
  "shards-mapped": ({ count, touching }) => `Mapped ${count} shards, ${counted(touching.length, "touch", "touches")}`,
  "form-chosen": ({ form, reason }) => `Form: ${form}${reason ? `. ${reason}` : ""}`,
  braced: ({ brace, size, judged_by, reason }) =>
    `Brace: ${brace}${size.diameter_mm ? ` Ø ${plain(size.diameter_mm)} mm` : ""}${judged_by?.load_N ? `, judged by ${plain(judged_by.load_N)} N` : ""}${reason ? `. ${reason}` : ""}`,
  marked: () => "Moved the mark on the condition map",
  matched: ({ stance, chain }) =>
    `Chose ${chain.map((link) => inSentence(materialTaken(link).name)).join(" → ")}, ${STANCE_LABELS[stance].toLowerCase()}`,
  "step-done": ({ step, note }) => `Done: ${step.replaceAll("-", " ")}${note ? `. ${note}` : ""}`,
  "step-skipped": ({ step, reason }) => `Skipped: ${step.replaceAll("-", " ")}. ${reason}`,
  mixed: (body) => `Mixed layer ${body.layer}: ${started(body)}`,
  clamped: (body) => `Clamped: ${started(body)}`,
  coated: (body) => `Laid coat ${body.layer}: ${started(body)}`,
  placed: ({ layer, applied_mm }) => `Placed layer ${layer}, ${plain(applied_mm, 2)} mm`,
  measured: ({ layer, surface_mm }) => `Measured layer ${layer}: ${plain(Math.abs(surface_mm), 2)} mm ${surface_mm < 0 ? "low" : "proud"}`,
  "ladder-set": ({ from, to }) => `Ladder set from ${gradeLabel(from)} to ${gradeLabel(to)}`,
  "grit-done": ({ grade }) => `Sanded with ${gradeLabel(grade)}`,
  "went-back": ({ to, reason }) => `Went back to ${gradeLabel(to)}: ${reason}`,
  "station-done": ({ station, note }) => `${stationLabel(station)} done${note ? `. ${note}` : ""}`,
  "station-skipped": ({ station, reason }) => `${stationLabel(station)} skipped: ${reason}`,
  noted: ({ text }) => `Note: ${text}`,
  closed: ({ signed_by, notes }) => `Signed and closed by ${signed_by}${notes ? `: ${notes}` : ""}`,
  reopened: ({ reason }) => `Reopened: ${reason}`,
  withdrawn: ({ reason }) => `Taken back${reason ? `: ${reason}` : ""}`,
};

/** An entry in one line. */
export function entryWords(body: EventBody): string {
  return say(body);
}

function say<K extends EventKind>(body: BodyOf<K>): string {
  return (SAY[body.kind as K] as (b: BodyOf<K>) => string)(body);
}
