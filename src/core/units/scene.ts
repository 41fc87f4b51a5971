import type { Point } from "./drawing";

/** A shape of a drawing; each kind has one way to be drawn. */
export interface Shape {
  readonly kind: "ground" | "loss" | "layer" | "glue" | "core" | "slot" | "board" | "patch";
  /** Closed, mm. */
  readonly points: readonly Point[];
  readonly hatch?: string;
  /** A layer's place in the list beside the drawing, from 0. */
  readonly layer?: number;
}

/** A line of a drawing: as placed, the old surface, where a layer sinks to, the axis of a core, a coat on the break. */
export interface Line {
  readonly kind: "proud" | "level" | "shrink" | "centre" | "barrier";
  readonly points: readonly Point[];
}

/** A dimension: from and to along its side, mm; `row` 0 lies next to the drawing. */
export interface Span {
  readonly side: "top" | "bottom" | "left" | "right";
  readonly row: number;
  readonly from: number;
  readonly to: number;
  readonly label: string;
}

/** Words on a leader to a point. */
export interface Note {
  readonly at: Point;
  readonly bold: string;
  readonly words: string;
}

/** A drawing in mm, nothing of pixels: x to the right, y up from the old surface. */
export interface Scene {
  readonly shapes: readonly Shape[];
  readonly lines: readonly Line[];
  readonly spans: readonly Span[];
  readonly notes: readonly Note[];
  /** What is said inside a layer that has room for it. */
  readonly tags?: ReadonlyArray<{ readonly layer: number; readonly bold: string; readonly words: string }>;
  /** How many times larger than true the sinking is drawn. */
  readonly shrink_drawn?: number;
}

/** A rectangle as a shape has it. */
export const boxAt = (left: number, bottom: number, right: number, top: number): Point[] => [
  [left, bottom],
  [right, bottom],
  [right, top],
  [left, top],
];

export interface Bounds {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** The box around all that is drawn in mm. @throws {RangeError} if nothing is */
export function boundsOf({ shapes, lines }: Pick<Scene, "shapes" | "lines">): Bounds {
  const points = [...shapes, ...lines].flatMap((each) => each.points);
  if (points.length === 0) throw new RangeError("an empty scene has no bounds");
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), bottom: Math.min(...ys), top: Math.max(...ys) };
}
