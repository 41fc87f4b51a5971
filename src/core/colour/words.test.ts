import fc from "fast-check";
import { colour } from "./colour";
import { dE00 } from "./deltaE";
import { absorbanceOf, stripOf } from "./drawdown";
import { asPigment, PIGMENTS } from "./pigments.data";
import { labOf } from "./spectrum";
import { differenceWords, parseColour, screenColour } from "./words";

describe("a colour as it is typed", () => {
  test.each<[string, readonly [number, number, number]]>([
    ["61 9 21", [61, 9, 21]],
    ["61, 9, 21", [61, 9, 21]],
    ["61,5; 9; -21", [61.5, 9, -21]],
    ["  30 20 -52 ", [30, 20, -52]],
  ])("%j is L, a and b", (text, [L, a, b]) => {
    expect(parseColour(text)).toEqual({ L, a, b });
  });

  test("#808080 is the grey of the screen, with and without its sign", () => {
    for (const text of ["#808080", "808080", "#808080 "])
      expect(parseColour(text)).toEqual({ L: expect.closeTo(53.585, 2), a: expect.closeTo(0, 2), b: expect.closeTo(0, 2) });
  });

  test.each(["", "red", "#12345", "61 9", "150 0 0", "50 300 0", "1 2 3 4"])("%j is none", (text) => {
    expect(parseColour(text)).toBeUndefined();
  });

  test("what the screen shows reads back as what was typed", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (rgb) => {
        const hex = `#${rgb.toString(16).padStart(6, "0")}`;
        const lab = parseColour(hex);
        expect(lab && screenColour(lab)).toBe(hex);
      }),
    );
  });
});

test("a difference is said as the eye takes it", () => {
  expect([0.3, 1.5, 3, 12].map(differenceWords)).toEqual([
    "not told apart",
    "told apart side by side only",
    "near, and seen to differ",
    "another colour",
  ]);
});

describe("the palette of generic pigments", () => {
  test("each keeps its masstone in the spectrum that is taken for it", () => {
    for (const row of PIGMENTS) expect([row.name, dE00(labOf(asPigment(row).r), row.lab) < 0.6]).toEqual([row.name, true]);
  });

  test("a warm stone grey is met from white, black, ochre and umber", () => {
    const few = PIGMENTS.filter(({ name }) => ["titanium white", "lamp black", "yellow ochre", "raw umber"].includes(name));
    const found = colour({ pigments: few.map(asPigment), target: { lab: { L: 62, a: 4, b: 14 } } });
    expect(found.dE00).toBeLessThan(1);
    expect(found.recipe.find(({ name }) => name === "titanium white")?.pct).toBeGreaterThan(30);
  });
});

describe("the strip of transparent coats", () => {
  const ground = { L: 80, a: 4, b: 20 };
  const one = { L: 72, a: 8, b: 26 };

  test("starts at the ground, passes the draw-down, and shows one coat more than is planned", () => {
    const { coats } = stripOf(ground, one, { L: 55, a: 14, b: 34 }, 3);
    expect(coats.map(({ n }) => n)).toEqual([0, 1, 2, 3, 4]);
    expect(dE00(coats[0]?.lab ?? one, ground)).toBeLessThan(0.1);
    expect(dE00(coats[1]?.lab ?? ground, one)).toBeLessThan(1.5);
    coats.slice(1).forEach(({ lab }, i) => {
      expect(lab.L).toBeLessThan(coats[i]?.lab.L ?? 0);
    });
  });

  test("where the third coat is the target it says stop at three, at full strength", () => {
    const { coats } = stripOf(ground, one, one, 4);
    const { best, pct } = stripOf(ground, one, coats[3]?.lab ?? one, 3);
    expect([best, pct]).toEqual([3, expect.closeTo(100, 0)]);
    expect(stripOf(ground, one, coats[2]?.lab ?? one, 4).pct).toBeCloseTo(50, 0);
  });

  test("a target that is lighter than the ground is met by no coat", () => {
    expect(stripOf(ground, one, { L: 95, a: 0, b: 4 }, 3)).toMatchObject({ best: 0 });
    expect(stripOf(ground, one, { L: 95, a: 0, b: 4 }, 3)).not.toHaveProperty("pct");
  });

  test("a coat gives no light, however the draw-down was read", () => {
    expect(Math.min(...absorbanceOf({ L: 50, a: 0, b: 0 }, { L: 60, a: 5, b: 0 }))).toBe(0);
  });
});
