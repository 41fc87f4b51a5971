"use client";
import { Tabs } from "radix-ui";
import type { ReactNode } from "react";

const TABS = [
  ["damage", "Drawing"],
  ["map", "Condition map"],
  ["use", "Use and inspection"],
  ["ways", "Ways"],
] as const;
export type SurveyTab = (typeof TABS)[number][0];

/** Fields that stand in another tab than the measures. */
const ELSEWHERE: Readonly<Record<string, SurveyTab>> = { heat_C: "use", working_min: "use", found: "use", way_reason: "ways" };

/** The tab in which the first wrong field stands; those of the measures stand in the card, beside the drawing. */
export function tabOf(wrong: readonly string[]): SurveyTab {
  const inCard = wrong.find((field) => ELSEWHERE[field] === undefined);
  const [first] = wrong;
  return inCard === undefined && first !== undefined ? (ELSEWHERE[first] ?? "damage") : "damage";
}

interface Props {
  readonly tab: SurveyTab;
  readonly show: (tab: SurveyTab) => void;
  /** Questions that are open, and ways that were found. */
  readonly open: number;
  readonly ways: number;
  readonly bodies: Readonly<Record<SurveyTab, ReactNode>>;
}

/** What stands beside the damage that is measured: its drawing, where it is, how it is used and was found, the ways to meet it. */
export function SurveyPane({ tab, show, open, ways, bodies }: Props) {
  const count = { damage: 0, map: 0, use: open, ways };
  return (
    <Tabs.Root value={tab} onValueChange={(next) => show(next as SurveyTab)} asChild>
      <section aria-label="Instrument" className="instrument">
        <Tabs.List aria-label="Instruments" className="instrument-tabs">
          {TABS.map(([each, label]) => (
            <Tabs.Trigger key={each} value={each} className="instrument-tab">
              {label}
              {count[each] > 0 && <span className="sub">{each === "use" ? `${count[each]} open` : count[each]}</span>}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        {TABS.map(([each]) => (
          <Tabs.Content key={each} value={each} className="instrument-body">
            {bodies[each]}
          </Tabs.Content>
        ))}
      </section>
    </Tabs.Root>
  );
}
