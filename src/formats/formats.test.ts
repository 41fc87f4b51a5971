import { readFileSync } from "node:fs";
import path from "node:path";
import sharp from "sharp";
import { copyDossier, readDossier, shiftDossier } from "./dossier";
import type { Dossier } from "./dossier.schema";
import { inspectPhotograph, sha256 } from "./photograph";

const dossier: Dossier = JSON.parse(readFileSync(path.resolve(__dirname, "../../demo/lemonade-jar.dossier.json"), "utf8"));
const picture = (width = 40, height = 30) => sharp({ create: { width, height, channels: 3, background: "#876" } });

test("a dossier that was read is the dossier that was written", () => {
  const read = readDossier(dossier);
  if (!read.ok) throw new Error(read.detail);
  expect(readDossier(JSON.parse(JSON.stringify(read.dossier)))).toEqual(read);
});

test("a copy has new ids everywhere, and its references hold", () => {
  let n = 0;
  const copy = copyDossier(dossier, () => `00000000-0000-4000-8000-${String(n++).padStart(12, "0")}`);
  const ids = (d: Dossier) => [
    d.piece.id,
    ...d.piece.parts.map(({ id }) => id),
    d.treatment.id,
    ...d.treatment.log.map(({ id }) => id),
    ...d.treatment.photographs.map(({ id }) => id),
  ];
  expect(new Set([...ids(dossier), ...ids(copy)]).size).toBe(ids(dossier).length * 2);
  expect(readDossier(copy)).toMatchObject({ ok: true });
  expect(copy.treatment.part).toBe(copy.piece.parts[0]?.id);
});

test("moved there and back is where it was", () => {
  const day = 86_400_000;
  expect(shiftDossier(shiftDossier(dossier, 3 * day), -3 * day)).toEqual(dossier);
});

test("two entries under one id are refused", () => {
  const [first] = dossier.treatment.log;
  const log = dossier.treatment.log.map((entry, i) => (i === 1 && first ? { ...entry, id: first.id } : entry));
  expect(readDossier({ ...dossier, treatment: { ...dossier.treatment, log } })).toMatchObject({
    ok: false,
    errors: [{ path: "/treatment/log", message: "holds an id twice" }],
  });
});

test.each([null, 3, "text", [], { format: "other" }])("%j is not a dossier", (value) => {
  expect(readDossier(value)).toMatchObject({ ok: false, errors: [{ path: "/format" }] });
});

describe("photographs", () => {
  test("are known by content, whatever they are called", async () => {
    for (const [bytes, mime] of [
      [await picture().jpeg().toBuffer(), "image/jpeg"],
      [await picture().png().toBuffer(), "image/png"],
      [await picture().webp().toBuffer(), "image/webp"],
    ] as const)
      expect(await inspectPhotograph(bytes)).toMatchObject({
        ok: true,
        photograph: { mime, width: 40, height: 30, sha256: sha256(bytes) },
      });
  });

  test("thumbnails stand upright, fit their box, and are never blown up", async () => {
    const lying = await picture(900, 300).jpeg().withMetadata({ orientation: 6 }).toBuffer();
    const inspected = await inspectPhotograph(lying);
    const size = inspected.ok && (await sharp(inspected.photograph.thumbnail).metadata());
    expect(size).toMatchObject({ width: 187, height: 560 });
    const small = await inspectPhotograph(await picture().jpeg().toBuffer());
    expect(small.ok && (await sharp(small.photograph.thumbnail).metadata())).toMatchObject({ width: 40, height: 30 });
  });

  test("a thumbnail carries nothing of where and with what it was taken", async () => {
    const tagged = await picture()
      .jpeg()
      .withExif({ IFD0: { Copyright: "somebody" } })
      .toBuffer();
    const inspected = await inspectPhotograph(tagged);
    expect(inspected.ok && (await sharp(inspected.photograph.thumbnail).metadata()).exif).toBeUndefined();
  });
});
