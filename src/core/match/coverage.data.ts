import type { DamageKind, Finish, SUBSTRATES } from "../catalogue";
import type { MatchInput } from "./match.schema";

type Family = (typeof SUBSTRATES)[number]["family"];
type Service = MatchInput["service"];

const SOLID: readonly Family[] = ["ceramic", "mineral", "wood", "board", "metal", "polymer", "bone", "paper"];

/** Which damage is met on which family, and an ordinary measure of it. */
export const MET: Readonly<Record<DamageKind, { readonly on: readonly Family[]; readonly measures: Readonly<Record<`${string}_mm`, number>> }>> = {
  chip: { on: SOLID, measures: { depth_mm: 6 } },
  corner: { on: SOLID.filter((family) => family !== "metal"), measures: { depth_mm: 12 } },
  tip: { on: SOLID.filter((family) => family !== "board"), measures: { depth_mm: 6 } },
  hole: { on: [...SOLID, "skin"], measures: { depth_mm: 6, gap_mm: 6 } },
  shards: { on: ["ceramic", "mineral", "metal", "polymer", "bone", "paper"], measures: { gap_mm: 0.1 } },
  "break-along": { on: ["wood"], measures: { gap_mm: 0.1 } },
  "break-across": { on: ["wood", "board", "mineral", "polymer", "bone", "metal"], measures: { gap_mm: 0.1 } },
  crack: { on: SOLID, measures: { gap_mm: 0.3, depth_mm: 5 } },
  tear: { on: ["skin", "paper"], measures: { gap_mm: 0.1 } },
  "veneer-lifted": { on: ["wood", "board"], measures: { gap_mm: 0.1, swelling_mm: 0 } },
  "veneer-lost": { on: ["wood", "board"], measures: { depth_mm: 0.7, gap_mm: 0.1 } },
  scratch: { on: ["ceramic", "mineral", "wood", "board", "skin", "metal", "polymer", "bone"], measures: { depth_mm: 0.3, gap_mm: 0.4 } },
  dent: { on: ["wood", "board", "metal", "paper"], measures: { depth_mm: 1 } },
  "burn-through": { on: ["wood", "board", "skin"], measures: { depth_mm: 0.3 } },
  eroded: { on: ["mineral", "wood", "bone", "ceramic", "skin", "paper"], measures: { depth_mm: 6 } },
  "worn-thin": { on: ["metal", "bone", "ceramic", "skin", "polymer", "paper"], measures: { depth_mm: 0.8 } },
  stain: { on: ["ceramic", "mineral", "wood", "board", "skin", "bone", "paper"], measures: {} },
  "loose-joint": { on: ["wood", "board"], measures: { gap_mm: 0.1 } },
};

/** No skin is deeper than this, mm. */
export const SKIN_MM = 1.2;

/** The surfaces that each family comes with. */
export const SURFACES: Readonly<Record<Family, readonly Finish[]>> = {
  ceramic: ["glaze", "none", "paint"],
  mineral: ["none", "paint", "gilding"],
  wood: ["none", "shellac", "lacquer", "oil", "wax", "paint", "polyester-film", "gilding"],
  board: ["lacquer", "paint", "none"],
  skin: ["dye", "none", "paint"],
  metal: ["none", "paint", "gilding"],
  polymer: ["none", "paint"],
  bone: ["none", "wax"],
  paper: ["paint", "none", "gilding"],
};

/** What veneer lies on. */
export const VENEERED = ["veneer-solid", "veneer-particleboard", "mdf-vinyl", "hardwood", "mdf"];

/** What is asked of the piece. */
export const ASKED: ReadonlyArray<{ readonly name: string; readonly service: Service }> = [
  { name: "indoors, at rest", service: {} },
  { name: "it flexes", service: { flex: true } },
  { name: "outdoors", service: { outdoor: true } },
  { name: "it must sound", service: { acoustic: true } },
];
