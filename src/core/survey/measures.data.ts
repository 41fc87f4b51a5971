import type { DamageKind } from "../catalogue";

interface Asked {
  readonly name: string;
  readonly label: string;
  /** How to measure it, or what the answer decides. */
  readonly hint: string;
  readonly optional?: boolean;
}

/** One thing that is measured of a damage. Lengths are kept in mm and may be typed in inches. */
export type Measure = (Asked & { readonly type: "length" | "count" | "number"; readonly min: number; readonly max: number; readonly unit: string }) | (Asked & { readonly type: "choice"; readonly options: ReadonlyArray<readonly [value: string, label: string]> }) | (Asked & { readonly type: "yesno" });

const length = <N extends string>(name: N, label: string, max: number, hint: string, min = 0.05) => ({ name, label, type: "length", min, max, unit: "mm", hint }) as const;
const number = <N extends string>(name: N, label: string, unit: string, max: number, hint: string, min = 0) => ({ name, label, type: "number", min, max, unit, hint }) as const;
const yesno = <N extends string>(name: N, label: string, hint: string) => ({ name, label, type: "yesno", hint }) as const;
const maybe = <M extends object>(measure: M) => ({ ...measure, optional: true }) as const;

const GAP = maybe(length("gap_mm", "Gap that stays open", 20, "in the dry fit; 0 when it closes", 0));
const THICKNESS = "the wall measured beside it";

/** What is measured of each kind. A new kind is a new entry here, with its loss, its sketch and its profile. */
export const MEASURES = {
  chip: [
    length("length_mm", "Length along the edge", 1000, "the length of the chip along the rim or edge"),
    length("depth_mm", "Depth down from the edge", 500, "how far the chip reaches in from the edge"),
    length("thickness_mm", "Thickness of the wall", 300, "the wall measured beside the chip"),
    maybe({
      name: "shape",
      label: "Shape",
      type: "choice",
      options: [
        ["shell", "Shell"],
        ["wedge", "Wedge"],
        ["straight", "Straight"],
      ],
      hint: "shell unless you say otherwise",
    } as const),
  ],
  corner: [length("a_mm", "First edge", 1000, "from the lost corner along the first edge"), length("b_mm", "Second edge", 1000, "from the lost corner along the second edge"), length("c_mm", "Third edge", 1000, "from the lost corner along the third edge")],
  tip: [
    length("base_mm", "Base, across", 300, "the broken stump, measured across"),
    length("length_mm", "Length of the tip", 1000, "on the twin, or from a photograph"),
    maybe(number("lean_deg", "Lean", "°", 80, "measured on the twin; 0 stands straight")),
    maybe({
      name: "shape",
      label: "Shape",
      type: "choice",
      options: [
        ["pointed", "Pointed"],
        ["blunt", "Blunt"],
      ],
      hint: "pointed unless you say otherwise",
    } as const),
  ],
  hole: [length("diameter_mm", "Diameter", 500, "the hole at the surface"), length("depth_mm", "Depth", 500, "the hole, or the wall where it goes through"), yesno("through", "Goes right through", "a through hole needs a backing")],
  shards: [
    { name: "shards", label: "Number of shards", type: "count", min: 2, max: 500, unit: "", hint: "all pieces, the largest included" },
    length("break_length_mm", "Length of all breaks", 20_000, "every break line, added up"),
    length("thickness_mm", "Thickness at the break", 300, "the wall where it broke"),
    maybe(length("gap_mm", "Missing slivers, width", 20, "the gap that stays open in the dry fit; 0 when it closes", 0)),
  ],
  "break-along": [length("slope_mm", "Length of the slope", 3000, "along the grain, end to end of the break"), length("width_mm", "Section, width", 500, "the member beside the break"), length("height_mm", "Section, height", 500, "across the break"), GAP],
  "break-across": [
    length("width_mm", "Section, width", 500, "the member beside the break"),
    length("height_mm", "Section, height", 500, "in the direction of the load"),
    maybe(number("load_N", "Load at the end", "N", 20_000, "1 kg weighs about 10 N")),
    maybe(length("lever_mm", "Lever arm", 5000, "from the break to the load", 0)),
    GAP,
  ],
  crack: [
    length("length_mm", "Length", 3000, "the crack along its run"),
    length("width_mm", "Width at the surface", 50, "a feeler gauge or a card shows it", 0.01),
    length("depth_mm", "Depth", 300, "a wire shows it; the wall where it goes through"),
    yesno("closes", "Closes by hand or clamp", "decides between gluing and filling"),
  ],
  tear: [
    length("length_mm", "Length", 3000, "along the tear"),
    length("thickness_mm", "Thickness", 20, THICKNESS),
    maybe(length("lost_mm", "Lost, width", 200, "what stays open when it lies flat; 0 when it closes", 0)),
    yesno("flap", "It is a flap", "a flap is glued from its hinge outwards"),
    yesno("tension", "Padding or tension pulls it open", "a sprung joint is bonded in short sections"),
  ],
  "veneer-lifted": [
    length("length_mm", "Length", 3000, "the loose area, by tapping"),
    length("width_mm", "Width", 3000, "the loose area, by tapping"),
    length("thickness_mm", "Thickness of the veneer", 10, "at an edge"),
    length("swelling_mm", "Swelling of the core", 50, "a straight edge shows it; 0 when it is flat", 0),
  ],
  "veneer-lost": [length("length_mm", "Length", 3000, "of the bare place"), length("width_mm", "Width", 3000, "of the bare place"), length("thickness_mm", "Thickness of the veneer", 10, "at the edge of the loss"), length("swelling_mm", "Swelling of the core", 50, "a straight edge shows it; 0 when it is flat", 0)],
  scratch: [length("length_mm", "Length", 3000, "along the scratch"), length("width_mm", "Width", 50, "across, with a magnifier", 0.01), length("depth_mm", "Depth", 10, "a fingernail catches from about 0.05 mm", 0.005), number("film_um", "Film beside it", "µm", 5000, "lacquer is often 60 to 120; 0 = bare surface")],
  dent: [length("diameter_mm", "Across", 500, "from rim to rim of the dent"), length("depth_mm", "Depth", 100, "a straight edge over it shows the gap", 0.01), yesno("broken", "The surface is broken", "whole fibres can be steamed up, broken ones are filled")],
  "burn-through": [
    length("length_mm", "Length", 3000, "of the place that was sanded or burnt through"),
    length("width_mm", "Width", 3000, "across the middle"),
    length("depth_mm", "Depth", 20, "0 when only the film is gone", 0),
    yesno("into_core", "Through the veneer into the core", "a core that shows is sealed and built up"),
  ],
  eroded: [length("length_mm", "Length", 3000, "of the eroded place"), length("width_mm", "Width", 3000, "across the middle"), length("depth_mm", "Depth", 300, "from the old surface to sound material"), yesno("cause_present", "The cause is still there", "rain, salt or damp goes on; stop it first")],
  "worn-thin": [
    length("length_mm", "Length", 1000, "of the thin place"),
    length("width_mm", "Width", 1000, "across the middle"),
    length("remaining_mm", "Remaining thickness", 50, "callipers, or light through it", 0.02),
    length("target_mm", "Thickness it should have", 50, "measured at a sound place"),
    yesno("flexes", "Flexes under the thumb", "what flexes is supported before it is filled"),
    yesno("cracked", "Cracked", "a crack needs a backing across it"),
  ],
  stain: [length("length_mm", "Length", 3000, "of the stain"), length("width_mm", "Width", 3000, "across the middle"), yesno("through", "Through the finish into the material", "in the finish it polishes out; under it, it is bleached")],
} as const satisfies Record<DamageKind, readonly Measure[]>;

export const DAMAGE_LABELS: Readonly<Record<DamageKind, string>> = {
  chip: "Edge chip",
  corner: "Lost corner",
  tip: "Lost tip",
  hole: "Hole",
  shards: "Clean break",
  "break-along": "Break along the grain",
  "break-across": "Break across",
  crack: "Crack",
  tear: "Tear",
  "veneer-lifted": "Lifted veneer",
  "veneer-lost": "Lost veneer",
  scratch: "Scratch",
  dent: "Dent",
  "burn-through": "Burn-through",
  eroded: "Eroded",
  "worn-thin": "Worn thin",
  stain: "Stain",
};

type ValueOf<M extends Measure> = M extends { type: "yesno" } ? boolean : M extends { options: ReadonlyArray<readonly [infer V, string]> } ? V : number;
type MeasuredAs<Row extends readonly Measure[]> = {
  readonly [M in Row[number] as M extends { optional: true } ? never : M["name"]]: ValueOf<M>;
} & { readonly [M in Row[number] as M extends { optional: true } ? M["name"] : never]?: ValueOf<M> };

/** A damage with the measurements of its kind. */
export type Damage = { readonly [K in DamageKind]: { readonly kind: K } & MeasuredAs<(typeof MEASURES)[K]> }[DamageKind];
export type DamageOf<K extends DamageKind> = Extract<Damage, { kind: K }>;
