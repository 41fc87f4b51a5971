"use client";
import type { Levelling } from "@/core/views/levelling";
import { SurfaceLeft } from "./SurfaceLeft";
import { WhichLevel } from "./WhichLevel";

/** The surface that the ladder leaves. */
export function SurfacePane({ levellings }: { levellings: readonly Levelling[] }) {
  return <WhichLevel levellings={levellings}>{(level) => <SurfaceLeft key={level.damage} level={level} />}</WhichLevel>;
}
