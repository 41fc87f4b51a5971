import { joinsASitting } from "../ready/assembly";
import type { Context, PlanLink, WorkPlace } from "./context";
import { lagOf } from "./lag";

/** Joins of the sitting that is the `i`th, from 1. */
export const joinsIn = ({ joins = 1 }: WorkPlace, sittings: number, i: number): number =>
  Math.floor(joins / sittings) + (i <= joins % sittings ? 1 : 0);

/** Sittings of shards, by the low end of the open time; acrylic resin in solvent is laid join by join in one sitting. */
export function sittingsOf(c: Context, { joins = 1 }: WorkPlace, { material }: PlanLink): number {
  const working = lagOf(material, ["working"], 0.1, c.air);
  const grabs = (lagOf(material, ["handle"], 0.1, c.air)?.min ?? Infinity) < 20;
  if (joins <= 1 || grabs) return 1;
  const open = working?.range[0] ?? Infinity;
  // a resin that dries in minutes is brushed on one join at a time, each held until it tacks
  if (open < 10) return 1;
  return Math.max(1, Math.ceil(joins / joinsASitting(open)));
}
