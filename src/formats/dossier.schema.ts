import { type Static, type TSchema, Type } from "@sinclair/typebox";
import { FINISHES, type Finish, PIECE_KINDS, type PieceKind, SUBSTRATES, type Substrate } from "@/core/catalogue";
import { LogEntry } from "@/core/record/events.schema";
import { instant, oneOf, strict } from "@/core/units/schema";

/** The name and the newest version of the dossier format. */
export const DOSSIER_FORMAT = "wanderjahr-dossier";
export const DOSSIER_VERSION = 2;

const id = () => Type.String({ format: "uuid" });

const listed = {
  id: id(),
  taken_at: instant(),
  moment: oneOf(["before", "during", "after"] as const),
  caption: Type.String({ maxLength: 300 }),
  mime: oneOf(["image/jpeg", "image/png", "image/webp"] as const),
  sha256: Type.String({ pattern: "^[0-9a-f]{64}$" }),
};

/** A photograph with the file itself, base64. */
const DossierPhotograph = strict({
  ...listed,
  data: Type.String({ maxLength: 17_000_000, pattern: "^[A-Za-z0-9+/]*={0,2}$" }),
});

/** A photograph that lies beside the dossier in its zip. */
export const FiledPhotograph = strict({ ...listed, file: Type.String({ pattern: "^photographs/[0-9a-f-]{36}\\.(jpg|png|webp)$" }) });
export type FiledPhotograph = Static<typeof FiledPhotograph>;

const dossierWith = <P extends TSchema>(photograph: P) =>
  strict({
    format: Type.Literal(DOSSIER_FORMAT),
    version: Type.Literal(DOSSIER_VERSION),
    exported_at: instant(),
    piece: strict({
      id: id(),
      title: Type.String({ minLength: 1, maxLength: 200 }),
      reference: Type.String({ minLength: 1, maxLength: 80 }),
      owner_reference: Type.String({ maxLength: 200 }),
      kind: oneOf(PIECE_KINDS.map(({ kind }) => kind) as PieceKind[]),
      created_at: instant(),
      parts: Type.Array(
        strict({
          id: id(),
          name: Type.String({ minLength: 1, maxLength: 200 }),
          substrate: oneOf(SUBSTRATES.map(({ substrate }) => substrate) as Substrate[]),
          finish: oneOf(FINISHES.map(({ finish }) => finish) as Finish[]),
          finish_to_be: Type.Optional(oneOf(FINISHES.map(({ finish }) => finish) as Finish[])),
        }),
        { minItems: 1, maxItems: 100 },
      ),
    }),
    treatment: strict({
      id: id(),
      part: id(),
      title: Type.String({ minLength: 1, maxLength: 200 }),
      promised: Type.Optional(Type.String({ format: "date" })),
      created_at: instant(),
      log: Type.Array(LogEntry, { maxItems: 10_000 }),
      photographs: Type.Array(photograph, { maxItems: 1000 }),
    }),
  });

/** One treatment with its piece, its whole log and its photographs: complete and readable without Wanderjahr. */
export const Dossier = dossierWith(DossierPhotograph);
export type Dossier = Static<typeof Dossier>;

/** The same as `dossier.json` in a zip, its photographs as files beside it: for as many and as large ones as there are. */
export const FiledDossier = dossierWith(FiledPhotograph);
export type FiledDossier = Static<typeof FiledDossier>;
export type AnyDossier = Dossier | FiledDossier;

/** What the dossier is called in its zip. */
export const DOSSIER_FILE = "dossier.json";
