"use client";
import type { ReactNode } from "react";
import { PaneTabs } from "../instruments/PaneTabs";

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
  const counts: Readonly<Partial<Record<SurveyTab, string>>> = {
    ...(open > 0 ? { use: `${open} open` } : {}),
    ...(ways > 0 ? { ways: String(ways) } : {}),
  };
  const tabs = TABS.map(([name, label]) => ({
    name,
    label: (
      <>
        {label}
        {counts[name] && <span className="sub">{counts[name]}</span>}
      </>
    ),
    body: bodies[name],
  }));
  return <PaneTabs tabs={tabs} shown={tab} show={(next) => show(next as SurveyTab)} />;
}
