import type { Finish, Substrate } from "../catalogue";
import { type Job, jobOf } from "./jobs.fixture";
import type { PlanInput } from "./plan.schema";

type Survey = PlanInput["damages"][number]["survey"];

/** A piece of one part with one damage, planned in a room of 20 °C and 50 %. */
export function pieceOf(
  substrate: Substrate,
  finish: Finish,
  damage: Survey["damage"],
  over: {
    service?: Survey["service"];
    stance?: PlanInput["stance"];
    temp_C?: number;
    rh_pct?: number;
    choose?: PlanInput["damages"][number]["choose"];
  } = {},
): Job {
  const { service = {}, stance = "service", temp_C = 20, rh_pct = 50, choose } = over;
  return jobOf({
    piece: { kind: "other", parts: [{ id: "p", substrate, finish }] },
    damages: [{ id: "d1", part: "p", survey: { damage, service }, ...(choose ? { choose } : {}) }],
    stance,
    climate: { temp_C, rh_pct },
    at: "2026-10-07T09:00:00+02:00",
  });
}

/** The class taken in a role, at whichever place. */
export const takes = ({ links }: Job, role: string): string | undefined => links.find((link) => link.role === role)?.class;
/** Waits of all operations that a material binds, added up, minutes. */
export const waits = ({ operations }: Job): number =>
  operations.flatMap(({ after }) => after).reduce((sum, { min_min }) => sum + min_min, 0);

/** A chip that a thumb covers. */
export const CHIP = { kind: "chip", length_mm: 12, depth_mm: 4, thickness_mm: 2 } as const;
