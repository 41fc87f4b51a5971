import type { MaterialClass } from "../catalogue";

/** What decides what the owner may do. Temperatures in °C. */
export interface OwnerFacts {
  readonly chain: readonly MaterialClass[];
  readonly ceramic: boolean;
  readonly food: boolean;
  readonly washed: boolean;
  readonly load: boolean;
  /** Something was done before its time: nothing is promised before full cure. */
  readonly early: boolean;
  /** The safety reached is under what is asked. */
  readonly weak: boolean;
}

export interface OwnerLine {
  readonly when: "today" | "full" | "never";
  readonly act: string;
}

/** The owner's lines in the order of time; what is never allowed comes last. "full" = once the last material is in full service. */
export function ownerLines(facts: OwnerFacts): OwnerLine[] {
  const softens = Math.min(200, ...facts.chain.map(({ service_C }) => service_C[0]));
  const soaks = facts.chain.some(({ water }) => water !== "stands");
  const indoors = facts.chain.some(({ outdoor }) => !outdoor);
  const lines: ReadonlyArray<readonly [boolean, OwnerLine["when"], string]> = [
    [!facts.early, "today", "Carry it in both hands, touch beside the repair."],
    [facts.early, "full", "Carry it. It waits for that day because something was done before its time."],
    [facts.load && !facts.weak, "full", "Load it as before; no load until then."],
    [facts.washed && !soaks, "full", `Wash it by hand, under ${softens} °C.`],
    [facts.washed && soaks, "full", `Wipe it with a damp cloth, under ${softens} °C.`],
    [!facts.washed && !facts.weak, "full", "Use it as before; dust it dry."],
    [facts.weak, "never", "Load it, or let a person trust it: the joint holds less than is asked."],
    [facts.ceramic || facts.food, "never", `Dishwasher, oven, microwave: the repair softens from ${softens} °C.`],
    [facts.food, "never", "Food or drink on the repair: it is decorative."],
    [soaks && !facts.ceramic, "never", "Soak it, or leave water standing on it."],
    [indoors, "never", "Outdoors: sun and frost break the repair down."],
  ];
  return lines.filter(([applies]) => applies).map(([, when, act]) => ({ when, act }));
}
