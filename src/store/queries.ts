import type { Finish, PieceKind, Substrate } from "@/core/catalogue";
import type { ClimatePoint, HandReading } from "@/core/cure/climate";
import type { LogEntry } from "@/core/record/events.schema";
import { type StoredEntry, upcast } from "@/core/record/upcast";
import type { Shop } from "@/core/shop/shop.schema";
import type { LotChange, StockProduct } from "@/core/views/stock";
import { likeOf } from "./lists";
import type { Em } from "./orm";

/** A treatment with its piece and its whole log, as plain data. */
export interface TreatmentRecord {
  readonly id: string;
  readonly title: string;
  readonly promised: string | null;
  readonly version: number;
  readonly created_at: string;
  readonly piece_id: string;
  readonly piece_title: string;
  readonly piece_version: number;
  readonly reference: string;
  readonly owner_reference: string;
  readonly kind: PieceKind;
  readonly part_id: string;
  readonly part_name: string;
  readonly substrate: Substrate;
  readonly finish: Finish;
  readonly log: LogEntry[];
  /** Every part of the piece. */
  readonly parts: PartRecord[];
  /** What is kept of the shop, if anything. */
  readonly shop: Partial<Shop> | null;
}

export interface PartRecord {
  readonly id: string;
  readonly name: string;
  readonly substrate: Substrate;
  readonly finish: Finish;
  /** What it is to have when it is done; absent = what it has. */
  readonly finish_to_be?: Finish;
}

export interface PhotographRecord {
  readonly id: string;
  readonly taken_at: string;
  readonly moment: "before" | "during" | "after";
  readonly caption: string;
  readonly mime: string;
  readonly width: number;
  readonly height: number;
  readonly sha256: string;
}

const TREATMENT = `
  select t.id, t.title, t.promised::text, t.version, t.created_at, p.id as piece_id, p.title as piece_title, p.version as piece_version,
    p.reference, p.owner_reference, p.kind, a.id as part_id, a.name as part_name, a.substrate, a.finish,
    (select s.data from shop s) as shop,
    (select coalesce(json_agg(json_strip_nulls(json_build_object('id', l.id, 'seq', l.seq, 'v', l.v, 'at', l.at, 'by', l.by, 'corrects', l.corrects, 'body', l.body))
      order by l.seq), '[]') from log_entry l where l.treatment_id = t.id) as log,
    (select json_agg(json_strip_nulls(json_build_object('id', b.id, 'name', b.name, 'substrate', b.substrate, 'finish', b.finish, 'finish_to_be', b.finish_to_be)) order by b.position)
      from part b where b.piece_id = t.piece_id) as parts
  from treatment t join piece p on p.id = t.piece_id join part a on a.id = t.part_id
  where t.deleted_at is null and p.deleted_at is null`;

type StoredRecord = Omit<TreatmentRecord, "log"> & { readonly log: StoredEntry[] };

/** Rows with their logs brought forward to today's version. */
async function treatments(em: Em, where: string, values: unknown[] = []): Promise<TreatmentRecord[]> {
  const rows: StoredRecord[] = await em.execute(`${TREATMENT} ${where}`, values);
  return rows.map((row) => ({ ...row, log: row.log.map(upcast) }));
}

export async function treatmentsById(em: Em, ids: readonly string[]): Promise<TreatmentRecord[]> {
  return ids.length === 0 ? [] : treatments(em, "and t.id = any(?::uuid[])", [`{${ids.join(",")}}`]);
}

/** Open treatments that have a clock of this class still to start, oldest first; so many at most. */
export async function treatmentsThatMix(em: Em, name: string, most: number): Promise<TreatmentRecord[]> {
  return treatments(
    em,
    `and t.closed_at is null and exists (select 1 from treatment_head h where h.treatment_id = t.id and h.mixes @> to_jsonb(?::text)) order by t.created_at limit ?`,
    [name, most],
  );
}

/** The shop as it is kept; undefined before anyone kept anything; `hold`: until the transaction ends nobody else changes it. */
export async function shopRow(em: Em, { hold = false } = {}): Promise<{ version: number; data: unknown } | undefined> {
  const [row] = await em.execute<{ version: number; data: unknown }[]>(`select version, data from shop ${hold ? "for update" : ""}`);
  return row;
}

/** Keep the shop where it is still of the version that was read; false where it is not. */
export async function keepShop(tx: Em, version: number, data: object): Promise<boolean> {
  const rows = await tx.execute<{ version: number }[]>(
    `insert into shop (version, data) select ? + 1, ?::jsonb where ? = 0 or exists (select 1 from shop)
     on conflict (id) do update set version = shop.version + 1, data = excluded.data where shop.version = ? returning version`,
    [version, JSON.stringify(data), version, version],
  );
  return rows.length > 0;
}

/**
 * Holds treatments until the transaction ends, in the order of their ids. Writers hold in one order, so that none waits in a circle:
 * treatments, then the shop, then jars. Keys are not held: what only refers to a treatment, as a head that is due does, need not wait.
 */
export const holdTreatment = async (tx: Em, id: string): Promise<void> =>
  void (await tx.execute("select id from treatment where id = ? for no key update", [id]));
export const holdTreatmentsOf = async (tx: Em, piece: string): Promise<void> =>
  void (await tx.execute("select id from treatment where piece_id = ? order by id for no key update", [piece]));

/** So many entries of colours at most are looked at: the newest. */
const MOST_COLOURS = 2000;

/** Recipes and swatches in every log that stands, oldest first. */
export async function colourEntries<T>(em: Em): Promise<T[]> {
  const rows = await em.execute<T[]>(
    `select l.id, l.at, l.treatment_id as treatment, p.title as piece, l.body from log_entry l
       join treatment t on t.id = l.treatment_id join piece p on p.id = t.piece_id
     where l.kind in ('recipe-kept', 'swatch-read') and t.deleted_at is null and p.deleted_at is null
       and not exists (select 1 from log_entry c where c.treatment_id = l.treatment_id and c.corrects = l.id)
     order by l.at desc, l.seq desc limit ?`,
    [MOST_COLOURS],
  );
  return rows.reverse();
}

/** Answers when the database does. */
export const ping = async (em: Em): Promise<void> => void (await em.execute("select 1"));

export async function treatmentRecord(em: Em, id: string): Promise<TreatmentRecord | undefined> {
  return (await treatments(em, "and t.id = ?", [id]))[0];
}

export async function treatmentsOfPiece(em: Em, pieceId: string): Promise<TreatmentRecord[]> {
  return treatments(em, "and p.id = ? order by t.created_at desc", [pieceId]);
}

/** Photographs without their bytes, oldest first. */
export async function photographsOf(em: Em, treatmentId: string): Promise<PhotographRecord[]> {
  return em.execute(
    `select id, taken_at, moment, caption, mime, width, height, sha256 from photograph
     where treatment_id = ? and deleted_at is null order by taken_at, id`,
    [treatmentId],
  );
}

/** The photograph that the condition map of a piece is drawn on: the first that was taken before work. */
export async function mapPhotograph(em: Em, pieceId: string): Promise<{ id: string; caption: string } | undefined> {
  const [row] = await em.execute<{ id: string; caption: string }[]>(
    `select h.id, h.caption from photograph h join treatment t on t.id = h.treatment_id
     where t.piece_id = ? and t.deleted_at is null and h.deleted_at is null and h.moment = 'before' order by h.taken_at, h.id limit 1`,
    [pieceId],
  );
  return row;
}

/** Bytes of a photograph, or of its thumbnail (always JPEG). */
export async function photographBytes(
  em: Em,
  id: string,
  thumbnail: boolean,
): Promise<{ mime: string; bytes: Buffer; sha256: string } | undefined> {
  const columns = thumbnail ? `'image/jpeg' as mime, thumbnail as bytes` : "mime, bytes";
  const [row] = await em.execute<{ mime: string; bytes: Buffer; sha256: string }[]>(
    `select ${columns}, sha256 from photograph where id = ? and deleted_at is null`,
    [id],
  );
  return row;
}

/** A photograph that was not gone through yet. */
export async function photographToBare(em: Em): Promise<string | undefined> {
  const [row] = await em.execute<{ id: string }[]>("select id from photograph where not bare order by id limit 1");
  return row?.id;
}

export async function keepBare(em: Em, id: string, bytes: Buffer, sha256: string): Promise<void> {
  await em.execute("update photograph set bytes = ?, sha256 = ?, bare = true where id = ?", [bytes, sha256, id]);
}

/** Bytes of all photographs of a treatment. */
export async function photographsSize(em: Em, treatmentId: string): Promise<number> {
  const [row] = await em.execute<{ size: number }[]>(
    "select coalesce(sum(length(bytes)), 0)::float8 as size from photograph where treatment_id = ? and deleted_at is null",
    [treatmentId],
  );
  return row?.size ?? 0;
}

export async function handReadings(em: Em, since: Date): Promise<HandReading[]> {
  return em.execute(
    `select at, source, temp_c as "temp_C", rh_pct from climate_reading
     where at >= coalesce((select max(at) from climate_reading where at <= ?), '-infinity') order by at`,
    [since],
  );
}

/** The air of every hour that is kept between two times, both included, in order. */
export async function climateHours(em: Em, from: Date, to: Date): Promise<ClimatePoint[]> {
  const rows = await em.execute<{ at: string | Date; temp_C: number }[]>(
    `select at, temp_c as "temp_C" from climate_hour where at between ? and ? order by at`,
    [from, to],
  );
  return rows.map(({ at, temp_C }) => ({ at: new Date(at).toISOString(), temp_C }));
}

/** Keep hours of the air; one that is kept already stays as it is. */
export async function keepHours(em: Em, hours: ReadonlyArray<ClimatePoint & { readonly rh_pct: number }>): Promise<void> {
  if (hours.length === 0) return;
  const rows = hours.map(({ at, temp_C, rh_pct }) => ({ at, temp_c: temp_C, rh_pct }));
  await em.execute(
    `insert into climate_hour (at, temp_c, rh_pct)
     select at, temp_c, rh_pct from json_to_recordset(?::json) as h(at timestamptz, temp_c float8, rh_pct float8) on conflict do nothing`,
    [JSON.stringify(rows)],
  );
}

export interface Hit {
  readonly type: "piece" | "treatment" | "product";
  readonly id: string;
  readonly title: string;
  readonly detail: string;
  readonly nearness: number;
}

/** A hit must come this near where it does not hold the words themselves. */
const NEAR_ENOUGH = 0.3;

/** Found by the owner alone it stands after what is called so: one owner may have half the shop. */
const BY_OWNER = 0.5;

const PIECE = `select 'piece' as type, p.id, p.title, concat_ws(' · ', p.reference, nullif(p.owner_reference, '')) as detail`;
const OF_PIECE = "select 'treatment' as type, t.id, t.title, p.title || ' · ' || p.reference as detail";
const LIVE = "from treatment t join piece p on p.id = t.piece_id where t.deleted_at is null and p.deleted_at is null";
const CALLED = "(p.title || ' ' || p.reference)";

/**
 * Pieces, treatments and products that hold the words, else come near to them, best first; each part of the question has an index that
 * answers it. What is near is asked for only where too little is called so.
 */
export async function findHits(em: Em, words: string, limit: number): Promise<Hit[]> {
  const [marked, held] = [await marking(em, words, limit), await holding(em, words, limit)];
  const enough = held.filter(({ nearness }) => nearness === 1).length >= limit;
  const near = enough ? [] : await comingNear(em, words, limit);
  const others = [...held, ...near].sort((a, b) => b.nearness - a.nearness || a.title.localeCompare(b.title, "en"));
  return [...marked, ...others].filter(({ id }, i, all) => all.findIndex((hit) => hit.id === id) === i).slice(0, limit);
}

/** The piece that has this very mark, before all that only hold it. */
async function marking(em: Em, words: string, limit: number): Promise<Hit[]> {
  return em.execute(`${PIECE}, 1::float8 as nearness from piece p where p.deleted_at is null and lower(p.reference) = lower(?) limit ?`, [
    words,
    limit,
  ]);
}

async function holding(em: Em, words: string, limit: number): Promise<Hit[]> {
  const like = likeOf(words);
  return em.execute(
    `select * from (
       (${PIECE}, case when ${CALLED} ilike ? then 1 else ${BY_OWNER} end::float8 as nearness
         from piece p where p.deleted_at is null and (p.title || ' ' || p.reference || ' ' || p.owner_reference) ilike ? limit ?)
       union all (${OF_PIECE}, 1 ${LIVE} and t.title ilike ? limit ?)
       union all (select 'product', c.id, c.name, replace(c.class, '-', ' '), 1 from product c
         where c.deleted_at is null and (c.name || ' ' || c.class) ilike ? limit ?)
     ) hits order by nearness desc, title limit ?`,
    [like, like, limit, like, limit, like, limit, limit],
  );
}

async function comingNear(em: Em, words: string, limit: number): Promise<Hit[]> {
  return em.execute(
    `select * from (
       (${PIECE}, word_similarity(?, ${CALLED}) as nearness from piece p where p.deleted_at is null order by ${CALLED} <->> ? limit ?)
       union all (${OF_PIECE}, word_similarity(?, t.title) ${LIVE} order by t.title <->> ? limit ?)
       union all (select 'product', c.id, c.name, replace(c.class, '-', ' '), word_similarity(?, c.name || ' ' || c.class)
         from product c where c.deleted_at is null)
     ) hits where nearness >= ${NEAR_ENOUGH} order by nearness desc, title limit ?`,
    [words, words, limit, words, words, limit, words, limit],
  );
}

/** Every product of the cabinet with its lots, by name. */
export async function cabinet(em: Em): Promise<StockProduct[]> {
  return em.execute(
    `select p.id, p.class, p.name, p.figures, p.version,
       (select coalesce(json_agg(json_strip_nulls(json_build_object('id', l.id, 'label', l.label, 'size_g', l.size_g, 'left_g', l.left_g,
         'opened', l.opened, 'expires', l.expires, 'price_eur', l.price_eur, 'version', l.version)) order by l.expires nulls last, l.label), '[]')
        from lot l where l.product_id = p.id) as lots
     from product p where p.deleted_at is null order by lower(p.name), p.id`,
  );
}

/** The account of every jar, newest first, so many lines a jar. */
export async function lotChanges(em: Em, most: number): Promise<ReadonlyMap<string, LotChange[]>> {
  const rows = await em.execute<{ lot: string; changes: LotChange[] }[]>(
    `select lot_id as lot, json_agg(json_strip_nulls(json_build_object('at', at, 'delta_g', delta_g, 'left_g', left_g, 'because', because,
       'piece', piece, 'by', by)) order by line desc) as changes
     from (select *, row_number() over (partition by lot_id order by line desc) as n from lot_change) c where n <= ? group by lot_id`,
    [most],
  );
  return new Map(rows.map(({ lot, changes }) => [lot, changes]));
}

/** Until this transaction ends, no other one puts names into the cabinet. */
export async function holdCabinet(tx: Em): Promise<void> {
  await tx.execute("select pg_advisory_xact_lock(hashtextextended('cabinet names', 0))");
}

export async function isEmpty(em: Em): Promise<boolean> {
  const [row] = await em.execute<{ empty: boolean }[]>("select not exists (select 1 from piece) as empty");
  return row?.empty ?? true;
}
