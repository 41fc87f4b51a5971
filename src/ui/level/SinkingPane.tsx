"use client";
import type { Levelling } from "@/core/views/levelling";
import { ShrinkCurve } from "./ShrinkCurve";
import { WhichLevel } from "./WhichLevel";

/** How much the fill still sinks. */
export function SinkingPane({ levellings }: { levellings: readonly Levelling[] }) {
  return <WhichLevel levellings={levellings}>{({ wait }) => wait && <ShrinkCurve wait={wait} />}</WhichLevel>;
}
