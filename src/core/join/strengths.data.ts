import type { Substrate } from "../catalogue";

/**
 * What a sound section and a well-made joint stand, N/mm². `along` is bending strength along the grain (low end of the published
 * range); `joint` is a glued butt joint across the grain or, where there is no grain, the bond itself. `asks` is the safety that
 * is wanted over both: brittle stuff gives no warning.
 */
export interface StrengthRow {
  readonly along: number;
  readonly joint: number;
  readonly asks: number;
  readonly grain: boolean;
  readonly source: string;
}

const WOOD = "FPL Wood Handbook 2021, ch. 5 (bending strength) and ch. 10 (end-grain joints: 2 to 5 N/mm² with any wood glue)";
const CERAMIC = "Callister, Materials Science, table of ceramics; bond: typical data sheets of epoxies on glazed ware";
const wood = (along: number, joint: number): StrengthRow => ({ along, joint, asks: 3, grain: true, source: WOOD });
const brittle = (along: number, joint: number, source = CERAMIC): StrengthRow => ({ along, joint, asks: 4, grain: false, source });

/** Low ends of published ranges: a repair is not a test piece. */
export const STRENGTHS: Readonly<Record<Substrate, StrengthRow>> = {
  earthenware: brittle(10, 4),
  terracotta: brittle(8, 3),
  stoneware: brittle(30, 8),
  porcelain: brittle(45, 8),
  "bone-china": brittle(60, 8),
  gypsum: brittle(3, 1.2, "EN 13279-1 (flexural strength of gypsum binders); bond: break runs in the gypsum"),
  stone: brittle(7, 3, "EN 12372 results of limestones and sandstones; bond: break runs in the stone"),
  alabaster: brittle(3, 1.5, "EN 12372 results of gypsum alabaster, low end; bond: break runs in the stone"),
  "cement-cast": brittle(4, 1.5, "EN 998-1 (flexural strength of cement mortars); bond: break runs in the mortar"),
  "resin-cast": brittle(40, 10, "typical data sheets of casting resins"),
  hardwood: wood(80, 3),
  softwood: wood(50, 2),
  "veneer-solid": wood(60, 2.5),
  "veneer-particleboard": { ...wood(12, 1.5), source: "EN 312 (P2 boards)" },
  plywood: { ...wood(30, 2), source: "EN 636; EN 12369-2 (plywood), low end" },
  mdf: { ...wood(20, 2), source: "EN 622-5 (MDF)" },
  "mdf-vinyl": { ...wood(20, 2), source: "EN 622-5 (MDF)" },
  leather: { along: 15, joint: 1, asks: 3, grain: false, source: "Kite and Thomson 2006 (tensile strength, aged skin)" },
  leatherette: { along: 10, joint: 1, asks: 3, grain: false, source: "typical data sheets of coated fabrics" },
  "soft-metal": brittle(25, 8, "ASM Handbook vol. 2, 1990 (tin, lead and zinc alloys)"),
  brass: brittle(150, 10, "ASM Handbook vol. 2, 1990; bond: typical data sheets"),
  iron: brittle(200, 10, "ASM Handbook vol. 1, 1990 (cast iron, low end); bond: typical data sheets"),
  celluloid: brittle(40, 6, "Horie 2010; cellulose nitrate plastics, aged"),
  "hard-rubber": brittle(40, 6, "Horie 2010; typical data sheets of ebonite"),
  "bone-antler-horn": brittle(80, 8, "published bending tests of aged bone, low end; bond: typical data sheets"),
  "papier-mache": { along: 8, joint: 3, asks: 3, grain: false, source: "Horie 2010; trade practice, a rule of thumb" },
  composition: brittle(6, 2.5, "Horie 2010; trade practice, a rule of thumb"),
};
