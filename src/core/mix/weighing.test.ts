import fc from "fast-check";
import { allowed_g, atRest, guide, nextPour, ratioOf, readScaleLine } from "./weighing";

const STEP = 0.01;

describe("a part while it is poured", () => {
  test.each([
    [0, "under"],
    [8.9, "under"],
    [9.2, "near"],
    [9.85, "there"],
    [10.2, "there"],
    [10.3, "over"],
  ] as const)("of 10 g with %d g poured: %s", (poured, state) => {
    expect(guide(10, poured, STEP).state).toBe(state);
  });

  test("what a coarse scale can't tell is not asked of it", () => {
    expect(guide(0.4, 0.3, 0.1).state).toBe("there");
    expect(allowed_g(0.4, 0.1)).toBe(0.1);
  });

  test("pouring on never goes back a state, and what is left and poured is the part", () => {
    const order = ["under", "near", "there", "over"];
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 2000, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (target, share, more) => {
          const [a, b] = [guide(target, target * share, STEP), guide(target, target * (share + more), STEP)];
          expect(order.indexOf(b.state)).toBeGreaterThanOrEqual(order.indexOf(a.state));
          expect(a.left_g + target * share).toBeCloseTo(target, 6);
        },
      ),
    );
  });
});

describe("a line of a scale's cable", () => {
  test.each<[string, number, boolean]>([
    ["ST,GS,+00012.34g", 12.34, true],
    ["US,NT,-  0.50 g", -0.5, false],
    ["S S      12.34 g", 12.34, true],
    ["S D      12.30 g", 12.3, false],
    ["+   12,3 g", 12.3, true],
    ["  7.5", 7.5, true],
    ["ST,NT, 0.0123kg", 12.3, true],
    ["\u0002  450 mg\r", 0.45, true],
  ])("%j is %d g", (line, g, stable) => {
    const read = readScaleLine(line);
    expect(read).toMatchObject({ ok: true, reading: { stable } });
    expect(read.ok ? read.reading.g : 0).toBeCloseTo(g, 9);
  });

  test.each([
    ["ST,GS, 0.0271 lb", /set it to grams/],
    ["1.2 oz", /set it to grams/],
    ["OL", /overloaded/],
    ["S +", /overloaded/],
    ["\u00ff\u0003x%%", /no weight/],
    ["", /no weight/],
    ["12.3 stone", /not known here/],
    ["999999999 g", /no bench scale/],
  ])("%j is told", (line, words) => {
    const read = readScaleLine(line);
    expect(read.ok ? "" : read.words).toMatch(words);
  });

  test("whatever comes over a cable is read or told, never thrown", () => {
    fc.assert(
      fc.property(fc.string({ unit: "binary", maxLength: 60 }), (line) => {
        const read = readScaleLine(line);
        expect(read.ok ? Number.isFinite(read.reading.g) : read.words.length > 0).toBe(true);
      }),
    );
  });
});

test("it rests when four readings lie within one step", () => {
  expect(atRest([1.01, 1.02, 1.01, 1.01], STEP)).toBe(true);
  expect(atRest([1.01, 1.03, 1.01, 1.01], STEP)).toBe(false);
  expect(atRest([1, 1, 1], STEP)).toBe(false);
});

describe("part by part", () => {
  const PARTS = [
    { name: "A", mass_g: 2 },
    { name: "B", mass_g: 1 },
  ];

  test("each in its order; what ran ahead takes the others with it", () => {
    expect(nextPour(PARTS, [])).toEqual({ part: 0, target_g: 2, rescue: false });
    expect(nextPour(PARTS, [2.6])).toEqual({ part: 1, target_g: 1.3, rescue: false });
    expect(nextPour(PARTS, [2.6, 1.3])).toBeUndefined();
  });

  test("the last one overshot is brought back by the other, and the whole grows", () => {
    const pour = nextPour(PARTS, [2, 1.5]);
    expect(pour).toMatchObject({ part: 0, rescue: true });
    expect(pour?.target_g).toBeCloseTo(1, 9);
    expect(ratioOf(PARTS, [2, 1.5])?.total_g).toBeCloseTo(4.5, 9);
    expect(nextPour(PARTS, [3, 1.5])).toBeUndefined();
  });

  test("one part alone has no ratio", () => {
    expect(nextPour([{ name: "paste", mass_g: 3 }], [])).toEqual({ part: 0, target_g: 3, rescue: false });
    expect(nextPour([{ name: "paste", mass_g: 3 }], [2.7])).toBeUndefined();
  });

  test("whoever follows it, however often the hand slips, ends with the ratio right", () => {
    const parts = fc.array(fc.double({ min: 0.1, max: 100, noNaN: true }), { minLength: 2, maxLength: 5 });
    const slips = fc.array(fc.double({ min: 0, max: 0.6, noNaN: true }), { maxLength: 3 });
    fc.assert(
      fc.property(parts, slips, (masses, slip) => {
        const planned = masses.map((mass_g, i) => ({ name: `${i}`, mass_g }));
        const poured: (number | undefined)[] = masses.map(() => undefined);
        let pours = 0;
        for (let pour = nextPour(planned, poured); pour; pour = nextPour(planned, poured)) {
          poured[pour.part] = (poured[pour.part] ?? 0) + pour.target_g * (1 + (slip[pours] ?? 0));
          pours += 1;
          expect(pours).toBeLessThan(40);
        }
        expect(ratioOf(planned, poured)?.within_tolerance).toBe(true);
      }),
    );
  });
});
