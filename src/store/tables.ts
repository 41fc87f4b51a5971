import type { Knex } from "@mikro-orm/postgresql";
import type { Em } from "./orm";

/** A table as it goes out and comes in, row by row. */
export interface TableRow {
  readonly table: string;
  /** Rows are walked in the order of these. */
  readonly key: readonly string[];
  /** What they hang on: rows of what did not come in stay out with it. */
  readonly of?: { readonly table: string; readonly column: string };
  /** What may be gone: the row comes in without it. */
  readonly loose?: { readonly table: string; readonly column: string };
  /** Bytes travel as files beside the row. */
  readonly bytes?: readonly string[];
  /** Lines of something that is here already are not mixed with those that are brought. */
  readonly whole?: boolean;
}

/** Everything that the database holds and that can't be derived from it, what is hung on before what hangs on it. */
export const TABLES: readonly TableRow[] = [
  { table: "shop", key: ["id"] },
  { table: "piece", key: ["id"] },
  { table: "part", key: ["id"], of: { table: "piece", column: "piece_id" } },
  { table: "treatment", key: ["id"], of: { table: "part", column: "part_id" } },
  { table: "log_entry", key: ["treatment_id", "seq"], of: { table: "treatment", column: "treatment_id" }, whole: true },
  { table: "photograph", key: ["id"], of: { table: "treatment", column: "treatment_id" }, bytes: ["bytes", "thumbnail"] },
  { table: "product", key: ["id"] },
  { table: "lot", key: ["id"], of: { table: "product", column: "product_id" } },
  { table: "batch", key: ["id"], loose: { table: "lot", column: "lot_id" } },
  { table: "lot_change", key: ["lot_id", "line"], of: { table: "lot", column: "lot_id" }, whole: true },
  { table: "climate_reading", key: ["id"] },
  { table: "climate_hour", key: ["at"] },
];

const AT_ONCE = 500;

/** Each row of a table as a line of JSON, without its bytes; a few at a time are held. */
export async function* tableLines(em: Em, { table, key, bytes = [] }: TableRow): AsyncGenerator<string> {
  const without = bytes.map((column) => ` - '${column}'`).join("");
  const keys = key.join(", ");
  // two figures of one key would be one on the wire: it is compared as the row that it stands in
  for (let after: string | undefined; ; ) {
    const rows: { line: string; key: string }[] = await em.execute(
      `select (to_jsonb(t)${without})::text as line, jsonb_build_object(${key.map((name) => `'${name}', ${name}`).join(", ")})::text as key
       from ${table} t ${after === undefined ? "" : `where (${keys}) > (select ${keys} from jsonb_populate_record(null::${table}, ?::jsonb))`}
       order by ${keys} limit ${AT_ONCE}`,
      after === undefined ? [] : [after],
    );
    for (const { line } of rows) yield line;
    if (rows.length < AT_ONCE) return;
    after = rows.at(-1)?.key;
  }
}

/** What became of rows that were brought. */
export interface Brought {
  readonly came: number;
  /** Here already, and left as it is. */
  readonly known: number;
  /** What it hangs on is not here, or its name is taken. */
  readonly left_out: number;
}

/**
 * Bring rows in, in the transaction of whoever asks; what is here already stays as it is. `columns` are those that the rows have: what an
 * older archive did not know takes its default.
 */
export async function putRows(tx: Em, row: TableRow, lines: readonly string[]): Promise<Brought> {
  const { table, of, loose, whole, key } = row;
  const text = `[${lines.join(",")}]`;
  const columns = await columnsOf(tx, table);
  const given = new Set(lines.flatMap((line) => Object.keys(JSON.parse(line) as object)));
  const unknown = [...given].find((name) => !columns.includes(name));
  if (unknown !== undefined) throw new RangeError(`${table} has no ${unknown} here: the archive is of a newer version`);
  const names = columns.filter((name) => given.has(name));
  const value = (name: string) => (name === loose?.column ? `(select id from ${loose.table} l where l.id = r.${name})` : `r.${name}`);
  const parent = of ? `exists (select 1 from ${whole ? cameName(of.table) : of.table} p where p.id = r.${of.column})` : "true";
  const came: object[] = await tx.execute(
    `insert into ${table} (${names.map(quoted).join(", ")}) select ${names.map(value).join(", ")}
     from jsonb_populate_recordset(null::${table}, ?::jsonb) r where ${parent} on conflict do nothing returning ${key.join(", ")}`,
    [text],
  );
  const ids = came.flatMap((each) => ("id" in each ? [String(each.id)] : []));
  if (HUNG_ON.has(table)) await tx.execute(`insert into ${cameName(table)} select unnest(?::uuid[])`, [`{${ids.join(",")}}`]);
  const same = key.map((name) => `h.${name} = r.${name}`).join(" and ");
  const [{ here = 0 } = {}] = await tx.execute<{ here: number }[]>(
    `select count(*)::int as here from jsonb_populate_recordset(null::${table}, ?::jsonb) r join ${table} h on ${same}`,
    [text],
  );
  return { came: came.length, known: here - came.length, left_out: lines.length - here };
}

/** Tables of which it matters what has come in just now. */
const HUNG_ON: ReadonlySet<string> = new Set(TABLES.flatMap(({ of, whole }) => (of && whole ? [of.table] : [])));
const cameName = (table: string) => `came_${table}`;
const quoted = (name: string) => `"${name}"`;

/** For as long as a transaction brings rows in. */
export async function beginBringing(tx: Em): Promise<void> {
  for (const table of HUNG_ON) await tx.execute(`create temp table ${cameName(table)} (id uuid primary key) on commit drop`);
}

async function columnsOf(tx: Em, table: string): Promise<string[]> {
  const rows = await tx.execute<{ name: string }[]>(
    "select attname as name from pg_attribute where attrelid = ?::regclass and attnum > 0 and not attisdropped order by attnum",
    [table],
  );
  return rows.map(({ name }) => name);
}

/** Of a photograph so much is held at once, bytes. */
const SLICE_BYTES = 1024 * 1024;

/** The bytes of a photograph, deleted or not, as they are stored: slice by slice, so that no more than one is held. */
export async function* photographSlices(em: Em, id: string, column: "bytes" | "thumbnail" = "bytes"): AsyncGenerator<Buffer> {
  for (let from = 1; ; from += SLICE_BYTES) {
    const [row] = await em.execute<{ slice: Buffer }[]>(`select substring(${column} from ? for ?) as slice from photograph where id = ?`, [
      from,
      SLICE_BYTES,
      id,
    ]);
    if (!row || row.slice.length === 0) return;
    yield row.slice;
  }
}

/** Which photographs there are, deleted or not, in order. */
export async function storedPhotographs(em: Em): Promise<Array<{ id: string; mime: string }>> {
  return em.execute("select id, mime from photograph order by id");
}

/** A photograph with its bytes; true when it came, false when it is here already or its treatment is not. */
export async function putPhotograph(tx: Em, line: string, bytes: Buffer, thumbnail: Buffer): Promise<Brought> {
  // past the mapper, which would write the bytes into the text of the query
  const { rows } = await (tx.getTransactionContext<Knex>() ?? tx.getKnex()).raw<{ rows: object[] }>(
    `insert into photograph (id, treatment_id, taken_at, moment, caption, mime, width, height, sha256, bytes, thumbnail, deleted_at, bare)
     select r.id, r.treatment_id, r.taken_at, r.moment, r.caption, r.mime, r.width, r.height, r.sha256, ?, ?, r.deleted_at, coalesce(r.bare, false)
     from jsonb_populate_record(null::photograph, ?::jsonb) r where exists (select 1 from treatment t where t.id = r.treatment_id)
     on conflict do nothing returning id`,
    [bytes, thumbnail, line],
  );
  if (rows.length > 0) return { came: 1, known: 0, left_out: 0 };
  const [{ here = false } = {}] = await tx.execute<{ here: boolean }[]>(
    "select exists (select 1 from photograph p where p.id = (?::jsonb ->> 'id')::uuid) as here",
    [line],
  );
  return { came: 0, known: here ? 1 : 0, left_out: here ? 0 : 1 };
}
