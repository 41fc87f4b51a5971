"use client";
import { Tabs } from "radix-ui";
import type { ReactNode } from "react";

interface PaneTab {
  readonly name: string;
  readonly label: ReactNode;
  readonly body: ReactNode;
}

interface Props {
  readonly tabs: readonly PaneTab[];
  readonly shown: string;
  readonly show: (name: string) => void;
  /** Stands at the end of the tabs. */
  readonly right?: ReactNode;
  /** Stands below whichever is shown. */
  readonly below?: ReactNode;
}

/** The right pane of a station: one body fills it, the others are a tab away. What is not shown is not fetched. */
export function PaneTabs({ tabs, shown, show, right, below }: Props) {
  return (
    <Tabs.Root value={shown} onValueChange={show} asChild>
      <section aria-label="Instrument" className="instrument">
        <div className="instrument-tabs">
          <Tabs.List aria-label="Instruments" className="flex flex-wrap gap-x-[26px]">
            {tabs.map(({ name, label }) => (
              <Tabs.Trigger key={name} value={name} className="instrument-tab">
                {label}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          {right && <div className="flex flex-wrap items-center gap-3 py-1">{right}</div>}
        </div>
        {tabs.map(({ name, body }) => (
          <Tabs.Content key={name} value={name} className="instrument-body">
            {body}
          </Tabs.Content>
        ))}
        {below && <div className="max-h-[50%] shrink-0 overflow-auto border-t border-ash-deep px-5">{below}</div>}
      </section>
    </Tabs.Root>
  );
}
