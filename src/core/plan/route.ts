import { type Station, stationLabel } from "../catalogue";
import { STATION_ORDER, type Treatment } from "../record/treatment";
import { formatMinutes, type Wall } from "../units";
import { layersLaid, type NextAct } from "./nextAct";
import type { Plan } from "./plan";

export interface RouteStop {
  readonly station: Station;
  readonly label: string;
  readonly status: "walked" | "skipped" | "now" | "to-come" | "unneeded";
  /** Under the name: when it was done, or what it holds. */
  readonly sub: string;
  /** Waiting between this station and the next, in words; absent = none worth drawing. */
  readonly wait?: string;
  /** Layers or coats to come, drawn as a small loop. */
  readonly loop?: number;
}

/** Waits under this are not worth a hatch. */
const SHORTEST_WAIT_MIN = 45;

/** The route of a treatment as drawn above every station. */
export function routeOf(treatment: Treatment, plan: Plan | undefined, act: NextAct, wall: Wall, now: number): RouteStop[] {
  const here = treatment.closed ? undefined : act.station;
  return STATION_ORDER.map((station) => {
    const mark = treatment.stations[station];
    const planned = plan?.stations[station];
    const status = statusOf(station, here, mark?.status, planned?.needed ?? true);
    const ahead = status === "now" || status === "to-come";
    const wait = ahead && planned && planned.wait_min >= SHORTEST_WAIT_MIN ? formatMinutes(planned.wait_min) : undefined;
    const loop = station === "fill" && ahead && (plan?.fill?.count ?? 0) > 1 && layersLaid(treatment) === 0 ? plan?.fill?.count : undefined;
    return {
      station,
      label: stationLabel(station),
      status,
      sub: subOf(status, mark, planned?.note ?? "", planned?.hands_min, treatment.choice !== undefined || station === "match", wall, now),
      ...(wait ? { wait } : {}),
      ...(loop ? { loop } : {}),
    };
  });
}

function statusOf(station: Station, here: Station | undefined, mark: "done" | "skipped" | undefined, needed: boolean): RouteStop["status"] {
  if (station === here) return "now";
  if (mark === "skipped") return "skipped";
  if (mark === "done") return "walked";
  return needed ? "to-come" : "unneeded";
}

function subOf(
  status: RouteStop["status"],
  mark: Treatment["stations"][Station],
  note: string,
  hands: number | undefined,
  known: boolean,
  wall: Wall,
  now: number,
): string {
  switch (status) {
    case "walked":
      return mark ? wall.when(Date.parse(mark.at), now) : "";
    case "skipped":
      return "skipped";
    case "unneeded":
      return note;
    case "now":
      return note === "" ? "now" : note;
    case "to-come":
      return known && hands ? [note, formatMinutes(hands)].filter(Boolean).join(", ") : "";
  }
}
