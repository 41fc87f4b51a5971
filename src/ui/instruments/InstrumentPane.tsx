"use client";
import { Tabs } from "radix-ui";
import { type ReactNode, useState } from "react";
import { type Instrument, instrumentLabel } from "@/core/views/instrument";
import { SignShape } from "../signs/Sign";

interface Props {
  /** Changes when another operation is opened, or the open one is done: what belongs to it comes forward then, and a tab that was chosen stays until. */
  readonly turn: string;
  /** What is there, in the order of its tabs. */
  readonly there: readonly Instrument[];
  /** What belongs to the open operation: it stands in front, and its tab carries its sign. */
  readonly front: Instrument | undefined;
  /** The open operation can be done now. */
  readonly up: boolean;
  readonly bodies: Readonly<Partial<Record<Instrument, ReactNode>>>;
}

/** The pane beside what to do: one instrument fills it, the others are a tab away. What is not shown is not fetched. */
export function InstrumentPane({ turn, there, front, up, bodies }: Props) {
  const [picked, pick] = useState<{ readonly turn: string; readonly tab: string }>();
  const shown = there.find((each) => picked?.turn === turn && each === picked?.tab) ?? front ?? there[0];
  return (
    <Tabs.Root value={shown ?? ""} onValueChange={(tab) => pick({ turn, tab })} asChild>
      <section aria-label="Instrument" className="instrument">
        <Tabs.List aria-label="Instruments" className="instrument-tabs">
          {there.map((each) => (
            <Tabs.Trigger key={each} value={each} className="instrument-tab">
              {each === front && up && (
                <span className="text-verdigris">
                  <SignShape name="go" size={10} />
                </span>
              )}
              {instrumentLabel(each)}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        {there.map((each) => (
          <Tabs.Content key={each} value={each} className="instrument-body">
            {bodies[each]}
          </Tabs.Content>
        ))}
      </section>
    </Tabs.Root>
  );
}
