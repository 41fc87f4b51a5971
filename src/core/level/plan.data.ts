import { type Family, type Finish, type Grade, P, type SubstrateRow } from "../catalogue";

const TRADE = "trade practice; grains by ISO 6344";

/** Where sanding ends, by what comes next. */
export const LADDER_ENDS: Readonly<Record<Finish, { readonly to: Grade; readonly because: string; readonly source: string }>> = {
  none: { to: P(240), because: "bare surface: finer shows less, but closes the pores", source: TRADE },
  bare: { to: P(240), because: "no finer before colour: it closes the pores", source: TRADE },
  glaze: { to: P(600), because: "paper scratches a glaze at any grade: what is finer, and runs out over the line, is a polishing cloth", source: TRADE },
  paint: { to: P(320), because: "primer and paint cover what is finer", source: TRADE },
  shellac: { to: P(400), because: "polish builds on a surface this fine", source: TRADE },
  lacquer: { to: P(400), because: "toner and clear go over it; the film is levelled fine when they have dried", source: TRADE },
  "polyester-film": { to: P(400), because: "toner and clear go over it; the film is levelled fine when they have dried", source: TRADE },
  oil: { to: P(240), because: "finer closes the pores to oil", source: TRADE },
  wax: { to: P(320), because: "wax shows little", source: TRADE },
  dye: { to: P(800), because: "skin marks easily", source: TRADE },
  foil: { to: P(400), because: "a thin coat over foil shows coarser scratches", source: TRADE },
  gilding: { to: P(400), because: "size and leaf show the ground", source: TRADE },
};

/** Where it starts, by how hard the fill is on the relative scale. */
export const LADDER_STARTS: Readonly<Record<1 | 2 | 3 | 4 | 5, Grade>> = { 1: P(320), 2: P(180), 3: P(150), 4: P(120), 5: P(120) };

/** What is sanded with: in words, and whether the swarf is carried off by it. */
export interface Lubricant {
  readonly words: string;
  readonly wet: boolean;
}
const dry = (words: string): Lubricant => ({ words, wet: false });
const wet = (words: string): Lubricant => ({ words, wet: true });

/** How a substrate is levelled: never water on gypsum, skin, board or paper. */
const LUBRICANTS: Readonly<Record<Family, Lubricant>> = {
  ceramic: wet("Wet, a drop of soap"), // Water keeps the dust down and the grain open.
  mineral: dry("Dry"), // Water softens gypsum and composition.
  wood: dry("Dry, along the grain"), // Water raises the fibres.
  board: dry("Dry, light hand"), // Water swells the board and the edge stays up.
  skin: dry("Dry, foam pad"), // Water and spirit stain the skin.
  metal: wet("Wet, or spirit"), // Dry grain loads up and smears soft metal.
  polymer: wet("Wet"), // Heat smears resin and rubber.
  bone: dry("Dry"), // Water opens cracks along the growth lines.
  paper: dry("Dry, light hand"), // Water lifts the layers.
};

/** Where a material is otherwise than its family. */
const LUBRICANTS_OWN: Readonly<Record<string, Lubricant>> = { iron: dry("Dry, or with white spirit: water rusts it") };
/** A film is levelled wet on a hard block; a fill that water softens is never wetted, whatever lies around it. */
const FILM = wet("Wet, a hard block");
const FILM_OWN: Partial<Readonly<Record<Finish, Lubricant>>> = { shellac: wet("With white spirit, a hard block") }; // Water whitens shellac.
const DRY_FILL = dry("Dry");

/** What is sanded with: by the film that is levelled, the fill, and the material around it. */
export function lubricantOf(on: Pick<SubstrateRow, "substrate" | "family">, film: Finish | undefined, fears_water: boolean): Lubricant {
  if (film) return FILM_OWN[film] ?? FILM;
  if (fears_water) return DRY_FILL;
  return LUBRICANTS_OWN[on.substrate] ?? LUBRICANTS[on.family];
}

export const BACKINGS: ReadonlyArray<{ readonly shape: string; readonly use: string }> = [
  { shape: "flat", use: "hard block" },
  { shape: "outside curve", use: "cork or foam" },
  { shape: "inside curve", use: "dowel of that radius" },
  { shape: "detail", use: "strip over a card" },
];
