import type { BodyOf } from "@/core/record/events.schema";
import { entryWords } from "@/core/views/entryWords";
import { CHIP, done, matched, READY, surveyed } from "@/core/views/story.fixture";
import { em } from "@/store/orm";
import { mixableNow, mixBatch } from "./batches";
import { addProduct, cabinetPage } from "./cabinet";
import { createPiece } from "./pieces";
import { NOW, newPiece, problemOf, scratchDatabase, write } from "./testing.fixture";
import { treatmentPage } from "./treatments";

scratchDatabase();

const LOT = "33333333-3333-4333-8333-333333333333";

/** A piece whose chip is ready to be filled now. */
async function readyToMix(reference: string): Promise<{ id: string; version: number }> {
  const { treatment_id } = await createPiece(newPiece({ reference, title: `Jar ${reference}` }), NOW);
  await write(treatment_id, 0, surveyed());
  await write(treatment_id, 1, matched);
  for (const [i, op] of READY.entries()) await write(treatment_id, 2 + i, done(op), { at: ago(600 - 20 * i) });
  return { id: treatment_id, version: 2 + READY.length };
}

const ago = (minutes: number) => new Date(NOW.getTime() - minutes * 60_000).toISOString();

const putty = (left_g = 100) =>
  addProduct(
    {
      id: crypto.randomUUID(),
      name: "White putty",
      class: "epoxy-putty",
      figures: {},
      lot: { id: LOT, label: "K12", size_g: 200, left_g },
    },
    NOW,
  );

const OP = "r1/fill/mix-1/epoxy-putty";

/** A batch for some treatments: 4 g each, 10 g weighed for two. */
const batch = (of: ReadonlyArray<{ id: string; version: number }>, over: object = {}) => ({
  id: crypto.randomUUID(),
  class: "epoxy-putty",
  parts: [
    { name: "A", planned_g: 2 * of.length, actual_g: 2.5 * of.length },
    { name: "B", planned_g: 2 * of.length, actual_g: 2.5 * of.length },
  ],
  portions: of.map(({ id, version }) => ({ treatment: id, version, op: OP, mass_g: 4 })),
  left_g: of.length,
  left_over: "thrown",
  climate: { temp_C: 20, rh_pct: 50 },
  hands_min: 8,
  ...over,
});

const markOf = async (id: string) => (await treatmentPage(id)).worked?.marks.get(OP)?.body;
const leftIn = async () => (await cabinetPage(NOW)).products[0]?.lots[0];

test("what could share a mix now is found in every open treatment, and nothing that is not ready", async () => {
  const [one, two] = [await readyToMix("HF-1"), await readyToMix("HF-2")];
  const { treatment_id: young } = await createPiece(newPiece({ reference: "HF-3" }), NOW);
  await write(young, 0, surveyed());
  await write(young, 1, matched);
  const found = await mixableNow("epoxy-putty", NOW);
  expect(found.map(({ treatment, version }) => [treatment, version]).sort()).toEqual(
    [one, two].map(({ id, version }) => [id, version]).sort(),
  );
  expect(found[0]?.shares).toMatchObject([{ op: OP, class: "epoxy-putty", mass_g: expect.any(Number) }]);
  expect(await mixableNow("hide-glue", NOW)).toEqual([]);
  expect(await problemOf(mixableNow("gold", NOW))).toMatchObject({ status: 422 });
});

test("one mix stands in every log: its portion, its parts in proportion, its clock, and one id for all", async () => {
  const takers = [await readyToMix("HF-1"), await readyToMix("HF-2")];
  const wanted = batch(takers);
  await mixBatch(wanted, NOW);
  for (const { id } of takers) {
    expect(await markOf(id)).toMatchObject({
      batch: wanted.id,
      portion_g: 4,
      hands_min: 4,
      start: { class: "epoxy-putty", parts: [{ actual_g: 2 }, { actual_g: 2 }] },
    });
    expect((await treatmentPage(id)).worked?.clocks.get(OP)?.start).toBe(NOW.getTime());
  }
});

test("the jar goes down by what was mixed, line by line; what is kept stays in it", async () => {
  await putty(100);
  const takers = [await readyToMix("HF-1"), await readyToMix("HF-2")];
  await mixBatch(batch(takers, { lot_id: LOT, lot: "K12" }), NOW);
  const jar = await leftIn();
  expect(jar?.left_g).toBeCloseTo(90, 9);
  expect(jar?.changes?.map(({ because, delta_g }) => [because, delta_g]).sort()).toEqual(
    [
      ["mixed", -4],
      ["mixed", -4],
      ["put in", 100],
      ["thrown away", -2],
    ].sort(),
  );
  expect(jar?.changes?.find(({ because }) => because === "mixed")?.piece).toMatch(/^Jar HF-/);
  const more = [await readyToMix("HF-4"), await readyToMix("HF-5")];
  await mixBatch(batch(more, { lot_id: LOT, left_over: "kept" }), NOW);
  expect((await leftIn())?.left_g).toBeCloseTo(82, 9);
});

test("a portion that is taken back goes back to the jar", async () => {
  await putty(100);
  const [one, two] = [await readyToMix("HF-1"), await readyToMix("HF-2")];
  await mixBatch(batch([one, two], { lot_id: LOT }), NOW);
  const entry = (await treatmentPage(one.id)).worked?.marks.get(OP)?.entry;
  await write(one.id, one.version + 1, { kind: "withdrawn" }, { corrects: entry });
  expect((await leftIn())?.left_g).toBeCloseTo(94, 9);
  expect(await markOf(one.id)).toBeUndefined();
  expect(await markOf(two.id)).toBeDefined();
});

test("a single mix draws from its jar too, and a jar that held more than was thought is empty, not owing", async () => {
  await putty(3);
  const one = await readyToMix("HF-1");
  const start = {
    class: "epoxy-putty" as const,
    thickness_mm: 5,
    lot: "K12",
    lot_id: LOT,
    parts: [{ name: "A", planned_g: 4, actual_g: 4.2 }],
    climate: { temp_C: 20, rh_pct: 50 },
  };
  await write(one.id, one.version, done(OP, { start }));
  expect(await leftIn()).toMatchObject({ left_g: 0, changes: [{ because: "mixed", delta_g: -3 }, { because: "put in" }] });
});

describe("all or nothing", () => {
  const rows = async (table: string) => (await (await em()).execute<{ n: number }[]>(`select count(*)::int as n from ${table}`))[0]?.n;

  test("one that can't be mixed now stops the batch, by its name", async () => {
    await putty(100);
    const one = await readyToMix("HF-1");
    const { treatment_id } = await createPiece(newPiece({ reference: "HF-9", title: "Lidded jar" }), NOW);
    await write(treatment_id, 0, surveyed());
    await write(treatment_id, 1, matched);
    const before = await rows("log_entry");
    const told = await problemOf(mixBatch(batch([one, { id: treatment_id, version: 2 }], { lot_id: LOT }), NOW));
    expect(told).toMatchObject({ status: 422, detail: expect.stringContaining("Lidded jar") });
    expect([await rows("log_entry"), await rows("batch"), (await leftIn())?.left_g]).toEqual([before, 0, 100]);
  });

  test("one whose log has grown meanwhile is told, and none is written", async () => {
    const [one, two] = [await readyToMix("HF-1"), await readyToMix("HF-2")];
    await write(two.id, two.version, { kind: "noted", station: "fill", text: "edge lifted" });
    const told = await problemOf(mixBatch(batch([one, two]), NOW));
    expect(told).toMatchObject({ status: 409, detail: expect.stringMatching(/^Jar HF-2: Another window/) });
    expect(await markOf(one.id)).toBeUndefined();
  });

  test("another material than the plan's is refused", async () => {
    const takers = [await readyToMix("HF-1"), await readyToMix("HF-2")];
    expect(await problemOf(mixBatch(batch(takers, { class: "gypsum-plaster" }), NOW))).toMatchObject({
      status: 422,
      detail: expect.stringContaining("does not serve there"),
    });
  });

  test("portions and rest must add up to what was weighed", async () => {
    const takers = [await readyToMix("HF-1"), await readyToMix("HF-2")];
    const { errors } = await problemOf(mixBatch(batch(takers, { left_g: 0 }), NOW));
    expect(errors).toEqual([{ path: "/left_g", message: "2 g is missing from portions and rest: 10 g were mixed" }]);
    expect(await rows("batch")).toBe(0);
  });

  test("the same batch sent twice, even at once, is one", async () => {
    await putty(100);
    const takers = [await readyToMix("HF-1"), await readyToMix("HF-2")];
    const wanted = batch(takers, { lot_id: LOT });
    await Promise.all([mixBatch(wanted, NOW), mixBatch(wanted, NOW), mixBatch(wanted, NOW)]);
    expect([await rows("batch"), (await leftIn())?.left_g]).toEqual([1, 90]);
  });

  test("two batches over the same logs in either order end: one stands, the other is told", async () => {
    await putty(100);
    const [one, two] = [await readyToMix("HF-1"), await readyToMix("HF-2")];
    const ended = await Promise.allSettled([
      mixBatch(batch([one, two], { lot_id: LOT }), NOW),
      mixBatch(batch([two, one], { lot_id: LOT }), NOW),
      write(one.id, one.version, done(OP)),
    ]);
    expect(ended.filter(({ status }) => status === "fulfilled")).toHaveLength(1);
    expect((await treatmentPage(two.id)).record.version).toBeLessThanOrEqual(two.version + 1);
  });
});

test("two operations of one treatment can take of one batch, one after the other", async () => {
  const { treatment_id: id } = await createPiece(newPiece({ reference: "HF-1" }), NOW);
  const foot = { ...CHIP, length_mm: 12, depth_mm: 5, thickness_mm: 3 };
  await write(id, 0, surveyed());
  await write(id, 1, matched);
  await write(id, 2, surveyed(foot, {}, { damage: "d2", title: "Foot chip" }));
  await write(id, 3, { ...matched, damage: "d2" } as typeof matched);
  const before = (await treatmentPage(id)).worked?.repair.operations ?? [];
  const mixes = before.filter(({ kind }) => kind === "mix");
  const made = before.slice(0, before.indexOf(mixes[0] as (typeof before)[number])).filter(({ kind }) => kind !== "mix");
  for (const [i, op] of made.entries())
    await write(id, 4 + i, done(op.id, { against: { state: "too-early", because: "told afterwards" } }), { at: ago(900 - 20 * i) });
  const [taking] = await mixableNow("epoxy-putty", NOW);
  const ops = taking?.shares.map(({ op }) => op) ?? [];
  expect(ops).toHaveLength(mixes.filter((op) => op.layer === 1).length);
  const { version } = (await treatmentPage(id)).record;
  const wanted = batch(ops.map(() => ({ id, version })));
  await mixBatch({ ...wanted, portions: wanted.portions.map((portion, i) => ({ ...portion, op: ops[i] ?? "" })) }, NOW);
  const { worked } = await treatmentPage(id);
  expect(ops.map((op) => worked?.marks.get(op)?.body)).toEqual(ops.map(() => expect.objectContaining({ batch: wanted.id })));
});

test("a mix that waited on its device stands at the time when it was stirred, and its clock runs from there", async () => {
  const takers = [await readyToMix("HF-1"), await readyToMix("HF-2")];
  await mixBatch({ ...batch(takers), minutes_ago: 25 }, NOW);
  for (const { id } of takers) {
    const { worked } = await treatmentPage(id);
    expect(Date.parse(worked?.marks.get(OP)?.at ?? "")).toBe(Date.parse(ago(25)));
    expect(worked?.clocks.get(OP)?.start).toBe(Date.parse(ago(25)));
  }
  expect((await problemOf(mixBatch({ ...batch(takers), minutes_ago: 9999 }, NOW))).errors?.[0]?.path).toBe("/minutes_ago");
});

test("a cup of several draws from its jar, keeps the words of its plan, and gives back what is taken back", async () => {
  await putty();
  const { id, version } = await readyToMix("HF-9");
  const cup: BodyOf<"batch-mixed"> = {
    kind: "batch-mixed",
    op: OP,
    start: {
      class: "epoxy-putty",
      thickness_mm: 5,
      lot: "K12",
      lot_id: LOT,
      parts: [{ name: "A", planned_g: 2, actual_g: 3 }],
      climate: { temp_C: 20, rh_pct: 50 },
    },
  };
  await write(id, version, cup);
  expect((await leftIn())?.left_g).toBeCloseTo(97, 9);
  const { worked, treatment } = await treatmentPage(id);
  expect(worked?.batches.get(OP)).toMatchObject([{ mass_g: 3, at: NOW.getTime() }]);
  expect(treatment.batches.get(OP)?.[0]?.body.words).toMatch(/^Mix /);
  const entry = treatment.entries.at(-1)?.id ?? "";
  await write(id, version + 1, { kind: "withdrawn" }, { corrects: entry });
  expect((await leftIn())?.left_g).toBeCloseTo(100, 9);
  const refused = await problemOf(write(id, version + 2, { ...cup, start: { ...cup.start, class: "fish-glue" } }));
  expect(refused).toMatchObject({ status: 422, detail: expect.stringMatching(/^Nothing of that class is mixed there/) });
});

test("a second jar that is mixed in goes down by what it gave, and both come back with the entry", async () => {
  await putty(100);
  const other = crypto.randomUUID();
  await addProduct(
    {
      id: crypto.randomUUID(),
      name: "Grey putty",
      class: "epoxy-putty",
      figures: {},
      lot: { id: other, label: "K13", size_g: 50, left_g: 50 },
    },
    NOW,
  );
  const { id, version } = await readyToMix("HF-11");
  const start: NonNullable<BodyOf<"done">["start"]> = {
    class: "epoxy-putty",
    thickness_mm: 5,
    lot: "K12",
    lot_id: LOT,
    also: { lot: "K13", lot_id: other, mass_g: 1.5 },
    parts: [{ name: "A", planned_g: 4, actual_g: 4 }],
    climate: { temp_C: 20, rh_pct: 50 },
  };
  await write(id, version, done(OP, { start }));
  const left = async () => {
    const lots = (await cabinetPage(NOW)).products.flatMap((product) => product.lots);
    return Object.fromEntries(lots.map(({ label, left_g }) => [label, left_g]));
  };
  expect(await left()).toEqual({ K12: 97.5, K13: 48.5 });
  const { treatment } = await treatmentPage(id);
  const entry = treatment.entries.at(-1);
  expect(entry && entryWords(entry.body)).toContain("lot K12, and 1.50 g of lot K13");
  await write(id, version + 1, { kind: "withdrawn" }, { corrects: entry?.id });
  expect(await left()).toEqual({ K12: 100, K13: 50 });
});
