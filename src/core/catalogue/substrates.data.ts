/** What a part is made of. `hardness` is the relative bench scale of `HARDNESS`; `max_C` what it stands without harm. */
export interface SubstrateRow {
  readonly substrate: string;
  readonly label: string;
  readonly family: Family;
  readonly hatch: Hatch;
  /** Drinks water and resin; decides keying, barrier coats and dampening. */
  readonly porous: boolean;
  /** Moves with the seasons or flexes in use, so that a rigid fill works loose. */
  readonly moves: boolean;
  /** Water swells, softens or stains it. */
  readonly fears_water: boolean;
  readonly hardness: 1 | 2 | 3 | 4 | 5;
  readonly max_C: number;
  readonly source: string;
}

export type Family = "ceramic" | "mineral" | "wood" | "board" | "skin" | "metal" | "polymer" | "bone" | "paper";

export type Hatch =
  | "stoneware"
  | "china"
  | "plaster"
  | "wood"
  | "board"
  | "leather"
  | "metal"
  | "putty"
  | "adhesive"
  | "acrylic"
  | "polyester"
  | "lacquer";

const HORIE = "C. V. Horie, Materials for Conservation, 2nd ed. 2010";
const WOOD = "FPL Wood Handbook, GTR-282 (2021), ch. 4 and 10";
const CERAMIC = "S. Buys and V. Oakley, The Conservation and Restoration of Ceramics, 1993";

/** In the order in which lists show them. */
export const SUBSTRATES = [
  { substrate: "earthenware", label: "Earthenware", family: "ceramic", hatch: "stoneware", porous: true, moves: false, fears_water: false, hardness: 4, max_C: 200, source: CERAMIC },
  { substrate: "terracotta", label: "Terracotta", family: "ceramic", hatch: "stoneware", porous: true, moves: false, fears_water: false, hardness: 3, max_C: 200, source: CERAMIC },
  { substrate: "stoneware", label: "Stoneware", family: "ceramic", hatch: "stoneware", porous: false, moves: false, fears_water: false, hardness: 5, max_C: 200, source: CERAMIC },
  { substrate: "porcelain", label: "Porcelain", family: "ceramic", hatch: "china", porous: false, moves: false, fears_water: false, hardness: 5, max_C: 200, source: CERAMIC },
  { substrate: "bone-china", label: "Bone china", family: "ceramic", hatch: "china", porous: false, moves: false, fears_water: false, hardness: 5, max_C: 200, source: CERAMIC },
  { substrate: "gypsum", label: "Gypsum", family: "mineral", hatch: "plaster", porous: true, moves: false, fears_water: true, hardness: 2, max_C: 45, source: "EN 13279-1; gypsum loses its bound water from about 45 °C" },
  { substrate: "stone", label: "Stone", family: "mineral", hatch: "stoneware", porous: true, moves: false, fears_water: false, hardness: 5, max_C: 200, source: HORIE },
  { substrate: "alabaster", label: "Alabaster", family: "mineral", hatch: "china", porous: true, moves: false, fears_water: true, hardness: 2, max_C: 45, source: "gypsum alabaster: water dissolves about 2 g/l and dulls the polish; gypsum loses its bound water from about 45 °C" },
  { substrate: "cement-cast", label: "Cement cast", family: "mineral", hatch: "stoneware", porous: true, moves: false, fears_water: false, hardness: 4, max_C: 200, source: "EN 197-1; EN 998-1" },
  { substrate: "resin-cast", label: "Cast resin", family: "polymer", hatch: "adhesive", porous: false, moves: false, fears_water: false, hardness: 3, max_C: 55, source: HORIE },
  { substrate: "hardwood", label: "Hardwood", family: "wood", hatch: "wood", porous: true, moves: true, fears_water: false, hardness: 3, max_C: 80, source: WOOD },
  { substrate: "softwood", label: "Softwood", family: "wood", hatch: "wood", porous: true, moves: true, fears_water: false, hardness: 2, max_C: 80, source: WOOD },
  { substrate: "veneer-solid", label: "Veneer on solid wood", family: "wood", hatch: "wood", porous: true, moves: true, fears_water: true, hardness: 3, max_C: 70, source: WOOD },
  { substrate: "veneer-particleboard", label: "Veneer on particle board", family: "board", hatch: "board", porous: true, moves: true, fears_water: true, hardness: 2, max_C: 70, source: WOOD },
  { substrate: "plywood", label: "Plywood", family: "wood", hatch: "wood", porous: true, moves: false, fears_water: true, hardness: 3, max_C: 70, source: WOOD },
  { substrate: "mdf", label: "Fibre board", family: "board", hatch: "board", porous: true, moves: true, fears_water: true, hardness: 2, max_C: 70, source: WOOD },
  { substrate: "mdf-vinyl", label: "Vinyl foil on fibre board", family: "board", hatch: "board", porous: true, moves: true, fears_water: true, hardness: 2, max_C: 50, source: WOOD },
  { substrate: "leather", label: "Leather", family: "skin", hatch: "leather", porous: true, moves: true, fears_water: true, hardness: 1, max_C: 50, source: "M. Kite and R. Thomson, Conservation of Leather, 2006" },
  { substrate: "leatherette", label: "Leatherette", family: "skin", hatch: "leather", porous: false, moves: true, fears_water: false, hardness: 1, max_C: 60, source: HORIE },
  { substrate: "soft-metal", label: "Soft metal (tin, lead, zinc alloy)", family: "metal", hatch: "metal", porous: false, moves: false, fears_water: false, hardness: 3, max_C: 120, source: "ASM Handbook vol. 2, 1990" },
  { substrate: "brass", label: "Brass", family: "metal", hatch: "metal", porous: false, moves: false, fears_water: false, hardness: 5, max_C: 200, source: "ASM Handbook vol. 2, 1990" },
  { substrate: "iron", label: "Iron or steel", family: "metal", hatch: "metal", porous: false, moves: false, fears_water: true, hardness: 5, max_C: 200, source: "ASM Handbook vol. 1, 1990; bare iron rusts under anything water-borne" },
  { substrate: "hard-rubber", label: "Hard rubber", family: "polymer", hatch: "adhesive", porous: false, moves: false, fears_water: false, hardness: 3, max_C: 55, source: HORIE },
  { substrate: "celluloid", label: "Celluloid", family: "polymer", hatch: "adhesive", porous: false, moves: false, fears_water: false, hardness: 3, max_C: 40, source: `${HORIE}; cellulose nitrate burns like a fuse from about 160 °C and softens far below` },
  { substrate: "bone-antler-horn", label: "Bone, antler or horn", family: "bone", hatch: "china", porous: true, moves: true, fears_water: true, hardness: 3, max_C: 50, source: HORIE },
  { substrate: "papier-mache", label: "Papier-mâché", family: "paper", hatch: "board", porous: true, moves: true, fears_water: true, hardness: 2, max_C: 70, source: HORIE },
  { substrate: "composition", label: "Composition (glue and chalk)", family: "mineral", hatch: "plaster", porous: true, moves: false, fears_water: true, hardness: 3, max_C: 50, source: HORIE },
] as const satisfies readonly SubstrateRow[];

export type Substrate = (typeof SUBSTRATES)[number]["substrate"];

const rows: ReadonlyMap<string, SubstrateRow & { substrate: Substrate }> = new Map(SUBSTRATES.map((row) => [row.substrate, row]));

/** Faced with veneer: thin, and its glue lets go in heat and wet. */
export const isVeneered = ({ substrate }: Pick<SubstrateRow, "substrate">): boolean => substrate === "veneer-solid" || substrate === "veneer-particleboard";

/** The row of a substrate. @throws {RangeError} on a name that is not in the table */
export function substrateRow(substrate: Substrate): SubstrateRow & { substrate: Substrate } {
  const row = rows.get(substrate);
  if (!row) throw new RangeError(`unknown substrate: ${substrate}`);
  return row;
}
