import { type Family, isStripped, type OpFacts, type SubstrateRow } from "../catalogue";

export const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

const CLEAN: Readonly<Record<Family, string>> = {
  ceramic: "Wipe the break with alcohol, twice",
  mineral: "Brush the loss, then blow it out with a hand bellows",
  wood: "Brush and scrape out dust, keep every fibre that still keys",
  board: "Vacuum the edge, no water",
  skin: "De-wax around it with a cloth barely damp with white spirit",
  metal: "Degrease, then abrade inside the loss",
  polymer: "Wipe with alcohol, no ketone",
  bone: "Brush dry, wipe with barely damp alcohol",
  paper: "Brush dry, no water",
};
const CLEAN_CAUTION: Readonly<Record<Family, readonly string[]>> = {
  ceramic: ["vapour"],
  polymer: ["vapour"],
  metal: ["vapour", "dust-metal"],
  skin: ["vapour", "residues"],
  bone: ["vapour", "residues"],
  mineral: ["dust-mineral"],
  wood: ["dust-wood"],
  board: ["dust-wood"],
  paper: ["dust-mineral", "residues"],
};

/** What its family's way of cleaning would harm: alcohol softens celluloid, white spirit draws the plasticiser out of vinyl. Horie 2010. */
const CLEAN_OWN: Readonly<Record<string, string>> = {
  celluloid: "Wipe with a swab barely damp with water and a drop of soap, dry it at once; no alcohol, no ketone",
  leatherette: "Wipe with a cloth barely damp with water and a drop of soap, then with clear water; no solvent",
};

/** How a loss is cleaned on this material, and what to mind. */
export const cleanWords = ({ substrate, family }: SubstrateRow): string => CLEAN_OWN[substrate] ?? CLEAN[family];
export const cleanCautions = ({ substrate, family }: SubstrateRow): readonly string[] =>
  substrate in CLEAN_OWN ? [] : CLEAN_CAUTION[family];

/** What may hold lead under another name than paint. */
export const LEADED: Readonly<Record<string, string>> = { gilding: "gesso and bole", glaze: "the glaze" };

export const joined = ({ chain }: OpFacts) => chain.adhesive !== undefined;
/** Faces are brought together and pressed; into a hairline resin is only drawn. */
export const pressed = (f: OpFacts) => joined(f) && f.way !== "wick" && (f.kinds.has("faces") || f.kinds.has("backing"));
export const filled = ({ chain, kinds }: OpFacts) => chain.filler !== undefined && (kinds.has("void") || kinds.has("film"));
export const chained = (f: OpFacts) => Object.keys(f.chain).length > 0;
/** What the finish beside a place fears is kept off it, unless it was said that it need not survive; a glaze is what abrasives stop at. */
export const isMasked = (f: OpFacts) => chained(f) && (!f.yields || f.finish.finish === "glaze" || isFilm(f));
/** The whole face is taken back to bare for the finish that it is to have. */
export const strips = ({ was, to_be, way }: Pick<OpFacts, "was" | "to_be" | "way">): boolean => isStripped(was, to_be) && way !== "leave";
/** Loose veneer that is glued down is fast before stripper comes near it; all other bonding waits for the bare face. */
export const fastFirst = (f: OpFacts): boolean => strips(f) && f.way === "reglue";
export const isFilm = ({ kinds }: OpFacts) => kinds.has("film");
export const poured = ({ chain }: OpFacts) => chain.filler?.group === "plaster";
export const sheet = ({ way }: OpFacts) => way === "reveneer" || way === "cut-fill";
export const swelling = ({ measures }: OpFacts) => (typeof measures.swelling_mm === "number" ? measures.swelling_mm : 0);
export const twinned = ({ measures }: OpFacts) => typeof measures.twin === "string" && measures.twin !== "none";
export const formed = (f: OpFacts) => filled(f) && built(f) && f.form !== "none" && (poured(f) || f.form !== undefined || twinned(f));
const built = ({ damage }: OpFacts) => damage === "corner" || damage === "tip";

/** The heat that loosens an old glue against what lies beside it: °C, and whether it may be used. */
export function heatWords({ earlier, finish, on, survives }: OpFacts): { readonly words: string; readonly cold: boolean } {
  const softens = earlier?.softens_C;
  if (!earlier || !softens || earlier.carrier !== "heat") return { words: "", cold: false };
  const stands = Math.min(finish.stands_C, on.max_C);
  const beside = finish.stands_C <= on.max_C ? finish.label : on.label;
  const cold = stands < softens[1] && (survives || on.max_C < softens[1]);
  return { words: `${earlier.label} softens at ${softens[0]} to ${softens[1]} °C, ${lower(beside)} stands ${stands} °C.`, cold };
}
export const removal = (f: OpFacts) => (heatWords(f).cold ? (f.earlier?.cold ?? "") : (f.earlier?.removed_by ?? ""));
export const solventNear = ({ earlier, finish }: OpFacts) => earlier !== undefined && finish.harmed_by.includes(earlier.carrier);

export const MOULD_OF: Readonly<Record<string, string>> = {
  same: "Take the mould off the twin of the same hand",
  mirrored: "Take the mould off the mirrored twin and turn it, or build the shape free-hand: as it is, it does not fit",
};
