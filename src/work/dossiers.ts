import { BODY_VERSION, upcast } from "@/core/record/upcast";
import { copyDossier, readDossier } from "@/formats/dossier";
import { DOSSIER_FORMAT, DOSSIER_VERSION, type Dossier } from "@/formats/dossier.schema";
import { inspectPhotograph, sha256 } from "@/formats/photograph";
import { LogRow, Part, Photograph, Piece, Treatment } from "@/store/entities";
import { type Em, em as openEm } from "@/store/orm";
import { closedAt } from "./log";
import { collided, invalid, notFound } from "./problems";

/** A treatment as a dossier; without its pictures where they travel as files beside it. @throws {WorkProblem} 404 when there is no such treatment */
export async function exportDossier(treatmentId: string, now: Date, { pictures = true } = {}): Promise<Dossier> {
  const em = await openEm();
  const treatment = await em.findOne(
    Treatment,
    { id: treatmentId, deletedAt: null, piece: { deletedAt: null } },
    { populate: ["piece.parts", "log"] },
  );
  if (!treatment) throw notFound("This treatment");
  const photographs = pictures
    ? await em.find(
        Photograph,
        { treatment: treatmentId, deletedAt: null },
        { populate: ["bytes"], orderBy: { takenAt: "asc", id: "asc" } },
      )
    : [];
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
      parts: piece.parts.map(({ id, name, substrate, finish }) => ({ id, name, substrate, finish })),
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
      photographs: photographs.map(({ id, takenAt, moment, caption, mime, sha256: sum, bytes }) => ({
        id,
        taken_at: takenAt.toISOString(),
        moment,
        caption,
        mime: mime as Dossier["treatment"]["photographs"][number]["mime"],
        sha256: sum,
        data: Buffer.from(bytes.$).toString("base64"),
      })),
    },
  };
}

/**
 * Take a dossier in, whole or not at all. With `asCopy` it comes in under new ids.
 * @throws {WorkProblem} 409 when its treatment is here already; 422 when it is damaged or of an unknown version
 */
export async function importDossier(value: unknown, { asCopy = false } = {}): Promise<{ treatment_id: string; piece_id: string }> {
  const read = readDossier(value);
  if (!read.ok) throw invalid(read.errors, read.detail);
  const dossier = asCopy ? copyDossier(read.dossier, () => crypto.randomUUID()) : read.dossier;
  const pictures = await inspectAll(dossier);
  const em = await openEm();
  await em.transactional((tx) => keep(tx, dossier, pictures));
  return { treatment_id: dossier.treatment.id, piece_id: dossier.piece.id };
}

async function keep(tx: Em, { piece, treatment }: Dossier, pictures: Awaited<ReturnType<typeof inspectAll>>): Promise<void> {
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
  piece.parts.forEach(({ id, name, substrate, finish }, i) => {
    if (!parts.has(id)) parts.set(id, tx.create(Part, { id, piece: home, name, substrate, finish, position: i + 1 }));
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
  for (const picture of pictures) tx.create(Photograph, { ...picture, treatment: row });
}

async function inspectAll({ treatment }: Dossier) {
  return Promise.all(
    treatment.photographs.map(async ({ id, taken_at, moment, caption, data, sha256: sum }, i) => {
      const bytes = Buffer.from(data, "base64");
      const path = `/treatment/photographs/${i}/data`;
      if (sha256(bytes) !== sum)
        throw invalid([{ path, message: "does not match its checksum" }], "A photograph in the dossier is damaged.");
      const inspection = await inspectPhotograph(bytes);
      if (!inspection.ok) throw invalid([{ path, message: inspection.message }], "A photograph in the dossier is damaged.");
      return { id, takenAt: new Date(taken_at), moment, caption, ...inspection.photograph };
    }),
  );
}
