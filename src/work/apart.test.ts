import { matched, surveyed } from "@/core/views/story.fixture";
import { treatApart } from "./apart";
import { chosenTreatment, NOW, problemOf, scratchDatabase, write } from "./testing.fixture";
import { treatmentPage } from "./treatments";

scratchDatabase();

/** A treatment with two damages, both chosen for; its log has four entries. */
async function two(): Promise<string> {
  const id = await chosenTreatment();
  await write(id, 2, surveyed(undefined, {}, { damage: "d2", title: "Foot chip" }));
  await write(id, 3, { ...matched, damage: "d2" } as typeof matched);
  return id;
}
const apart = (over: object = {}) => ({ to: crypto.randomUUID(), damage: "d2", version: 4, title: "Foot chip", ...over });

test("the damage stands in a treatment of its own, on the same piece, and no more in the first", async () => {
  const id = await two();
  const wanted = apart();
  await treatApart(id, wanted, NOW);
  const [first, second] = [await treatmentPage(id), await treatmentPage(wanted.to)];
  expect(first.treatment.damages.map(({ id: damage }) => damage)).toEqual(["d1"]);
  expect(second.treatment.damages.map(({ id: damage }) => damage)).toEqual(["d2"]);
  expect(second.record).toMatchObject({ title: "Foot chip", piece_id: first.record.piece_id, version: second.record.log.length });
  expect(second.damages.map(({ treatment }) => treatment)).toEqual(expect.arrayContaining([id, wanted.to]));
  expect(second.worked?.repair.operations.length).toBeGreaterThan(5);
});

test("the new one can be worked on at once", async () => {
  const id = await two();
  const wanted = apart();
  await treatApart(id, wanted, NOW);
  const { record } = await treatmentPage(wanted.to);
  await write(wanted.to, record.version, { kind: "noted", station: "ready", text: "on its own bench now" });
  expect((await treatmentPage(wanted.to)).record.version).toBe(record.version + 1);
});

test("the same sent twice is done once; a log that has grown is told; nothing is half done", async () => {
  const id = await two();
  const wanted = apart();
  await Promise.all([treatApart(id, wanted, NOW), treatApart(id, wanted, NOW)]);
  expect((await treatmentPage(id)).record.version).toBe(5);
  const late = apart({ damage: "d1", version: 4 });
  expect(await problemOf(treatApart(id, late, NOW))).toMatchObject({ status: 409 });
  expect(await problemOf(treatmentPage(late.to))).toMatchObject({ status: 404 });
});

test.each<[string, object, RegExp]>([
  ["a damage that is not there", { damage: "d7" }, /no such damage/],
  ["a name of blanks", { title: "  " }, /errors/],
])("%s is refused", async (_, over, words) => {
  const id = await two();
  const told = await problemOf(treatApart(id, apart(over), NOW));
  expect(told.status).toBe(422);
  expect(told.detail).toMatch(words);
});

test("the only damage is not parted from itself", async () => {
  const id = await chosenTreatment();
  expect(await problemOf(treatApart(id, apart({ damage: "d1", version: 2 }), NOW))).toMatchObject({
    detail: expect.stringContaining("only damage"),
  });
});
