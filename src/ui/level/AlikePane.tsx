"use client";
import type { Levelling } from "@/core/views/levelling";
import { Alike } from "./Alike";
import { Backing } from "./Backing";
import { WhichLevel } from "./WhichLevel";

/** What works like a rung in other systems, and what lies behind the paper. */
export function AlikePane({ levellings }: { levellings: readonly Levelling[] }) {
  return (
    <WhichLevel levellings={levellings}>
      {({ rungs }) => (
        <div className="grid gap-8 min-[1180px]:grid-cols-2">
          <Alike rungs={rungs} />
          <Backing />
        </div>
      )}
    </WhichLevel>
  );
}
