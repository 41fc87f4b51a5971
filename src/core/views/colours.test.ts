import { type ColourEntry, coloursOf, nearest } from "./colours";

const where = (id: string) => ({ id, at: "2026-10-07T12:00:00Z", treatment: "t", piece: "Carousel hare" });
const recipe = (id: string, L: number, over: object = {}): ColourEntry => ({
  ...where(id),
  body: { kind: "recipe-kept", name: `grey ${id}`, target: { L, a: 0, b: 0 }, parts: [{ name: "lamp black", pct: 100 }], ...over },
});
const read = (swatch: string, state: "dry" | "under-clear", L: number): ColourEntry => ({
  ...where(`${swatch}-${state}-${L}`),
  body: { kind: "swatch-read", swatch, name: "warm grey", class: "acrylic-paint", state, lab: { L, a: 0, b: 0 }, by: "typed" },
});

test("recipes come the newest first, readings go to their swatches in their order", () => {
  const { recipes, swatches } = coloursOf([
    recipe("1", 50),
    read("s", "dry", 50),
    recipe("2", 60),
    read("s", "under-clear", 46),
    read("z", "dry", 20),
  ]);
  expect(recipes.map(({ id }) => id)).toEqual(["2", "1"]);
  expect(swatches.map(({ swatch, readings }) => [swatch, readings.map(({ state }) => state)])).toEqual([
    ["s", ["dry", "under-clear"]],
    ["z", ["dry"]],
  ]);
  expect(recipes[0]).toMatchObject({ piece: "Carousel hare", name: "grey 2" });
});

test("what was used near a colour: by where it ended, the nearest first, nothing that is another colour", () => {
  const { recipes } = coloursOf([recipe("far", 20), recipe("near", 52), recipe("ended", 70, { ended: { L: 50.2, a: 0, b: 0 } })]);
  expect(nearest(recipes, { L: 50, a: 0, b: 0 }).map(({ id }) => id)).toEqual(["ended", "near"]);
});
