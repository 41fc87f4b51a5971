import type { DamageKind, Family } from "../catalogue";

/** What decides how a joint is pressed. */
export interface PressureFacts {
  readonly damage: DamageKind;
  readonly family: Family;
  readonly sprung: boolean;
  /** Smallest side of the section, mm, where it was measured. */
  readonly section_mm: number | undefined;
  /** Its largest side, mm: what a clamp stands on. */
  readonly broad_mm: number | undefined;
  readonly gap_mm: number;
}

/** A slope slides apart under clamps that stand on little: up to this section a wrap draws it shut, mm; trade practice. */
const WRAPPED_MM = 40;

export interface PressureRow {
  readonly means: string;
  readonly label: string;
  readonly how: string;
  readonly why: string;
  /** How it comes off again. */
  readonly off: string;
  readonly when: (facts: PressureFacts) => boolean;
}

const FLAT: readonly DamageKind[] = ["veneer-lifted", "veneer-lost", "worn-thin"];

/** Means of pressure, the one that suits best first. Trade practice; FPL Wood Handbook 2021, ch. 10 for wood (0.7 to 1 N/mm²). */
const PRESSURE: readonly PressureRow[] = [
  {
    means: "wrap",
    label: "Wrap of cord or rubber",
    how: "Wind it round under tension, from the middle outwards, over film.",
    why: "A small or round section gives a clamp no face.",
    off: "Unwind the wrap",
    when: ({ damage, section_mm = 99, broad_mm = section_mm }) => damage === "break-along" && broad_mm <= WRAPPED_MM,
  },
  { means: "sections", label: "Section by section", how: "Glue a hand’s width, hold it until it is tacky, then the next; the end that fights hardest first.", why: "Padding or tension pushes it open: no clamp holds the whole length at once.", off: "Let go of the last section", when: ({ sprung }) => sprung },
  { means: "board", label: "Weights under a board", how: "Parting film, a flat board, weights spread from the middle outwards.", why: "A sheet is pressed flat everywhere, or it stays up where it is not.", off: "Take board and weights off", when: ({ damage }) => FLAT.includes(damage) },
  {
    means: "support",
    label: "Support behind, light clamps",
    how: "Hold the opposite plate from inside with a padded jack or magnets, then clamp lightly through a caul.",
    why: "A thin plate bends away from the clamp and cracks elsewhere.",
    off: "Take clamps and support out",
    when: ({ damage, family, section_mm = 99 }) => damage === "crack" && (family === "wood" || family === "board") && section_mm < 8,
  },
  {
    means: "along",
    label: "Pressure along the piece",
    how: "A stop on each half, a bar clamp or a stretched band from stop to stop, in line with the middle; sighted straight from two sides.",
    why: "A square break closes only under what presses square to its faces: across them the halves slide.",
    off: "Take the clamp and its stops off",
    when: ({ damage, family }) => damage === "break-across" && (family === "wood" || family === "board"),
  },
  {
    means: "tape",
    label: "Wrap of stretched tape",
    how: "Tape pulled across the joint from both faces, every two centimetres, crossed.",
    why: "On hard curved ware a clamp slips; tape pulls the faces together and shows the line.",
    off: "Take the tapes off",
    when: ({ family }) => family === "ceramic" || family === "polymer" || family === "bone",
  },
  {
    means: "gravity",
    label: "Gravity in a tray of beads",
    how: "Stand the piece in sand or beads so that the joint lies level and closes by its own weight.",
    why: "The weight of the part presses straight on the joint and nothing else touches it.",
    off: "Lift it out of the beads",
    when: ({ family, damage }) => family === "mineral" || (family === "metal" && damage === "break-across"),
  },
  { means: "patch-press", label: "Flat press over the patch", how: "Film, a padded board on both faces, little weight.", why: "Skin under pressure spreads: flat and light, or the tear opens.", off: "Take the board off", when: ({ family }) => family === "skin" || family === "paper" },
  { means: "clamps", label: "Clamps with padded cauls", how: "Cauls along both sides, wedges where they don’t fit, opposed clamps to take out lean; tighten from the middle.", why: "Just enough that a bead shows all along: more starves the joint.", off: "Take the clamps off", when: () => true },
];

/** What presses this joint, best first, and what else would do. */
export function pressureFor(facts: PressureFacts): PressureRow[] {
  return PRESSURE.filter(({ when }) => when(facts));
}

/** Thin for a hairline, thickened for a gap: how the adhesive is set to the opening. Limits from the classes’ data sheets. */
export function consistencyFor(gap_mm: number): { readonly word: string; readonly how: string } {
  if (gap_mm <= 0.1) return { word: "Thin", how: "As it comes, or warmed: it has to run into a hairline." };
  if (gap_mm <= 0.5) return { word: "As it comes", how: "Spread on both faces." };
  return { word: "Thickened", how: `Stir silica or beads in until it is a cream that does not run out of ${gap_mm} mm.` };
}
