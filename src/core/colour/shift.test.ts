import fc from "fast-check";
import { before, type Reading, shiftOf } from "./shift";
import type { Lab } from "./spectrum";

const read = (swatch: string, state: Reading["state"], L: number, a = 0, b = 0): Reading => ({
  swatch,
  class: "acrylic-paint",
  state,
  lab: { L, a, b },
});
const lab = fc.record({
  L: fc.double({ min: 20, max: 80, noNaN: true }),
  a: fc.double({ min: -40, max: 40, noNaN: true }),
  b: fc.double({ min: -40, max: 40, noNaN: true }),
});

describe("the shift from one state to another", () => {
  const readings = [
    read("one", "dry", 60, 10, 20),
    read("one", "under-clear", 56, 11, 22),
    read("two", "dry", 40, 5, 5),
    read("two", "under-clear", 34, 6, 5),
    read("three", "dry", 50),
  ];
  test("is the mean of the pairs, with how many there are and how far they scatter", () => {
    expect(shiftOf(readings, "acrylic-paint", "dry", "under-clear")).toEqual({
      pairs: 2,
      by: { L: -5, a: 1, b: 1 },
      spread: expect.closeTo(2, 9),
    });
  });
  test("the last reading of a swatch counts; one pair tells no spread", () => {
    const again = [...readings.slice(0, 2), read("one", "under-clear", 58, 10, 20)];
    expect(shiftOf(again, "acrylic-paint", "dry", "under-clear")).toEqual({ pairs: 1, by: { L: -2, a: 0, b: 0 }, spread: 0 });
  });
  test("there is none of another class, of a state that nobody read, or of a state to itself", () => {
    expect(shiftOf(readings, "oil-colour", "dry", "under-clear")).toBeUndefined();
    expect(shiftOf(readings, "acrylic-paint", "dry", "under-wax")).toBeUndefined();
    expect(shiftOf(readings, "acrylic-paint", "dry", "dry")).toBeUndefined();
  });
  test("taken off before and put on again it ends where it should", () => {
    fc.assert(
      fc.property(lab, lab, lab, (one, under, target) => {
        const pair = [
          { ...read("s", "dry", 0), lab: one },
          { ...read("s", "under-clear", 0), lab: under },
        ];
        const shift = shiftOf(pair, "acrylic-paint", "dry", "under-clear");
        const mix = shift && before(target, shift);
        const end = (of: keyof Lab) => (mix?.[of] ?? 0) + (shift?.by[of] ?? 0);
        if (mix && mix.L > 0 && mix.L < 100)
          expect([end("L"), end("a"), end("b")]).toEqual([target.L, target.a, target.b].map((v) => expect.closeTo(v, 9)));
      }),
    );
  });
});
