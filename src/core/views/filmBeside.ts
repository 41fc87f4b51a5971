import { TYPICAL_FILM_UM } from "../catalogue";
import type { Measured } from "../level/budget";
import type { WorkedDamage } from "../plan/damageContext";

/** A film that was told, not gauged, is known to a fifth. */
const SURVEYED_OFF = 0.2;

/** The old film at a damage, µm: as Survey was told it, else as the finish usually has it; undefined where there is none. */
export function filmBeside({ survey: { damage }, context: { f } }: WorkedDamage): Measured | undefined {
  const told = "film_um" in damage ? damage.film_um : undefined;
  if (told !== undefined) return told > 0 ? { um: told, sd_um: told * SURVEYED_OFF, by: "survey" } : undefined;
  const typical = TYPICAL_FILM_UM[f.finish.finish];
  return typical && { um: typical[0], sd_um: typical[1], by: "typical" };
}
