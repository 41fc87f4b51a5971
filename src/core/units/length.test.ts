import fc from "fast-check";
import { formatInch, formatMm, MM_PER_INCH, parseLength } from "./length";

test.each([
  ["34", 34],
  ["34 mm", 34],
  ["3.4 cm", 34],
  ["3,4cm", 34],
  ["0.034 m", 34],
  ["1 in", 25.4],
  ['3/8"', 9.525],
  ["1 3/16 in", 30.1625],
  ["1-3/16 inch", 30.1625],
  ["1½ in", 38.1],
  ["¼ in", 6.35],
  [".5 in", 12.7],
  ["  7  ", 7],
])("%s is %d mm", (text, mm) => {
  const parsed = parseLength(text);
  expect(parsed.ok && parsed.value).toBeCloseTo(mm, 9);
});

test.each(["", "  ", "abc", "1/0 in", "3 mm 4", "--4", "-4", "−4 mm", "1e9", "12 ft"])(
  "%p is refused with a sentence that says what to write",
  (text) => {
    const parsed = parseLength(text);
    expect(parsed.ok).toBe(false);
    expect(!parsed.ok && parsed.message.length).toBeGreaterThan(10);
  },
);

test("below zero is said as such", () => {
  expect(parseLength("-4")).toEqual({ ok: false, message: "A length can't be below zero." });
});

test("a mixed fraction is its whole plus its part, in every denominator of a rule", () => {
  fc.assert(
    fc.property(fc.nat(99), fc.integer({ min: 1, max: 63 }), fc.constantFrom(2, 4, 8, 16, 32, 64), (whole, top, bottom) => {
      const parsed = parseLength(`${whole} ${top}/${bottom} in`);
      expect(parsed.ok && parsed.value).toBeCloseTo((whole + top / bottom) * MM_PER_INCH, 9);
    }),
  );
});

test("what is formatted in mm reads back to a tenth", () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 5000, noNaN: true }), (mm) => {
      const parsed = parseLength(formatMm(mm));
      expect(parsed.ok && Math.abs(parsed.value - mm)).toBeLessThanOrEqual(0.0501);
    }),
  );
});

test("both systems are shown plainly", () => {
  expect(formatMm(34)).toBe("34 mm");
  expect(formatMm(6.54)).toBe("6.5 mm");
  expect(formatInch(8.9)).toBe("0.35 in");
});
