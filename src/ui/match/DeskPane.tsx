"use client";
import { type ReactNode, useState } from "react";
import { PaneTabs } from "../instruments/PaneTabs";
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
  const [shown, show] = useState<string>("candidates");
  const tabs = TABS.filter(([name]) => bodies[name] !== null).map(([name, label]) => ({ name, label, body: bodies[name] }));
  return (
    <DeskContext value={acts}>
      <PaneTabs tabs={tabs} shown={shown} show={show} right={right} below={whatIf} />
    </DeskContext>
  );
}
