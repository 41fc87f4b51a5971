import { gradeLabel } from "@/core/catalogue";
import { freshShop } from "@/core/shop/shop";
import { entryWords } from "@/core/views/entryWords";
import { done } from "@/core/views/story.fixture";
import { em as openEm } from "@/store/orm";
import { airNow } from "./climate";
import { refreshOpen } from "./heads";
import { saveShop, shop } from "./shop";
import { chosenTreatment, NOW, problemOf, scratchDatabase, write } from "./testing.fixture";
import { treatmentPage } from "./treatments";

scratchDatabase();

/** The drawer, with so many sheets of each grade that the ladder asks; a name without a figure is not counted. */
async function drawer(of: Readonly<Record<number, number | undefined>>): Promise<void> {
  const papers = Object.entries(of).map(([grade, sheets]) => ({
    system: "P" as const,
    grade: Number(grade),
    ...(sheets === undefined ? {} : { sheets }),
  }));
  await saveShop({ ...freshShop("Haldenau", "Europe/Berlin"), papers, version: (await shop()).version });
}
const left = async () =>
  Object.fromEntries((await shop()).papers.map((paper) => [gradeLabel(paper as Parameters<typeof gradeLabel>[0]), paper.sheets]));
const rungs = async (id: string) =>
  (await treatmentPage(id)).worked?.repair.operations.filter(({ kind }) => kind === "grit").map(({ id: op }) => op) ?? [];
const WHY = { state: "blocked", because: "only the paper is looked at" } as const;

test("a rung that is ticked off takes its paper out of the drawer, and gives it back when it is taken back", async () => {
  await drawer({ 120: 0.5, 180: undefined, 2000: 3 });
  const id = await chosenTreatment();
  const [first = "", second = ""] = await rungs(id);
  expect(first).toContain("grit-P120");
  await write(id, 2, done(first, { against: WHY }));
  expect(await left()).toEqual({ P120: 0.25, P180: undefined, P2000: 3 });
  const entry = (await treatmentPage(id)).treatment.entries.at(-1);
  expect(entry && entryWords(entry.body)).toContain("0.25 of a sheet used up");

  // what nobody counts is not written down as used
  await write(id, 3, done(second, { against: WHY }));
  expect((await treatmentPage(id)).treatment.entries.at(-1)?.body).not.toHaveProperty("paper");

  await write(id, 4, { kind: "withdrawn" }, { corrects: entry?.id });
  expect(await left()).toEqual({ P120: 0.5, P180: undefined, P2000: 3 });
});

test("the last of a sheet: the rung that used it up stays in its ladder, the next ladder is built without it", async () => {
  await drawer({ 120: 0.25, 180: 2, 2000: 2 });
  const [one, two] = [await chosenTreatment(), await chosenTreatment()];
  const [first = ""] = await rungs(one);
  await write(one, 2, done(first, { against: WHY }));
  expect((await left()).P120).toBe(0);
  expect((await rungs(one))[0]).toBe(first);
  expect(await rungs(two)).not.toContain(first);
});

test("nobody gives paper back that was never taken", async () => {
  await drawer({ 1000: 1, 2000: 1 });
  const id = await chosenTreatment();
  const paper = { grade: { system: "P", grade: 1000 }, sheets: 50 } as const;
  await write(id, 2, done("r1/close/photograph-after", { against: WHY, paper }));
  const entry = (await treatmentPage(id)).treatment.entries.at(-1);
  expect(entry?.body).not.toHaveProperty("paper");
  await write(id, 3, { kind: "withdrawn" }, { corrects: entry?.id });
  expect((await left()).P1000).toBe(1);
  expect((await problemOf(drawer({ 1000: -1 }))).errors?.[0]?.path).toMatch(/^\/papers\/0/);
});

test("an entry that is taken back twice gives its paper back once", async () => {
  await drawer({ 120: 0.5, 2000: 1 });
  const id = await chosenTreatment();
  const [first = ""] = await rungs(id);
  await write(id, 2, done(first, { against: WHY }));
  const corrects = (await treatmentPage(id)).treatment.entries.at(-1)?.id;
  await write(id, 3, { kind: "withdrawn" }, { corrects });
  await write(id, 4, { kind: "withdrawn" }, { corrects });
  expect((await left()).P120).toBe(0.5);
});

test("rungs of several pieces, the last of a sheet among them, and the shop saved meanwhile: nobody waits in a circle", async () => {
  await drawer({ 120: 1, 180: 20, 2000: 20 });
  const ids = await Promise.all(Array.from({ length: 6 }, () => chosenTreatment()));
  const first = (await rungs(ids[0] ?? ""))[0] ?? "";
  // heads that stand: whoever makes them due again refers to every treatment
  const em = await openEm();
  await refreshOpen(em, NOW, await airNow(em, NOW));
  const save = async () => {
    const { version, ...kept } = await shop();
    // a collision is told to the one who saves; a deadlock would be another error
    await saveShop({ ...kept, version }).catch((error: { problem?: { status: number } }) => expect(error.problem?.status).toBe(409));
  };
  await Promise.all(ids.flatMap((id) => [write(id, 2, done(first, { against: WHY })), save(), save()]));
  const taken = await Promise.all(ids.map(async (id) => (await treatmentPage(id)).treatment.marks.has(first)));
  expect(taken).toEqual(ids.map(() => true));
});
