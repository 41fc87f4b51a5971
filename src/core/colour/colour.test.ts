import fc from "fast-check";
import { colour } from "./colour";
import { dE00 } from "./deltaE";
import { ksOf, mixed, polished } from "./mixture";
import { madeUpPalette } from "./palette.fixture";
import { type Lab, labOf, smoothReflectance } from "./spectrum";

const lab = ([L, a, b]: readonly [number, number, number]): Lab => ({ L, a, b });

describe("CIEDE2000 on published pairs (Sharma et al. 2005, table 1)", () => {
  test.each<[[number, number, number], [number, number, number], number]>([
    [[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425],
    [[50, 3.1571, -77.2803], [50, 0, -82.7485], 2.8615],
    [[50, 2.8361, -74.02], [50, 0, -82.7485], 3.4412],
    [[50, -1.3802, -84.2814], [50, 0, -82.7485], 1.0],
    [[50, 0, 0], [50, -1, 2], 2.3669],
    [[50, 2.49, -0.001], [50, -2.49, 0.0009], 7.1792],
    [[50, 2.49, -0.001], [50, -2.49, 0.0011], 7.2195],
    [[50, 2.5, 0], [50, 0, -2.5], 4.3065],
    [[50, 2.5, 0], [73, 25, -18], 27.1492],
    [[50, 2.5, 0], [61, -5, 29], 22.8977],
    [[50, 2.5, 0], [56, -27, -3], 31.903],
    [[50, 2.5, 0], [58, 24, 15], 19.4535],
    [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
    [[22.7233, 20.0904, -46.694], [23.0331, 14.973, -42.5619], 2.0373],
    [[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082],
  ])("%j and %j are %d apart", (a, b, off) => {
    expect(dE00(lab(a), lab(b))).toBeCloseTo(off, 4);
    expect(dE00(lab(b), lab(a))).toBeCloseTo(off, 4);
  });
});

describe("reflectance and colour", () => {
  const flat = (r: number) => Array.from({ length: 31 }, () => r);

  test("a grey of 18.4 % is L 50 without a hue, under every lamp", () => {
    for (const illuminant of ["D65", "A", "F11"] as const) {
      const { L, a, b } = labOf(flat(0.18419), illuminant);
      expect([L, a, b]).toEqual([expect.closeTo(50, 2), expect.closeTo(0, 9), expect.closeTo(0, 9)]);
    }
    expect(labOf(flat(1)).L).toBeCloseTo(100, 9);
  });

  test("a smooth reflectance has the colour that it was made for, and stays between nothing and all", () => {
    const near = fc.record({
      L: fc.double({ min: 25, max: 85, noNaN: true }),
      a: fc.double({ min: -20, max: 20, noNaN: true }),
      b: fc.double({ min: -20, max: 20, noNaN: true }),
    });
    fc.assert(
      fc.property(near, (wanted) => {
        const r = smoothReflectance(wanted);
        expect(Math.min(...r)).toBeGreaterThan(0);
        expect(Math.max(...r)).toBeLessThan(1);
        expect(dE00(labOf(r), wanted)).toBeLessThan(0.01);
      }),
    );
  });
});

const palette = madeUpPalette(30);
const ks = palette.map(({ r }) => ksOf(r));
const mixture = fc
  .tuple(
    fc.uniqueArray(fc.nat(29), { minLength: 2, maxLength: 4 }),
    fc.array(fc.double({ min: 0.05, max: 1, noNaN: true }), { minLength: 4, maxLength: 4 }),
  )
  .map(([of, weights]) => {
    const taken = of.map((_, i) => weights[i] ?? 1);
    const sum = taken.reduce((a, b) => a + b, 0);
    return { of, shares: taken.map((each) => each / sum) };
  });

describe("the recipe of a colour", () => {
  test("known mixtures out of thirty pigments are met within 0.5, shares add up to 100", () => {
    fc.assert(
      fc.property(mixture, ({ of, shares }) => {
        const found = colour({ pigments: palette, target: { r: mixed(ks, of, shares) }, most: 4 });
        expect(found.dE00).toBeLessThan(0.5);
        expect(found.recipe.reduce((sum, { pct }) => sum + pct, 0)).toBeCloseTo(100, 6);
        expect(found.recipe.every(({ pct }) => pct > 0)).toBe(true);
        expect(dE00(found.lab, labOf(found.r))).toBeLessThan(1e-9);
      }),
      { numRuns: 15 },
    );
  });

  test("the order of the pigments changes nothing", () => {
    const target = { lab: { L: 52, a: 18, b: 30 } };
    const turned = colour({ pigments: [...palette].reverse(), target });
    expect(turned).toEqual(colour({ pigments: palette, target }));
  });

  test("one more pigment allowed is never worse, and a simpler recipe is never better", () => {
    const target = { lab: { L: 40, a: 35, b: -20 } };
    const offs = [1, 2, 3, 4, 5, 6].map((most) => colour({ pigments: palette, target, most }));
    offs.slice(1).forEach((each, i) => {
      expect(each.dE00).toBeLessThanOrEqual((offs[i]?.dE00 ?? 0) + 0.011);
    });
    for (const { recipe, simpler, dE00: off } of offs)
      for (const other of simpler) expect([other.recipe.length < recipe.length, other.dE00 >= off - 0.011]).toEqual([true, true]);
  });

  test("against all sets of three of seven pigments the search is at most 0.05 off, and 0.5 where nothing comes near", () => {
    const few = madeUpPalette(7);
    const inks = few.map(({ r }) => ksOf(r));
    const sets = few.flatMap((_, a) => few.flatMap((__, b) => few.flatMap((___, c) => (a < b && b < c ? [[a, b, c]] : []))));
    const starts = [
      [0.98, 0.01, 0.01],
      [0.01, 0.01, 0.98],
      [1 / 3, 1 / 3, 1 / 3],
    ];
    for (const target of [
      { L: 60, a: 20, b: 40 },
      { L: 30, a: -15, b: -30 },
      { L: 45, a: 50, b: 10 },
    ]) {
      const search = { palette: inks, target };
      const best = Math.min(...sets.flatMap((of) => starts.map((shares) => polished(search, { of, shares, off: 0 }).off)));
      expect(colour({ pigments: few, target: { lab: target }, most: 3 }).dE00).toBeLessThan(best + (best < 1 ? 0.05 : 0.5));
    }
  });

  test("what no mixture reaches is said; so is that a colour alone has no spectrum", () => {
    const codes = (target: Parameters<typeof colour>[0]["target"]) =>
      colour({ pigments: palette, target }).warnings.map(({ code }) => code);
    expect(codes({ lab: { L: 96, a: 60, b: 60 } })).toEqual(["not-reached", "smooth-reflectance"]);
    expect(codes({ r: palette[5]?.r ?? [] })).toEqual([]);
  });

  test("a mixture of the very pigments of the piece matches under every lamp; one of others does not", () => {
    const target = { r: mixed(ks, [0, 4], [0.7, 0.3]) };
    const same = colour({ pigments: [palette[0] as (typeof palette)[0], palette[4] as (typeof palette)[0]], target });
    expect(same.metamerism.map(({ illuminant }) => illuminant)).toEqual(["D65", "A", "F11"]);
    for (const { dE00: off } of same.metamerism) expect(off).toBeLessThan(0.01);
    const others = colour({ pigments: palette.filter((_, i) => i !== 4), target, illuminants: ["A"] });
    expect(others.metamerism).toEqual([{ illuminant: "A", dE00: expect.any(Number) }]);
    expect(others.metamerism[0]?.dE00).toBeGreaterThan(others.dE00);
  });
});
