import { defineEntity, type InferEntity, p } from "@mikro-orm/core";
import type { ClassName, Figures, Finish, PieceKind, Substrate } from "@/core/catalogue";
import type { StoredEntry } from "@/core/record/upcast";
import { LOT_REASONS } from "@/core/views/stock";

/** An object in the shop's care. `version` grows with every edit, so that colliding edits are told. */
export const Piece = defineEntity({
  name: "Piece",
  tableName: "piece",
  properties: {
    id: p.uuid().primary(),
    title: p.string().length(200),
    reference: p.string().length(80),
    ownerReference: p.string().length(200).default(""),
    kind: p.string().length(40).$type<PieceKind>(),
    createdAt: p.datetime(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().default(1),
    parts: () => p.oneToMany(Part).mappedBy("piece").orderBy({ position: "asc" }),
    treatments: () => p.oneToMany(Treatment).mappedBy("piece").orderBy({ createdAt: "asc" }),
  },
});

/** What a piece is made of, and what lies on it. */
export const Part = defineEntity({
  name: "Part",
  tableName: "part",
  properties: {
    id: p.uuid().primary(),
    piece: () => p.manyToOne(Piece).deleteRule("cascade"),
    name: p.string().length(200),
    substrate: p.string().length(40).$type<Substrate>(),
    finish: p.string().length(40).$type<Finish>(),
    /** What it is to have when it is done; null = what it has. */
    finishToBe: p.string().length(40).$type<Finish>().nullable(),
    position: p.integer(),
  },
});

/** One campaign on a piece, with one or several damages; `part` is that of the first. All that happens to it is in its log; `version` counts the log. */
export const Treatment = defineEntity({
  name: "Treatment",
  tableName: "treatment",
  properties: {
    id: p.uuid().primary(),
    piece: () => p.manyToOne(Piece).deleteRule("cascade"),
    part: () => p.manyToOne(Part).deleteRule("cascade"),
    title: p.string().length(200),
    promised: p.date().nullable(),
    createdAt: p.datetime(),
    /** As its log says: kept here so that what is open is found without reading logs. */
    closedAt: p.datetime().nullable(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().default(0),
    log: () => p.oneToMany(LogRow).mappedBy("treatment").orderBy({ seq: "asc" }),
    photographs: () => p.oneToMany(Photograph).mappedBy("treatment").orderBy({ takenAt: "asc" }),
  },
});

/** A line of a treatment's log. Append-only: rows are never changed. `key` makes a repeated request one row. */
export const LogRow = defineEntity({
  name: "LogRow",
  tableName: "log_entry",
  uniques: [{ properties: ["treatment", "seq"] }, { properties: ["treatment", "key"] }],
  properties: {
    id: p.uuid().primary(),
    treatment: () => p.manyToOne(Treatment).deleteRule("cascade"),
    seq: p.integer(),
    key: p.string().length(80),
    at: p.datetime(),
    corrects: p.uuid().nullable(),
    kind: p.string().length(40),
    /** Version of the body; `upcast` brings older ones forward when they are read. */
    v: p.integer().default(1),
    /** Who did it, as they call themselves. */
    by: p.string().length(200).nullable(),
    body: p.json<StoredEntry["body"]>(),
  },
});

/** A photograph with its thumbnail. The bytes are loaded only where they are sent. */
export const Photograph = defineEntity({
  name: "Photograph",
  tableName: "photograph",
  properties: {
    id: p.uuid().primary(),
    treatment: () => p.manyToOne(Treatment).deleteRule("cascade"),
    takenAt: p.datetime(),
    moment: p.enum(["before", "during", "after"] as const),
    caption: p.string().length(300),
    mime: p.string().length(40),
    width: p.integer(),
    height: p.integer(),
    sha256: p.string().length(64),
    bytes: p.blob().lazy(),
    thumbnail: p.blob().lazy(),
    /** Its file holds nothing but what it takes to show it. */
    bare: p.boolean().default(false),
    deletedAt: p.datetime().nullable(),
  },
});

/** The air as set by hand, and when it was given back to the sensor. */
export const ClimateRow = defineEntity({
  name: "ClimateRow",
  tableName: "climate_reading",
  properties: {
    id: p.uuid().primary(),
    at: p.datetime(),
    source: p.enum(["hand", "sensor"] as const),
    tempC: p.double(),
    rhPct: p.double(),
  },
});

/** A product of the shop's own: a class, and what its data sheet says otherwise. */
export const Product = defineEntity({
  name: "Product",
  tableName: "product",
  properties: {
    id: p.uuid().primary(),
    class: p.string().length(60).$type<ClassName>(),
    name: p.string().length(200),
    figures: p.json<Figures>(),
    createdAt: p.datetime(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().default(1),
    lots: () => p.oneToMany(Lot).mappedBy("product").orderBy({ expires: "asc", label: "asc" }),
  },
});

/** A jar, tube or bag of a product. Grams and euro; dates without a time. */
export const Lot = defineEntity({
  name: "Lot",
  tableName: "lot",
  uniques: [{ properties: ["product", "label"] }],
  properties: {
    id: p.uuid().primary(),
    product: () => p.manyToOne(Product).deleteRule("cascade"),
    label: p.string().length(80),
    sizeG: p.double(),
    leftG: p.double(),
    opened: p.date().nullable(),
    expires: p.date().nullable(),
    priceEur: p.double().nullable(),
    version: p.integer().default(1),
  },
});

/** What was mixed once for several treatments: what each took, and what became of the rest. Grams. */
export const Batch = defineEntity({
  name: "Batch",
  tableName: "batch",
  properties: {
    id: p.uuid().primary(),
    at: p.datetime(),
    by: p.string().length(200).nullable(),
    class: p.string().length(60).$type<ClassName>(),
    lot: () => p.manyToOne(Lot).nullable().deleteRule("set null"),
    mixedG: p.double(),
    leftG: p.double(),
    leftOver: p.enum(["thrown", "kept"] as const),
    portions: p.json<ReadonlyArray<{ readonly treatment: string; readonly op: string; readonly mass_g: number }>>(),
  },
});

/** A jar's account: every change of what is left in it is a line of its own, never overwritten. */
export const LotChange = defineEntity({
  name: "LotChange",
  tableName: "lot_change",
  uniques: [{ properties: ["lot", "line"] }],
  indexes: [{ properties: ["entry"] }],
  properties: {
    id: p.uuid().primary(),
    lot: () => p.manyToOne(Lot).deleteRule("cascade"),
    /** Counts the lines of one jar. */
    line: p.integer(),
    at: p.datetime(),
    deltaG: p.double(),
    /** What was left after it. */
    leftG: p.double(),
    because: p.enum([...LOT_REASONS]),
    /** For which piece it was taken. */
    piece: p.string().length(200).nullable(),
    entry: p.uuid().nullable(),
    batch: p.uuid().nullable(),
    by: p.string().length(200).nullable(),
  },
});

export type IPiece = InferEntity<typeof Piece>;
export type IPart = InferEntity<typeof Part>;
export type ITreatment = InferEntity<typeof Treatment>;
export type ILot = InferEntity<typeof Lot>;
export type IProduct = InferEntity<typeof Product>;
