"use client";
import { DRILL_SETS, type Drill, type DrillSet } from "@/core/join/drills.data";
import { useKept } from "../forms/kept";

interface Drawer {
  readonly set: DrillSet;
  /** Sizes of the set that this shop does not have. */
  readonly missing: readonly string[];
  /** Thickness of the jig that the router rides on, and the width of its bit, as typed. */
  readonly jig_mm: string;
  readonly bit_mm: string;
}

const START: Drawer = { set: "metric", missing: [], jig_mm: "12", bit_mm: "6" };

export interface ToolDrawer {
  readonly drawer: Drawer;
  readonly drills: readonly Drill[];
  readonly change: (to: Partial<Drawer>) => void;
}

/** Drills and router as they lie in this shop's drawer; kept on this device. */
export function useToolDrawer(): ToolDrawer {
  const [kept, keep] = useKept<Partial<Drawer>>("drills", START);
  const drawer = { ...START, ...kept };
  return {
    drawer,
    drills: DRILL_SETS[drawer.set].filter(({ label }) => !drawer.missing.includes(label)),
    change: (to) => keep({ ...drawer, ...to }),
  };
}
