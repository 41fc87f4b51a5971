import type { Grade } from "../catalogue";
import { DRILL_SETS, type Drill } from "../join/drills.data";
import type { Tools } from "../operation/subject";
import type { Paper, Shop } from "./shop.schema";

/** The set of drills that is sold in the shop's units. */
export const drillSet = ({ units }: Pick<Shop, "units">): readonly Drill[] => DRILL_SETS[units === "mm" ? "metric" : "inch"];

/** The drills of that set that lie in the drawer. */
export const drillsHere = (shop: Pick<Shop, "units" | "drills_missing">): Drill[] =>
  drillSet(shop).filter(({ label }) => !shop.drills_missing.includes(label));

/** What a plan may count on. */
export function toolsOf(shop: Shop): Tools {
  const { scale_step_g, jig_mm, bit_mm, papers, drills_missing } = shop;
  return {
    scale_step_g,
    jig_mm,
    bit_mm,
    ...(papers.length > 0 ? { grits: (papers as (Paper & Grade)[]).filter(({ sheets = 1 }) => sheets > 0) } : {}),
    ...(drills_missing.length > 0 ? { drills: drillsHere(shop) } : {}),
  };
}
