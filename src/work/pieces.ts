import { LockMode } from "@mikro-orm/core";
import { Part, Piece, Treatment } from "@/store/entities";
import { type Em, em as openEm } from "@/store/orm";
import { type PhotographRecord, photographsOf, type TreatmentRecord, treatmentsOfPiece } from "@/store/queries";
import { NewPiece, NewTreatment, PieceEdit } from "./inputs.schema";
import { once } from "./once";
import { parse } from "./parse";
import { collided, notFound } from "./problems";

/** Enter a piece with its first part and treatment; a repeat with the same id is answered, not doubled. */
export async function createPiece(input: unknown, now: Date): Promise<{ id: string; treatment_id: string }> {
  const { id, treatment_id, title, reference, owner_reference, kind, part, treatment_title, promised } = parse(NewPiece, input);
  await once(async (tx) => {
    if (await tx.findOne(Piece, id)) return;
    const piece = tx.create(Piece, {
      id,
      title: title.trim(),
      reference: reference.trim(),
      ownerReference: owner_reference.trim(),
      kind,
      createdAt: now,
      version: 1,
    });
    const made = tx.create(Part, { id: crypto.randomUUID(), piece, ...part, position: 1 });
    tx.create(Treatment, {
      id: treatment_id,
      piece,
      part: made,
      title: treatment_title.trim(),
      promised: promised ?? null,
      createdAt: now,
      version: 0,
    });
  });
  return { id, treatment_id };
}

/** Change what is known of a piece. @throws {WorkProblem} 409 when it was changed since it was read */
export async function editPiece(id: string, input: unknown): Promise<{ version: number }> {
  const { version, part, title, reference, owner_reference, kind } = parse(PieceEdit, input);
  const em = await openEm();
  return em.transactional(async (tx) => {
    const piece = await tx.findOne(Piece, { id, deletedAt: null }, { lockMode: LockMode.PESSIMISTIC_WRITE });
    if (!piece) throw notFound("This piece");
    if (piece.version !== version) throw collided("This piece was changed in another window since you opened it.");
    const known = await tx.findOne(Part, { id: part.id, piece: id });
    if (!known) throw notFound("This part");
    tx.assign(known, { name: part.name.trim(), substrate: part.substrate, finish: part.finish });
    tx.assign(piece, {
      title: title.trim(),
      reference: reference.trim(),
      ownerReference: owner_reference.trim(),
      kind,
      version: version + 1,
    });
    return { version: version + 1 };
  });
}

/** Another treatment of a piece, on its first part. */
export async function addTreatment(pieceId: string, input: unknown, now: Date): Promise<{ id: string }> {
  const { id, title, promised } = parse(NewTreatment, input);
  await once(async (tx) => {
    if (await tx.findOne(Treatment, id)) return;
    const piece = await tx.findOne(Piece, { id: pieceId, deletedAt: null });
    const part = await tx.findOne(Part, { piece: pieceId }, { orderBy: { position: "asc" } });
    if (!piece || !part) throw notFound("This piece");
    tx.create(Treatment, { id, piece, part, title: title.trim(), promised: promised ?? null, createdAt: now, version: 0 });
  });
  return { id };
}

export interface PiecePage {
  readonly piece: IPieceHead;
  readonly treatments: readonly TreatmentRecord[];
  readonly photographs: readonly PhotographRecord[];
}

export interface IPieceHead {
  readonly id: string;
  readonly title: string;
  readonly reference: string;
  readonly owner_reference: string;
  readonly kind: TreatmentRecord["kind"];
  readonly version: number;
  readonly part: {
    readonly id: string;
    readonly name: string;
    readonly substrate: TreatmentRecord["substrate"];
    readonly finish: TreatmentRecord["finish"];
  };
}

/** A piece with its treatments, newest first, and the photographs of the newest. */
export async function piecePage(id: string): Promise<PiecePage> {
  const em = await openEm();
  const piece = await pieceHead(em, id);
  const treatments = await treatmentsOfPiece(em, id);
  const photographs = treatments[0] ? await photographsOf(em, treatments[0].id) : [];
  return { piece, treatments, photographs };
}

async function pieceHead(em: Em, id: string): Promise<IPieceHead> {
  const piece = await em.findOne(Piece, { id, deletedAt: null }, { populate: ["parts"] });
  const part = piece?.parts[0];
  if (!piece || !part) throw notFound("This piece");
  return {
    id,
    title: piece.title,
    reference: piece.reference,
    owner_reference: piece.ownerReference,
    kind: piece.kind,
    version: piece.version,
    part: { id: part.id, name: part.name, substrate: part.substrate, finish: part.finish },
  };
}
