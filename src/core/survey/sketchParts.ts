import { boxAt, type Point, plain } from "../units";

/** A measured distance in the drawing; `label` is the figure as typed. `beside` says where its line stands. */
export interface Dim {
  readonly from: Point;
  readonly to: Point;
  readonly label: string;
  readonly beside: "above" | "below" | "right";
}

/** A damage drawn from its numbers alone, in mm. Nothing is stretched: a 60 typed for a 6 is seen. */
export interface Sketch {
  readonly view: string;
  /** What is there, hatched. */
  readonly solid: ReadonlyArray<readonly Point[]>;
  /** What is missing, loose or spoilt: dashed. */
  readonly missing: ReadonlyArray<readonly Point[]>;
  /** Cracks, edges and axes. */
  readonly lines: ReadonlyArray<readonly Point[]>;
  readonly dims: readonly Dim[];
}

export const box = (x: number, y: number, width: number, height: number): Point[] => boxAt(x, y, x + width, y + height);
export const across = (from: number, to: number, y: number, label: number, beside: "above" | "below" = "above"): Dim => ({
  from: [from, y],
  to: [to, y],
  label: plain(label, 2),
  beside,
});
export const down = (x: number, from: number, to: number, label: number): Dim => ({
  from: [x, from],
  to: [x, to],
  label: plain(label, 2),
  beside: "right",
});

/** Half an ellipse hanging from y = 0. */
export function hollow(width: number, depth: number): Point[] {
  return Array.from({ length: 33 }, (_, i): Point => {
    const angle = Math.PI * (1 + i / 32);
    return [(width / 2) * Math.cos(angle), depth * Math.sin(angle)];
  });
}

/** A block whose top edge has a notch in it. */
export function notched(reach: number, floor: number, notch: readonly Point[]): Point[] {
  return [[-reach, 0], ...notch, [reach, 0], [reach, -floor], [-reach, -floor]];
}

export const CHIP_EDGE = {
  shell: (l: number, d: number) => hollow(l, d),
  wedge: (l: number, d: number): Point[] => [
    [-l / 2, 0],
    [0, -d],
    [l / 2, 0],
  ],
  straight: (l: number, d: number): Point[] => [
    [-l / 2, 0],
    [-l / 2, -d],
    [l / 2, -d],
    [l / 2, 0],
  ],
} as const;

/** A notch of a given profile, seen in a cut across it. */
export function cut(view: string, notch: readonly Point[], width: number, depth: number): Sketch {
  const reach = Math.max(width * 0.8, depth * 0.6);
  return {
    view,
    solid: [notched(reach, depth * 1.7, notch)],
    missing: [notch],
    lines: [],
    dims: [across(-width / 2, width / 2, 0, width), down(reach, 0, -depth, depth)],
  };
}

/** A place on a face, seen from above, with the cut below it. */
export function place(view: string, length: number, width: number, thickness: number, label: number): Sketch {
  const edge = Math.max(length, width) * 0.12;
  const face = box(-length / 2 - edge, -edge, length + 2 * edge, width + 2 * edge);
  const below = -edge * 2.4;
  return {
    view,
    solid: [face, box(-length / 2 - edge, below - thickness * 2, length + 2 * edge, thickness * 2)],
    missing: [box(-length / 2, 0, length, width), ...(thickness > 0 ? [box(-length / 2, below - thickness, length, thickness)] : [])],
    lines: [],
    dims: [
      across(-length / 2, length / 2, width + edge, length),
      down(length / 2 + edge, width, 0, width),
      ...(label > 0 ? [down(length / 2 + edge, below, below - thickness, label)] : []),
    ],
  };
}

export const COS30 = Math.cos(Math.PI / 6);
