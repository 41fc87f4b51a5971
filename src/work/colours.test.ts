import type { BodyOf } from "@/core/record/events.schema";
import { coloursOfShop } from "./colours";
import { createPiece } from "./pieces";
import { setRemoved } from "./removal";
import { chosenTreatment, NOW, newPiece, scratchDatabase, write } from "./testing.fixture";
import { treatmentPage } from "./treatments";

scratchDatabase();

const recipe = (name: string): BodyOf<"recipe-kept"> => ({
  kind: "recipe-kept",
  name,
  target: { L: 50, a: 5, b: 10 },
  parts: [{ name: "raw umber", pct: 100 }],
});

test("recipes and swatches of all pieces are found, with the piece that they were kept for", async () => {
  const one = await chosenTreatment();
  await write(one, 2, recipe("jar grey"));
  const { treatment_id: two } = await createPiece(newPiece({ reference: "HF-48", title: "Swing-boat" }), NOW);
  await write(two, 0, {
    kind: "swatch-read",
    swatch: "22222222-2222-4222-8222-222222222222",
    name: "boat red",
    class: "acrylic-paint",
    state: "dry",
    lab: { L: 40, a: 40, b: 20 },
    by: "typed",
  });
  const { recipes, swatches } = await coloursOfShop();
  expect(recipes.map(({ name, piece }) => [name, piece])).toEqual([["jar grey", "Lemonade jar"]]);
  expect(swatches.map(({ name, piece }) => [name, piece])).toEqual([["boat red", "Swing-boat"]]);
});

test("what was taken back, and what is of a piece that was put away, is not found", async () => {
  const one = await chosenTreatment();
  await write(one, 2, recipe("first"));
  const entry = (await treatmentPage(one)).treatment.entries.at(-1)?.id;
  await write(one, 3, { kind: "withdrawn" }, { corrects: entry });
  const { id, treatment_id: two } = await createPiece(newPiece({ reference: "HF-49" }), NOW);
  await write(two, 0, recipe("second"));
  expect((await coloursOfShop()).recipes.map(({ name }) => name)).toEqual(["second"]);
  await setRemoved("pieces", id, NOW);
  expect((await coloursOfShop()).recipes).toEqual([]);
});
