import type { Solid, VolumeInput, VolumeResult } from "./volume.schema";

const { PI } = Math;

/** Volume in mm³ of each simple solid from its dimensions in mm. Complete by type. */
const VOLUME_MM3: { readonly [S in Solid["shape"]]: (solid: Extract<Solid, { shape: S }>) => number } = {
  box: ({ length, width, depth }) => length * width * depth,
  cylinder: ({ diameter, depth }) => (PI / 4) * diameter ** 2 * depth,
  cone: ({ diameter, height }) => (PI / 12) * diameter ** 2 * height,
  frustum: ({ diameter1, diameter2, height }) => (PI / 12) * height * (diameter1 ** 2 + diameter1 * diameter2 + diameter2 ** 2),
  sphericalCap: ({ diameter, height }) => ((PI * height) / 6) * ((3 * diameter ** 2) / 4 + height ** 2),
  corner: ({ a, b, c }) => (a * b * c) / 6,
  edgeChip: ({ length, depth, thickness }) => (PI / 4) * length * depth * thickness,
  vGroove: ({ length, width, depth }) => (length * width * depth) / 2,
  uGroove: ({ length, width, depth }) => (PI / 4) * width * depth * length,
  sheet: ({ area_mm2, depth }) => area_mm2 * depth,
};

const MM3_PER_CM3 = 1000;

/**
 * Volume of a loss as a sum of simple solids, in cm³, each solid times its `count`.
 * Real breaks are rougher than solids: expect ±15 %.
 * @example volume({ solids: [{ shape: "edgeChip", length: 34, depth: 11, thickness: 6 }] }).volume_cm3 // => 1.762…
 */
export function volume({ solids }: VolumeInput): VolumeResult {
  const each = solids.map((solid) => ({
    shape: solid.shape,
    volume_cm3: (volumeMm3(solid) * (solid.count ?? 1)) / MM3_PER_CM3,
  }));
  return {
    solids: each,
    volume_cm3: each.reduce((sum, { volume_cm3 }) => sum + volume_cm3, 0),
    basis: { formula: "sum of simple solids", source: "elementary solid geometry (Bronshtein, Handbook of Mathematics, ch. 3)" },
    warnings: [],
  };
}

function volumeMm3<S extends Solid["shape"]>(solid: Extract<Solid, { shape: S }>): number {
  return VOLUME_MM3[solid.shape as S](solid);
}
