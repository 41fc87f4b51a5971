import { gradeLabel } from "@/core/catalogue";
import { freshShop } from "@/core/shop/shop";
import { entryWords } from "@/core/views/entryWords";
import { done } from "@/core/views/story.fixture";
import { saveShop, shop } from "./shop";
import { chosenTreatment, problemOf, scratchDatabase, write } from "./testing.fixture";
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
