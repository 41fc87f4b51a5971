import fc from "fast-check";
import { asOne, nextBatch } from "./batches";

const split = {
  mass_g: 300,
  batches: 3,
  parts: [
    { name: "resin", mass_g: 200 },
    { name: "hardener", mass_g: 100 },
  ],
};
const portions = [
  { place: "d1/1", mass_g: 150 },
  { place: "d1/2", mass_g: 150 },
];

describe("batches of one mix", () => {
  it("are equal at first, each with the recipe’s ratio", () => {
    const first = nextBatch(split, []);
    expect(first).toMatchObject({ n: 1, of: 3, mass_g: 100 });
    expect(first.parts[0]?.mass_g).toBeCloseTo(66.67, 2);
  });
  it("take up what an earlier cup was short of", () => {
    expect(nextBatch(split, [80]).mass_g).toBeCloseTo(110);
    expect(nextBatch(split, [80, 120]).mass_g).toBeCloseTo(100);
  });
  it("fill one place after the other", () => {
    expect(nextBatch({ ...split, portions }, []).portions).toEqual([{ place: "d1/1", mass_g: 100 }]);
    expect(nextBatch({ ...split, portions }, [100]).portions).toEqual([
      { place: "d1/1", mass_g: 50 },
      { place: "d1/2", mass_g: 50 },
    ]);
    expect(nextBatch({ ...split, portions }, [100, 100]).portions).toEqual([{ place: "d1/2", mass_g: 100 }]);
  });
  it("leave a little one where more was stirred than was planned", () => {
    expect(nextBatch(split, [200, 150])).toMatchObject({ n: 3, of: 3, mass_g: 9 });
  });
  it("add up to the whole, however each cup came out", () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 5000, noNaN: true }), fc.integer({ min: 1, max: 12 }), (mass_g, batches) => {
        const mixed: number[] = [];
        while (mixed.length < batches) mixed.push(nextBatch({ mass_g, batches, parts: [{ name: "a", mass_g }] }, mixed).mass_g);
        expect(mixed.reduce((sum, g) => sum + g, 0)).toBeCloseTo(mass_g, 6);
      }),
    );
  });
  it("are one mix for what is reckoned from it, against the whole that was planned", () => {
    const cup = (actual_g: number) => [{ name: "resin", planned_g: 100, actual_g }];
    expect(asOne([cup(90), cup(100)], 300)).toEqual([{ name: "resin", planned_g: 300, actual_g: 190 }]);
    expect(asOne([cup(90), cup(100)])).toEqual([{ name: "resin", planned_g: 200, actual_g: 190 }]);
  });
});
