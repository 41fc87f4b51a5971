import type { DamageKind } from "../catalogue";

interface Asked {
  readonly name: string;
  readonly label: string;
  /** How to measure it, or what the answer decides. */
  readonly hint: string;
  readonly optional?: boolean;
}

/** One thing that is measured of a damage. Lengths are kept in mm and may be typed in inches. */
export type Measure = (Asked & { readonly type: "length" | "count" | "number"; readonly min: number; readonly max: number; readonly unit: string }) | (Asked & { readonly type: "choice"; readonly options: ReadonlyArray<readonly [value: string, label: string]> }) | (Asked & { readonly type: "yesno" }) | ListMeasure;

/** Several losses of one kind, each with lengths of its own. */
type ListMeasure = Asked & { readonly type: "list"; readonly most: number; readonly of: ReadonlyArray<Asked & { readonly type: "length"; readonly min: number; readonly max: number; readonly unit: string }> };

const length = <N extends string>(name: N, label: string, max: number, hint: string, min = 0.05) => ({ name, label, type: "length", min, max, unit: "mm", hint }) as const;
const number = <N extends string>(name: N, label: string, unit: string, max: number, hint: string, min = 0) => ({ name, label, type: "number", min, max, unit, hint }) as const;
const yesno = <N extends string>(name: N, label: string, hint: string) => ({ name, label, type: "yesno", hint }) as const;
const maybe = <M extends object>(measure: M) => ({ ...measure, optional: true }) as const;

const choice = <N extends string, const O extends ReadonlyArray<readonly [string, string]>>(name: N, label: string, options: O, hint: string) => ({ name, label, type: "choice", options, hint }) as const;

const GAP = maybe(length("gap_mm", "Gap at its widest", 20, "in the dry fit; 0 when it closes", 0));
const GAP_FROM = maybe(length("gap_from_mm", "Gap at its closest", 20, "0 where the faces meet somewhere", 0));
const ROUND = maybe(length("diameter_mm", "Section, diameter", 500, "of a round member; then leave width and height empty"));
const WIDE = maybe(length("width_mm", "Section, width", 500, "the member beside the break"));
const LOAD = maybe(number("load_N", "Load at the end", "N", 20_000, "1 kg weighs about 10 N"));
const LEVER = maybe(length("lever_mm", "Lever arm", 5000, "from the break to the load", 0));
const TWIN = maybe(
  choice(
    "twin",
    "Twin part",
    [
      ["same", "Same hand"],
      ["mirrored", "Mirrored"],
      ["none", "None"],
    ],
    "a mould off a mirrored twin is turned, or it does not fit",
  ),
);
const THICKNESS = "the wall measured beside it";
const COUNT = maybe({ name: "count", label: "How many alike", type: "count", min: 1, max: 500, unit: "", hint: "measured once: places and amounts are for one, a mix is for all" } as const);
const ACROSS = maybe(length("across_mm", "Second axis, across", 500, "the narrow way; empty when it is round"));

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
    maybe(length("across_mm", "Across, of an oval chip", 500, "of a bowl broken out of a face; then its length is the long axis")),
    COUNT,
  ],
  corner: [length("a_mm", "First edge", 1000, "from the lost corner along the first edge"), length("b_mm", "Second edge", 1000, "from the lost corner along the second edge"), length("c_mm", "Third edge", 1000, "from the lost corner along the third edge"), TWIN, COUNT],
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
    COUNT,
  ],
  hole: [length("diameter_mm", "Diameter", 500, "the hole at the surface"), length("depth_mm", "Depth", 500, "the hole, or the wall where it goes through"), yesno("through", "Goes right through", "a through hole needs a backing"), ACROSS, COUNT],
  shards: [
    { name: "shards", label: "Number of shards", type: "count", min: 2, max: 500, unit: "", hint: "all pieces, the largest included" },
    length("break_length_mm", "Length of all breaks", 20_000, "every break line, added up"),
    length("thickness_mm", "Thickness at the break", 300, "the wall where it broke"),
    maybe(length("gap_mm", "Gap all along, width", 20, "what stays open in the dry fit; 0 when the shards meet", 0)),
    maybe({
      name: "slivers",
      label: "Missing slivers",
      type: "list",
      most: 20,
      hint: "each loss at a join by its own measures: it is filled, not glued",
      of: [length("length_mm", "Length", 1000, "along the join"), length("width_mm", "Width", 200, "across it"), length("depth_mm", "Depth", 300, "into the wall")],
    } as const),
    maybe(
      choice(
        "support",
        "What holds them",
        [
          ["body", "A body"],
          ["beam", "Nothing"],
        ],
        "the joins of a dish are no beam",
      ),
    ),
  ],
  "break-along": [length("slope_mm", "Length of the slope", 3000, "along the grain, end to end of the break"), WIDE, maybe(length("height_mm", "Section, height", 500, "across the break")), ROUND, LOAD, LEVER, GAP, GAP_FROM],
  "break-across": [WIDE, maybe(length("height_mm", "Section, height", 500, "in the direction of the load")), ROUND, LOAD, LEVER, GAP, GAP_FROM],
  crack: [
    length("length_mm", "Length", 3000, "the crack along its run"),
    length("width_mm", "Width at the surface", 50, "a feeler gauge or a card shows it", 0.01),
    length("depth_mm", "Depth", 300, "a wire shows it; the wall where it goes through"),
    yesno("closes", "Closes by hand or clamp", "decides between gluing and filling"),
    maybe(
      choice(
        "closes_by",
        "What closes it",
        [
          ["hand", "Hand"],
          ["clamp", "Clamp"],
          ["humidity", "Damp air"],
        ],
        "wood that has dried out often closes in damp air",
      ),
    ),
    maybe(yesno("through", "Goes right through", "then it is as wide at its foot: dammed behind, filled from one side")),
    COUNT,
  ],
  tear: [
    length("length_mm", "Length", 3000, "along the tear"),
    length("thickness_mm", "Thickness", 20, THICKNESS),
    maybe(length("lost_mm", "Lost, width", 200, "what stays open when it lies flat; 0 when it closes", 0)),
    maybe(length("leg_mm", "Second leg", 3000, "of a tear round a corner; empty for a straight one")),
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
  scratch: [
    length("length_mm", "Length", 3000, "along the scratch"),
    length("width_mm", "Width", 50, "across, with a magnifier", 0.01),
    length("depth_mm", "Depth", 10, "a fingernail catches from about 0.05 mm", 0.005),
    number("film_um", "Film beside it", "µm", 5000, "lacquer is often 60 to 120; 0 = bare surface"),
    COUNT,
  ],
  dent: [
    length("diameter_mm", "Across", 500, "from rim to rim of the dent"),
    length("depth_mm", "Depth", 100, "a straight edge over it shows the gap", 0.01),
    yesno("broken", "The surface is broken", "whole fibres can be steamed up, broken ones are filled"),
    maybe(number("film_um", "Film beside it", "µm", 5000, "steam clouds a film; 0 = bare surface")),
    maybe(length("rim_mm", "Raised rim, height", 20, "what was pushed up around it is cut level first; 0 when there is none", 0)),
    ACROSS,
    COUNT,
  ],
  "burn-through": [
    length("length_mm", "Length", 3000, "of the place that was sanded or burnt through"),
    length("width_mm", "Width", 3000, "across the middle"),
    length("depth_mm", "Depth", 20, "0 when only the film is gone", 0),
    yesno("into_core", "Through the veneer into the core", "a core that shows is sealed and built up"),
    COUNT,
  ],
  eroded: [
    length("length_mm", "Length", 3000, "of the eroded place"),
    length("width_mm", "Width", 3000, "across the middle"),
    length("depth_mm", "Depth", 300, "from the old surface to sound material"),
    yesno("cause_present", "The cause is still there", "rain, salt or damp goes on; stop it first"),
    maybe(yesno("hollow", "Hollow behind it", "a shell is backed before it is filled")),
  ],
  "worn-thin": [
    length("length_mm", "Length", 1000, "of the thin place"),
    length("width_mm", "Width", 1000, "across the middle"),
    length("remaining_mm", "Remaining thickness", 50, "callipers, or light through it", 0.02),
    length("target_mm", "Thickness it should have", 50, "measured at a sound place"),
    yesno("flexes", "Flexes under the thumb", "what flexes is supported before it is filled"),
    yesno("cracked", "Cracked", "a crack needs a backing across it"),
  ],
  stain: [length("length_mm", "Length", 3000, "of the stain"), length("width_mm", "Width", 3000, "across the middle"), yesno("through", "Through the finish into the material", "in the finish it polishes out; under it, it is bleached")],
  "loose-joint": [
    choice(
      "joint",
      "Kind of joint",
      [
        ["tenon", "Tenon"],
        ["dowel", "Dowel"],
        ["mitre", "Mitre"],
      ],
      "a round tenon counts as a dowel",
    ),
    maybe(length("width_mm", "Tenon or mitre, width", 500, "across the grain of the socket")),
    maybe(length("height_mm", "Tenon or mitre, thickness", 500, "the thin side")),
    maybe(length("diameter_mm", "Dowel, diameter", 500, "then leave width and thickness empty")),
    length("depth_mm", "Depth in the socket", 500, "a wire shows it; of a mitre its length"),
    length("play_mm", "Play", 20, "what it moves in its socket, both sides together; 0 when it is tight", 0),
    maybe(length("shoulder_mm", "Gap at the shoulder", 50, "0 when the shoulder meets", 0)),
    maybe(length("wobble_mm", "Wobble at the far end", 200, "held at the socket, moved at the end", 0)),
    maybe(yesno("closes_frame", "Closes the frame", "once glued, no other joint of the frame can go in: it comes last")),
  ],
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
  "loose-joint": "Loose joint",
};

type ValueOf<M extends Measure> = M extends { of: ReadonlyArray<{ name: infer N extends string }> } ? ReadonlyArray<Readonly<Record<N, number>>> : M extends { type: "yesno" } ? boolean : M extends { options: ReadonlyArray<readonly [infer V, string]> } ? V : number;
type MeasuredAs<Row extends readonly Measure[]> = {
  readonly [M in Row[number] as M extends { optional: true } ? never : M["name"]]: ValueOf<M>;
} & { readonly [M in Row[number] as M extends { optional: true } ? M["name"] : never]?: ValueOf<M> };

/** A damage with the measurements of its kind. */
export type Damage = { readonly [K in DamageKind]: { readonly kind: K } & MeasuredAs<(typeof MEASURES)[K]> }[DamageKind];
export type DamageOf<K extends DamageKind> = Extract<Damage, { kind: K }>;

/** A section is square or round: width and height, or a diameter. */
export const SECTIONED: readonly DamageKind[] = ["break-along", "break-across", "loose-joint"];

/** Whether the section of a member is not measured whole. */
export function lacksSection(damage: { readonly kind: DamageKind }): boolean {
  const has = (name: string) => (damage as Record<string, unknown>)[name] !== undefined;
  return SECTIONED.includes(damage.kind) && !has("diameter_mm") && !(has("width_mm") && has("height_mm"));
}
