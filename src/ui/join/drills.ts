"use client";
import { useEffect, useState } from "react";
import { DRILL_SETS, type Drill, type DrillSet } from "@/core/join/drills.data";

const KEY = "wanderjahr:drills";

interface Owned {
  readonly set: DrillSet;
  /** Sizes of the set that this shop does not have. */
  readonly missing: readonly string[];
}

const START: Owned = { set: "metric", missing: [] };

/** The drills that lie in this shop's drawer; kept on this device. */
export function useDrills(): { readonly owned: Owned; readonly drills: readonly Drill[]; readonly keep: (owned: Owned) => void } {
  const [owned, setOwned] = useState(START);
  useEffect(() => {
    const kept = localStorage.getItem(KEY);
    if (kept) setOwned(JSON.parse(kept) as Owned);
  }, []);
  const keep = (next: Owned) => {
    localStorage.setItem(KEY, JSON.stringify(next));
    setOwned(next);
  };
  return { owned, drills: DRILL_SETS[owned.set].filter(({ label }) => !owned.missing.includes(label)), keep };
}
