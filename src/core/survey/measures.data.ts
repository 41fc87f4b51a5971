import type { DamageKind } from "../catalogue";

/** One thing that is measured of a damage. Lengths are kept in mm and may be typed in inches. */
export interface Measure {
  readonly name: string;
  readonly label: string;
  readonly type: "length" | "count" | "yesno";
  readonly min: number;
  readonly max: number;
  readonly optional?: boolean;
  /** What is said when the figure is beyond what Wanderjahr plans. */
  readonly hint: string;
}

const length = <N extends string>(name: N, label: string, max: number, hint: string, min = 0.05) => ({ name, label, type: "length", min, max, hint }) as const;

/** What is measured of each kind that Survey can record. A new kind is a new entry here, with its loss in `loss.ts`. */
export const MEASURES = {
  chip: [length("length_mm", "Length along the edge", 1000, "the length of the chip along the rim or edge"), length("depth_mm", "Depth down from the edge", 500, "how far the chip reaches in from the edge"), length("thickness_mm", "Thickness of the wall", 300, "the wall measured beside the chip")],
  corner: [length("a_mm", "First edge", 1000, "from the lost corner along the first edge"), length("b_mm", "Second edge", 1000, "from the lost corner along the second edge"), length("c_mm", "Third edge", 1000, "from the lost corner along the third edge")],
  hole: [length("diameter_mm", "Diameter", 500, "the hole at the surface"), length("depth_mm", "Depth", 500, "the hole, or the wall where it goes through"), { name: "through", label: "Goes right through", type: "yesno", min: 0, max: 1, hint: "a through hole needs a backing" }],
  crack: [
    length("length_mm", "Length", 3000, "the crack along its run"),
    length("width_mm", "Width at the surface", 50, "a feeler gauge or a card shows it", 0.01),
    length("depth_mm", "Depth", 300, "a wire shows it; the wall where it goes through"),
    { name: "closes", label: "Closes by hand or clamp", type: "yesno", min: 0, max: 1, hint: "decides between gluing and filling" },
  ],
  shards: [
    { name: "shards", label: "Number of shards", type: "count", min: 2, max: 500, hint: "all pieces, the largest included" },
    length("break_length_mm", "Length of all breaks", 20_000, "every break line, added up"),
    length("thickness_mm", "Thickness at the break", 300, "the wall where it broke"),
    { ...length("gap_mm", "Missing slivers, width", 20, "the gap that stays open in the dry fit; 0 when it closes", 0), optional: true },
  ],
} as const satisfies Partial<Record<DamageKind, readonly Measure[]>>;

export type MeasuredKind = keyof typeof MEASURES;

export const MEASURED_KINDS = Object.keys(MEASURES) as MeasuredKind[];

export const DAMAGE_LABELS: Readonly<Record<MeasuredKind, string>> = {
  chip: "Edge chip",
  corner: "Lost corner",
  hole: "Hole",
  crack: "Crack",
  shards: "Clean break",
};

type ValueOf<M extends Measure> = M["type"] extends "yesno" ? boolean : number;
type MeasuredAs<Row extends readonly Measure[]> = {
  readonly [M in Row[number] as M extends { optional: true } ? never : M["name"]]: ValueOf<M>;
} & { readonly [M in Row[number] as M extends { optional: true } ? M["name"] : never]?: ValueOf<M> };

/** A damage with the measurements of its kind. */
export type Damage = { readonly [K in MeasuredKind]: { readonly kind: K } & MeasuredAs<(typeof MEASURES)[K]> }[MeasuredKind];
export type DamageOf<K extends MeasuredKind> = Extract<Damage, { kind: K }>;
