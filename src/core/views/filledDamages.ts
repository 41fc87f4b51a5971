import type { Treatment } from "../record/treatment";
import { present } from "../units";
import { type PlaceView, placeViews } from "./operationView";
import type { Worked } from "./worked";

/** A damage of which something is filled: where it is on the condition map, and what of it can be filled again. */
export interface FilledDamage {
  readonly damage: string;
  readonly title: string;
  readonly mark?: { readonly x: number; readonly y: number };
  readonly places: readonly PlaceView[];
}

/** Those of the damages that have filled places, with these alone. */
export function filledDamages(treatment: Treatment, worked: Worked, damages: ReadonlyArray<Omit<FilledDamage, "places">>): FilledDamage[] {
  const filled = new Set(worked.repair.links.flatMap(({ place, role }) => (place !== undefined && role === "filler" ? [place] : [])));
  const places = placeViews(treatment, worked).filter(({ id }) => filled.has(id));
  return damages.flatMap(({ damage, title, mark }) => {
    const here = places.filter((place) => place.damage === damage);
    return here.length > 0 ? [{ damage, title, places: here, ...present({ mark }) }] : [];
  });
}
