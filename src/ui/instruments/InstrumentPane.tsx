"use client";
import { type ReactNode, useState } from "react";
import { type Instrument, instrumentLabel } from "@/core/views/instrument";
import { SignShape } from "../signs/Sign";
import { PaneTabs } from "./PaneTabs";

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

/** The instruments of a station, the one of the open operation in front. */
export function InstrumentPane({ turn, there, front, up, bodies }: Props) {
  const [picked, pick] = useState<{ readonly turn: string; readonly tab: string }>();
  const shown = there.find((each) => picked?.turn === turn && each === picked?.tab) ?? front ?? there[0];
  const tabs = there.map((name) => ({
    name,
    label: (
      <>
        {name === front && up && (
          <span className="text-verdigris">
            <SignShape name="go" size={10} />
          </span>
        )}
        {instrumentLabel(name)}
      </>
    ),
    body: bodies[name],
  }));
  return <PaneTabs tabs={tabs} shown={shown ?? ""} show={(tab) => pick({ turn, tab })} />;
}
