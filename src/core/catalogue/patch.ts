/** Below this a patch peels at its edge, mm; trade practice. */
export const LEAST_PATCH_MARGIN_MM = 15;

/** How far a backing patch reaches past a tear or crack on all sides: a tenth of its length. Lengths mm; trade practice. */
export function patchMargin(along_mm: number): number {
  return Math.max(LEAST_PATCH_MARGIN_MM, along_mm / 10);
}
