import type { ClassName } from "../catalogue";

/** How a fabric is laid up. */
export interface LayupRow {
  readonly class: ClassName;
  /** What one layer adds, laid wet and rubbed down, mm. */
  readonly layer_mm: number;
  readonly least: number;
  /** It rebuilds the thickness that is missing; else one layer carries and that is all. */
  readonly builds: boolean;
  readonly how: string;
  readonly source: string;
}

export const LAYUPS: readonly LayupRow[] = [
  { class: "plaster-bandage", layer_mm: 1, least: 4, builds: true, how: "Each strip wet through and wrung once, rubbed until the mesh is gone.", source: "trade practice, a rule of thumb: a wet layer rubs down to about 1 mm, fewer than four crack" },
  { class: "glass-fabric", layer_mm: 0.41, least: 2, builds: true, how: "Each layer wet through from below: no white spots, no air under it.", source: "290 g/m² plain weave of E-glass, laid up by hand at 45 % fibre by mass: 290 / 0.45 = 644 g/m², at 1.57 g/cm³ 0.41 mm" },
  { class: "backing-fabric", layer_mm: 0.5, least: 1, builds: false, how: "Flat, without stretch, rubbed from the middle outwards.", source: "Kite and Thomson 2006" },
];
