import { type Family, LEAST_PATCH_MARGIN_MM, patchMargin, substrateRow } from "../catalogue";
import { plain } from "../units";
import type { BraceInput, BraceKind } from "./brace.schema";

/** One brace with all its dimensions in mm, or why it does not fit and the largest that would. */
export interface SizedBrace {
  readonly kind: BraceKind;
  readonly size: Readonly<Record<string, number>>;
  /** Why it is so; the first of them says how thick it is. */
  readonly reasons: readonly string[];
  /** It does not fit the section; `size` then holds the largest that would, or nothing. */
  readonly refused?: true;
}

/** The section as a rectangle; a round one counts with its diameter on both sides. */
export interface Sides {
  readonly width: number;
  readonly height: number;
  readonly round: boolean;
}

export function sidesOf({ section }: Pick<BraceInput, "section">): Sides {
  if ("diameter_mm" in section) return { width: section.diameter_mm, height: section.diameter_mm, round: true };
  return { width: section.width_mm, height: section.height_mm, round: false };
}

/** Wall that must stay around anything let in: a quarter of the section, and never under 2 mm of wood or 1 mm of harder stuff. */
export function safeWall(across: number, material: BraceInput["material"]): number {
  const soft = ["wood", "board", "paper", "skin"].includes(substrateRow(material).family);
  return Math.max(soft ? 2 : 1, across / 4);
}

/** The glue film around a dowel or pin takes this much in the hole. */
const GLUE_ROOM_MM = 0.2;

/** Lengths that are set by hand in place of those worked out, by name: the rod that is at hand, the slot that a bit cuts. mm. */
type Given = Readonly<Record<string, number>>;
type Sizer = (input: BraceInput, sides: Sides, given?: Given) => SizedBrace;

/** Which braces a joint in a material may have, the likeliest first. */
const FITTING: ReadonlyArray<{
  readonly kind: BraceKind;
  readonly joints: readonly BraceInput["joint"][];
  readonly families: readonly Family[];
  /** Only in a round section. */
  readonly round?: true;
}> = [
  // a slot in a turned post has no flat to be routed from
  { kind: "dowel", joints: ["break-across"], families: ["wood", "board"], round: true },
  { kind: "spline", joints: ["break-across"], families: ["wood", "board"] },
  { kind: "dowel", joints: ["break-across", "butt", "break-along", "build-up"], families: ["wood", "board", "paper"] },
  {
    kind: "pin",
    joints: ["break-across", "butt", "break-along", "build-up"],
    families: ["ceramic", "mineral", "metal", "polymer", "bone"],
  },
  { kind: "spline", joints: ["break-along"], families: ["wood", "board"] },
  { kind: "cleat", joints: ["crack"], families: ["wood", "board", "paper"] },
  { kind: "patch", joints: ["tear", "crack"], families: ["skin", "paper", "ceramic", "mineral", "metal", "polymer", "bone"] },
  { kind: "patch", joints: ["tear"], families: ["wood", "board"] },
  { kind: "wire", joints: ["build-up"], families: ["ceramic", "mineral", "metal", "polymer", "bone", "paper", "wood"] },
  { kind: "screw", joints: ["build-up"], families: ["wood", "board"] },
];

/** Every brace that this joint may have, sized; those that do not fit say so and come last. */
export function sizedFor(input: BraceInput): SizedBrace[] {
  const { family } = substrateRow(input.material);
  const sides = sidesOf(input);
  const fitting = FITTING.filter(
    ({ joints, families, round }) => joints.includes(input.joint) && families.includes(family) && (!round || sides.round),
  );
  const sized = [...new Set(fitting.map(({ kind }) => kind))].map((kind) => SIZERS[kind](input, sides));
  return [...sized.filter(({ refused }) => !refused), ...sized.filter(({ refused }) => refused)];
}

/** What would fit of a kind that is refused; nothing where not even a hair would. */
const largestOf = (mm: number): SizedBrace["size"] => (mm > 0 ? { largest_mm: mm } : {});

/** A dowel or pin: about a third of the section, at most half, two and a half diameters deep on each side past any crack. */
function rod(kind: "dowel" | "pin", share: number, smallest: number, input: BraceInput, sides: Sides, given?: Given): SizedBrace {
  const across = Math.min(sides.width, sides.height);
  const largest = across - 2 * safeWall(across, input.material) - GLUE_ROOM_MM;
  const most = Math.min(across / 2, largest);
  const diameter = given?.diameter_mm ?? Math.min(across * share, most);
  if (diameter < smallest)
    return {
      kind,
      size: largestOf(largest),
      refused: true,
      reasons: [
        `A section of ${plain(across)} mm leaves ${plain(Math.max(0, largest))} mm between safe walls, and a ${kind} under ${plain(smallest)} mm carries nothing.`,
      ],
    };
  const embed = 2.5 * diameter + (input.crack_length_mm ?? 0) + (input.slope_length_mm ?? 0) / 2;
  const wall = (across - diameter - GLUE_ROOM_MM) / 2;
  return {
    kind,
    size: {
      diameter_mm: diameter,
      most_mm: most,
      length_mm: 2 * embed,
      embed_mm: embed,
      hole_mm: diameter + GLUE_ROOM_MM,
      hole_depth_mm: embed + 1,
      pilot_mm: Math.max(1, diameter / 3),
      wall_mm: wall,
      channel_mm: Math.max(0.5, diameter / 8),
    },
    reasons: [
      `${plain(diameter)} mm is ${plain((diameter / across) * 100, 0)} % of the section: a third is usual, half the most.`,
      `${plain(embed)} mm deep on each side: two and a half diameters${input.crack_length_mm ? ", past the crack" : input.slope_length_mm ? ", past both ends of the slope" : ""}.`,
      `The hole is ${plain(GLUE_ROOM_MM)} mm wider for the glue film; a channel along it lets air and glue out, or the part splits.`,
      `${plain(wall)} mm of wall stay on each side.`,
      ...(kind === "pin" ? [slotWords(input)] : []),
    ],
  };
}

/** How a pin's slot is cut: dry in soft body, under water in hard. */
function slotWords({ material }: BraceInput): string {
  const { porous, family } = substrateRow(material);
  if (family !== "ceramic" && family !== "mineral") return "The pin stands in the middle and leans on no wall of its hole.";
  return porous
    ? "In so soft a body the slot is cut dry with a diamond wheel; the pin stands in its middle and leans on no wall."
    : "In so hard a body the slot is cut under water with a diamond wheel; the pin stands in its middle and leans on no wall.";
}

/** From this width on two thin splines side by side hold more than one thick one, mm: twice the glued cheeks. Trade practice. */
const TWO_SPLINES_FROM_MM = 30;
/** A spline reaches so many heights of the section past each end of the break (FPL Wood Handbook 2021, ch. 10: scarf of at least 1 : 3 a side). */
const SPLINE_HEIGHTS = 3;

/** Cut from wood across the break, with a floor that stays before the show face; two side by side in a wide section. */
function spline({ slope_length_mm = 0, material }: BraceInput, { width, height }: Sides, given?: Given): SizedBrace {
  const floor = safeWall(height, material);
  const count = given?.count ?? (width >= TWO_SPLINES_FROM_MM && substrateRow(material).family === "wood" ? 2 : 1);
  const usual = count === 2 ? width / 4 : Math.min(width / 3, width - 2 * safeWall(width, material));
  const thick = given?.width_mm ?? usual;
  const depth = given?.depth_mm ?? height - floor;
  // what is set by hand and cuts through, or leaves no wall, is no slot
  if (thick < 3 || depth < 4 || depth >= height || count * thick >= width)
    return {
      kind: "spline",
      size: largestOf(thick),
      refused: true,
      reasons: [
        `A slot in ${plain(width)} × ${plain(height)} mm leaves no safe wall beside or before it, and one under 3 mm carries nothing.`,
      ],
    };
  const past = SPLINE_HEIGHTS * height;
  const between = (width - count * thick) / (count + 1);
  return {
    kind: "spline",
    size: {
      count,
      width_mm: thick,
      depth_mm: depth,
      length_mm: 2 * past + slope_length_mm,
      past_mm: past,
      floor_mm: height - depth,
      wall_mm: between,
      chamfer_mm: 1.5,
    },
    reasons: [
      count === 2
        ? `Two of ${plain(thick)} mm side by side${thick === usual ? ": a quarter of the section each" : ""}, ${plain(between)} mm beside and between them, twice the glued cheeks of one.`
        : `${plain(thick)} mm wide${thick === usual ? ": a third of the section" : ""}, with ${plain(between)} mm beside it.`,
      `${plain(depth)} mm deep: ${plain(height - depth)} mm stay before the front face.`,
      `${plain(2 * past + slope_length_mm)} mm long: ${plain(past)} mm, three heights, past each end of the break.`,
      "Dry it slides in by hand, 0.1 to 0.2 mm of play: the glue’s water swells it. The lower corner is chamfered so that glue can escape.",
    ],
  };
}

const CLEAT_SPACING_MM = 75;
const CLEAT_FROM_END_MM = 20;

/** Thin pieces across a crack, spaced along it. */
function cleat({ crack_length_mm = 0, section }: BraceInput): SizedBrace {
  const plate = "diameter_mm" in section ? section.diameter_mm : Math.min(section.width_mm, section.height_mm);
  const run = Math.max(0, crack_length_mm - 2 * CLEAT_FROM_END_MM);
  const count = crack_length_mm <= 2 * CLEAT_FROM_END_MM ? 1 : Math.ceil(run / CLEAT_SPACING_MM) + 1;
  const spacing = count > 1 ? run / (count - 1) : 0;
  const thick = Math.min(3, Math.max(1, plate * 0.5));
  return {
    kind: "cleat",
    size: { count, spacing_mm: spacing, length_mm: 25, width_mm: 15, thickness_mm: thick, from_end_mm: CLEAT_FROM_END_MM },
    reasons: [
      count > 1
        ? `${count} along ${plain(crack_length_mm)} mm, ${plain(spacing)} mm apart: at most ${CLEAT_SPACING_MM} mm, the first ${CLEAT_FROM_END_MM} mm from the ends.`
        : `One in the middle; a crack longer than ${2 * CLEAT_FROM_END_MM} mm takes two and more.`,
      "Grain across the crack, edges feathered: a step would print through.",
      `${plain(thick)} mm thick: half of a plate of ${plain(plate)} mm, at most 3.`,
    ],
  };
}

/** A core in the middle of a build-up, with cover on all sides. */
function wire(input: BraceInput, sides: Sides, given?: Given): SizedBrace {
  const across = Math.min(sides.width, sides.height);
  const cover = safeWall(across, input.material);
  const most = across - 2 * cover;
  const diameter = given?.diameter_mm ?? Math.min(across / 6, most);
  if (diameter < 0.5)
    return {
      kind: "wire",
      size: largestOf(diameter),
      refused: true,
      reasons: [`${plain(across)} mm is too thin to cover a wire of half a millimetre on all sides.`],
    };
  const out = Math.max(0, (input.lever_mm ?? across * 1.5) - cover);
  return {
    kind: "wire",
    size: {
      diameter_mm: diameter,
      most_mm: most,
      out_mm: out,
      embed_mm: 5 * diameter,
      length_mm: out + 5 * diameter,
      cover_mm: (across - diameter) / 2,
      hole_mm: diameter + GLUE_ROOM_MM,
    },
    reasons: [
      `${plain(diameter)} mm: a sixth of the section.`,
      `${plain((across - diameter) / 2)} mm of build-up cover it all round.`,
      `${plain(5 * diameter)} mm in sound material, and short of the tip by ${plain(cover)} mm.`,
      "Stainless: rust comes through gypsum and paint.",
    ],
  };
}

/** The thickest screw that a build-up takes, mm; a quarter of the section is usual, a third the most; trade practice. */
const MOST_SCREW_MM = 6;

function screw(input: BraceInput, sides: Sides, given?: Given): SizedBrace {
  const across = Math.min(sides.width, sides.height);
  const most = Math.min(across / 3, MOST_SCREW_MM);
  const diameter = given?.diameter_mm ?? Math.min(across / 4, MOST_SCREW_MM);
  if (diameter < 2)
    return {
      kind: "screw",
      size: largestOf(diameter),
      refused: true,
      reasons: [`${plain(across)} mm is too thin: a screw under 2 mm splits out.`],
    };
  const out = Math.max(2, (input.lever_mm ?? across) / 2);
  return {
    kind: "screw",
    size: {
      diameter_mm: diameter,
      most_mm: most,
      length_mm: out + 6 * diameter,
      embed_mm: 6 * diameter,
      out_mm: out,
      pilot_mm: diameter * 0.7,
      wall_mm: (across - diameter) / 2,
    },
    reasons: [
      `${plain(diameter)} mm: a quarter of the section.`,
      `Six diameters hold in the wood; ${plain(out)} mm stand out in the middle of the build-up.`,
      `Drill ${plain(diameter * 0.7)} mm first: seven tenths of the screw, or it splits.`,
    ],
  };
}

function patch({ crack_length_mm = 0 }: BraceInput, { width, height }: Sides): SizedBrace {
  const along = crack_length_mm > 0 ? crack_length_mm : Math.max(width, height);
  const margin = patchMargin(along);
  return {
    kind: "patch",
    size: { length_mm: along + 2 * margin, width_mm: 2 * margin, margin_mm: margin, corner_mm: margin / 2 },
    reasons: [
      `${plain(margin)} mm larger all round: a tenth of the length, and never under ${LEAST_PATCH_MARGIN_MM}.`,
      `Corners rounded with ${plain(margin / 2)} mm: a sharp one lifts first.`,
      "Flat, with a flexible adhesive; near a seam the seam side is glued first.",
    ],
  };
}

const SIZERS: Readonly<Record<BraceKind, Sizer>> = {
  dowel: (input, sides, given) => rod("dowel", 1 / 3, 3, input, sides, given),
  pin: (input, sides, given) => rod("pin", 1 / 4, 1, input, sides, given),
  spline,
  cleat,
  wire,
  screw,
  patch,
  none: () => ({ kind: "none", size: {}, reasons: ["The glue line carries it."] }),
};

/** A brace by name, sized for a joint whether or not it would be offered there; `given`: what was set by hand, mm. */
export function sizeOf(kind: BraceKind, input: BraceInput, given?: Given): SizedBrace {
  return SIZERS[kind](input, sidesOf(input), given);
}
