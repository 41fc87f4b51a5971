import { PassThrough, type Readable } from "node:stream";
import { BODY_VERSION } from "@/core/record/events.schema";
import { upcast } from "@/core/record/upcast";
import { present } from "@/core/units";
import { nameOf } from "@/formats/archive.schema";
import { copyDossier, type ReadDossier, readDossier, readFiledDossier } from "@/formats/dossier";
import {
  type AnyDossier,
  DOSSIER_FILE,
  DOSSIER_FORMAT,
  DOSSIER_VERSION,
  type Dossier,
  type FiledDossier,
  type FiledPhotograph,
} from "@/formats/dossier.schema";
import { inspectPhotograph, PHOTOGRAPH_MAX_BYTES, sha256 } from "@/formats/photograph";
import { ZipReader, ZipWriter } from "@/formats/zip";
import { LogRow, Part, Piece, Treatment } from "@/store/entities";
import { type Em, em as openEm } from "@/store/orm";
import { type PhotographRecord, photographBytes, photographsOf, photographsSize } from "@/store/queries";
import { photographSlices, putPhotograph } from "@/store/tables";
import { json } from "./archiveRead";
import { closedAt } from "./log";
import { collided, invalid, notFound } from "./problems";

/** Pictures of more bytes than this travel as files beside the dossier. */
const MOST_INLINE_BYTES = 24 * 1024 * 1024;

/** A treatment as a dossier, pictures and all; undefined where they are too large for one text. @throws {WorkProblem} 404 when there is none */
export async function exportDossier(treatmentId: string, now: Date): Promise<Dossier | undefined> {
  const em = await openEm();
  const head = await dossierHead(em, treatmentId, now);
  const pictures = await photographsOf(em, treatmentId);
  if ((await photographsSize(em, treatmentId)) > MOST_INLINE_BYTES) return undefined;
  const photographs: Dossier["treatment"]["photographs"] = [];
  for (const picture of pictures) {
    const { bytes } = (await photographBytes(em, picture.id, false)) ?? { bytes: Buffer.alloc(0) };
    photographs.push({ ...listed(picture), data: bytes.toString("base64") });
  }
  return { ...head, treatment: { ...head.treatment, photographs } };
}

/** The same as a zip, written while it is read: one picture is held at a time. @throws {WorkProblem} 404 when there is no such treatment */
export async function streamDossier(treatmentId: string, now: Date): Promise<{ readonly file: string; readonly stream: Readable }> {
  const em = await openEm();
  const head = await dossierHead(em, treatmentId, now);
  const photographs = (await photographsOf(em, treatmentId)).map((picture) => ({
    ...listed(picture),
    file: nameOf.picture(picture.id, picture.mime),
  }));
  const dossier: FiledDossier = { ...head, treatment: { ...head.treatment, photographs } };
  const stream = new PassThrough();
  const zip = new ZipWriter(stream);
  zip.text(DOSSIER_FILE, JSON.stringify(dossier, null, 1));
  for (const { id, file } of photographs) zip.picture(file, () => photographSlices(em, id));
  // what goes wrong is told to whoever reads the stream
  zip.end().catch(() => undefined);
  return { file: dossierName(dossier), stream };
}

/** A file's name for a dossier, without its ending. */
export const dossierName = ({ piece, treatment }: AnyDossier): string =>
  `${piece.reference}-${treatment.title}`.replaceAll(/[^\w-]+/g, "-").slice(0, 80);

const listed = ({ id, taken_at, moment, caption, mime, sha256: sum }: PhotographRecord) => ({
  id,
  taken_at: new Date(taken_at).toISOString(),
  moment,
  caption,
  mime: mime as FiledPhotograph["mime"],
  sha256: sum,
});

/** A dossier without its photographs. */
async function dossierHead(em: Em, treatmentId: string, now: Date): Promise<FiledDossier & Dossier> {
  const treatment = await em.findOne(
    Treatment,
    { id: treatmentId, deletedAt: null, piece: { deletedAt: null } },
    { populate: ["piece.parts", "log"] },
  );
  if (!treatment) throw notFound("This treatment");
  const { piece } = treatment;
  return {
    format: DOSSIER_FORMAT,
    version: DOSSIER_VERSION,
    exported_at: now.toISOString(),
    piece: {
      id: piece.id,
      title: piece.title,
      reference: piece.reference,
      owner_reference: piece.ownerReference,
      kind: piece.kind,
      created_at: piece.createdAt.toISOString(),
      parts: piece.parts.map(({ id, name, substrate, finish, finishToBe }) => ({
        id,
        name,
        substrate,
        finish,
        ...present({ finish_to_be: finishToBe ?? undefined }),
      })),
    },
    treatment: {
      id: treatment.id,
      part: treatment.part.id,
      title: treatment.title,
      ...(treatment.promised ? { promised: treatment.promised } : {}),
      created_at: treatment.createdAt.toISOString(),
      log: treatment.log.map(({ id, seq, v, at, by, corrects, body }) =>
        upcast({ id, seq, v, at: at.toISOString(), ...(by ? { by } : {}), ...(corrects ? { corrects } : {}), body }),
      ),
      photographs: [],
    },
  };
}

/**
 * Take a dossier in, whole or not at all. With `asCopy` it comes in under new ids.
 * @throws {WorkProblem} 409 when its treatment is here already; 422 when it is damaged or of an unknown version
 */
export async function importDossier(value: unknown, { asCopy = false } = {}): Promise<CameIn> {
  const dossier = readOrThrow(readDossier(value), asCopy);
  const { photographs } = dossier.treatment;
  return comeIn(dossier, "data", photographs, async (_, i) => Buffer.from(photographs[i]?.data ?? "", "base64"));
}

/** The same out of its zip: one picture is held at a time. @throws {WorkProblem} 409 or 422 as for a dossier, 422 where a file is missing */
export async function importDossierZip(file: string, { asCopy = false } = {}): Promise<CameIn> {
  const zip = await ZipReader.open(file).catch((error: Error) => {
    throw invalid([{ path: "", message: error.message }], "This file is no zip that can be read.");
  });
  try {
    const dossier = readOrThrow(readFiledDossier(await json(zip, DOSSIER_FILE)), asCopy);
    const { photographs } = dossier.treatment;
    return await comeIn(
      dossier,
      "file",
      photographs,
      async ({ file: name }) => (await zip.bytes(name, PHOTOGRAPH_MAX_BYTES)) ?? Buffer.alloc(0),
    );
  } catch (error) {
    if (error instanceof RangeError) throw invalid([{ path: "", message: error.message }], "A photograph in the dossier is too large.");
    throw error;
  } finally {
    zip.close();
  }
}

export interface CameIn {
  readonly treatment_id: string;
  readonly piece_id: string;
}

function readOrThrow<D extends AnyDossier>(read: ReadDossier<D>, asCopy: boolean): D {
  if (!read.ok) throw invalid(read.errors, read.detail);
  return asCopy ? copyDossier(read.dossier, () => crypto.randomUUID()) : read.dossier;
}

type Picture = Omit<FiledPhotograph, "file">;

async function comeIn<P extends Picture>(
  dossier: AnyDossier,
  field: "data" | "file",
  photographs: readonly P[],
  fetch: (picture: P, index: number) => Promise<Buffer>,
): Promise<CameIn> {
  const em = await openEm();
  await em.transactional(async (tx) => {
    await keep(tx, dossier);
    await tx.flush();
    for (const [i, picture] of photographs.entries())
      await keepPicture(tx, dossier.treatment.id, picture, `/treatment/photographs/${i}/${field}`, await fetch(picture, i));
  });
  return { treatment_id: dossier.treatment.id, piece_id: dossier.piece.id };
}

/** Judged by its content, and written at once: the transaction holds no more than one. */
async function keepPicture(tx: Em, treatment_id: string, { mime: _said, sha256: sum, ...picture }: Picture, path: string, bytes: Buffer) {
  if (sha256(bytes) !== sum) throw invalid([{ path, message: "does not match its checksum" }], "A photograph in the dossier is damaged.");
  const inspection = await inspectPhotograph(bytes);
  if (!inspection.ok) throw invalid([{ path, message: inspection.message }], "A photograph in the dossier is damaged.");
  const { bytes: clean, thumbnail, ...found } = inspection.photograph;
  const { id, taken_at, moment, caption } = picture;
  await putPhotograph(tx, JSON.stringify({ id, treatment_id, taken_at, moment, caption, bare: true, ...found }), clean, thumbnail);
}

async function keep(tx: Em, { piece, treatment }: AnyDossier): Promise<void> {
  const here = await tx.findOne(Treatment, treatment.id, { populate: ["piece"] });
  if (here && !here.deletedAt && !here.piece.deletedAt)
    throw collided("This treatment is here already. Import it as a copy, or delete the one that is here first.");
  if (here) await tx.nativeDelete(Treatment, { id: treatment.id });
  tx.clear(); // what was deleted gives way to the dossier
  const known = await tx.findOne(Piece, piece.id, { populate: ["parts"] });
  const home =
    known ??
    tx.create(Piece, {
      id: piece.id,
      title: piece.title,
      reference: piece.reference,
      ownerReference: piece.owner_reference,
      kind: piece.kind,
      createdAt: new Date(piece.created_at),
      version: 1,
    });
  if (known) known.deletedAt = null;
  const parts = new Map((known?.parts.getItems() ?? []).map((part) => [part.id, part]));
  piece.parts.forEach(({ id, name, substrate, finish, finish_to_be }, i) => {
    if (!parts.has(id))
      parts.set(id, tx.create(Part, { id, piece: home, name, substrate, finish, finishToBe: finish_to_be ?? null, position: i + 1 }));
  });
  const part = parts.get(treatment.part);
  if (!part) throw notFound("The treated part");
  const row = tx.create(Treatment, {
    id: treatment.id,
    piece: home,
    part,
    title: treatment.title,
    promised: treatment.promised ?? null,
    createdAt: new Date(treatment.created_at),
    closedAt: closedAt(treatment.log),
    version: treatment.log.length,
  });
  for (const { id, seq, at, by, corrects, body } of treatment.log)
    tx.create(LogRow, {
      id,
      treatment: row,
      seq,
      key: id,
      at: new Date(at),
      by: by ?? null,
      v: BODY_VERSION,
      corrects: corrects ?? null,
      kind: body.kind,
      body,
    });
}
