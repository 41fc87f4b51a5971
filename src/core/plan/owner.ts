import { type OwnerLine, ownerLines } from "../close/ownerDates";
import type { Operation } from "./plan.schema";
import type { Repair } from "./repair";

/** What the owner may do with it, and from when, by what was surveyed and what it is mended with. `early`: something was done before its time. */
export function ownerOf({ damages, links, refer }: Pick<Repair, "damages" | "links" | "refer">, early: boolean): OwnerLine[] {
  // behind the shell, or inside, neither weather nor washing comes at it
  const sheltered = new Set(
    damages.flatMap(({ places }) => places.filter(({ hidden, kind }) => hidden && kind === "backing").map(({ id }) => id)),
  );
  const services = damages.map(({ survey }) => survey.service);
  return ownerLines({
    chain: links.filter(({ place }) => !sheltered.has(place)).map(({ material }) => material),
    ceramic: damages.some(({ context }) => context.f.on.family === "ceramic"),
    food: services.some(({ food }) => food === true),
    washed: services.some(({ wet }) => wet === true),
    load: services.some(({ load }) => load === true),
    early,
    weak: refer.some(({ code }) => code === "no-load"),
  });
}

const UNDER: readonly Operation["role"][] = ["colour", "levelling"];

/** Whether the cure of what an operation laid holds the owner up: primer and colour that are sealed in under a coat do not. */
export const holdsOwner = ({ role, damages }: Operation, all: readonly Operation[]): boolean =>
  !UNDER.includes(role) || !all.some((other) => other.role === "topcoat" && other.damages.some((id) => damages.includes(id)));
