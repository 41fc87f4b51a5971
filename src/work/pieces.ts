import { LockMode } from "@mikro-orm/core";
import { present } from "@/core/units";
import { type IPart, type IPiece, Part, Piece, Treatment } from "@/store/entities";
import { type Em, em as openEm } from "@/store/orm";
import {
  holdTreatmentsOf,
  type PartRecord,
  type PhotographRecord,
  photographsOf,
  type TreatmentRecord,
  treatmentsOfPiece,
} from "@/store/queries";
import { NewPiece, NewTreatment, PieceEdit } from "./inputs.schema";
import { found, once } from "./once";
import { parse } from "./parse";
import { collided, notFound, refused } from "./problems";

/** Enter a piece with its first part and treatment; a repeat with the same id is answered, not doubled. */
export async function createPiece(input: unknown, now: Date): Promise<{ id: string; treatment_id: string }> {
  const { id, treatment_id, title, reference, owner_reference, kind, part, treatment_title, promised } = parse(NewPiece, input);
  const here = (tx: Em) => found(tx.findOne(Treatment, { id: treatment_id, piece: id }));
  await once(here, async (tx) => {
    const piece = tx.create(Piece, {
      id,
      title: title.trim(),
      reference: reference.trim(),
      ownerReference: owner_reference.trim(),
      kind,
      createdAt: now,
      version: 1,
    });
    const made = tx.create(Part, { id: crypto.randomUUID(), piece, ...partFields(part), position: 1 });
    tx.create(Treatment, {
      id: treatment_id,
      piece,
      part: made,
      title: treatment_title.trim(),
      promised: promised ?? null,
      createdAt: now,
      closedAt: null,
      version: 0,
    });
  });
  return { id, treatment_id };
}

/** Change what is known of a piece. @throws {WorkProblem} 409 when it was changed since it was read */
export async function editPiece(id: string, input: unknown): Promise<{ version: number }> {
  const { version, parts, title, reference, owner_reference, kind } = parse(PieceEdit, input);
  const em = await openEm();
  return em.transactional(async (tx) => {
    await holdTreatmentsOf(tx, id);
    const piece = await tx.findOne(Piece, { id, deletedAt: null }, { lockMode: LockMode.PESSIMISTIC_WRITE });
    if (!piece) throw notFound("This piece");
    if (piece.version !== version) throw collided("This piece was changed in another window since you opened it.");
    await keepParts(tx, piece, parts);
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

/** Bring the parts of a piece to what was sent. @throws {WorkProblem} 422 when a part that is mended would go */
async function keepParts(tx: Em, piece: IPiece, parts: PieceEdit["parts"]): Promise<void> {
  const known = await tx.find(Part, { piece: piece.id });
  for (const gone of known.filter(({ id }) => !parts.some((part) => part.id === id))) {
    if ((await tx.count(Treatment, { part: gone.id })) > 0)
      throw refused(`“${gone.name}” is being mended: delete its treatment first, or rename the part.`);
    tx.remove(gone);
  }
  for (const [i, { id, ...part }] of parts.entries()) {
    const fields = { ...partFields(part), position: i + 1 };
    const here = known.find((each) => each.id === id);
    if (here) tx.assign(here, fields);
    else if (await tx.findOne(Part, { id })) throw notFound("This part");
    else tx.create(Part, { id, piece, ...fields });
  }
}

/** Another damage of a piece, on a part of it that is known or new. */
export async function addTreatment(pieceId: string, input: unknown, now: Date): Promise<{ id: string }> {
  const { id, title, promised, part: wanted } = parse(NewTreatment, input);
  const here = (tx: Em) => found(tx.findOne(Treatment, { id, piece: pieceId }));
  await once(here, async (tx) => {
    const piece = await tx.findOne(Piece, { id: pieceId, deletedAt: null });
    if (!piece) throw notFound("This piece");
    const part = await partFor(tx, piece, wanted);
    tx.create(Treatment, { id, piece, part, title: title.trim(), promised: promised ?? null, createdAt: now, closedAt: null, version: 0 });
  });
  return { id };
}

/** A part as it is kept; a finish that stays is none to be. */
const partFields = ({ name, substrate, finish, finish_to_be }: NewPiece["part"]) => ({
  name: name.trim(),
  substrate,
  finish,
  finishToBe: finish_to_be === undefined || finish_to_be === finish ? null : finish_to_be,
});

async function partFor(tx: Em, piece: IPiece, wanted: NewTreatment["part"]): Promise<IPart> {
  const parts = await tx.find(Part, { piece: piece.id }, { orderBy: { position: "asc" } });
  const known = wanted ? parts.find(({ id }) => id === wanted.id) : parts[0];
  if (known) return known;
  if (!wanted || (await tx.findOne(Part, { id: wanted.id }))) throw notFound("This part");
  return tx.create(Part, { id: wanted.id, ...partFields(wanted), piece, position: parts.length + 1 });
}

export interface PiecePage {
  readonly piece: IPieceHead;
  readonly treatments: readonly TreatmentRecord[];
  readonly photographs: readonly PhotographRecord[];
}

interface IPieceHead {
  readonly id: string;
  readonly title: string;
  readonly reference: string;
  readonly owner_reference: string;
  readonly kind: TreatmentRecord["kind"];
  readonly version: number;
  readonly parts: readonly PartRecord[];
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
  if (!piece) throw notFound("This piece");
  return {
    id,
    title: piece.title,
    reference: piece.reference,
    owner_reference: piece.ownerReference,
    kind: piece.kind,
    version: piece.version,
    parts: piece.parts.map(({ id: part, name, substrate, finish, finishToBe }) => ({
      id: part,
      name,
      substrate,
      finish,
      ...present({ finish_to_be: finishToBe ?? undefined }),
    })),
  };
}
