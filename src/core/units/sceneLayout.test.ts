import fc from "fast-check";
import type { Scene, Span } from "./scene";
import { boundsOf, boxAt } from "./scene";
import { type Label, LINE_PX, type Sheet, sheetOf, spread, TAG_PX } from "./sceneLayout";

const wanted = fc.array(
  fc.record({ middle: fc.double({ min: 0, max: 400, noNaN: true }), size: fc.double({ min: 5, max: 60, noNaN: true }) }),
  {
    maxLength: 8,
  },
);

describe("spread", () => {
  test("none overlaps another, none stands before its bound, and what had room has not moved", () => {
    fc.assert(
      fc.property(wanted, (labels) => {
        const middles = spread(labels, 0);
        const at = labels.map(({ size }, i) => ({ from: (middles[i] ?? 0) - size / 2, to: (middles[i] ?? 0) + size / 2 }));
        const order = [...at].sort((a, b) => a.from - b.from);
        order.forEach(({ from }, i) => {
          expect(from).toBeGreaterThanOrEqual((order[i - 1]?.to ?? 0) - 1e-6);
        });
        const free = labels.every(
          ({ middle, size }, i) =>
            middle - size / 2 >= 0 && labels.every((other, j) => i === j || Math.abs(other.middle - middle) >= (other.size + size) / 2),
        );
        if (free) for (const [i, { middle }] of labels.entries()) expect(middles[i]).toBeCloseTo(middle, 9);
      }),
    );
  });

  test("two that want the same place share the way that they give", () => {
    expect(
      spread(
        [
          { middle: 50, size: 10 },
          { middle: 50, size: 10 },
        ],
        0,
      ),
    ).toEqual([45, 55]);
  });

  test("what runs over the end is pushed back", () => {
    expect(
      spread(
        [
          { middle: 95, size: 20 },
          { middle: 99, size: 20 },
        ],
        0,
        100,
      ),
    ).toEqual([70, 90]);
  });
});

const span = (side: Span["side"]): fc.Arbitrary<Span> =>
  fc.record({
    side: fc.constant(side),
    row: fc.integer({ min: 0, max: 1 }),
    from: fc.double({ min: -60, max: 0, noNaN: true }),
    to: fc.double({ min: 0, max: 60, noNaN: true }),
    label: fc.constantFrom("4", "12.5", "0.4 proud", "8 × 1.25"),
  });

const scenes: fc.Arbitrary<Scene> = fc.record({
  shapes: fc.tuple(fc.double({ min: 1, max: 300, noNaN: true }), fc.double({ min: 0.5, max: 80, noNaN: true })).map(([wide, tall]) => [
    { kind: "ground" as const, points: boxAt(-wide / 2, -tall, wide / 2, 0) },
    { kind: "layer" as const, points: boxAt(-wide / 3, -tall / 2, wide / 3, 0), layer: 1 },
    { kind: "layer" as const, points: boxAt(-wide / 3, -tall, wide / 3, -tall / 2), layer: 0 },
  ]),
  lines: fc.constant([]),
  spans: fc.tuple(...(["left", "right", "right", "right", "top"] as const).map(span)),
  notes: fc.array(
    fc.record({
      at: fc.tuple(fc.double({ min: -60, max: 60, noNaN: true }), fc.double({ min: -40, max: 0, noNaN: true })),
      bold: fc.constantFrom("barrier", "anchor holes", "wire Ø 2"),
      words: fc.constantFrom("", ", press in first", ", 10 deep"),
    }),
    { maxLength: 5 },
  ),
  tags: fc.constant([
    { layer: 0, bold: "Layer 1", words: "now" },
    { layer: 1, bold: "Layer 2", words: "planned" },
  ]),
});

/** Every label of a sheet as a box. */
function boxes({ spans, notes, tags }: Sheet) {
  const of = ({ x, y, wide }: Label, tall: number) => ({
    left: x - wide / 2,
    right: x + wide / 2,
    top: y - tall / 2,
    bottom: y + tall / 2,
  });
  return [...spans, ...notes].map(({ label }) => of(label, LINE_PX)).concat(tags.map(({ label }) => of(label, TAG_PX)));
}

test("whatever is drawn, no two words overlap, and all of it lies on the sheet", () => {
  fc.assert(
    fc.property(scenes, fc.integer({ min: 360, max: 980 }), (scene, width) => {
      const sheet = sheetOf(scene, width, 260, 6.2);
      const all = boxes(sheet);
      all.forEach((a, i) => {
        expect([a.left >= -1e-6, a.right <= sheet.width + 1e-6, a.top >= 0, a.bottom <= sheet.height]).toEqual([true, true, true, true]);
        for (const b of all.slice(i + 1)) {
          const over = a.left < b.right - 0.01 && b.left < a.right - 0.01 && a.top < b.bottom - 0.01 && b.top < a.bottom - 0.01;
          expect(over).toBe(false);
        }
      });
      const { left, right, bottom } = boundsOf(scene);
      expect(sheet.x0 + left * sheet.k).toBeGreaterThanOrEqual(0);
      expect(sheet.x0 + right * sheet.k).toBeLessThanOrEqual(sheet.width);
      expect(sheet.y0 - bottom * sheet.k).toBeLessThanOrEqual(sheet.height);
    }),
  );
});
