import { type Lab, smoothReflectance } from "./spectrum";

/** A pigment by its generic name: its colour full and opaque in a matt binder, and whether it hides or lets through. */
export interface PigmentRow {
  readonly name: string;
  readonly lab: Lab;
  readonly lets_through: boolean;
}

const row = (name: string, L: number, a: number, b: number, lets_through = false): PigmentRow => ({ name, lab: { L, a, b }, lets_through });

/** Masstones as handbooks and colour cards give them, rounded: makers and lots differ by several units. Mayer, The Artist’s Handbook; typical data sheets. */
export const PIGMENTS: readonly PigmentRow[] = [
  row("titanium white", 96, -1, 3),
  row("zinc white", 95, -1, 2, true),
  row("lamp black", 24, 0, 0),
  row("yellow ochre", 62, 16, 45),
  row("raw sienna", 52, 17, 37, true),
  row("burnt sienna", 38, 25, 25, true),
  row("red ochre", 40, 30, 22),
  row("raw umber", 34, 5, 12),
  row("burnt umber", 30, 9, 10),
  row("cadmium yellow", 82, 14, 84),
  row("cadmium red", 47, 58, 38),
  row("madder lake", 33, 45, 14, true),
  row("ultramarine", 30, 20, -52, true),
  row("cobalt blue", 38, 4, -45),
  row("viridian", 36, -25, 3, true),
  row("chrome oxide green", 45, -17, 18),
];

/** A row as the search takes it: of a masstone alone only a smooth reflectance is known. */
export const asPigment = ({ name, lab }: PigmentRow) => ({ name, r: smoothReflectance(lab) });
