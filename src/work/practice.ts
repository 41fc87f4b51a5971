import { readFile } from "node:fs/promises";
import path from "node:path";
import { readDossier, shiftDossier } from "@/formats/dossier";
import type { Dossier } from "@/formats/dossier.schema";

/** The demo piece that a new user may try things on, moved to the present. */
export async function practiceDossier(now: Date): Promise<Dossier> {
  const file = path.join(process.cwd(), "demo", "practice.dossier.json");
  const read = readDossier(JSON.parse(await readFile(file, "utf8")));
  if (!read.ok) throw new Error(read.detail);
  return shiftDossier(read.dossier, now.getTime() - Date.parse(read.dossier.exported_at));
}
