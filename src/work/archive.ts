import { check } from "@/core/problem";
import type { Shop } from "@/core/shop/shop.schema";
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, ArchivePhotographs, Manifest, nameOf } from "@/formats/archive.schema";
import { PHOTOGRAPH_MAX_BYTES, sha256 } from "@/formats/photograph";
import { ZipReader, ZipWriter } from "@/formats/zip";
import { em as openEm } from "@/store/orm";
import { allTreatmentIds, type PhotographRecord, photographBytes, photographsOf } from "@/store/queries";
import { exportCabinet, importCabinet } from "./cabinet";
import { exportDossier, importDossier } from "./dossiers";
import { addPhotograph } from "./photographs";
import { invalid, WorkProblem } from "./problems";
import { saveShop, shop } from "./shop";

/** What went out, or came in. */
export interface Archived {
  readonly treatments: number;
  readonly photographs: number;
  /** Here already, and left as they are. */
  readonly known: number;
}

/** Text of one entry of the archive at most, bytes. */
const TEXT_MAX_BYTES = 64 * 1024 * 1024;
const ENDINGS: Readonly<Record<string, string>> = { "image/jpeg": "jpg", "image/png": "png", "image/webp": "webp" };

/** Write the whole shop into a zip: every treatment, photograph and jar. One treatment and one picture are held at a time. */
export async function archiveTo(file: string, now: Date): Promise<Archived> {
  const em = await openEm();
  const zip = new ZipWriter(file);
  const ids = await allTreatmentIds(em);
  let photographs = 0;
  for (const id of ids) {
    zip.text(nameOf.dossier(id), JSON.stringify(await exportDossier(id, now, { pictures: false }), null, 1));
    const pictures = await photographsOf(em, id);
    photographs += pictures.length;
    zip.text(nameOf.photographs(id), JSON.stringify(pictures.map(listed), null, 1));
    for (const picture of pictures)
      zip.picture(fileOf(picture), async () => (await photographBytes(await openEm(), picture.id, false))?.bytes ?? Buffer.alloc(0));
  }
  zip.text(nameOf.cabinet, await exportCabinet());
  const { version, ...kept } = await shop();
  const manifest: Manifest = {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    exported_at: now.toISOString(),
    ...(version > 0 ? { shop: kept } : {}),
    treatments: ids.length,
    photographs,
  };
  zip.text(nameOf.manifest, JSON.stringify(manifest, null, 1));
  await zip.end();
  return { treatments: ids.length, photographs, known: 0 };
}

const fileOf = ({ id, mime }: Pick<PhotographRecord, "id" | "mime">) => `photographs/${id}.${ENDINGS[mime] ?? "jpg"}`;

const listed = ({ id, taken_at, moment, caption, mime, sha256: sum }: PhotographRecord) => ({
  id,
  taken_at: new Date(taken_at).toISOString(),
  moment,
  caption,
  mime,
  sha256: sum,
  file: fileOf({ id, mime }),
});

/**
 * Bring a shop in from its zip. What is here already stays as it is, so that one that was broken off is simply done again.
 * @throws {WorkProblem} 422 when the file is no such archive, or damaged
 */
export async function restoreFrom(file: string, now: Date): Promise<Archived> {
  const zip = await ZipReader.open(file).catch((error: Error) => {
    throw invalid([{ path: "", message: error.message }], "This file is no zip that can be read.");
  });
  try {
    const manifest = await json<Manifest>(zip, nameOf.manifest, Manifest);
    const ids = zip.names.flatMap((name) => /^treatments\/([0-9a-f-]{36})\.dossier\.json$/.exec(name)?.[1] ?? []);
    if (ids.length < manifest.treatments)
      throw invalid([{ path: "/treatments", message: "are not all there" }], "The archive is cut short.");
    const counts = { treatments: 0, photographs: 0, known: 0 };
    for (const id of ids) {
      const came = await treatmentIn(zip, id);
      counts[came ? "treatments" : "known"] += 1;
      // one that was broken off is here without its pictures
      const pictures = await photographsIn(zip, id);
      if (came) counts.photographs += pictures;
    }
    const cabinet = await zip.bytes(nameOf.cabinet, TEXT_MAX_BYTES);
    if (cabinet && cabinet.toString("utf8").trim().split("\n").length > 1) await importCabinet(cabinet.toString("utf8"), true, now);
    if (manifest.shop) await shopIn(manifest.shop);
    return counts;
  } finally {
    zip.close();
  }
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

async function json<T>(zip: ZipReader, name: string, schema?: Parameters<typeof check>[0]): Promise<T> {
  const bytes = await zip.bytes(name, TEXT_MAX_BYTES);
  if (!bytes) throw invalid([{ path: `/${name}`, message: "is missing" }], `The archive has no ${name}.`);
  let value: unknown;
  try {
    value = JSON.parse(bytes.toString("utf8"));
  } catch {
    throw invalid([{ path: `/${name}`, message: "is not JSON" }], `The archive’s ${name} is damaged.`);
  }
  const errors = schema ? check(schema, value) : [];
  if (errors.length > 0) throw invalid(errors, `The archive’s ${name} is damaged, or of another version.`);
  return value as T;
}
