/** From 400 to 700 nm in steps of 10. */
export const NM: readonly number[] = Array.from({ length: 31 }, (_, i) => 400 + 10 * i);

/** Colour-matching functions of the CIE 1931 standard observer (2°), every 10 nm: x̄, ȳ, z̄. CIE 15:2018, table T.4. */
export const OBSERVER: ReadonlyArray<readonly [x: number, y: number, z: number]> = [
  [0.01431, 0.0004, 0.06785],
  [0.04351, 0.0012, 0.2074],
  [0.13438, 0.004, 0.6456],
  [0.2839, 0.0116, 1.3856],
  [0.34828, 0.023, 1.74706],
  [0.3362, 0.038, 1.77211],
  [0.2908, 0.06, 1.6692],
  [0.19536, 0.09098, 1.28764],
  [0.09564, 0.13902, 0.81295],
  [0.03201, 0.20802, 0.46518],
  [0.0049, 0.323, 0.272],
  [0.0093, 0.503, 0.1582],
  [0.06327, 0.71, 0.07825],
  [0.1655, 0.862, 0.04216],
  [0.2904, 0.954, 0.0203],
  [0.43345, 0.99495, 0.00875],
  [0.5945, 0.995, 0.0039],
  [0.7621, 0.952, 0.0021],
  [0.9163, 0.87, 0.00165],
  [1.0263, 0.757, 0.0011],
  [1.0622, 0.631, 0.0008],
  [1.0026, 0.503, 0.00034],
  [0.85445, 0.381, 0.00019],
  [0.6424, 0.265, 0.00005],
  [0.4479, 0.175, 0.00002],
  [0.2835, 0.107, 0],
  [0.1649, 0.061, 0],
  [0.0874, 0.032, 0],
  [0.04677, 0.017, 0],
  [0.0227, 0.00821, 0],
  [0.01136, 0.0041, 0],
];

/** Relative power of daylight of 6504 K, every 10 nm. CIE 15:2018, table T.1. */
const D65: readonly number[] = [82.7549, 91.486, 93.4318, 86.6823, 104.865, 117.008, 117.812, 114.861, 115.923, 108.811, 109.354, 107.802, 104.79, 107.689, 104.405, 104.046, 100, 96.3342, 95.788, 88.6856, 90.0062, 89.5991, 87.6987, 83.2886, 83.6992, 80.0268, 80.2146, 82.2778, 78.2842, 69.7213, 71.6091];

/** A lamp of 2856 K: Planck’s law as CIE 15:2018 states it, c₂ = 1.435·10⁷ nm·K at 2848 K, 100 at 560 nm. */
const planck = (nm: number) => (100 * (560 / nm) ** 5 * Math.expm1(1.435e7 / (2848 * 560))) / Math.expm1(1.435e7 / (2848 * nm));

/** A shop tube with three narrow bands, every 5 nm from 395 to 705; the lines lie between tens. CIE 15:2018, table T.6, F11. */
const F11_BY_5: readonly number[] = [
  0.37, 1.29, 12.68, 1.59, 1.79, 2.46, 3.33, 4.49, 33.94, 12.13, 6.95, 7.19, 7.12, 6.72, 6.13, 5.46, 4.79, 5.66, 14.29, 14.96, 8.97, 4.72, 2.33, 1.47, 1.1, 0.89, 0.83, 1.18, 4.9, 39.59, 72.84, 32.61, 7.52, 2.83, 1.96, 1.67, 4.43, 11.28, 14.76, 12.73, 9.74, 7.33, 9.72, 55.27, 42.58, 13.18, 13.16, 12.26, 5.11, 2.07,
  2.34, 3.58, 3.01, 2.48, 2.14, 1.54, 1.33, 1.46, 1.94, 2, 1.2, 1.35, 4.1,
];
/** Each ten takes half of the fives beside it, so that no line is lost. */
const byTens = (by5: readonly number[]) => NM.map((_, i) => (by5[2 * i + 1] ?? 0) + ((by5[2 * i] ?? 0) + (by5[2 * i + 2] ?? 0)) / 2);

export const ILLUMINANTS = {
  D65: { label: "daylight", power: D65 },
  A: { label: "lamp", power: NM.map(planck) },
  F11: { label: "shop tube", power: byTens(F11_BY_5) },
} as const satisfies Record<string, { readonly label: string; readonly power: readonly number[] }>;

export type Illuminant = keyof typeof ILLUMINANTS;
