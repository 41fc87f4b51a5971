import fc from "fast-check";
import { SHEENS, seenFrom, sheenWay, sheenWords } from "./sheen";

test("every gloss has its word, and the words follow one another", () => {
  expect(SHEENS.map(({ gu }) => sheenWords((gu[0] + gu[1]) / 2))).toEqual(SHEENS.map(({ label }) => label));
  expect(sheenWords(100)).toBe("mirror");
  for (const [i, { gu }] of SHEENS.slice(1).entries()) expect(gu[0]).toBe(SHEENS[i]?.gu[1]);
});

test.each<[number, number, string, RegExp]>([
  [85, 40, "down", /steel wool 0000/],
  [90, 22, "down", /very fine pad/],
  [20, 90, "up", /fine compound/],
  [40, 68, "up", /rottenstone/],
  [60, 2, "down", /flatting agent/],
  [50, 52, "leave", /leave it/],
])("from %d to %d gloss units: %s", (from, to, way, words) => {
  const found = sheenWay(from, to);
  expect(found.way).toBe(way);
  expect(found.words).toMatch(words);
});

test("a thin film is coated, never rubbed", () => {
  expect(sheenWay(80, 20, true)).toEqual({ way: "down", words: expect.stringMatching(/dries eggshell instead of rubbing/) });
});

test("what is proposed leaves a gloss near the one that is wanted", () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 6, max: 95 }), (from, to) => {
      const { way, leaves } = sheenWay(from, to);
      if (way === "leave") expect(Math.abs(from - to)).toBeLessThan(seenFrom(to));
      else expect(Math.abs(((leaves?.[0] ?? 0) + (leaves?.[1] ?? 0)) / 2 - to)).toBeLessThanOrEqual(10);
    }),
  );
});
