import fc from "fast-check";
import { assemblyOrder } from "./assembly";
import { readOrder, sittingText } from "./joiningOrder";

test("four singly and the last as a whole", () => {
  const read = readOrder("1 to 2, then 3 to 1+2\n5 to 4\n4+5 to 1+2+3", 5);
  expect(read.ok && read.order.map(sittingText)).toEqual(["1 to 2, then 3 to 1+2", "5 to 4", "4+5 to 1+2+3"]);
});

test.each([
  ["1 to 2\n2 to 3", 3, /no 2 stands by itself: there are 3, 1\+2/],
  ["1 to 1\n", 2, /joins a piece to itself/],
  ["one to two", 2, /read as nothing/],
  ["1 to 2", 3, /3 and 1\+2 are not joined yet/],
  ["1 to 9", 2, /no 9 stands/],
])("%j of %d shards is refused, and says why", (text, count, says) => {
  const read = readOrder(text, count);
  expect(!read.ok && read.says).toMatch(says);
});

test("every order that is worked out is read back as it was written", () => {
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 8 }), fc.integer({ min: 1, max: 4 }), (count, joins) => {
      const touching = Array.from({ length: count - 1 }, (_, i) => [i, i + 1] as const);
      const { sittings } = assemblyOrder({ count, touching }, joins);
      const text = sittings.map((sitting) => sittingText(sitting.joins)).join("\n");
      const read = readOrder(text, count);
      expect(read.ok ? read.order.map(sittingText).join("\n") : read.says).toBe(text);
    }),
    { numRuns: 40 },
  );
});
