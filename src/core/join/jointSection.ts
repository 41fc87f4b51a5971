import { boxAt, type Line, type Note, type Point, plain, type Scene, type Shape, type Span } from "../units";
import type { SizedBrace } from "./sizing";

/** What a cut through a joint shows. */
export interface JointCut {
  /** Height of the section at the break, mm. */
  readonly across_mm: number;
  readonly film_mm: number;
  /** What is missing between the edges, mm; it stays open in this cut. */
  readonly open_mm?: number;
  readonly slope_mm: number;
  readonly hatch: string;
  /** The adhesive by name. */
  readonly glue: string;
  readonly brace?: SizedBrace;
}

/** The ground is drawn so many heights of the section to each side of the break. */
const REACH = 1.1;
/** What is behind a thin sheet is not thicker than this share of it where its own thickness is not known. */
const THICK_SHARE = 0.5;

/** The cut along a piece through its joint: both parts, the film between them, and what is let in. The outer face is up. */
export function jointScene(cut: JointCut): Scene {
  const { across_mm: tall, film_mm, open_mm = 0, slope_mm } = cut;
  const let_in = letIn(cut);
  const reach = Math.max(tall * REACH + slope_mm / 2, let_in.reach * 1.15);
  const [top, foot, half] = [-slope_mm / 2, slope_mm / 2, Math.max(film_mm, open_mm) / 2];
  return {
    shapes: [...bothParts([-reach, top - half, top + half, reach], [-reach, foot - half, foot + half, reach], cut), ...let_in.shapes],
    lines: let_in.lines,
    spans: [{ side: "left", row: 0, from: -tall, to: 0, label: plain(tall) }, ...let_in.spans],
    notes: [
      {
        at: open_mm > 0 ? [-half - film_mm, -tall] : [(top * 3 + foot) / 4, -tall / 4],
        bold: `film ${plain(film_mm, 2)}`,
        words: ` of ${cut.glue}`,
      },
      ...(slope_mm > 0 ? [{ at: [foot, -tall] as Point, bold: `slope ${plain(slope_mm)}`, words: " long" }] : []),
      ...let_in.notes,
    ],
  };
}

type Four = readonly [number, number, number, number];

/** Both parts with the film between them, or what is missing there: where each begins and ends at the outer face and at the inner, mm. */
function bothParts(outer: Four, inner: Four, { across_mm, open_mm = 0, hatch }: JointCut): Shape[] {
  const between = (left: 0 | 1 | 2, right: 1 | 2 | 3): Point[] => [
    [outer[left], 0],
    [outer[right], 0],
    [inner[right], -across_mm],
    [inner[left], -across_mm],
  ];
  return [
    { kind: "ground", points: between(0, 1), hatch },
    { kind: "ground", points: between(2, 3), hatch },
    ...(open_mm > 0 ? [] : [{ kind: "glue" as const, points: between(1, 2), hatch: "adhesive" }]),
  ];
}

interface LetIn {
  readonly shapes: readonly Shape[];
  readonly lines: readonly Line[];
  readonly spans: readonly Span[];
  readonly notes: readonly Note[];
  /** How far it reaches from the break, mm. */
  readonly reach: number;
}

const NOTHING: LetIn = { shapes: [], lines: [], spans: [], notes: [], reach: 0 };

function letIn({ brace, across_mm, hatch }: JointCut): LetIn {
  if (!brace || brace.refused) return NOTHING;
  return DRAWN[brace.kind]?.(brace, across_mm, hatch) ?? NOTHING;
}

/** How each brace is drawn; what is not here is built around, not let in. */
const DRAWN: Partial<Record<SizedBrace["kind"], (brace: SizedBrace, tall: number, ground: string) => LetIn>> = {
  dowel: rod,
  pin: rod,
  spline: splineOf,
  cleat: behind,
  patch: behind,
};

/** Wood in wood lies across: it is told from the ground. */
const woodIn = (ground: string): string => (ground === "wood" ? "wood-2" : "wood");

function rod({ kind, size }: SizedBrace, tall: number, ground: string): LetIn {
  const { diameter_mm: d = 0, embed_mm: embed = 0, hole_mm: hole = d, hole_depth_mm: deep = embed } = size;
  const middle = -tall / 2;
  return {
    shapes: [
      { kind: "slot", points: boxAt(-deep, middle - hole / 2, deep, middle + hole / 2), hatch: "adhesive" },
      {
        kind: "core",
        points: boxAt(-embed, middle - d / 2, embed, middle + d / 2),
        ...(kind === "dowel" ? { hatch: woodIn(ground) } : {}),
      },
    ],
    lines: [
      {
        kind: "centre",
        points: [
          [-deep * 1.1, middle],
          [deep * 1.1, middle],
        ],
      },
    ],
    spans: [
      { side: "bottom", row: 0, from: -embed, to: 0, label: `${plain(embed)} in` },
      { side: "bottom", row: 0, from: 0, to: embed, label: `${plain(embed)} in` },
      { side: "right", row: 0, from: middle + d / 2, to: 0, label: `${plain((tall - d) / 2)} wall` },
    ],
    notes: [{ at: [embed / 2, middle], bold: `${kind} Ø ${plain(d)}`, words: `, hole ${plain(hole)}` }],
    reach: deep,
  };
}

function splineOf({ size }: SizedBrace, tall: number, ground: string): LetIn {
  const { depth_mm: depth = 0, length_mm: long = 0, floor_mm: floor = tall - depth, count = 1, width_mm: wide = 0 } = size;
  return {
    shapes: [{ kind: "core", points: boxAt(-long / 2, -tall, long / 2, -tall + depth), hatch: woodIn(ground) }],
    lines: [],
    spans: [
      { side: "bottom", row: 0, from: -long / 2, to: long / 2, label: `${plain(long)} long` },
      { side: "right", row: 0, from: -tall + depth, to: 0, label: `${plain(floor)} floor` },
      { side: "right", row: 1, from: -tall, to: -tall + depth, label: `${plain(depth)} deep` },
    ],
    notes: [
      {
        at: [long / 4, -tall + depth / 2],
        bold: count > 1 ? `${count} splines` : "spline",
        words: `, ${plain(wide)} wide, let in from behind`,
      },
    ],
    reach: long / 2,
  };
}

/** A cleat or a patch lies behind, across the line. */
function behind({ kind, size }: SizedBrace, tall: number): LetIn {
  const across = size.margin_mm === undefined ? (size.length_mm ?? 0) : (size.width_mm ?? 2 * size.margin_mm);
  const thick = size.thickness_mm ?? tall * THICK_SHARE;
  return {
    shapes: [{ kind: "patch", points: boxAt(-across / 2, -tall - thick, across / 2, -tall) }],
    lines: [],
    spans: [
      { side: "bottom", row: 0, from: -across / 2, to: across / 2, label: plain(across) },
      ...(size.thickness_mm === undefined
        ? []
        : [{ side: "right" as const, row: 0, from: -tall - thick, to: -tall, label: `${plain(thick)} ${kind}` }]),
    ],
    notes: [
      {
        at: [-across / 4, -tall - thick / 2],
        bold: kind,
        words: size.thickness_mm === undefined ? ", its thickness is not to scale" : ", grain across, edges feathered",
      },
    ],
    reach: across / 2,
  };
}
