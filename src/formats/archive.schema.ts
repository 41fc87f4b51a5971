import { type Static, Type } from "@sinclair/typebox";
import { ShopSchema } from "@/core/shop/shop.schema";
import { instant, strict } from "@/core/units/schema";
import { FiledPhotograph } from "./dossier.schema";

/** The name and the newest version of the archive of a whole shop. */
export const ARCHIVE_FORMAT = "wanderjahr-shop";
export const ARCHIVE_VERSION = 2;

/**
 * A zip: `manifest.json`; each table as `tables/<name>.jsonl`, a row a line; each picture as a file of its own under `photographs/`, its
 * thumbnail beside it. `rows`: how many there are of each table.
 */
const ManifestNow = strict({
  format: Type.Literal(ARCHIVE_FORMAT),
  version: Type.Literal(ARCHIVE_VERSION),
  exported_at: instant(),
  rows: Type.Record(Type.String({ maxLength: 60 }), Type.Integer({ minimum: 0 })),
});

/**
 * The first version: `cabinet.csv`; for each treatment `treatments/<id>.dossier.json`, a dossier without its pictures, and
 * `treatments/<id>.photographs.json`, the list of them.
 */
const First = strict({
  format: Type.Literal(ARCHIVE_FORMAT),
  version: Type.Literal(1),
  exported_at: instant(),
  /** Of an older version, what it knew of the shop; absent where nobody has written one. */
  shop: Type.Optional(Type.Partial(ShopSchema)),
  treatments: Type.Integer({ minimum: 0 }),
  photographs: Type.Integer({ minimum: 0 }),
});
export type ManifestFirst = Static<typeof First>;

export const Manifest = Type.Union([ManifestNow, First]);
export type Manifest = Static<typeof ManifestNow>;

/** What the first version says of the pictures of a treatment. */
export const ArchivePhotographs = Type.Array(FiledPhotograph, { maxItems: 10_000 });
export type ArchivePhotographs = Static<typeof ArchivePhotographs>;

const ENDINGS: Readonly<Record<string, string>> = { "image/jpeg": "jpg", "image/png": "png", "image/webp": "webp" };

export const nameOf = {
  manifest: "manifest.json",
  table: (name: string) => `tables/${name}.jsonl`,
  picture: (id: string, mime: string) => `photographs/${id}.${ENDINGS[mime] ?? "jpg"}`,
  thumbnail: (id: string) => `photographs/${id}.thumbnail.jpg`,
  cabinet: "cabinet.csv",
  dossier: (id: string) => `treatments/${id}.dossier.json`,
  photographs: (id: string) => `treatments/${id}.photographs.json`,
} as const;
