import { em } from "@/store/orm";
import { find } from "./find";
import { addTreatment, createPiece, editPiece, piecePage } from "./pieces";
import { setRemoved } from "./removal";
import { chosenTreatment, NOW, newPiece, problemOf, scratchDatabase, write } from "./testing.fixture";
import { treatmentPage } from "./treatments";

scratchDatabase();

const count = async (table: string) => ((await (await em()).execute(`select count(*)::int as n from ${table}`)) as { n: number }[])[0]?.n;

test("a piece comes with its part and its first treatment", async () => {
  const { id, treatment_id } = await createPiece(newPiece(), NOW);
  const { piece, treatments } = await piecePage(id);
  expect(piece).toMatchObject({ title: "Lemonade jar", reference: "HF-047", version: 1, parts: [{ name: "rim", substrate: "stoneware" }] });
  expect(treatments.map((treatment) => treatment.id)).toEqual([treatment_id]);
});

test("the same form sent twice, even at once, is one piece", async () => {
  const piece = newPiece();
  const answers = await Promise.all([createPiece(piece, NOW), createPiece(piece, NOW), createPiece(piece, NOW)]);
  expect(answers.map(({ id }) => id)).toEqual([piece.id, piece.id, piece.id]);
  expect([await count("piece"), await count("part"), await count("treatment")]).toEqual([1, 1, 1]);
});

test("what is wrong is said at its field, and nothing is half-saved", async () => {
  const wrong = newPiece({ title: "  ", kind: "spaceship", part: { name: "rim", substrate: "cheese", finish: "glaze" } });
  const { status, errors } = await problemOf(createPiece(wrong, NOW));
  expect(status).toBe(422);
  expect(errors?.map(({ path }) => path).sort()).toEqual(["/kind", "/part/substrate", "/title"]);
  expect(await count("piece")).toBe(0);
});

test("200 letters are kept, 201 are refused", async () => {
  const { id } = await createPiece(newPiece({ title: "W".repeat(200) }), NOW);
  expect((await piecePage(id)).piece.title).toHaveLength(200);
  expect((await problemOf(createPiece(newPiece({ title: "W".repeat(201) }), NOW))).errors).toEqual([
    { path: "/title", message: "must have at most 200 characters" },
  ]);
});

test("an edit from a stale page is told, not written over the other", async () => {
  const { id } = await createPiece(newPiece(), NOW);
  const { piece } = await piecePage(id);
  const edit = (title: string, version: number) =>
    editPiece(id, { version, title, reference: "HF-047", owner_reference: "", kind: "vessel", parts: piece.parts });
  expect(await edit("Jar with a lid", 1)).toEqual({ version: 2 });
  expect(await problemOf(edit("Jug", 1))).toMatchObject({ status: 409, detail: expect.stringContaining("another window") });
  expect((await piecePage(id)).piece.title).toBe("Jar with a lid");
});

test("a piece has several parts of different stuff; one that is being mended cannot go", async () => {
  const { id } = await createPiece(newPiece(), NOW);
  const { piece } = await piecePage(id);
  const lid = { id: crypto.randomUUID(), name: "lid", substrate: "hardwood", finish: "oil" };
  const edit = (version: number, parts: readonly object[]) =>
    editPiece(id, { version, title: "Jar", reference: "HF-047", owner_reference: "", kind: "vessel", parts });
  await edit(1, [...piece.parts, lid]);
  expect((await piecePage(id)).piece.parts.map(({ name, substrate }) => [name, substrate])).toEqual([
    ["rim", "stoneware"],
    ["lid", "hardwood"],
  ]);
  const refusal = await problemOf(edit(2, [lid]));
  expect(refusal).toMatchObject({ status: 422, detail: expect.stringContaining("“rim” is being mended") });
  await edit(2, piece.parts);
  expect((await piecePage(id)).piece.parts).toHaveLength(1);
  expect((await problemOf(edit(3, []))).errors).toMatchObject([{ path: "/parts" }]);
});

test("a second damage may lie on another part, known or new; both are on the condition map", async () => {
  const first = await chosenTreatment();
  const { record } = await treatmentPage(first);
  const lid = { id: crypto.randomUUID(), name: "lid", substrate: "hardwood", finish: "oil" };
  const second = crypto.randomUUID();
  await addTreatment(record.piece_id, { id: second, title: "split lid", part: lid }, new Date(NOW.getTime() + 60_000));
  await write(second, 0, { kind: "marked", x: 0.4, y: 0.25 });
  const page = await treatmentPage(second);
  expect([page.record.substrate, page.parts.map(({ name }) => name)]).toEqual(["hardwood", ["rim", "lid"]]);
  expect(page.damages).toMatchObject([
    { title: "rim chip", part: "rim" },
    { treatment: second, damage: "d1", part: "lid", mark: { x: 0.4, y: 0.25 } },
  ]);
  const { id: other } = await createPiece(newPiece({ reference: "HF-048" }), NOW);
  expect(await problemOf(addTreatment(other, { id: crypto.randomUUID(), title: "crack", part: lid }, NOW))).toMatchObject({ status: 404 });
});

test("a further treatment stands on the same piece, once", async () => {
  const { id } = await createPiece(newPiece(), NOW);
  const second = { id: crypto.randomUUID(), title: "hairline under the lug" };
  await addTreatment(id, second, NOW);
  await addTreatment(id, second, NOW);
  expect((await piecePage(id)).treatments).toHaveLength(2);
});

test("what is deleted is away, and comes back whole by undo", async () => {
  const treatment = await chosenTreatment();
  await setRemoved("treatments", treatment, NOW);
  expect(await problemOf(treatmentPage(treatment))).toMatchObject({ status: 404 });
  await setRemoved("treatments", treatment, null);
  expect((await treatmentPage(treatment)).treatment.entries).toHaveLength(2);
  const { piece_id } = (await treatmentPage(treatment)).record;
  await setRemoved("pieces", piece_id, NOW);
  expect(await problemOf(treatmentPage(treatment))).toMatchObject({ status: 404 });
  expect(await find("lemonade")).toEqual([]);
  await setRemoved("pieces", piece_id, null);
  expect(await find("lemonade")).not.toEqual([]);
});

test("deleting what is not here says so", async () => {
  expect(await problemOf(setRemoved("pieces", crypto.randomUUID(), NOW))).toMatchObject({ status: 404 });
});

test("a piece that is put away or renamed while its log is written: neither waits for the other in a circle", async () => {
  const made = await Promise.all(
    Array.from({ length: 6 }, (_, i) => createPiece(newPiece({ reference: `HF-7${i}`, title: `Swing-boat ${i}` }), NOW)),
  );
  for (let round = 0; round < 5; round++)
    await Promise.all(
      made.flatMap(({ id, treatment_id }) => [
        write(treatment_id, round, { kind: "noted", station: "survey", text: `look ${round}` }),
        setRemoved("pieces", id, null),
        setRemoved("pieces", id, null),
      ]),
    );
  for (const { treatment_id } of made) expect((await treatmentPage(treatment_id)).treatment.entries).toHaveLength(5);
});

describe("find", () => {
  beforeEach(async () => {
    await createPiece(newPiece(), NOW);
    await createPiece(newPiece({ title: "Concertina", reference: "HF-063", owner_reference: "", treatment_title: "moth hole" }), NOW);
  });
  const titles = async (words: string) => (await find(words)).map(({ title }) => title);

  test.each([
    ["lemonade", "Lemonade jar"],
    ["HF-063", "Concertina"],
    ["stand 4", "Lemonade jar"],
    ["moth", "moth hole"],
    ["MOTH HOLE", "moth hole"],
  ])("%s finds %s", async (words, title) => {
    expect((await titles(words))[0]).toBe(title);
  });

  test("a slip of the pen finds the nearest word, and says that it is only near", async () => {
    const [hit] = await find("concertyna");
    expect(hit).toMatchObject({ title: "Concertina" });
    expect(hit?.nearness).toBeLessThan(1);
  });

  test("nothing like it finds nothing; signs of the search language are taken as letters", async () => {
    expect(await titles("bandoneon xyz")).toEqual([]);
    expect(await titles("%")).toEqual([]);
    expect(await titles("_")).toEqual([]);
    expect(await titles("   ")).toEqual([]);
    expect(await titles("'; drop table piece; --")).toEqual([]);
  });
});

test("a mark that is typed whole stands first, before the many that only begin with it", async () => {
  for (let i = 10; i < 40; i++) await createPiece(newPiece({ title: `Aunt Sally ${i}`, reference: `HF-7${i}` }), NOW);
  await createPiece(newPiece({ title: "Zither of the band", reference: "HF-7" }), NOW);
  const hits = await find("hf-7");
  expect(hits[0]).toMatchObject({ title: "Zither of the band", nearness: 1 });
  expect(hits.length).toBe(12);
  expect(new Set(hits.map(({ id }) => id)).size).toBe(12);
});

test("the finish that a part is to have is kept, planned for, carried in the dossier, and none where it stays", async () => {
  const { id, treatment_id } = await createPiece(
    newPiece({ part: { name: "front", substrate: "hardwood", finish: "paint", finish_to_be: "lacquer" } }),
    NOW,
  );
  await write(treatment_id, 0, {
    kind: "surveyed",
    survey: { damage: { kind: "hole", diameter_mm: 6, depth_mm: 12, through: false }, service: {} },
  });
  await write(treatment_id, 1, { kind: "matched", stance: "service", chain: [{ role: "filler", class: "epoxy-putty" }] });
  const plansStrip = async () => (await treatmentPage(treatment_id)).worked?.repair.operations.some(({ name }) => name === "strip-old");
  expect(await plansStrip()).toBe(true);
  const { piece } = await piecePage(id);
  expect(piece.parts).toMatchObject([{ finish: "paint", finish_to_be: "lacquer" }]);
  const same = piece.parts.map((part) => ({ ...part, finish_to_be: "paint" }));
  await editPiece(id, { version: 1, title: "Box", reference: "HF-047", owner_reference: "", kind: "vessel", parts: same });
  expect((await piecePage(id)).piece.parts[0]?.finish_to_be).toBeUndefined();
  expect(await plansStrip()).toBe(false);
});
