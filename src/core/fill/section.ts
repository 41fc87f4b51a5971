import { boxAt, type Line, type Note, type Point, plain, type Scene, type Shape, type Span } from "../units";
import { bandOf, blockOf, cavityOf, grown, type Profile, reachOf, withProud } from "./outline";

/** One layer as it is drawn, bottom first. */
interface DrawnLayer {
  readonly name: string;
  readonly words: string;
  readonly hatch: string;
  /** Height of its surface after it has cured, mm against the old surface. */
  readonly surface_mm: number;
  /** What it sinks by while it cures, mm. */
  readonly shrinks_mm: number;
}

/** A rod in the middle of what is built up. */
interface DrawnCore {
  readonly words: string;
  readonly diameter_mm: number;
  readonly embed_mm: number;
  readonly out_mm: number;
}

/** What a cut through a loss shows. */
export interface LossCut {
  readonly profile: Profile;
  readonly hatch: string;
  readonly layers: readonly DrawnLayer[];
  readonly proud_mm: number;
  /** A trough in what stays soft: it sinks, and what stands up can't be sanded. */
  readonly trough: boolean;
  /** Built outwards from its core: each layer lies around the last. */
  readonly radial: boolean;
  /** Shallow anchor holes in the floor. */
  readonly keyed: boolean;
  /** A coat on the break, in words. */
  readonly barrier?: string;
  /** A board, a film or a mould that holds the fill, in words. */
  readonly dam?: string;
  readonly core?: DrawnCore;
}

/** How deep an anchor hole is drawn, as a share of the loss and at most, mm; trade practice. */
const KEY = { share: 0.12, most: 1.5, wide: 0.06 } as const;

/** The cut through a loss: nothing is stretched, only what sinks is drawn larger, and says so. */
export function lossScene(cut: LossCut): Scene {
  const { profile, layers, core } = cut;
  const dam = cut.dam === undefined ? undefined : damOf(profile);
  const keys = cut.keyed ? keysOf(profile) : [];
  const outer = withProud(profile, cavityOf(profile), cut.proud_mm);
  const levels = [-profile.depth, ...layers.map(({ surface_mm }) => surface_mm)];
  const filled = layers.map((layer, i): Shape => {
    const points = cut.radial ? ringOf(profile, layer.surface_mm) : bandOf(outer, levels[i] ?? 0, layer.surface_mm);
    return { kind: "layer", points, hatch: layer.hatch, layer: i };
  });
  // around a core the last layer lies outside the others: drawn first, so that none hides another
  const shapes: Shape[] = [
    { kind: "ground", points: blockOf(profile, core?.embed_mm), hatch: cut.hatch },
    ...keys.map((points): Shape => ({ kind: "slot", points, hatch: layers[0]?.hatch ?? cut.hatch })),
    ...(dam ? [dam] : []),
    { kind: "loss", points: cavityOf(profile) },
    ...(cut.radial ? [...filled].reverse() : filled),
    ...(core ? [coreOf(profile, core)] : []),
  ];
  const sunk = cut.radial || profile.kind === "peak" ? { lines: [], times: 1 } : sinking(cut, levels);
  return {
    shapes,
    lines: [...sunk.lines, ...linesOf(cut, outer)],
    spans: spansOf(cut, levels),
    notes: notesOf(cut, keys, dam),
    tags: layers.map(({ name, words }, layer) => ({ layer, bold: name, words })),
    ...(sunk.lines.length > 0 ? { shrink_drawn: sunk.times } : {}),
  };
}

function keysOf(profile: Profile): Point[][] {
  const deep = Math.min(KEY.most, profile.depth * KEY.share);
  const half = Math.max((profile.width * KEY.wide) / 2, deep / 4);
  return [-0.22, 0.22].map((share): Point[] => {
    const x = share * profile.width;
    const y = floorAt(profile, x);
    return [
      [x - half, y + deep * 0.6],
      [x - half * 0.8, y - deep],
      [x + half * 0.8, y - deep],
      [x + half, y + deep * 0.6],
    ];
  });
}

/** Height of the broken face at `x`, mm. */
function floorAt({ kind, width, depth }: Profile, x: number): number {
  const share = Math.min(1, Math.abs(x) / (width / 2));
  if (kind === "scoop") return -depth * Math.sqrt(1 - share ** 2);
  return kind === "groove" ? -depth * (1 - share) : -depth;
}

/** What is built outwards: the outline at that share of the way, around the middle of the base. */
const ringOf = (profile: Profile, surface: number): Point[] => grown(profile, Math.max(0.05, (surface + profile.depth) / profile.depth));

/** Where what holds the fill stands: behind an open hole, along a face of what is built up; beside a chip it lies out of the cut. */
function damOf(profile: Profile): Shape | undefined {
  const thick = Math.max(profile.depth, profile.width) * 0.06;
  if (profile.kind === "shaft" && profile.through) {
    const reach = profile.width / 2 + thick * 2;
    return { kind: "board", points: boxAt(-reach, -profile.depth - thick, reach, -profile.depth) };
  }
  if (profile.kind !== "peak") return undefined;
  const [, [rx, ry], [tx, ty]] = cavityOf(profile) as [Point, Point, Point];
  const long = Math.hypot(rx - tx, ry - ty);
  const [dx, dy] = [((ty - ry) / long) * thick, ((rx - tx) / long) * thick];
  return {
    kind: "board",
    points: [
      [rx, ry],
      [tx, ty],
      [tx + dx, ty + dy],
      [rx + dx, ry + dy],
    ],
  };
}

/** A rod stands in the middle of a peak, or reaches into the floor of a hole. */
function coreOf(profile: Profile, { diameter_mm, embed_mm, out_mm }: DrawnCore): Shape {
  const x = profile.kind === "peak" ? (profile.foot - 0.5) * profile.width * 0.5 : 0;
  const half = diameter_mm / 2;
  const top = Math.min(-profile.depth + out_mm, -profile.depth * 0.02);
  return { kind: "core", points: boxAt(x - half, -profile.depth - embed_mm, x + half, top) };
}

/** Larger than true, so that it is seen, but never past the layer's own foot. */
const TIMES = [10, 5, 2, 1] as const;

/** Where each layer sinks to from where it was placed, held by the walls: a parabola between them. */
function sinking({ profile, layers }: LossCut, levels: readonly number[]): { lines: Line[]; times: number } {
  const thinnest = (times: number) =>
    layers.every(({ shrinks_mm }, i) => shrinks_mm * times <= 0.8 * ((levels[i + 1] ?? 0) - (levels[i] ?? 0) + shrinks_mm));
  const times = TIMES.find(thinnest) ?? 1;
  const lines = layers.flatMap(({ surface_mm, shrinks_mm }): Line[] => {
    if (shrinks_mm <= 0) return [];
    const placed = surface_mm + shrinks_mm;
    const half = halfAt(profile, Math.min(0, surface_mm));
    const points = Array.from({ length: 13 }, (_, i): Point => {
      const share = (i - 6) / 6;
      return [share * half, placed - shrinks_mm * times * (1 - share ** 2)];
    });
    return [{ kind: "shrink", points }];
  });
  return { lines, times };
}

/** Half the width of the loss at a height, mm. */
function halfAt({ kind, width, depth }: Profile, y: number): number {
  const down = Math.min(1, -y / depth);
  if (kind === "scoop") return (width / 2) * Math.sqrt(Math.max(0, 1 - down ** 2));
  if (kind === "groove") return (width / 2) * (1 - down);
  return kind === "peak" ? (width / 2) * down : width / 2;
}

function linesOf({ profile, proud_mm, trough, barrier }: LossCut, outer: readonly Point[]): Line[] {
  const reach = reachOf(profile);
  const half = profile.width / 2;
  const dip = Math.min(profile.depth * 0.2, half * 0.2);
  const hollow = Array.from({ length: 13 }, (_, i): Point => [((i - 6) / 6) * half, -dip * (1 - ((i - 6) / 6) ** 2)]);
  const over = profile.kind === "peak" ? roofOf(outer) : outer.filter(([, y]) => y >= -1e-9);
  const cavity = cavityOf(profile);
  const level: Line["points"] =
    profile.kind === "peak"
      ? roofOf(cavity)
      : [
          [-reach, 0],
          [reach, 0],
        ];
  return [
    { kind: "level", points: level },
    ...(barrier ? [{ kind: "barrier" as const, points: profile.kind === "peak" ? cavity.slice(0, 2) : cavity }] : []),
    ...(proud_mm > 0 && over.length > 1 ? [{ kind: "proud" as const, points: over }] : []),
    ...(trough ? [{ kind: "proud" as const, points: hollow }] : []),
  ];
}

/** Over a peak from foot to foot. */
const roofOf = ([left, right, tip]: readonly Point[]): Point[] => (left && right && tip ? [left, tip, right] : []);

/** So many layers are measured one by one; more are said together. */
const MOST_SPANS = 4;

function spansOf({ profile, layers, proud_mm, radial }: LossCut, levels: readonly number[]): Span[] {
  const half = profile.width / 2;
  const whole: Span = { side: "right", row: layers.length > 1 ? 1 : 0, from: -profile.depth, to: 0, label: plain(profile.depth) };
  const each = layers.map((layer, i): Span => {
    const from = levels[i] ?? 0;
    return {
      side: "right",
      row: 0,
      from,
      to: Math.min(layer.surface_mm, i === layers.length - 1 ? 0 : layer.surface_mm),
      label: plain(layer.surface_mm - from - (i === layers.length - 1 ? proud_mm : 0), 2),
    };
  });
  const alike =
    each.length > MOST_SPANS
      ? [
          {
            side: "right" as const,
            row: 0,
            from: -profile.depth,
            to: 0,
            label: `${each.length} × ${plain(profile.depth / each.length, 2)}`,
          },
        ]
      : each;
  return [
    { side: profile.kind === "peak" ? "bottom" : "top", row: 0, from: -half, to: half, label: plain(profile.width) },
    ...(layers.length > 1 && !radial ? alike : []),
    { ...whole, row: layers.length > 1 && !radial ? 1 : 0 },
    ...(proud_mm > 0 ? [{ side: "left" as const, row: 0, from: 0, to: proud_mm, label: `${plain(proud_mm, 2)} proud` }] : []),
  ];
}

function notesOf({ profile, barrier, dam: named = "", core, trough }: LossCut, keys: readonly Point[][], dam: Shape | undefined): Note[] {
  const [key] = keys;
  const notes: Note[] = [];
  if (barrier) notes.push({ at: [-halfAt(profile, -profile.depth * 0.5), -profile.depth * 0.5], bold: "barrier", words: ` ${barrier}` });
  if (key) notes.push({ at: [key[0]?.[0] ?? 0, key[1]?.[1] ?? 0], bold: "anchor holes", words: ", press in first" });
  if (core) notes.push({ at: coreTop(profile, core), bold: core.words, words: `, ${plain(core.embed_mm)} deep` });
  if (dam) notes.push({ at: centre(dam.points), bold: named, words: " holds the fill" });
  if (trough) notes.push({ at: [0, -Math.min(profile.depth * 0.2, profile.width * 0.1)], bold: "a trough", words: ", not a peak" });
  return notes;
}

const centre = (points: readonly Point[]): Point => [
  points.reduce((sum, [x]) => sum + x, 0) / points.length,
  points.reduce((sum, [, y]) => sum + y, 0) / points.length,
];

function coreTop(profile: Profile, core: DrawnCore): Point {
  const [[left = 0] = [0], , [right = 0, top = 0] = [0, 0]] = coreOf(profile, core).points;
  return [(left + right) / 2, (top - profile.depth) / 2];
}
