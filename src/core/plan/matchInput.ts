import type { Finish, Substrate } from "../catalogue";
import type { MatchInput } from "../match/match.schema";
import { flagsOf } from "../survey/consequences";
import { lossOf } from "../survey/loss";
import type { Damage } from "../survey/measures.data";
import type { Survey } from "../survey/survey.schema";

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

/** What Match asks, from what Survey found: the damage's depth and gap in mm, how the piece is used, the room's °C. */
export function matchInputOf(
  { substrate, finish }: { readonly substrate: Substrate; readonly finish: Finish },
  { service, working_min, inspected, earlier_glue, finish_survives }: Survey,
  damage: Damage,
  climate_C: number,
): Omit<MatchInput, "stance"> {
  const { depth_mm, gap_mm } = lossOf(damage);
  const found = flagsOf(inspected);
  const measures = Object.entries(damage).filter(([name]) => LOOKED_AT.includes(name) && !isSectionOfALoss(damage, name));
  return {
    substrate,
    finish,
    damage: { kind: damage.kind, gap_mm, ...(depth_mm > 0 ? { depth_mm } : {}), ...Object.fromEntries(measures) },
    service,
    climate_C,
    ...(working_min === undefined ? {} : { working_min }),
    ...(Object.keys(found).length > 0 ? { found } : {}),
    ...(earlier_glue === undefined ? {} : { earlier_glue }),
    ...(finish_survives === undefined ? {} : { finish_survives }),
  };
}

/** The width of a crack or of a bare place is no section that a brace is sized by. */
function isSectionOfALoss({ kind }: Damage, measure: string): boolean {
  return (
    (measure === "width_mm" || measure === "diameter_mm") && kind !== "break-along" && kind !== "break-across" && kind !== "loose-joint"
  );
}
