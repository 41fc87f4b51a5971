import { type OwnerLine, ownerLines } from "../close/ownerDates";
import type { Repair } from "./repair";

/** What the owner may do with it, and from when, by what was surveyed and what it is mended with. `early`: something was done before its time. */
export function ownerOf({ damages, links, refer }: Pick<Repair, "damages" | "links" | "refer">, early: boolean): OwnerLine[] {
  const services = damages.map(({ survey }) => survey.service);
  return ownerLines({
    chain: links.map(({ material }) => material),
    ceramic: damages.some(({ context }) => context.f.on.family === "ceramic"),
    food: services.some(({ food }) => food === true),
    washed: services.some(({ wet }) => wet === true),
    load: services.some(({ load }) => load === true),
    early,
    weak: refer.some(({ code }) => code === "no-load"),
  });
}
