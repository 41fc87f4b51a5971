import { gradeLabel, type Station, stationLabel } from "../catalogue";
import { walk } from "../level/walk";
import { chosen, type Entry, is, materialTaken, STATION_ORDER, stationOf, type Treatment } from "../record/treatment";
import { counted, figure } from "../units";
import { coatsLaid, layersLaid } from "./nextAct";
import type { Plan } from "./plan";

/** A station's planned and real figures; minutes of hands. */
export interface ReviewRow {
  readonly station: Station;
  readonly label: string;
  readonly planned_min: number;
  readonly done_min: number;
  readonly planned: string;
  readonly done: string;
  readonly changed: boolean;
  /** Why it was changed or skipped, as recorded. */
  readonly why: string;
}

/** Planned against done, a row for each station that the plan needs. */
export function reviewOf(treatment: Treatment, plan: Plan): ReviewRow[] {
  return STATION_ORDER.filter((station) => plan.stations[station].needed && station !== "close").map((station) => {
    const entries = treatment.entries.filter((entry) => stationOf(entry) === station);
    const planned = PLANNED[station](plan);
    const done = treatment.stations[station]?.status === "skipped" ? "skipped" : DONE[station](treatment, plan);
    return {
      station,
      label: stationLabel(station),
      planned_min: plan.stations[station].hands_min,
      done_min: entries.reduce((sum, { body }) => sum + (("hands_min" in body ? body.hands_min : undefined) ?? 0), 0),
      planned,
      done,
      changed: planned !== done,
      why: reasons(entries).join("; "),
    };
  });
}

type Words = { readonly [S in Station]: (plan: Plan) => string };
const steps = (plan: Plan, station: Station) => counted(plan.stations[station].steps.length, "step");

const PLANNED: Words = {
  survey: () => "measured",
  match: () => "chosen",
  ready: (plan) => steps(plan, "ready"),
  join: (plan) => steps(plan, "join"),
  fill: ({ fill }) =>
    fill
      ? layersWord(
          fill.count,
          Array.from({ length: fill.count }, () => fill.apply_mm),
        )
      : "",
  level: ({ ladder }) =>
    ladder
      ? walk(ladder.from, ladder.to, [])
          .steps.map(({ grade }) => gradeLabel(grade))
          .join(" ")
      : "",
  colour: ({ coats }) => counted(coats.length, "coat"),
  close: () => "",
};

const DONE: { readonly [S in Station]: (treatment: Treatment, plan: Plan) => string } = {
  survey: ({ survey }) => (survey ? "measured" : "–"),
  match: ({ choice }) => (choice ? "chosen" : "–"),
  ready: (treatment, plan) => stepsDone(treatment, plan, "ready"),
  join: (treatment, plan) => stepsDone(treatment, plan, "join"),
  fill: (treatment) => {
    const count = layersLaid(treatment);
    return count === 0 ? "–" : layersWord(count, Object.values(treatment.placed));
  },
  level: ({ level }) => level.flatMap((entry) => (entry.kind === "grit-done" ? [gradeLabel(entry.grade)] : ["↩"])).join(" ") || "–",
  colour: (treatment) => (coatsLaid(treatment) === 0 ? "–" : counted(coatsLaid(treatment), "coat")),
  close: () => "",
};

/** Clamping counts as a step although its clock records it. */
function stepsDone({ steps: marks, clocks }: Treatment, plan: Plan, station: Station): string {
  const ticked = Object.entries(marks).filter(([key]) => key.startsWith(`${station}/`));
  const done =
    ticked.filter(([, { status }]) => status === "done").length +
    (station === "join" && clocks.some(({ body }) => body.kind === "clamped") ? 1 : 0);
  const planned = plan.stations[station].steps.length;
  return done === planned ? counted(done, "step") : `${done} of ${counted(planned, "step")}`;
}

function layersWord(count: number, thick: readonly number[]): string {
  const even = thick.length > 0 && thick.every((mm) => figure(mm, 1) === figure(thick[0] ?? 0, 1));
  return `${count} × ${even ? figure(thick[0] ?? 0, 1) : thick.map((mm) => figure(mm, 1)).join(" + ")} mm`;
}

function reasons(entries: readonly Entry[]): string[] {
  return entries.flatMap((entry) => {
    if (is(entry, "step-skipped")) return [`${entry.body.step.replaceAll("-", " ")} skipped: ${entry.body.reason}`];
    if (is(entry, "station-skipped")) return [entry.body.reason];
    return is(entry, "went-back") ? [`back to ${gradeLabel(entry.body.to)}: ${entry.body.reason}`] : [];
  });
}

/** Materials that were used, with what was weighed. */
export interface UsedRow {
  readonly material: string;
  readonly what: string;
  readonly at: string;
  readonly parts: string;
  readonly climate: string;
}

export function materialsUsed({ clocks }: Treatment): UsedRow[] {
  const what = { mixed: "layer", clamped: "joint", coated: "coat" } as const;
  return clocks.map(({ at, body }) => ({
    material: materialTaken(body).name,
    what: `${what[body.kind]} ${body.layer}`,
    at,
    parts: body.parts?.map(({ name, actual_g }) => `${name} ${figure(actual_g, 2)} g`).join(" : ") ?? "",
    climate: `${figure(body.climate.temp_C, 1)} °C, ${figure(body.climate.rh_pct, 0)} % RH`,
  }));
}

/** The chain as chosen, in words. */
export function chainWords(treatment: Treatment): string {
  return Object.values(chosen(treatment))
    .map((taken) => materialTaken(taken).name)
    .join(" → ");
}
