import type { Finish, Substrate } from "../catalogue";
import type { MatchInput } from "../match/match.schema";
import { flagsOf } from "../survey/consequences";
import type { Damage } from "../survey/measures.data";
import { buildOf, CLOSED_FILM_MM } from "../survey/place";
import type { Survey } from "../survey/survey.schema";
import { present } from "../units";
import type { WorkPlace } from "./links";

/** Measures of a damage that a rule of Match looks at by their own name. */
const LOOKED_AT = [
  "broken",
  "film_um",
  "diameter_mm",
  "closes",
  "shards",
  "tension",
  "cause_present",
  "width_mm",
  "height_mm",
  "thickness_mm",
  "base_mm",
  "swelling_mm",
];

/** What Match asks, from what Survey found: depth and gap of the places that the way makes, mm, how the piece is used, the room's °C. */
export function matchInputOf(
  { substrate, finish, finish_to_be }: { readonly substrate: Substrate; readonly finish: Finish; readonly finish_to_be?: Finish },
  { damage, service, working_min, inspected, earlier_glue, finish_survives }: Survey,
  places: readonly WorkPlace[],
  climate_C: number,
): Omit<MatchInput, "stance"> {
  const found = flagsOf(inspected);
  const measures = Object.entries(damage).filter(([name]) => LOOKED_AT.includes(name) && !isSectionOfALoss(damage, name));
  return {
    substrate,
    finish,
    damage: { kind: damage.kind, ...extentOf(places), ...Object.fromEntries(measures) },
    service,
    climate_C,
    ...(working_min === undefined ? {} : { working_min }),
    ...(Object.keys(found).length > 0 ? { found } : {}),
    ...(earlier_glue === undefined ? {} : { earlier_glue }),
    ...present({ finish_to_be, finish_survives: finish_to_be === undefined ? finish_survives : false }),
  };
}

/** The widest gap between faces, else the narrow side of what is filled; the deepest void. Each link is judged by its own place's. */
function extentOf(places: readonly WorkPlace[]): { readonly gap_mm: number; readonly depth_mm?: number } {
  const faces = places.filter(({ kind }) => kind === "faces" || kind === "backing");
  const voids = places.filter(({ solids = [] }) => solids.length > 0);
  const depth_mm = Math.max(0, ...voids.map(buildOf));
  const gaps = faces.length > 0 ? faces.map((place) => place.gap_mm?.[1] ?? CLOSED_FILM_MM) : voids.map((place) => place.opening_mm ?? 0);
  return { gap_mm: Math.max(CLOSED_FILM_MM, ...gaps), ...(depth_mm > 0 ? { depth_mm } : {}) };
}

/** The width of a crack or of a bare place is no section that a brace is sized by. */
function isSectionOfALoss({ kind }: Damage, measure: string): boolean {
  return (
    (measure === "width_mm" || measure === "diameter_mm") && kind !== "break-along" && kind !== "break-across" && kind !== "loose-joint"
  );
}
