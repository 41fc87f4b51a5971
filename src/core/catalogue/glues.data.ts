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
  readonly source: string;
}

const HORIE = "Horie, Materials for Conservation, 2010";
const BUYS = "Buys and Oakley 1993, ch. 7 (removing old restorations)";

export const EARLIER_GLUES = [
  { glue: "none", label: "None", tell: "bright, clean break", removed_by: "nothing to remove", carrier: "none", source: BUYS },
  { glue: "unknown", label: "Not known", tell: "old glue that nothing has been tried on", removed_by: "try a damp swab, then alcohol, then acetone, on one spot each", carrier: "none", source: BUYS },
  { glue: "animal", label: "Animal glue", tell: "brown and brittle, swells under a damp swab", removed_by: "warm water or steam, then a blunt blade", carrier: "water", source: HORIE },
  { glue: "shellac", label: "Shellac", tell: "orange to brown, softens with alcohol", removed_by: "alcohol poultice under film", carrier: "alcohol", source: BUYS },
  { glue: "cellulose-nitrate", label: "Cellulose nitrate", tell: "yellowed and brittle, strings with acetone", removed_by: "acetone swab or vapour", carrier: "ketone", source: BUYS },
  { glue: "pva", label: "PVA wood glue", tell: "milky, goes white and rubbery when damp", removed_by: "warm water and a toothbrush, or acetone for the rest", carrier: "water", source: HORIE },
  { glue: "contact", label: "Contact adhesive", tell: "yellow and rubbery, rolls under the thumb", removed_by: "white spirit or acetone, then roll it off", carrier: "hydrocarbon", source: HORIE },
  { glue: "cyanoacrylate", label: "Cyanoacrylate", tell: "glass clear with a white bloom beside the joint", removed_by: "acetone for hours under film", carrier: "ketone", source: HORIE },
  { glue: "epoxy", label: "Epoxy", tell: "amber and hard, water and alcohol leave it alone", removed_by: "hot air at 80 to 100 °C, else solvent gel for days", carrier: "heat", source: BUYS },
  { glue: "polyester", label: "Polyester", tell: "grey or white, dull, smells of styrene when scraped", removed_by: "solvent gel, then saw and scraper", carrier: "ketone", source: BUYS },
  { glue: "hot-melt", label: "Hot-melt glue", tell: "thick and waxy, threads pull off", removed_by: "warm air, peel, white spirit for the rest", carrier: "heat", source: HORIE },
] as const satisfies readonly EarlierGlueRow[];

export type EarlierGlue = (typeof EARLIER_GLUES)[number]["glue"];

/** The row of a glue. @throws {RangeError} on a name that is not in the table */
export function earlierGlueRow(glue: EarlierGlue): EarlierGlueRow {
  const row = EARLIER_GLUES.find((candidate) => candidate.glue === glue);
  if (!row) throw new RangeError(`unknown glue: ${glue}`);
  return row;
}
