import { createWriteStream, mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { pipeline } from "node:stream/promises";
import sharp from "sharp";
import { done } from "@/core/views/story.fixture";
import { copyDossier, readDossier, shiftDossier } from "@/formats/dossier";
import type { Dossier } from "@/formats/dossier.schema";
import { PHOTOGRAPH_MAX_BYTES, sha256 } from "@/formats/photograph";
import { ZipReader, ZipWriter } from "@/formats/zip";
import { em } from "@/store/orm";
import { photographsSize } from "@/store/queries";
import { exportDossier, importDossier, importDossierZip, streamDossier } from "./dossiers";
import { addPhotograph, bareAll, readPhotograph } from "./photographs";
import { piecePage } from "./pieces";
import { practiceDossier } from "./practice";
import { setRemoved } from "./removal";
import { chosenTreatment, jpeg, NOW, problemOf, scratchDatabase, write } from "./testing.fixture";
import { treatmentPage } from "./treatments";

scratchDatabase();

const photograph = async (over: object = {}) => ({
  id: crypto.randomUUID(),
  moment: "before" as const,
  caption: "rim, raking light",
  bytes: await jpeg(),
  ...over,
});

async function full(): Promise<{ treatment: string; dossier: Dossier }> {
  const treatment = await chosenTreatment();
  await write(treatment, 2, done("r1/ready/photograph"));
  await addPhotograph(treatment, await photograph(), NOW);
  return { treatment, dossier: await exported(treatment) };
}

describe("photographs", () => {
  test("that were added before where they were taken was left out are gone through once", async () => {
    const treatment = await chosenTreatment();
    const { id } = await addPhotograph(treatment, await photograph(), NOW);
    const tagged = await sharp(await jpeg())
      .withExif({ IFD3: { GPSLatitude: "48/1 12/1 3333/100" }, IFD0: { Copyright: "lane 4" } })
      .toBuffer();
    await (await em()).execute("update photograph set bytes = ?, sha256 = 'old', bare = false where id = ?", [tagged, id]);
    expect(await bareAll()).toBe(1);
    const { bytes, sha256: sum } = await readPhotograph(id, false);
    expect([bytes.includes("lane 4"), sum, await bareAll()]).toEqual([false, sha256(bytes), 0]);
  });

  test("are kept as they came, with a small JPEG beside", async () => {
    const treatment = await chosenTreatment();
    const bytes = await sharp({ create: { width: 1400, height: 900, channels: 3, background: "#334" } })
      .png()
      .toBuffer();
    const { id } = await addPhotograph(treatment, await photograph({ bytes }), NOW);
    expect(await readPhotograph(id, false)).toMatchObject({ mime: "image/png", bytes });
    const thumbnail = await readPhotograph(id, true);
    expect(await sharp(thumbnail.bytes).metadata()).toMatchObject({ format: "jpeg", width: 560, height: 360 });
    expect((await treatmentPage(treatment)).photographs).toMatchObject([{ id, width: 1400, height: 900 }]);
  });

  test("a webp is taken; the same id twice is one photograph", async () => {
    const treatment = await chosenTreatment();
    const one = await photograph({
      bytes: await sharp(await jpeg())
        .webp()
        .toBuffer(),
    });
    await addPhotograph(treatment, one, NOW);
    await addPhotograph(treatment, one, NOW);
    expect((await treatmentPage(treatment)).photographs).toMatchObject([{ mime: "image/webp" }]);
  });

  test.each<[string, () => Promise<Buffer>, number, RegExp]>([
    ["text with the name of a picture", async () => Buffer.from("not a picture"), 422, /not a whole JPEG, PNG or WebP/],
    [
      "a GIF",
      async () =>
        sharp(await jpeg())
          .gif()
          .toBuffer(),
      422,
      /not a whole/,
    ],
    ["a drawing in SVG", async () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'), 422, /not a whole/],
    ["half a JPEG", async () => (await jpeg(600, 400)).subarray(0, 900), 422, /not a whole/],
    ["nothing", async () => Buffer.alloc(0), 422, /empty/],
    ["12 MB and a byte", async () => Buffer.alloc(PHOTOGRAPH_MAX_BYTES + 1), 413, /over 12 MB/],
  ])("%s is refused, with what to do", async (_, bytes, status, detail) => {
    const treatment = await chosenTreatment();
    expect(await problemOf(addPhotograph(treatment, await photograph({ bytes: await bytes() }), NOW))).toMatchObject({
      status,
      detail: expect.stringMatching(detail),
    });
    expect((await treatmentPage(treatment)).photographs).toEqual([]);
  });

  test("a deleted photograph is away and can come back", async () => {
    const treatment = await chosenTreatment();
    const { id } = await addPhotograph(treatment, await photograph(), NOW);
    await setRemoved("photographs", id, NOW);
    expect(await problemOf(readPhotograph(id, true))).toMatchObject({ status: 404 });
    await setRemoved("photographs", id, null);
    expect((await readPhotograph(id, true)).mime).toBe("image/jpeg");
  });
});

describe("dossiers", () => {
  test("out and in again lose nothing, to the letter", async () => {
    const { dossier } = await full();
    await (await em()).execute("truncate piece cascade");
    const wire = JSON.parse(JSON.stringify(dossier));
    const { treatment_id } = await importDossier(wire);
    expect(await exportDossier(treatment_id, NOW)).toEqual(dossier);
  });

  test("one that is here already is told, and comes in as a copy when asked", async () => {
    const { treatment, dossier } = await full();
    expect(await problemOf(importDossier(dossier))).toMatchObject({ status: 409, detail: expect.stringContaining("as a copy") });
    const copy = await importDossier(dossier, { asCopy: true });
    expect(copy.treatment_id).not.toBe(treatment);
    const again = await exported(copy.treatment_id);
    expect(again.treatment.log.map(({ body }) => body)).toEqual(dossier.treatment.log.map(({ body }) => body));
    expect(again.treatment.photographs[0]?.data).toBe(dossier.treatment.photographs[0]?.data);
  });

  test("what was deleted gives way to its dossier", async () => {
    const { treatment, dossier } = await full();
    await setRemoved("treatments", treatment, NOW);
    await importDossier(dossier);
    expect(await exportDossier(treatment, NOW)).toEqual(dossier);
    await setRemoved("pieces", dossier.piece.id, NOW);
    await importDossier(dossier);
    expect(await exportDossier(treatment, NOW)).toEqual(dossier);
  });

  test("a second treatment joins the piece that is here", async () => {
    const { dossier } = await full();
    const other = copyDossier(dossier, () => crypto.randomUUID());
    await importDossier({ ...other, piece: dossier.piece, treatment: { ...other.treatment, part: dossier.treatment.part } });
    expect((await piecePage(dossier.piece.id)).treatments).toHaveLength(2);
  });

  test.each<[string, (dossier: Dossier) => unknown, RegExp, string]>([
    ["something else", () => ({ hello: "world" }), /not a Wanderjahr dossier/, "/format"],
    ["nothing", () => null, /not a Wanderjahr dossier/, "/format"],
    ["an unknown version", (dossier) => ({ ...dossier, version: 7 }), /version 7; this Wanderjahr reads/, "/version"],
    ["an unknown field", (dossier) => ({ ...dossier, sparkle: 1 }), /damaged/, "/sparkle"],
    [
      "a hole in the log",
      (dossier) => ({ ...dossier, treatment: { ...dossier.treatment, log: dossier.treatment.log.slice(1) } }),
      /contradicts/,
      "/treatment/log/0/seq",
    ],
    [
      "a correction of nothing",
      (dossier) => ({
        ...dossier,
        treatment: { ...dossier.treatment, log: dossier.treatment.log.map((entry) => ({ ...entry, corrects: crypto.randomUUID() })) },
      }),
      /contradicts/,
      "/treatment/log/0/corrects",
    ],
    [
      "a part of another piece",
      (dossier) => ({ ...dossier, treatment: { ...dossier.treatment, part: crypto.randomUUID() } }),
      /contradicts/,
      "/treatment/part",
    ],
    [
      "a chip of 4 m",
      (dossier) => ({
        ...dossier,
        treatment: {
          ...dossier.treatment,
          log: dossier.treatment.log.map((entry, i) =>
            i === 0
              ? {
                  ...entry,
                  body: {
                    kind: "surveyed",
                    survey: { damage: { kind: "chip", length_mm: 4000, depth_mm: 1, thickness_mm: 1 }, service: {} },
                  },
                }
              : entry,
          ),
        },
      }),
      /damaged/,
      "/treatment/log/0/body/survey/damage/length_mm",
    ],
    [
      "a changed photograph",
      (dossier) => ({
        ...dossier,
        treatment: {
          ...dossier.treatment,
          photographs: dossier.treatment.photographs.map((each) => ({ ...each, data: each.data.replace(/^..../, "AAAA") })),
        },
      }),
      /photograph in the dossier is damaged/,
      "/treatment/photographs/0/data",
    ],
  ])("%s is refused whole", async (_, change, detail, at) => {
    const { dossier } = await full();
    await (await em()).execute("truncate piece cascade");
    const refusal = await problemOf(importDossier(change(dossier)));
    expect(refusal).toMatchObject({ status: 422, detail: expect.stringMatching(detail) });
    expect(refusal.errors?.map(({ path: field }) => field)).toContain(at);
    expect(await (await em()).execute("select 1 from piece")).toEqual([]);
  });

  test("moved in time, everything moves alike and nothing else changes", async () => {
    const { dossier } = await full();
    const day = 86_400_000;
    const moved = shiftDossier({ ...dossier, treatment: { ...dossier.treatment, promised: "2026-10-23" } }, day);
    expect(Date.parse(moved.treatment.log[0]?.at ?? "") - Date.parse(dossier.treatment.log[0]?.at ?? "")).toBe(day);
    expect(moved.treatment.promised).toBe("2026-10-24");
    expect(moved.treatment.log.map(({ body }) => body)).toEqual(dossier.treatment.log.map(({ body }) => body));
  });
});

describe("the demo world", () => {
  const folder = path.resolve(__dirname, "../../demo");
  const files = readdirSync(folder).filter((file) => file.endsWith(".dossier.json"));
  const read = (file: string) => JSON.parse(readFileSync(path.join(folder, file), "utf8"));

  test.each(files)("%s comes in through the same door as every dossier", async (file) => {
    expect(readDossier(read(file))).toMatchObject({ ok: true });
    const { treatment_id } = await importDossier(read(file));
    const { log: _, ...kept } = (await exported(treatment_id)).treatment;
    expect(kept.photographs.length).toBeGreaterThan(0);
    await expect(treatmentPage(treatment_id)).resolves.toBeDefined();
  });

  test("holds at least six pieces of different substrates", () => {
    const substrates = files.map((file) => (read(file) as Dossier).piece.parts[0]?.substrate);
    expect(new Set(substrates).size).toBeGreaterThanOrEqual(6);
  });

  test("the practice piece is moved to the present", async () => {
    const dossier = await practiceDossier(NOW);
    expect(Math.abs(Date.parse(dossier.exported_at) - NOW.getTime())).toBeLessThan(1000);
  });
});

/** A dossier that is small enough for one text. */
async function exported(treatment: string): Promise<Dossier> {
  const dossier = await exportDossier(treatment, NOW);
  if (!dossier) throw new Error("it is too large for one text");
  return dossier;
}

describe("as a zip, its photographs as files", () => {
  const folder = mkdtempSync(path.join(tmpdir(), "dossier-"));
  const file = path.join(folder, "one.zip");
  afterAll(() => rmSync(folder, { recursive: true }));
  const written = async (treatment: string) => pipeline((await streamDossier(treatment, NOW)).stream, createWriteStream(file));

  test("it goes out and comes in again without loss, as itself and as a copy", async () => {
    const { treatment, dossier } = await full();
    await written(treatment);
    const zip = await ZipReader.open(file);
    expect(zip.names.filter((name) => name.startsWith("photographs/"))).toHaveLength(dossier.treatment.photographs.length);
    zip.close();
    expect(await problemOf(importDossierZip(file))).toMatchObject({ status: 409 });
    const copy = await importDossierZip(file, { asCopy: true });
    expect((await exported(copy.treatment_id)).treatment.photographs.map(({ sha256 }) => sha256)).toEqual(
      dossier.treatment.photographs.map(({ sha256 }) => sha256),
    );
    await (await em()).execute("truncate piece cascade");
    await importDossierZip(file);
    expect(await exported(treatment)).toEqual(dossier);
  });

  test("with a picture missing or changed nothing of it comes in", async () => {
    const { treatment, dossier } = await full();
    const [first] = dossier.treatment.photographs;
    const { data: _data, ...said } = first ?? { data: "" };
    const filed = { ...dossier, treatment: { ...dossier.treatment, photographs: [{ ...said, file: `photographs/${first?.id}.jpg` }] } };
    await (await em()).execute("truncate piece cascade");
    for (const put of [undefined, Buffer.from("no picture")]) {
      const zip = new ZipWriter(file);
      zip.text("dossier.json", JSON.stringify(filed));
      if (put)
        zip.picture(`photographs/${first?.id}.jpg`, async function* () {
          yield put;
        });
      await zip.end();
      expect(await problemOf(importDossierZip(file))).toMatchObject({ status: 422, errors: [{ path: "/treatment/photographs/0/file" }] });
      expect(await problemOf(exported(treatment))).toMatchObject({ status: 404 });
    }
  });

  test("pictures that are too many for one text go only so", async () => {
    const { treatment } = await full();
    // noise can't be packed: some nine megabytes each
    for (let i = 0; i < 3; i++)
      await addPhotograph(treatment, { id: crypto.randomUUID(), moment: "during", caption: "", bytes: await noise(i) }, NOW);
    expect(await exportDossier(treatment, NOW)).toBeUndefined();
    await written(treatment);
    await (await em()).execute("truncate piece cascade");
    await importDossierZip(file);
    expect(await photographsSize(await em(), treatment)).toBeGreaterThan(24 * 1024 * 1024);
  }, 90_000);

  const noise = async (seed: number) => {
    const side = 1750;
    const raw = Buffer.alloc(side * side * 3);
    for (let i = 0, state = seed + 1; i < raw.length; i++) {
      state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
      raw[i] = state >>> 24;
    }
    return sharp(raw, { raw: { width: side, height: side, channels: 3 } })
      .png({ compressionLevel: 1 })
      .toBuffer();
  };
});
