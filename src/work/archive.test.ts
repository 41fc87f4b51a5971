import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { freshShop } from "@/core/shop/shop";
import { ZipReader, ZipWriter } from "@/formats/zip";
import { em } from "@/store/orm";
import { archiveTo, restoreFrom } from "./archive";
import { exportCabinet, importCabinet } from "./cabinet";
import { exportDossier } from "./dossiers";
import { addPhotograph } from "./photographs";
import { saveShop, shop } from "./shop";
import { chosenTreatment, jpeg, NOW, problemOf, scratchDatabase, write } from "./testing.fixture";

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
  expect(await archiveTo(file, NOW)).toEqual({ treatments: 2, photographs: 3, known: 0 });
  await emptied();
  expect(await restoreFrom(file, NOW)).toEqual({ treatments: 2, photographs: 3, known: 0 });
  expect(await Promise.all(ids.map((id) => exportDossier(id, NOW)))).toEqual(before);
  expect(await exportCabinet()).toBe(cabinet);
  expect(await shop()).toMatchObject({ people: ["Mina"], time_zone: "Europe/Berlin" });
});

test("what is here already stays as it is: bringing it in again changes nothing", async () => {
  const [open] = await fill();
  await archiveTo(file, NOW);
  await write(open, 2, { kind: "noted", station: "survey", text: "written since" });
  const since = await exportDossier(open, NOW);
  expect(await restoreFrom(file, NOW)).toEqual({ treatments: 0, photographs: 0, known: 2 });
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
  const pictures = zip.names.filter((name) => name.startsWith("photographs/"));
  expect(pictures).toHaveLength(3);
  expect((await zip.bytes(pictures[0] ?? "", 1e6))?.subarray(0, 2)).toEqual(Buffer.from([0xff, 0xd8]));
  const dossier = JSON.parse((await zip.bytes(`treatments/${open}.dossier.json`, 1e6))?.toString() ?? "");
  expect(dossier).toMatchObject({ format: "wanderjahr-dossier", treatment: { id: open, photographs: [] } });
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
