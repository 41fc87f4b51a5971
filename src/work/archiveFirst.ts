import type { Shop } from "@/core/shop/shop.schema";
import { ArchivePhotographs, type ManifestFirst, nameOf } from "@/formats/archive.schema";
import { PHOTOGRAPH_MAX_BYTES, sha256 } from "@/formats/photograph";
import type { ZipReader } from "@/formats/zip";
import { type Archived, json, TEXT_MAX_BYTES } from "./archiveRead";
import { importCabinet } from "./cabinet";
import { importDossier } from "./dossiers";
import { addPhotograph } from "./photographs";
import { invalid, WorkProblem } from "./problems";
import { saveShop, shop } from "./shop";

/** Bring in what the first version of the archive held: dossiers, photographs, jars as CSV. @throws {WorkProblem} 422 when it is damaged */
export async function restoreFirst(zip: ZipReader, manifest: ManifestFirst, now: Date): Promise<Archived> {
  const ids = zip.names.flatMap((name) => /^treatments\/([0-9a-f-]{36})\.dossier\.json$/.exec(name)?.[1] ?? []);
  if (ids.length < manifest.treatments) throw invalid([{ path: "/treatments", message: "are not all there" }], "The archive is cut short.");
  const counts = { treatments: 0, photographs: 0, known: 0 };
  for (const id of ids) {
    const came = await treatmentIn(zip, id);
    counts[came ? "treatments" : "known"] += 1;
    // one that was broken off is here without its pictures
    const pictures = await photographsIn(zip, id);
    if (came) counts.photographs += pictures;
  }
  const cabinet = await zip.bytes(nameOf.cabinet, TEXT_MAX_BYTES);
  const left_out = cabinet && cabinet.toString("utf8").trim().split("\n").length > 1 ? await cabinetIn(cabinet.toString("utf8"), now) : [];
  if (manifest.shop) await shopIn(manifest.shop);
  return { ...counts, left_out };
}

async function cabinetIn(text: string, now: Date): Promise<Archived["left_out"]> {
  const { left_out } = await importCabinet(text, true, now);
  return left_out.map(({ line, message }) => ({ what: `${nameOf.cabinet}, line ${line}`, because: message }));
}

/** True when it came in; false when it was here already. */
async function treatmentIn(zip: ZipReader, id: string): Promise<boolean> {
  try {
    await importDossier(await json(zip, nameOf.dossier(id)));
    return true;
  } catch (error) {
    if (error instanceof WorkProblem && error.problem.status === 409) return false;
    throw error;
  }
}

async function photographsIn(zip: ZipReader, id: string): Promise<number> {
  const pictures = await json<ArchivePhotographs>(zip, nameOf.photographs(id), ArchivePhotographs);
  for (const { id: picture, taken_at, moment, caption, sha256: sum, file } of pictures) {
    const bytes = await zip.bytes(file, PHOTOGRAPH_MAX_BYTES);
    if (!bytes || sha256(bytes) !== sum)
      throw invalid([{ path: `/${file}`, message: "is missing or damaged" }], `The archive’s ${file} is missing or damaged.`);
    await addPhotograph(id, { id: picture, moment, caption, bytes }, new Date(taken_at));
  }
  return pictures.length;
}

/** The shop comes in where nobody has written one yet. */
async function shopIn(kept: Partial<Shop>): Promise<void> {
  const here = await shop();
  if (here.version === 0) await saveShop({ ...here, ...kept });
}
