import type { Grade } from "../catalogue";
import type { Shaping, Texture } from "../fill/shaping.data";
import type { SizedBrace } from "../join/sizing";
import type { Setting } from "../operation/subject";
import type { Damage } from "../survey/measures.data";
import type { FoundLayers, WalkedRung } from "./foundLayers";
import type { PlanLink, WorkPlace } from "./links";

/** How a loss is filled where it is not as proposed. */
export interface FillPlan {
  readonly shaping?: Shaping;
  readonly texture?: Texture;
  readonly proud_mm?: number;
  /** What is mixed over the need, percent. */
  readonly extra_pct?: number;
  readonly volumes?: ReadonlyArray<{ readonly place: string; readonly cm3: number; readonly by: string }>;
}

/** A setting as it is worked out: with the geometry of its places, and what the log tells of them. */
export interface Context extends Omit<Setting, "places" | "links"> {
  readonly damage: Damage;
  readonly places: readonly WorkPlace[];
  readonly links: readonly PlanLink[];
  readonly fill?: FillPlan;
  /** What was measured and mixed of its layers. */
  readonly found?: FoundLayers;
  /** Grades that were gone back to, in their order; and the rungs that were walked: what is not, is not walked twice, and what was, was there. */
  readonly back?: readonly Grade[];
  readonly walked?: readonly WalkedRung[];
  /** The brace that is let in, sized. */
  readonly brace?: SizedBrace;
}
