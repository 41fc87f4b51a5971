/** A point of a drawing in mm: x to the right, y up. */
export type Point = readonly [x: number, y: number];

/** Scales a drawing may have: so many to one, or one to so many. */
const SCALES = [50, 20, 10, 8, 6, 5, 4, 3, 2, 1.5, 1, 1 / 2, 1 / 3, 1 / 5, 1 / 10, 1 / 20, 1 / 50] as const;

/** CSS pixels in a millimetre: 96 to the inch, until a screen is calibrated. */
export const PX_PER_MM = 96 / 25.4;

/** The largest scale at which `width` × `height` mm fits into that many pixels. */
export function fittingScale(width: number, height: number, pxWidth: number, pxHeight: number): number {
  return SCALES.find((scale) => width * scale * PX_PER_MM <= pxWidth && height * scale * PX_PER_MM <= pxHeight) ?? SCALES.at(-1) ?? 1;
}

/** @example scaleLabel(5) // => "5 : 1" */
export function scaleLabel(scale: number): string {
  return scale >= 1 ? `${scale} : 1` : `1 : ${Math.round(1 / scale)}`;
}
