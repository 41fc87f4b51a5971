import { rescue } from "./rescue";

/** What a scale tells at a moment: grams in its pan since it was tared, and whether they have come to rest. */
export interface Reading {
  readonly g: number;
  readonly stable: boolean;
}

/** Where a part stands while it is poured. */
export interface Guide {
  readonly state: "under" | "near" | "there" | "over";
  /** Grams still to go; below zero it is over. */
  readonly left_g: number;
}

/** A part may miss its weight by this much: of the 5 % that data sheets of two-part resins allow between parts, less than half. Percent. */
const PART_OFF_PCT = 2;
/** From here on it is poured drop by drop, percent of the part; trade practice. */
const SLOWLY_PCT = 10;
/** Steps of the scale from which on it is poured drop by drop. */
const SLOWLY_STEPS = 5;

/** By how much a part may be off, g: what the ratio bears, and never less than the scale can tell. */
export const allowed_g = (target_g: number, step_g: number): number => Math.max(step_g, (target_g * PART_OFF_PCT) / 100);

/** How far a part has come; grams. */
export function guide(target_g: number, poured_g: number, step_g: number): Guide {
  const left_g = target_g - poured_g;
  const off = allowed_g(target_g, step_g);
  if (left_g < -off - 1e-9) return { state: "over", left_g };
  if (left_g <= off + 1e-9) return { state: "there", left_g };
  const slowly = Math.max((target_g * SLOWLY_PCT) / 100, SLOWLY_STEPS * step_g);
  return { state: left_g <= slowly ? "near" : "under", left_g };
}

/** What a line of a scale's cable says: a reading, or why it is none. */
export type ScaleLine = { readonly ok: true; readonly reading: Reading } | { readonly ok: false; readonly words: string };

const GRAMS: Readonly<Record<string, number>> = { "": 1, g: 1, mg: 0.001, kg: 1000 };
const OTHER_UNITS = /^(lb|lbs|oz|ozt|dwt|gn|ct|pcs|%)$/;
/** More than this no bench scale weighs, g. */
const MOST_G = 100_000;

/**
 * One line of what bench scales send: a number with its sign and unit, before it marks such as `ST`/`US` or `S S`/`S D` (come to rest, still
 * moving), net or gross. A line without such a mark counts as at rest. Grams.
 */
export function readScaleLine(line: string): ScaleLine {
  const text = line.replaceAll(/[^\x20-\x7e]/g, "").trim();
  if (/\b(OL|UL|ERR?|EL)\b|^S [I+-]$|^-{3,}$/i.test(text)) return { ok: false, words: "The scale is overloaded or not level." };
  const found = /^(?<marks>[A-Za-z, ]*?)[ ,]*(?<sign>[+-]?)\s*(?<number>\d+(?:[.,]\d+)?)\s*(?<unit>[A-Za-z%]*)\s*\??$/.exec(text)?.groups;
  if (!found) return { ok: false, words: "The scale sends something that is no weight. Look at its baud rate." };
  const unit = (found.unit ?? "").toLowerCase();
  if (OTHER_UNITS.test(unit)) return { ok: false, words: `The scale sends ${found.unit}: set it to grams.` };
  const factor = GRAMS[unit];
  const g = Number((found.number ?? "").replace(",", ".")) * (factor ?? Number.NaN) * (found.sign === "-" ? -1 : 1);
  if (!Number.isFinite(g)) return { ok: false, words: `The scale sends ${found.unit}, which is not known here: set it to grams.` };
  if (Math.abs(g) > MOST_G) return { ok: false, words: "The scale sends a weight that no bench scale has." };
  return { ok: true, reading: { g, stable: !/\b(US|S D|D)\b/.test((found.marks ?? "").toUpperCase()) } };
}

/** At rest: the last readings lie within one step of one another. */
export function atRest(last: readonly number[], step_g: number): boolean {
  return last.length >= 4 && Math.max(...last) - Math.min(...last) <= step_g + 1e-9;
}

/** A part as it is planned, g. */
export interface PlannedPart {
  readonly name: string;
  readonly mass_g: number;
}

/** What is poured next: so much of a part, on top of what is there of it. */
export interface Pour {
  readonly part: number;
  readonly target_g: number;
  /** It brings back a ratio that was overshot. */
  readonly rescue: boolean;
}

/** What data sheets of two-part resins allow between their parts, percent. */
export const RATIO_OFF_PCT = 5;

/**
 * What to pour next, after what was poured of each part (undefined = nothing yet): the parts in their order, each in the ratio to the one
 * that ran ahead, so that what was overshot grows the rest instead of being thrown away; then what brings the ratio back; undefined = done.
 * Grams, ratio by mass. Mass balance.
 */
export function nextPour(parts: readonly PlannedPart[], poured_g: readonly (number | undefined)[]): Pour | undefined {
  const ahead = Math.max(0, ...parts.map(({ mass_g }, i) => (poured_g[i] ?? 0) / mass_g));
  const part = parts.findIndex((_, i) => poured_g[i] === undefined);
  if (part >= 0) return { part, target_g: (parts[part]?.mass_g ?? 0) * (ahead || 1), rescue: false };
  const state = ratioOf(parts, poured_g);
  const [short] = state?.within_tolerance === false ? state.add : [];
  return short && { part: parts.findIndex(({ name }) => name === short.name), target_g: short.mass_g, rescue: true };
}

/** How far the parts are off their ratio, and what they come to; undefined while nothing is poured, or there is one part alone. */
export function ratioOf(parts: readonly PlannedPart[], poured_g: readonly (number | undefined)[]) {
  if (parts.length < 2 || !poured_g.some((g) => (g ?? 0) > 0)) return undefined;
  const so_far = parts.map(({ name, mass_g }, i) => ({ name, ratio: mass_g, poured_g: poured_g[i] ?? 0 }));
  return rescue({ parts: so_far, tolerance_pct: RATIO_OFF_PCT });
}
