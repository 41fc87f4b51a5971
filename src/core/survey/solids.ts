import type { Solid } from "./volume.schema";

/** How far a filling reaches in a solid, from where it begins (the deepest point, or the broken face) to the surface, mm. */
export function fillDepth(solid: Solid): number {
  switch (solid.shape) {
    case "corner":
      return cornerDepth(solid.a, solid.b, solid.c);
    case "cone":
    case "frustum":
    case "sphericalCap":
      return solid.height;
    default:
      return solid.depth;
  }
}

/** Height of a corner tetrahedron over its broken face, mm: 3V / A, with three square edges. */
export function cornerDepth(a: number, b: number, c: number): number {
  return (a * b * c) / Math.sqrt((a * b) ** 2 + (b * c) ** 2 + (a * c) ** 2);
}

/**
 * The share of a solid's volume that lies under `share` of its depth, both 0 to 1, counted from where filling begins. A corner and a
 * tip are built up from their broken face, every hollow from its deepest point. Elementary solid geometry.
 * @example filledShare({ shape: "corner", a: 30, b: 20, c: 18 }, 0.5) // => 0.875
 */
export function filledShare(solid: Solid, share: number): number {
  const s = Math.min(1, Math.max(0, share));
  switch (solid.shape) {
    case "box":
    case "cylinder":
    case "sheet":
      return s;
    case "corner":
    case "cone":
      return 1 - (1 - s) ** 3;
    case "frustum":
      return frustumShare(solid.diameter1, solid.diameter2, s);
    case "vGroove":
      return s ** 2;
    case "edgeChip":
    case "uGroove":
      return halfEllipseShare(s);
    case "sphericalCap":
      return capShare(solid.diameter, solid.height, s);
  }
}

/** Built up from the end of `d1`: the square of a diameter that runs in a straight line, integrated. */
function frustumShare(d1: number, d2: number, s: number): number {
  const end = d1 + (d2 - d1) * s;
  return (s * (d1 ** 2 + d1 * end + end ** 2)) / (d1 ** 2 + d1 * d2 + d2 ** 2);
}

/** A half ellipse filled from its vertex to its widest chord. */
function halfEllipseShare(s: number): number {
  const left = 1 - s;
  return 1 - (2 / Math.PI) * (left * Math.sqrt(1 - left ** 2) + Math.asin(left));
}

/** A cap filled from its pole: V(x) = πx²(3R − x)/3. */
function capShare(diameter: number, height: number, s: number): number {
  const radius = (diameter ** 2 / 4 + height ** 2) / (2 * height);
  const upTo = (x: number) => x ** 2 * (3 * radius - x);
  return upTo(height * s) / upTo(height);
}

/** The diameter of the circle that is as large as an ellipse with these axes, mm: π/4·d² = π/4·a·b. */
export const asRound = (a: number, b: number): number => Math.sqrt(a * b);

/** Ramanujan's first approximation of the perimeter of an ellipse with these diameters. */
export function ellipsePerimeter(a: number, b: number): number {
  return (Math.PI / 2) * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));
}
