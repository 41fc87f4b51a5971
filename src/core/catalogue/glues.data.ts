import type { Carrier } from "./finishes.data";

/** Glues met in earlier repairs: how to tell them, and what loosens them. */
export interface EarlierGlueRow {
  readonly glue: string;
  readonly label: string;
  /** How it shows itself on the bench. */
  readonly tell: string;
  readonly removed_by: string;
  /** What the removal brings near the finish. */
  readonly carrier: Carrier;
  /** Where heat softens it, °C; absent = heat does nothing for it. */
  readonly softens_C?: readonly [number, number];
  /** The way that needs neither heat nor solvent. */
  readonly cold: string;
  readonly source: string;
}

const HORIE = "Horie, Materials for Conservation, 2010";
const BUYS = "Buys and Oakley 1993 (removing old restorations)";

export const EARLIER_GLUES = [
  { glue: "none", label: "None", tell: "bright, clean break", removed_by: "nothing to remove", carrier: "none", cold: "nothing to remove", source: BUYS },
  { glue: "unknown", label: "Not known", tell: "old glue that nothing has been tried on", removed_by: "try a damp swab, then alcohol, then acetone, on one spot each", carrier: "none", cold: "pick and scrape it dry under a lens", source: BUYS },
  { glue: "animal", label: "Animal glue", tell: "brown and brittle, swells under a damp swab", removed_by: "warm water or steam, then a blunt blade", carrier: "water", cold: "chip it brittle with a blunt blade, dry", softens_C: [40, 60], source: HORIE },
  { glue: "shellac", label: "Shellac", tell: "orange to brown, softens with alcohol", removed_by: "alcohol poultice under film", carrier: "alcohol", cold: "chip it off dry, it is brittle when chilled", softens_C: [65, 80], source: BUYS },
  { glue: "cellulose-nitrate", label: "Cellulose nitrate", tell: "yellowed and brittle, strings with acetone", removed_by: "acetone swab or vapour", carrier: "ketone", cold: "pick it off dry, it is brittle", source: BUYS },
  { glue: "pva", label: "PVA wood glue", tell: "milky, goes white and rubbery when damp", removed_by: "warm water and a toothbrush, or acetone for the rest", carrier: "water", cold: "chill it with ice spray, pick it off brittle", softens_C: [45, 65], source: HORIE },
  { glue: "contact", label: "Contact adhesive", tell: "yellow and rubbery, rolls under the thumb", removed_by: "white spirit or acetone, then roll it off", carrier: "hydrocarbon", cold: "roll it off with a crepe block", softens_C: [60, 90], source: HORIE },
  { glue: "cyanoacrylate", label: "Cyanoacrylate", tell: "glass clear with a white bloom beside the joint", removed_by: "acetone for hours under film", carrier: "ketone", cold: "pick it off with a blade under a lens", softens_C: [100, 140], source: HORIE },
  { glue: "epoxy", label: "Epoxy", tell: "amber and hard, water and alcohol leave it alone", removed_by: "hot air at 80 to 100 °C, else solvent gel for days", carrier: "heat", cold: "pick it off in flakes with a blade under a lens", softens_C: [80, 100], source: BUYS },
  { glue: "polyester", label: "Polyester", tell: "grey or white, dull, smells of styrene when scraped", removed_by: "solvent gel, then saw and scraper", carrier: "ketone", cold: "saw and scrape it dry", source: BUYS },
  { glue: "polyurethane", label: "Foaming polyurethane", tell: "yellow-brown froth, springs back under the nail, no solvent touches it", removed_by: "warm air until it gives, pick it off, scrape the pores clean", carrier: "heat", cold: "crush the froth with a pick and scrape the pores clean; warm air only where it reaches the break alone, the finish behind foil, a finger beside it: there it gives and is picked off", softens_C: [80, 120], source: HORIE },
  { glue: "hot-melt", label: "Hot-melt glue", tell: "thick and waxy, threads pull off", removed_by: "warm air, peel, white spirit for the rest", carrier: "heat", cold: "chill it with ice spray, pick it off in one piece, white spirit for the rest, alcohol kept off", softens_C: [65, 90], source: HORIE },
] as const satisfies readonly EarlierGlueRow[];

export type EarlierGlue = (typeof EARLIER_GLUES)[number]["glue"];

/** The row of a glue. @throws {RangeError} on a name that is not in the table */
export function earlierGlueRow(glue: EarlierGlue): EarlierGlueRow {
  const row = EARLIER_GLUES.find((candidate) => candidate.glue === glue);
  if (!row) throw new RangeError(`unknown glue: ${glue}`);
  return row;
}
