"use client";
import { Tabs } from "radix-ui";
import type { ReactNode } from "react";
import type { DeskTab } from "./deskAnswer";
import { type DeskActs, DeskContext } from "./deskContext";

const TABS = [
  ["candidates", "Candidates"],
  ["facts", "Every fact"],
  ["chain", "Conditions"],
  ["build", "By hand"],
] as const;

interface Props {
  readonly bodies: Readonly<Record<DeskTab | "build", ReactNode>>;
  /** Stands at the end of the tabs. */
  readonly right: ReactNode;
  readonly acts: DeskActs;
  readonly whatIf: ReactNode;
}

/** What stands beside the chain: candidates by what tells them apart, every fact, conditions, what is set by hand; below, what if. */
export function DeskPane({ bodies, right, acts, whatIf }: Props) {
  const there = TABS.filter(([each]) => bodies[each] !== null && bodies[each] !== undefined);
  return (
    <Tabs.Root defaultValue="candidates" asChild>
      <section aria-label="Instrument" className="instrument">
        <div className="instrument-tabs justify-between">
          <Tabs.List aria-label="Instruments" className="flex flex-wrap gap-x-[26px]">
            {there.map(([each, label]) => (
              <Tabs.Trigger key={each} value={each} className="instrument-tab">
                {label}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          <div className="flex flex-wrap items-center gap-3 py-1">{right}</div>
        </div>
        <DeskContext value={acts}>
          {there.map(([each]) => (
            <Tabs.Content key={each} value={each} className="instrument-body">
              {bodies[each]}
            </Tabs.Content>
          ))}
        </DeskContext>
        <div className="max-h-[50%] shrink-0 overflow-auto border-t border-ash-deep px-5">{whatIf}</div>
      </section>
    </Tabs.Root>
  );
}
