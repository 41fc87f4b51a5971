import type { Station } from "../catalogue";
import { SPOTS, type Spot } from "../fill/spots.data";
import { isPlaceOf } from "../record/opId";
import { all, damageOf, STATION_ORDER, type Treatment } from "../record/treatment";
import { plain, present } from "../units";
import { isBegun } from "./admit";
import type { Worked } from "./worked";

/** A place on the condition map where something was found of a filled face. */
export interface SpotView {
  readonly entry: string;
  readonly damage: string;
  /** "2.1": the first one of damage 2. */
  readonly label: string;
  readonly x: number;
  readonly y: number;
  readonly what: Spot;
  readonly depth_mm?: number;
  /** The round that it was met in; absent = it is open. */
  readonly round?: number;
}

/** What was found and marked, in its order; a round at Fill that covers its damage meets all that was marked before. */
export function spotsOf({ entries, damages, rounds }: Treatment): SpotView[] {
  const counts = new Map<string, number>();
  return all(entries, "spot-found").flatMap((entry) => {
    const damage = damageOf(entry);
    const number = damages.findIndex(({ id }) => id === damage) + 1;
    if (number === 0) return [];
    const n = (counts.get(damage) ?? 0) + 1;
    counts.set(damage, n);
    const { x, y, what, depth_mm } = entry.body;
    const met = rounds.findIndex(
      ({ seq, body }) => seq > entry.seq && body.station === "fill" && body.places.some((place) => isPlaceOf(place, damage)),
    );
    return [
      { entry: entry.id, damage, label: `${number}.${n}`, x, y, what, ...present({ depth_mm, round: met < 0 ? undefined : met + 2 }) },
    ];
  });
}

/** A round, what it was opened for, and whether anything of it is on record. */
export interface RoundView {
  readonly entry: string;
  readonly round: number;
  readonly station: Station;
  readonly places: readonly string[];
  readonly because: string;
  readonly begun: boolean;
}

/** The rounds of a treatment, in their order; `labels`: its places by name. */
export function roundViews(treatment: Treatment, labels: ReadonlyMap<string, string>): RoundView[] {
  return treatment.rounds.map(({ id, seq, body: { station, places, because } }, i) => ({
    entry: id,
    round: i + 2,
    station,
    places: places.map((place) => labels.get(place) ?? "a place"),
    because,
    begun: isBegun(treatment, seq),
  }));
}

/** The rounds that come through a station: opened for it or for one before it. */
export function roundsThrough(station: Station, treatment: Treatment, { repair }: Pick<Worked, "repair">): RoundView[] {
  const labels = new Map(repair.places.map((place) => [place.id, place.label]));
  return roundViews(treatment, labels).filter((round) => STATION_ORDER.indexOf(round.station) <= STATION_ORDER.indexOf(station));
}

/** What is open of them as the reason of a round, and the deepest that was measured, mm; undefined where nothing is open. */
export function roundFor(spots: readonly SpotView[]): { readonly because: string; readonly low_mm?: number } | undefined {
  const open = spots.filter(({ round }) => round === undefined);
  if (open.length === 0) return undefined;
  const low_mm = Math.max(0, ...open.map(({ depth_mm = 0 }) => depth_mm));
  const words = SPOTS.flatMap(({ spot, one, several }) => {
    const here = open.filter(({ what }) => what === spot);
    return here.length === 0 ? [] : [`${here.length} ${here.length === 1 ? one : several}`];
  }).join(", ");
  return { because: `${words}${low_mm > 0 ? `, up to ${plain(low_mm, 2)} mm low` : ""}`, ...(low_mm > 0 ? { low_mm } : {}) };
}
