import type { TSchema } from "@sinclair/typebox";
import { check, type FieldError } from "@/core/problem";
import { type StoredEntry, upcast } from "@/core/record/upcast";
import { type AnyDossier, DOSSIER_FORMAT, DOSSIER_VERSION, Dossier, FiledDossier } from "./dossier.schema";

export type ReadDossier<D = Dossier> =
  | { readonly ok: true; readonly dossier: D }
  | { readonly ok: false; readonly detail: string; readonly errors: readonly FieldError[] };

/** Read a dossier from anything: its schema, and what a schema can't say (the log in order, the part known). */
export const readDossier = (value: unknown): ReadDossier => read<Dossier>(value, Dossier);

/** The same of a dossier whose photographs lie beside it. */
export const readFiledDossier = (value: unknown): ReadDossier<FiledDossier> => read<FiledDossier>(value, FiledDossier);

function read<D extends AnyDossier>(value: unknown, schema: TSchema): ReadDossier<D> {
  const { format, version } = (value ?? {}) as { format?: unknown; version?: unknown };
  if (format !== DOSSIER_FORMAT) return refuse("This file is not a Wanderjahr dossier.", "/format", `must be ${DOSSIER_FORMAT}`);
  if (!READABLE.includes(version as number))
    return refuse(
      `This dossier has version ${String(version)}; this Wanderjahr reads version ${DOSSIER_VERSION}. Update it, or export the dossier again from there.`,
      "/version",
      `must be ${DOSSIER_VERSION}`,
    );
  const brought = broughtForward(value);
  const errors = check(schema, brought);
  if (errors.length > 0) return { ok: false, detail: "The dossier is damaged or was edited by hand.", errors };
  const dossier = brought as D;
  const wrong = inconsistencies(dossier);
  return wrong.length > 0 ? { ok: false, detail: "The dossier contradicts itself.", errors: wrong } : { ok: true, dossier };
}

/** Versions that are read; older ones are brought forward entry by entry. */
const READABLE = [1, DOSSIER_VERSION];

/** A dossier of an older version as today's; what has not the shape of one is left for the schema to judge. */
function broughtForward(value: unknown): unknown {
  const { treatment } = value as { treatment?: { log?: unknown } };
  if (!treatment || !Array.isArray(treatment.log)) return value;
  const log = treatment.log.map((entry: unknown) => (isStored(entry) ? upcast(entry) : entry));
  return { ...(value as object), version: DOSSIER_VERSION, treatment: { ...treatment, log } };
}

function isStored(entry: unknown): entry is StoredEntry {
  const body = (entry as { body?: unknown } | null)?.body;
  return typeof body === "object" && body !== null && typeof (body as { kind?: unknown }).kind === "string";
}

function refuse(detail: string, path: string, message: string): Extract<ReadDossier, { ok: false }> {
  return { ok: false, detail, errors: [{ path, message }] };
}

function inconsistencies({ piece, treatment }: AnyDossier): FieldError[] {
  const errors: FieldError[] = [];
  const ids = treatment.log.map(({ id }) => id);
  if (!piece.parts.some(({ id }) => id === treatment.part)) errors.push({ path: "/treatment/part", message: "is not a part of the piece" });
  treatment.log.forEach(({ seq, corrects }, i) => {
    if (seq !== i + 1) errors.push({ path: `/treatment/log/${i}/seq`, message: `must be ${i + 1}` });
    if (corrects !== undefined && ids.indexOf(corrects) < 0)
      errors.push({ path: `/treatment/log/${i}/corrects`, message: "refers to no entry" });
  });
  if (new Set(ids).size < ids.length) errors.push({ path: "/treatment/log", message: "holds an id twice" });
  return errors;
}

/** The same dossier with every time moved by `ms`: demo pieces live relative to the start of the demo. */
export function shiftDossier(dossier: Dossier, ms: number): Dossier {
  const move = (at: string) => new Date(Date.parse(at) + ms).toISOString();
  const { piece, treatment } = dossier;
  return {
    ...dossier,
    exported_at: move(dossier.exported_at),
    piece: { ...piece, created_at: move(piece.created_at) },
    treatment: {
      ...treatment,
      created_at: move(treatment.created_at),
      ...(treatment.promised ? { promised: move(`${treatment.promised}T12:00:00Z`).slice(0, 10) } : {}),
      log: treatment.log.map((entry) => ({ ...entry, at: move(entry.at) })),
      photographs: treatment.photographs.map((photograph) => ({ ...photograph, taken_at: move(photograph.taken_at) })),
    },
  };
}

/** The same dossier under new ids, so that it can stand beside the one it was made from. */
export function copyDossier<D extends AnyDossier>(dossier: D, newId: () => string): D {
  const ids = new Map<string, string>();
  const fresh = (id: string) => {
    const known = ids.get(id) ?? newId();
    ids.set(id, known);
    return known;
  };
  const { piece, treatment } = dossier;
  return {
    ...dossier,
    piece: { ...piece, id: fresh(piece.id), parts: piece.parts.map((part) => ({ ...part, id: fresh(part.id) })) },
    treatment: {
      ...treatment,
      id: fresh(treatment.id),
      part: fresh(treatment.part),
      log: treatment.log.map((entry) => ({
        ...entry,
        id: fresh(entry.id),
        ...(entry.corrects ? { corrects: fresh(entry.corrects) } : {}),
      })),
      photographs: treatment.photographs.map((photograph) => ({ ...photograph, id: fresh(photograph.id) })),
    },
  };
}
