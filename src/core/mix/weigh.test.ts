import fc from "fast-check";
import { CLASS_ROWS, classRow } from "../catalogue";
import { lagOf } from "../cure/lag";
import { grams } from "../units";
import { cupFactor } from "./cupHeat";
import { APPLY, mixCautions, weigh, weighAll } from "./weigh";

const AIR = { temp_C: 20, rh_pct: 50 };

describe("a need, weighed", () => {
  test("10 cm³ and 20 % over are 12 cm³; parts add up to the whole", () => {
    const all = weigh(classRow("epoxy-putty"), 10, 20, "spread", AIR);
    expect(all.volume_cm3).toBeCloseTo(12, 9);
    expect(all.parts.reduce((sum, { mass_g }) => sum + mass_g, 0)).toBeCloseTo(all.mass_g, 9);
  });

  test("equal parts by mass are equal", () => {
    const [a, b] = weigh(classRow("epoxy-putty"), 10, 0, "spread", AIR).parts;
    expect(a?.mass_g).toBeCloseTo(b?.mass_g ?? 0, 9);
  });

  test("a little is one batch; a lot is split so that no cup runs hot or goes off in the hand", () => {
    expect(weigh(classRow("epoxy-slow"), 2, 0, "spread", AIR)).toMatchObject({ batches: 1 });
    const lot = weigh(classRow("epoxy-slow"), 2000, 0, "poured", AIR);
    expect(lot.batches).toBeGreaterThan(1);
    expect(lot.limited_by).not.toBe("");
  });

  test("a warmer room leaves less time: never fewer batches", () => {
    const batches = (temp_C: number) => weigh(classRow("epoxy-fast"), 60, 0, "spread", { ...AIR, temp_C }).batches;
    expect(batches(28)).toBeGreaterThanOrEqual(batches(16));
  });

  test("for every class and need: mass and volume are of one density, each batch has its share, nothing is lost", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CLASS_ROWS),
        fc.double({ min: 0.001, max: 5000, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (row, need, extra) => {
          const all = weigh(row, need, extra, "spread", AIR);
          expect(all.volume_cm3).toBeCloseTo(need * (1 + extra / 100), 6);
          expect(all.mass_g).toBeGreaterThan(0);
          expect(all.batches).toBeGreaterThanOrEqual(1);
          expect(Number.isInteger(all.batches)).toBe(true);
          if (all.parts.length > 0) expect(all.parts.reduce((sum, { mass_g }) => sum + mass_g, 0)).toBeCloseTo(all.mass_g, 5);
          const smallest = Math.min(...all.parts.map(({ mass_g }) => mass_g / all.batches));
          if (all.parts.length > 1) expect(all.smallest_g).toBeCloseTo(smallest, 6);
        },
      ),
    );
  });

  test("twice the need is twice the mass", () => {
    fc.assert(
      fc.property(fc.constantFrom(...CLASS_ROWS), fc.double({ min: 0.1, max: 100, noNaN: true }), (row, need) => {
        const once = weigh(row, need, 10, "spread", AIR).mass_g;
        expect(weigh(row, 2 * need, 10, "spread", AIR).mass_g).toBeCloseTo(2 * once, 6);
      }),
    );
  });
});

describe("a cup that heats itself", () => {
  const says = (name: Parameters<typeof classRow>[0], mass_g: number, batches = 1) => mixCautions(classRow(name), { mass_g, batches });

  test.each([
    ["epoxy-slow", 60, 1, true],
    ["epoxy-slow", 40, 1, false],
    ["epoxy-slow", 120, 3, false],
    ["polyester-filler", 80, 1, true],
    ["gypsum-plaster", 400, 1, false],
    ["pva", 400, 1, false],
    ["acrylic-dispersion-filler", 400, 1, false],
  ] as const)("%s, %d g in %d: %s", (name, mass_g, batches, warns) => {
    expect(says(name, mass_g, batches).includes("cup-heat")).toBe(warns);
  });

  test("the material’s own hazards are said as well", () => {
    expect(says("epoxy-slow", 60)).toEqual(expect.arrayContaining([...classRow("epoxy-slow").hazards]));
  });
});

describe("grams in words", () => {
  test.each([
    [0.003, "under 0.01 g"],
    [0.02, "0.02 g"],
    [0.5, "0.50 g"],
    [8.64, "8.64 g"],
    [42.35, "42.4 g"],
    [1751, "1751 g"],
  ])("%d is %s", (g, words) => {
    expect(grams(g)).toBe(words);
  });

  test("nothing is nothing", () => {
    expect(grams(0)).toBe("0.00 g");
  });
});

test("no batch outlives its pot life in its own cup, whatever is needed", () => {
  const EPOXY = classRow("epoxy-slow");
  const [working = 0] = lagOf(EPOXY, ["working"], 1, AIR)?.range ?? [];
  fc.assert(
    fc.property(fc.double({ min: 0.5, max: 3000, noNaN: true }), fc.constantFrom("spread" as const, "pressed" as const), (cm3, apply) => {
      const { batches, volume_cm3, mass_g, smallest_g } = weigh(EPOXY, cm3, 20, apply, AIR);
      // what stays on the board is stirred, not pressed in
      const each_min = (apply === "pressed" ? cm3 : volume_cm3) / batches / APPLY[apply];
      expect(each_min).toBeLessThanOrEqual(working * cupFactor(EPOXY, mass_g / batches) * (1 + 1e-6));
      expect(mass_g / batches).toBeLessThanOrEqual(150 * (1 + 1e-6));
      expect(smallest_g).toBeGreaterThan(0);
    }),
  );
});

test("a batch is so much as can be laid over all its places while it works", () => {
  const FILLER = classRow("polyester-filler");
  const [working = 0] = lagOf(FILLER, ["working"], 1, AIR)?.range ?? [];
  const over = (places: number, cm3: number) =>
    weighAll(FILLER, [{ takes: Array.from({ length: places }, (_, i) => ({ place: `p${i}`, cm3 })), extra_pct: 35, apply: "pressed" }], AIR)
      ?.batches ?? 0;
  // seven holes of a screw are stopped from one knife; four cavities of a spoonful are not
  expect(over(7, 0.37)).toBe(1);
  expect(over(4, 3)).toBe(Math.ceil((12 + 3 * 0.13) / working));
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 40 }), fc.double({ min: 0.01, max: 5, noNaN: true }), (places, cm3) => {
      expect((places * cm3) / over(places, cm3)).toBeLessThanOrEqual(working);
      expect(over(places + 1, cm3)).toBeGreaterThanOrEqual(over(places, cm3));
    }),
  );
});
