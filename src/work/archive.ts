import { IsolationLevel } from "@mikro-orm/core";
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, Manifest, type ManifestFirst, nameOf } from "@/formats/archive.schema";
import { isPicture, PHOTOGRAPH_MAX_BYTES, sha256 } from "@/formats/photograph";
import { ZipReader, ZipWriter } from "@/formats/zip";
import { type Em, em as openEm } from "@/store/orm";
import {
  type Brought,
  beginBringing,
  photographSlices,
  putPhotograph,
  putRows,
  storedPhotographs,
  TABLES,
  type TableRow,
  tableLines,
} from "@/store/tables";
import { restoreFirst } from "./archiveFirst";
import { type Archived, json } from "./archiveRead";
import { invalid } from "./problems";

/** So many rows are brought in at once. */
const AT_ONCE = 500;

/**
 * Write the whole shop into a zip: every row of every table as a line of JSON, every photograph as a file; all as it stands at one moment.
 * A few rows and one picture are held at a time.
 */
export async function archiveTo(file: string, now: Date): Promise<Archived> {
  const em = await openEm();
  return em.transactional(
    async (tx) => {
      const zip = new ZipWriter(file);
      const rows: Record<string, number> = {};
      for (const table of TABLES) zip.lines(nameOf.table(table.table), () => counted(tx, table, rows));
      const pictures = await storedPhotographs(tx);
      for (const { id, mime } of pictures) {
        zip.picture(nameOf.picture(id, mime), () => photographSlices(tx, id));
        zip.picture(nameOf.thumbnail(id), () => photographSlices(tx, id, "thumbnail"));
      }
      // it tells how many rows there are: they are known once they are written
      zip.later(nameOf.manifest, () => {
        const manifest: Manifest = { format: ARCHIVE_FORMAT, version: ARCHIVE_VERSION, exported_at: now.toISOString(), rows };
        return JSON.stringify(manifest, null, 1);
      });
      await zip.end();
      return { treatments: rows.treatment ?? 0, photographs: pictures.length, known: 0, left_out: [] };
    },
    { isolationLevel: IsolationLevel.REPEATABLE_READ, readOnly: true },
  );
}

async function* counted(tx: Em, table: TableRow, rows: Record<string, number>): AsyncGenerator<string> {
  rows[table.table] = 0;
  for await (const line of tableLines(tx, table)) {
    rows[table.table] = (rows[table.table] ?? 0) + 1;
    yield line;
  }
}

/**
 * Bring a shop in from its zip, all of its rows or none, then its photographs. What is here already stays as it is, so that one that was
 * broken off is simply done again; what can't come in is told.
 * @throws {WorkProblem} 422 when the file is no such archive, or damaged
 */
export async function restoreFrom(file: string, now: Date): Promise<Archived> {
  const zip = await ZipReader.open(file).catch((error: Error) => {
    throw invalid([{ path: "", message: error.message }], "This file is no zip that can be read.");
  });
  try {
    const manifest = await json<Manifest | ManifestFirst>(zip, nameOf.manifest, Manifest);
    return "rows" in manifest ? await restoreRows(zip, manifest) : await restoreFirst(zip, manifest, now);
  } catch (error) {
    if (error instanceof RangeError) throw invalid([{ path: "", message: error.message }], `The archive is damaged: ${error.message}.`);
    throw error;
  } finally {
    zip.close();
  }
}

async function restoreRows(zip: ZipReader, { rows }: Manifest): Promise<Archived> {
  const em = await openEm();
  const brought = await em.transactional(async (tx) => {
    await beginBringing(tx);
    const found: Array<readonly [TableRow, Brought]> = [];
    for (const table of TABLES.filter(({ bytes }) => !bytes)) found.push([table, await tableIn(tx, zip, table, rows[table.table] ?? 0)]);
    return found;
  });
  const pictures = await photographsIn(zip, rows.photograph ?? 0);
  const of = (name: string) => brought.find(([{ table }]) => table === name)?.[1];
  const left_out = brought
    .filter(([, { left_out }]) => left_out > 0)
    .map(([{ table }, { left_out }]) => ({ what: `${left_out} of ${table.replaceAll("_", " ")}`, because: OTHERWISE }));
  return {
    treatments: of("treatment")?.came ?? 0,
    photographs: pictures.came,
    known: of("treatment")?.known ?? 0,
    left_out: [...left_out, ...pictures.left_out],
  };
}

const OTHERWISE = "what is here under its name or mark is another: it stays as it is";

async function tableIn(tx: Em, zip: ZipReader, table: TableRow, expected: number): Promise<Brought> {
  const sum = { came: 0, known: 0, left_out: 0 };
  const name = nameOf.table(table.table);
  let waiting: string[] = [];
  const put = async () => {
    if (waiting.length === 0) return;
    const { came, known, left_out } = await putRows(tx, table, waiting);
    Object.assign(sum, { came: sum.came + came, known: sum.known + known, left_out: sum.left_out + left_out });
    waiting = [];
  };
  for await (const line of zip.lines(name)) {
    waiting.push(line);
    if (waiting.length >= AT_ONCE) await put();
  }
  await put();
  if (sum.came + sum.known + sum.left_out < expected)
    throw invalid([{ path: `/${name}`, message: "is cut short" }], `The archive’s ${name} is cut short.`);
  return sum;
}

/** Each in a transaction of its own; one that is damaged is told, and the others come in. */
async function photographsIn(zip: ZipReader, expected: number): Promise<Pick<Archived, "left_out"> & { readonly came: number }> {
  const left_out: Array<Archived["left_out"][number]> = [];
  let [came, seen] = [0, 0];
  for await (const line of zip.lines(nameOf.table("photograph"))) {
    seen += 1;
    const { id, mime, sha256: sum } = JSON.parse(line) as { id: string; mime: string; sha256: string };
    const file = nameOf.picture(id, mime);
    const [bytes, thumbnail] = [await zip.bytes(file, PHOTOGRAPH_MAX_BYTES), await zip.bytes(nameOf.thumbnail(id), PHOTOGRAPH_MAX_BYTES)];
    if (!bytes || !thumbnail || sha256(bytes) !== sum || !(await isPicture(bytes, mime)) || !(await isPicture(thumbnail, "image/jpeg"))) {
      left_out.push({ what: file, because: "it is missing or damaged" });
      continue;
    }
    const em = await openEm();
    const one = await em.transactional((tx) => putPhotograph(tx, line, bytes, thumbnail));
    came += one.came;
    if (one.left_out > 0) left_out.push({ what: file, because: "its treatment is not here" });
  }
  if (seen < expected) throw invalid([{ path: "/photographs", message: "are not all there" }], "The archive is cut short.");
  return { came, left_out };
}
