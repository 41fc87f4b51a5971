import type { Point } from "../units";

/** What the section is cut through, in mm: x across the loss, y up from the original surface (negative = inside the piece). */
export type Profile =
  | { readonly kind: "scoop"; readonly width: number; readonly depth: number }
  | { readonly kind: "groove"; readonly width: number; readonly depth: number }
  | { readonly kind: "shaft"; readonly width: number; readonly depth: number; readonly through: boolean }
  /** What stands out: `foot` is where along the base the highest point lies, 0 to 1. */
  | { readonly kind: "peak"; readonly width: number; readonly foot: number; readonly depth: number };

const MARGIN = 0.19;
const halfOf = ({ width }: Profile) => width / 2;

/** How far the ground is drawn to each side of the middle, mm. */
export const reachOf = (profile: Profile): number => halfOf(profile) + Math.max(profile.width * MARGIN, profile.depth * 0.35);

const STEPS = 48;

/** The missing part as a closed polygon, from the left edge over the bottom to the right. */
export function cavityOf(profile: Profile): Point[] {
  const half = profile.width / 2;
  const { depth } = profile;
  switch (profile.kind) {
    case "scoop":
      return Array.from({ length: STEPS + 1 }, (_, i): Point => {
        const angle = Math.PI * (1 + i / STEPS);
        return [half * Math.cos(angle), depth * Math.sin(angle)];
      });
    case "groove":
      return [
        [-half, 0],
        [0, -depth],
        [half, 0],
      ];
    case "shaft":
      return [
        [-half, 0],
        [-half, -depth],
        [half, -depth],
        [half, 0],
      ];
    case "peak": {
      const foot = -half + profile.foot * profile.width;
      return [
        [-half, -depth],
        [half, -depth],
        [foot, 0],
      ];
    }
  }
}

/** The missing part with what stands proud of it, as a closed polygon. */
export function withProud(profile: Profile, cavity: readonly Point[], proud: number): Point[] {
  if (proud <= 0) return [...cavity];
  if (profile.kind === "peak") {
    return grown(profile, (profile.depth + proud) / profile.depth);
  }
  const half = profile.width / 2;
  const lip = Math.min(proud, half * 0.12);
  return [...cavity, [half + lip, 0], [half, proud], [-half, proud], [-half - lip, 0]];
}

/** A peak grown or shrunk about the middle of its base. */
export const grown = (profile: Profile, by: number): Point[] =>
  cavityOf(profile).map(([x, y]): Point => [x * by, (y + profile.depth) * by - profile.depth]);

/** The ground that is left around the loss; as deep as a rod goes that is let into it, and some more, mm. */
export function blockOf(profile: Profile, embed_mm = 0): Point[] {
  const reach = reachOf(profile);
  const under = Math.max(profile.depth * 0.4, embed_mm * 1.2);
  const floor = profile.kind === "shaft" && profile.through ? profile.depth : profile.depth + under;
  if (profile.kind === "peak")
    return [
      [-reach, -profile.depth],
      [reach, -profile.depth],
      [reach, -floor],
      [-reach, -floor],
    ];
  return [[-reach, 0], ...cavityOf(profile), [reach, 0], [reach, -floor], [-reach, -floor]];
}

/** What of a polygon lies between two heights (Sutherland–Hodgman, twice). */
export function bandOf(polygon: readonly Point[], from: number, to: number): Point[] {
  return clip(clip(polygon, from, 1), to, -1);
}

function clip(polygon: readonly Point[], level: number, sign: 1 | -1): Point[] {
  const inside = ([, y]: Point) => (y - level) * sign >= -1e-9;
  return polygon.flatMap((point, i): Point[] => {
    const before = polygon[(i + polygon.length - 1) % polygon.length] as Point;
    const crossing = inside(point) === inside(before) ? [] : [cross(before, point, level)];
    return inside(point) ? [...crossing, point] : crossing;
  });
}

function cross([x1, y1]: Point, [x2, y2]: Point, level: number): Point {
  return [x1 + ((level - y1) / (y2 - y1)) * (x2 - x1), level];
}
