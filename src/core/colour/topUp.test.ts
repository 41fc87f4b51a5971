import fc from "fast-check";
import { dE00 } from "./deltaE";
import { ksOf, mixed } from "./mixture";
import { asPigment, PIGMENTS } from "./pigments.data";
import { labOf } from "./spectrum";
import { TOUCHES, topUp, touched } from "./topUp";

const pigments = PIGMENTS.map(asPigment);
const lookOf = (cup: ReadonlyArray<{ name: string; g: number }>) => {
  const whole = cup.reduce((sum, { g }) => sum + g, 0);
  const palette = cup.map(({ name }) => ksOf(pigments.find((each) => each.name === name)?.r ?? []));
  return labOf(
    mixed(
      palette,
      cup.map((_, i) => i),
      cup.map(({ g }) => g / whole),
    ),
  );
};
const CUP = [
  { name: "titanium white", g: 8 },
  { name: "yellow ochre", g: 2 },
];

describe("what is added to a cup", () => {
  test("finds the pigment that was left out, and how much of it", () => {
    const target = lookOf([...CUP, { name: "chrome oxide green", g: 0.4 }]);
    const { add, before, after, total_g } = topUp({ pigments, cup: CUP, target });
    expect(add.map(({ name }) => name)).toEqual(["chrome oxide green"]);
    expect(add[0]?.g).toBeCloseTo(0.4, 2);
    expect(before).toBeGreaterThan(3);
    expect(after).toBeLessThan(0.05);
    expect(total_g).toBeCloseTo(10.4, 2);
  });
  test("finds two where two were left out", () => {
    const target = lookOf([...CUP, { name: "red ochre", g: 0.5 }, { name: "raw umber", g: 0.7 }]);
    const { add, after } = topUp({ pigments, cup: CUP, target });
    expect(add.length).toBeLessThanOrEqual(2);
    expect(after).toBeLessThan(0.5);
  });
  test("a cup that is right already gets nothing", () => {
    expect(topUp({ pigments, cup: CUP, target: lookOf(CUP) }).add).toEqual([]);
  });
  test("a sample that dried darker than reckoned is met from where it really is", () => {
    const reckoned = lookOf(CUP);
    const now = { ...reckoned, L: reckoned.L - 4 };
    const { add, after } = topUp({ pigments, cup: CUP, now, target: reckoned });
    expect(add[0]?.name).toMatch(/white/);
    expect(after).toBeLessThan(dE00(now, reckoned));
  });
  test("never takes out, never more than as much again, never makes it worse", () => {
    const lab = fc.record({
      L: fc.integer({ min: 15, max: 95 }),
      a: fc.integer({ min: -40, max: 50 }),
      b: fc.integer({ min: -45, max: 70 }),
    });
    fc.assert(
      fc.property(lab, (target) => {
        const { add, before, after, total_g } = topUp({ pigments, cup: CUP, target });
        expect(add.every(({ g }) => g > 0)).toBe(true);
        expect(total_g).toBeLessThanOrEqual(20 + 1e-9);
        expect(after).toBeLessThanOrEqual(before + 1e-9);
      }),
      { numRuns: 12 },
    );
  });
  test("an empty cup, and one with a stranger in it, are refused", () => {
    expect(() => topUp({ pigments, cup: [], target: lookOf(CUP) })).toThrow("the cup is empty");
    expect(() => topUp({ pigments, cup: [{ name: "bone glue", g: 1 }], target: lookOf(CUP) })).toThrow(/bone glue/);
  });
  test.each(TOUCHES.map(({ touch }) => [touch]))("a touch %s moves that way and no other", (touch) => {
    const [from, to] = [{ L: 50, a: 0, b: 0 }, touched({ L: 50, a: 0, b: 0 }, touch)];
    expect([to.L - from.L, to.a, to.b].filter((each) => each !== 0)).toHaveLength(1);
  });
});
