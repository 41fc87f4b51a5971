"use client";
import { type ReactNode, useState } from "react";
import type { Levelling } from "@/core/views/levelling";
import { Segmented } from "../forms/Segmented";
import { useOpenOperation } from "../operations/openOperation";

interface Props {
  readonly levellings: readonly Levelling[];
  readonly children: (level: Levelling) => ReactNode;
}

/** One of those that are levelled: that of the open operation, until another is chosen. */
export function WhichLevel({ levellings, children }: Props) {
  const open = useOpenOperation();
  const [chosen, choose] = useState<string>();
  const of = (damage: string | undefined) => levellings.find((each) => each.damage === damage);
  const level = of(chosen) ?? levellings.find(({ damage }) => open?.damages.includes(damage)) ?? levellings[0];
  if (!level) return null;
  return (
    <div className="grid gap-3">
      {levellings.length > 1 && (
        <Segmented
          label="What is levelled"
          value={level.damage}
          options={levellings.map(({ damage, label }) => [damage, label] as const)}
          onChange={choose}
        />
      )}
      {children(level)}
    </div>
  );
}
