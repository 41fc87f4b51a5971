import type { MatchInput } from "../match/match.schema";
import { lossOf } from "../survey/loss";
import type { Survey } from "../survey/survey.schema";
import type { PieceFacts } from "./plan";

/** What Match asks, from what Survey found: the damage's depth and gap in mm, how the piece is used, the room's °C. */
export function matchInputOf(
  { substrate, finish }: Pick<PieceFacts, "substrate" | "finish">,
  { damage, service, working_min }: Survey,
  climate_C: number,
): Omit<MatchInput, "stance"> {
  const { depth_mm, gap_mm } = lossOf(damage);
  return {
    substrate,
    finish,
    damage: {
      kind: damage.kind,
      gap_mm,
      ...(depth_mm > 0 ? { depth_mm } : {}),
      ...(damage.kind === "crack" ? { closes: damage.closes } : {}),
    },
    service,
    climate_C,
    ...(working_min === undefined ? {} : { working_min }),
  };
}
