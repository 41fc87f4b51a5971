import type { MaterialClass } from "../catalogue";

/** What decides what the owner may do. Temperatures in °C. */
export interface OwnerFacts {
  readonly chain: readonly MaterialClass[];
  readonly ceramic: boolean;
  readonly food: boolean;
  readonly washed: boolean;
  readonly load: boolean;
}

export interface OwnerLine {
  readonly when: "today" | "full" | "never";
  readonly act: string;
}

/** The owner's lines in the order of time; what is never allowed comes last. "full" = once the last material is in full service. */
export function ownerLines(facts: OwnerFacts): OwnerLine[] {
  const softens = Math.min(...facts.chain.map(({ service_C }) => service_C[0]));
  const soaks = facts.chain.some(({ water }) => water !== "stands");
  const indoors = facts.chain.some(({ outdoor }) => !outdoor);
  const lines: ReadonlyArray<readonly [boolean, OwnerLine["when"], string]> = [
    [true, "today", "Carry it in both hands, touch beside the repair."],
    [facts.load, "full", "Load it as before, not before that day."],
    [facts.washed && !soaks, "full", `Wash it by hand, under ${softens} °C.`],
    [facts.washed && soaks, "full", `Wipe it with a damp cloth, under ${softens} °C.`],
    [!facts.washed, "full", "Use it as before; dust it dry."],
    [facts.ceramic || facts.food, "never", `Dishwasher, oven, microwave: the repair softens from ${softens} °C.`],
    [facts.food, "never", "Food or drink on the repair: it is decorative."],
    [soaks && !facts.ceramic, "never", "Soak it, or leave water standing on it."],
    [indoors, "never", "Outdoors: sun and frost break the repair down."],
  ];
  return lines.filter(([applies]) => applies).map(([, when, act]) => ({ when, act }));
}
