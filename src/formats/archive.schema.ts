import { type Static, Type } from "@sinclair/typebox";
import { ShopSchema } from "@/core/shop/shop.schema";
import { instant, strict } from "@/core/units/schema";
import { DossierPhotograph } from "./dossier.schema";

/** The name and the newest version of the archive of a whole shop. */
export const ARCHIVE_FORMAT = "wanderjahr-shop";
export const ARCHIVE_VERSION = 1;

/**
 * A zip: `manifest.json`; `cabinet.csv`; for each treatment `treatments/<id>.dossier.json`, a dossier without its pictures, and
 * `treatments/<id>.photographs.json`, the list of them; each picture as a file of its own under `photographs/`.
 */
export const Manifest = strict({
  format: Type.Literal(ARCHIVE_FORMAT),
  version: Type.Literal(ARCHIVE_VERSION),
  exported_at: instant(),
  /** Absent where nobody has written one. */
  /** Of an older version, what it knew of the shop. */
  shop: Type.Optional(Type.Partial(ShopSchema)),
  treatments: Type.Integer({ minimum: 0 }),
  photographs: Type.Integer({ minimum: 0 }),
});
export type Manifest = Static<typeof Manifest>;

/** What is said of a picture; `file` is where it lies in the zip. */
export const ArchivePhotographs = Type.Array(
  Type.Composite(
    [Type.Omit(DossierPhotograph, ["data"]), strict({ file: Type.String({ pattern: "^photographs/[0-9a-f-]{36}\\.(jpg|png|webp)$" }) })],
    {
      additionalProperties: false,
    },
  ),
  { maxItems: 10_000 },
);
export type ArchivePhotographs = Static<typeof ArchivePhotographs>;

export const nameOf = {
  manifest: "manifest.json",
  cabinet: "cabinet.csv",
  dossier: (id: string) => `treatments/${id}.dossier.json`,
  photographs: (id: string) => `treatments/${id}.photographs.json`,
} as const;
