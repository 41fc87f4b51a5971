import type { MaterialClass, Range } from "../catalogue";
import { leafCost } from "../colour/leaf";
import { PAD_EUR, sandedOver, sheetsFor, WIPE_EUR } from "../level/rung";
import { LIMITS } from "../survey/inspection.data";
import type { DamageInput, WorkedDamage } from "./damageContext";
import type { Operation } from "./plan.schema";

/** Minutes or euros added up, low to high. */
export const sumRanges = (ranges: readonly Range[]): Range => [
  ranges.reduce((sum, [low]) => sum + low, 0),
  ranges.reduce((sum, [, high]) => sum + high, 0),
];

/** Longest way through the operations with their waits, one pair of hands not counted twice; minutes, low to high. */
export function elapsed(operations: readonly Operation[]): Range {
  const ends = [0, 1].map((end) => {
    const finished = new Map<string, number>();
    let hands = 0;
    let latest = 0;
    for (const { id, after, hands_min } of operations) {
      const ready = Math.max(0, ...after.map(({ op, min_range }) => (finished.get(op) ?? 0) + (min_range[end] ?? 0)));
      const start = Math.max(ready, 0);
      const stop = start + (hands_min[end] ?? 0);
      hands += hands_min[end] ?? 0;
      finished.set(id, stop);
      latest = Math.max(latest, stop);
    }
    return Math.max(latest, hands);
  });
  return [ends[0] ?? 0, ends[1] ?? 0];
}

/** What is bought by the piece costs about this, €: a dowel, a strip of veneer, a sheet of fabric. Trade practice. */
const PIECE_EUR: Range = [0.5, 4];

/** Material by mass and price, leaf by leaf, paper by the quarter sheet, pads and wipes, and what a way buys by the piece; €. */
export function costOf(damages: readonly WorkedDamage[], operations: readonly Operation[]): Range {
  const materials = new Map<string, MaterialClass>(
    damages.flatMap(({ links }) => links.map(({ class: name, material }) => [name, material] as const)),
  );
  const byMass = operations
    .filter(({ mass_g, mixed }) => mass_g !== undefined && !mixed)
    .map(({ class: name, mass_g = 0 }): Range => {
      const price = materials.get(name ?? "")?.price_eur_kg ?? [0, 0];
      return [(mass_g / 1000) * price[0], (mass_g / 1000) * price[1]];
    });
  const pieces = damages.flatMap(({ links }) =>
    links.filter(({ role, class: name }) => role === "brace" || name === "wood-inlay").map(() => PIECE_EUR),
  );
  const leaves = damages.flatMap(({ links, places }) =>
    links.flatMap(({ place, material }) => (material.leaf ? [leafCost(material.leaf, placeOf(places, place)?.area_mm2 ?? 0)] : [])),
  );
  const used = operations.flatMap((operation): Range[] => {
    if (operation.kind === "grit") return [sheetsFor(faceOf(damages, operation)).eur, WIPE_EUR];
    return operation.kind === "compound" ? [PAD_EUR, WIPE_EUR] : [];
  });
  return sumRanges([...byMass, ...pieces, ...leaves, ...used, ...damages.flatMap(({ way }) => (way.extra_eur ? [way.extra_eur] : []))]);
}

/** How much of a face an operation sands, mm². */
export const faceOf = (damages: readonly WorkedDamage[], { places }: Operation): number =>
  damages
    .flatMap((damage) => damage.places)
    .filter(({ id }) => places.includes(id))
    .reduce((sum, { opening_mm2, area_mm2 = 0, alike = 1 }) => sum + sandedOver(opening_mm2 ?? area_mm2) * alike, 0);

const placeOf = (places: WorkedDamage["places"], id: string) => places.find((place) => place.id === id);

export type Referral = { readonly code: string; readonly message: string };

/** Where the shop's licence ends at a damage, or a load that nobody should trust to a repair. */
const licence = ({ survey, joint }: WorkedDamage): Referral[] => [
  ...LIMITS.filter(({ limit, level }) => level === "refer" && survey.limits?.[limit]).map(
    ({ limit, says }): Referral => ({ code: limit, message: says }),
  ),
  ...(joint?.warnings ?? []).filter(({ code }) => code === "refer"),
];

const missing = (damage: WorkedDamage): Referral[] =>
  damage.missing.map(({ role, because, warm_C }) => ({
    code: warm_C === undefined ? "no-material" : "too-cold",
    message: `${damage.id}: nothing serves as ${role}${warm_C === undefined ? "" : " in this cold"}. ${because}`,
  }));

/** Everything that is referred, missing or to be minded before hands are laid on it, once. */
export function referrals(damages: readonly WorkedDamage[]): Referral[] {
  const found = damages.flatMap((damage) => [...licence(damage), ...missing(damage), ...(damage.joint?.warnings ?? [])]);
  return found.filter(({ message }, i) => found.findIndex((each) => each.message === message) === i);
}

/** A stop: it should be referred and nobody said why not, or nothing serves and nothing was chosen all the same. */
export const isStopped = (inputs: readonly DamageInput[], damages: readonly WorkedDamage[]): boolean =>
  damages.some((damage, i) => {
    const { override, choose = [] } = inputs[i] ?? {};
    if (override) return false;
    return licence(damage).length > 0 || (choose.length === 0 && damage.missing.some(({ warm_C }) => warm_C === undefined));
  });
