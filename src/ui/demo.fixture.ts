import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { readLog, type Treatment } from "@/core/record/treatment";
import { type Worked, worked } from "@/core/views/worked";
import { readDossier } from "@/formats/dossier";
import type { Dossier } from "@/formats/dossier.schema";

const DEMO = path.resolve(__dirname, "../../demo");

/** The air of every demo piece in tests. */
export const AIR = { temp_C: 19, rh_pct: 50 };

export const DEMO_FILES = readdirSync(DEMO).filter((file) => file.endsWith(".dossier.json"));

export interface DemoPiece {
  readonly piece: Dossier["piece"];
  readonly kept: Dossier["treatment"];
  readonly treatment: Treatment;
  readonly plan: Worked | undefined;
  /** The demo's present, ms. */
  readonly now: number;
}

/** A demo piece read and worked out at the demo's present; `by` signs all of its entries. */
export function demoPiece(file: string, by?: string): DemoPiece {
  const read = readDossier(JSON.parse(readFileSync(path.join(DEMO, file), "utf8")));
  if (!read.ok) throw new Error(read.detail);
  const { piece, treatment: kept, exported_at } = read.dossier;
  const now = Date.parse(exported_at);
  const treatment = readLog(by ? kept.log.map((entry) => ({ ...entry, by })) : kept.log);
  const facts = { kind: piece.kind, part: kept.part, parts: piece.parts };
  return { piece, kept, treatment, now, plan: worked(facts, treatment, AIR, { constant_C: AIR.temp_C }, now) };
}

/** The words of a drawn page, without its tags. */
export const wordsOf = (markup: string): string =>
  markup
    .replaceAll(/<[^>]+>/g, " ")
    .replaceAll("&#x27;", "'")
    .replaceAll("&amp;", "&")
    .replaceAll(/\s+/g, " ");
