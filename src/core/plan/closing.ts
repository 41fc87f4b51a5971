import { type MaterialClass, stationLabel } from "../catalogue";
import { type OwnerLine, ownerLines } from "../close/ownerDates";
import { handsMinutes, STATION_ORDER, type Treatment } from "../record/treatment";
import type { RunningCure } from "./clocks";
import { type Plan, plannedSteps } from "./plan";
import { type ReviewRow, reviewOf } from "./review";

/** What Close and the printed record show; minutes, and ms since the epoch. */
export interface ClosingView {
  readonly review: readonly ReviewRow[];
  readonly hands_min: number;
  readonly planned_min: number;
  readonly elapsed_min: number;
  readonly owner: readonly OwnerLine[];
  /** When the last material is in full service. */
  readonly full_at?: number;
  /** The steps as planned now, to be kept by the signature. */
  readonly steps: ReturnType<typeof plannedSteps>;
  /** Stations that are still open. */
  readonly open: readonly string[];
  readonly closed?: { readonly at: string; readonly notes: string; readonly signed_by: string };
}

export function closingView(treatment: Treatment, plan: Plan, cures: readonly RunningCure[], now: number): ClosingView {
  const { closed, survey } = treatment;
  const first = treatment.entries[0];
  const end = closed ? Date.parse(closed.at) : now;
  const fulls = cures.flatMap(({ stages }) => stages.filter(({ stage }) => stage === "full").flatMap(({ at }) => at ?? []));
  const service = survey?.body.survey.service ?? {};
  const chain = Object.values(plan.facts.chain) as MaterialClass[];
  return {
    review: reviewOf(treatment, plan),
    hands_min: handsMinutes(treatment),
    planned_min: plan.hands_min,
    elapsed_min: first ? (end - Date.parse(first.at)) / 60_000 : 0,
    owner: ownerLines({
      chain,
      ceramic: plan.facts.on.family === "ceramic",
      food: service.food === true,
      washed: service.wet === true,
      load: service.load === true,
    }),
    ...(fulls.length > 0 ? { full_at: Math.max(...fulls) } : {}),
    steps: plannedSteps(plan),
    open: STATION_ORDER.filter(
      (station) => station !== "close" && plan.stations[station].needed && treatment.stations[station] === undefined,
    ).map(stationLabel),
    ...(closed ? { closed: { at: closed.at, notes: closed.body.notes, signed_by: closed.body.signed_by } } : {}),
  };
}
