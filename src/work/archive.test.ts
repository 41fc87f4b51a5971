import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { freshShop } from "@/core/shop/shop";
import { sha256 } from "@/formats/photograph";
import { ZipReader, ZipWriter } from "@/formats/zip";
import { em } from "@/store/orm";
import { TABLES } from "@/store/tables";
import { archiveTo, restoreFrom } from "./archive";
import { editLot, exportCabinet, importCabinet } from "./cabinet";
import { setClimate } from "./climate";
import { exportDossier } from "./dossiers";
import { addPhotograph } from "./photographs";
import { createPiece } from "./pieces";
import { setRemoved } from "./removal";
import { saveShop, shop } from "./shop";
import { chosenTreatment, jpeg, NOW, newPiece, problemOf, scratchDatabase, write } from "./testing.fixture";

scratchDatabase();

const folder = mkdtempSync(path.join(tmpdir(), "archive-"));
const file = path.join(folder, "shop.zip");
afterAll(() => rmSync(folder, { recursive: true }));

const CABINET = "name,class,lot,size_g,left_g\nPutty grey,Epoxy putty,A7,100,86\n";
const picture = async (treatment: string, caption: string) =>
  addPhotograph(treatment, { id: crypto.randomUUID(), moment: "before", caption, bytes: await jpeg(80, 60) }, NOW);
const emptied = async () => (await em()).execute("truncate piece, climate_reading, climate_hour, product, batch, shop cascade");

/** A shop with two treatments, one closed, three photographs, a jar and its people. */
async function fill(): Promise<readonly [string, string]> {
  const [open, shut] = [await chosenTreatment(), await chosenTreatment()];
  await write(shut, 2, { kind: "closed", notes: "dull, then bright", signed_by: "M." });
  await picture(open, "rim, raking light");
  await picture(open, "the twin");
  await picture(shut, "after");
  await importCabinet(CABINET, false, NOW);
  await saveShop({ ...freshShop("Haldenau Fairground Collection", "Europe/Berlin"), people: ["Mina"], version: 0 });
  return [open, shut];
}

test("a whole shop goes out into one file and comes back without loss", async () => {
  const ids = await fill();
  const before = await Promise.all(ids.map((id) => exportDossier(id, NOW)));
  const cabinet = await exportCabinet();
  expect(await archiveTo(file, NOW)).toEqual({ treatments: 2, photographs: 3, known: 0, left_out: [] });
  await emptied();
  expect(await restoreFrom(file, NOW)).toEqual({ treatments: 2, photographs: 3, known: 0, left_out: [] });
  expect(await Promise.all(ids.map((id) => exportDossier(id, NOW)))).toEqual(before);
  expect(await exportCabinet()).toBe(cabinet);
  expect(await shop()).toMatchObject({ people: ["Mina"], time_zone: "Europe/Berlin" });
});

test("what is here already stays as it is: bringing it in again changes nothing", async () => {
  const [open] = await fill();
  await archiveTo(file, NOW);
  await write(open, 2, { kind: "noted", station: "survey", text: "written since" });
  const since = await exportDossier(open, NOW);
  expect(await restoreFrom(file, NOW)).toEqual({ treatments: 0, photographs: 0, known: 2, left_out: [] });
  expect(await exportDossier(open, NOW)).toEqual(since);
});

test("a shop that nobody has written is not written by an archive either", async () => {
  await chosenTreatment();
  await archiveTo(file, NOW);
  await emptied();
  await restoreFrom(file, NOW);
  expect((await shop()).version).toBe(0);
});

test("pictures lie in it as files that anyone can open, beside words that anyone can read", async () => {
  const [open] = await fill();
  await archiveTo(file, NOW);
  const zip = await ZipReader.open(file);
  const pictures = zip.names.filter((name) => name.startsWith("photographs/") && !name.includes("thumbnail"));
  expect(pictures).toHaveLength(3);
  expect((await zip.bytes(pictures[0] ?? "", 1e6))?.subarray(0, 2)).toEqual(Buffer.from([0xff, 0xd8]));
  const rows: string[] = [];
  for await (const row of zip.lines("tables/treatment.jsonl")) rows.push(row);
  expect(rows.map((row) => JSON.parse(row).id)).toContain(open);
  zip.close();
});

describe("what is damaged is refused in words", () => {
  test("a file that is no zip", async () => {
    writeFileSync(file, "not a zip at all");
    expect(await problemOf(restoreFrom(file, NOW))).toMatchObject({ status: 422, detail: "This file is no zip that can be read." });
  });

  test("half an archive", async () => {
    await fill();
    await archiveTo(file, NOW);
    const whole = readFileSync(file);
    writeFileSync(file, whole.subarray(0, whole.length / 2));
    expect(await problemOf(restoreFrom(file, NOW))).toMatchObject({ status: 422 });
  });

  test("a zip of something else, and a manifest of another version", async () => {
    const other = new ZipWriter(file);
    other.text("letter.txt", "dear restorer");
    await other.end();
    expect(await problemOf(restoreFrom(file, NOW))).toMatchObject({ status: 422, detail: "The archive has no manifest.json." });
    const later = new ZipWriter(file);
    later.text("manifest.json", JSON.stringify({ format: "wanderjahr-shop", version: 9 }));
    await later.end();
    expect(await problemOf(restoreFrom(file, NOW))).toMatchObject({ status: 422, detail: expect.stringContaining("another version") });
  });
});

/** Every row of every table that is not derived, bytes by their sum. */
async function everything(): Promise<Record<string, string[]>> {
  const found: Record<string, string[]> = {};
  for (const { table, bytes = [] } of TABLES) {
    const sums = bytes.map((column) => ` || jsonb_build_object('${column}', md5(${column}))`).join("");
    const rows: { line: string }[] = await (await em()).execute(
      `select (to_jsonb(t)${bytes.map((column) => ` - '${column}'`).join("")}${sums})::text as line from ${table} t order by 1`,
    );
    found[table] = rows.map(({ line }) => line);
  }
  return found;
}

describe("everything that the database holds", () => {
  /** A week in the shop: pieces, entries, pictures and jars come, change and go, in an order of chance. */
  async function trial(seed: number): Promise<void> {
    let state = seed;
    const chance = () => {
      state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
      return state / 2 ** 32;
    };
    const [open] = await fill();
    let jars = (await (await em()).execute<{ id: string; version: number }[]>("select id, version from lot")) ?? [];
    let version = 2;
    const acts: ReadonlyArray<() => Promise<unknown>> = [
      async () => {
        await write(open, version, { kind: "noted", station: "survey", text: `note ${version}, “ß” \u2028 \\ "` });
        version += 1;
      },
      () => picture(open, `during, ${chance()}`),
      async () => {
        const { id } = await createPiece(newPiece(), NOW);
        await setRemoved("pieces", id, NOW);
      },
      () =>
        setClimate(
          { source: chance() < 0.5 ? "hand" : "sensor", temp_C: 12 + 10 * chance(), rh_pct: 40 },
          new Date(NOW.getTime() + 3_600_000 * chance()),
        ),
      async () => {
        const [jar] = jars;
        if (jar) await editLot(jar.id, { version: jar.version, label: "A7", size_g: 100, left_g: 40 + 200 * chance() }, NOW);
        jars = await (await em()).execute("select id, version from lot");
      },
      async () => {
        const [photo] = await (await em()).execute<{ id: string }[]>("select id from photograph where deleted_at is null limit 1");
        if (photo) await setRemoved("photographs", photo.id, NOW);
      },
    ];
    for (let i = 0; i < 24; i++) await acts[Math.floor(chance() * acts.length)]?.();
    const store = await em();
    await store.execute(
      `insert into batch (id, at, class, lot_id, mixed_g, left_g, left_over, portions) select gen_random_uuid(), now(), 'epoxy-putty', id, 3.1, 0.1, 'kept', '[]' from lot`,
    );
    await store.execute(
      "insert into climate_hour (at, temp_c, rh_pct) values (now() - interval '1 hour', 17.123456789, 51), (now(), 0.1, 3)",
    );
  }

  test.each([1, 2, 3])("goes out and comes in equal, table by table, row by row (trial %i)", async (seed) => {
    await trial(seed);
    const before = await everything();
    for (const { table } of TABLES) expect([table, before[table]?.length ?? 0]).not.toEqual([table, 0]);
    await archiveTo(file, NOW);
    await emptied();
    expect((await restoreFrom(file, NOW)).left_out).toEqual([]);
    expect(await everything()).toEqual(before);
  });

  test("what can't come in is told, and nothing here is changed by it", async () => {
    await fill();
    await archiveTo(file, NOW);
    const store = await em();
    await store.execute("delete from lot");
    await store.execute(
      "insert into lot (id, product_id, label, size_g, left_g, version) select gen_random_uuid(), id, 'A7', 50, 50, 1 from product",
    );
    const { left_out, treatments, known } = await restoreFrom(file, NOW);
    expect([treatments, known]).toEqual([0, 2]);
    expect(left_out.map(({ what }) => what)).toEqual(["1 of lot", "1 of lot change"]);
    expect(await exportCabinet()).toContain("A7,50,50");
  });
});

test("an archive of the first version still comes in, with jars that hold more than their label", async () => {
  const [open] = await fill();
  const whole = await exportDossier(open, NOW);
  const dossier = { ...whole, treatment: { ...whole?.treatment, photographs: [] } };
  const [bytes, id] = [await jpeg(80, 60), crypto.randomUUID()];
  await emptied();
  const zip = new ZipWriter(file);
  const manifest = { format: "wanderjahr-shop", version: 1, exported_at: NOW.toISOString(), treatments: 1, photographs: 1 };
  const listed = {
    id,
    taken_at: NOW.toISOString(),
    moment: "before",
    caption: "rim",
    mime: "image/jpeg",
    sha256: sha256(bytes),
    file: `photographs/${id}.jpg`,
  };
  zip.text("manifest.json", JSON.stringify(manifest));
  zip.text(`treatments/${open}.dossier.json`, JSON.stringify(dossier));
  zip.text(`treatments/${open}.photographs.json`, JSON.stringify([listed]));
  zip.picture(`photographs/${id}.jpg`, async function* () {
    yield bytes;
  });
  zip.text("cabinet.csv", "name,class,lot,size_g,left_g\nPutty grey,Epoxy putty,A7,100,180\nOdd,cheese,A8,1,1\n");
  await zip.end();
  const { left_out, ...came } = await restoreFrom(file, NOW);
  expect(came).toEqual({ treatments: 1, photographs: 1, known: 0 });
  expect(left_out).toEqual([{ what: "cabinet.csv, line 3", because: expect.stringContaining("cheese") }]);
  expect(await exportCabinet()).toContain("Putty grey,epoxy-putty,A7,100,180");
});
