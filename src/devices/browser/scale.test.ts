import fc from "fast-check";
import { listen } from "./serialScale";
import { EMPTY, poured, shown, simulatedScale, tared } from "./simulatedScale";

const rested = (pan: typeof EMPTY) => Array.from({ length: 40 }).reduce<typeof EMPTY>((each) => poured(each, 0, 0.1, 0.5), pan);

test("what is poured arrives, a little after the hand has stopped: so it overshoots", () => {
  let pan = EMPTY;
  for (let i = 0; i < 10; i++) pan = poured(pan, 2, 0.1, 0.5);
  expect(pan.load).toBeLessThan(2);
  expect(pan.load + pan.falling).toBeCloseTo(2, 9);
  expect(shown(pan, 0.01, 0.5).stable).toBe(false);
  expect(rested(pan).load).toBeCloseTo(2, 3);
  expect(shown(rested(pan), 0.01, 0.5)).toEqual({ g: 2, stable: true });
});

test("tared, whatever lies in it counts as nothing, and the read-out keeps to its step", () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 500, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (load, random) => {
      const pan = tared({ ...EMPTY, load });
      const { g } = shown(pan, 0.01, random);
      expect(Math.abs(g)).toBeLessThanOrEqual(0.01 + 1e-9);
      expect(Math.abs(g / 0.01 - Math.round(g / 0.01))).toBeLessThan(1e-6);
    }),
  );
});

test("the stand-in reads, loses its cable, sends rubbish and pounds, and comes back", async () => {
  jest.useFakeTimers();
  const scale = simulatedScale(0.01, () => 0.5);
  const told: string[] = [];
  const close = await scale.open((event) => told.push(event.kind === "trouble" ? event.words : event.kind));
  for (const fault of [undefined, "cable", "rubbish", "pounds", undefined] as const) {
    scale.fault(fault);
    jest.advanceTimersByTime(100);
  }
  close();
  jest.advanceTimersByTime(500);
  jest.useRealTimers();
  expect(told).toEqual(["reading", "lost", expect.stringMatching(/no weight/), expect.stringMatching(/grams/), "reading"]);
});

test("a cable brings its lines in pieces; each is told once it is whole", async () => {
  const bytes = ["ST,GS,+1", "2.34g\r\nUS,", "GS,+13.00g\r\n", "ST"].map((text) => new TextEncoder().encode(text));
  const lines: string[] = [];
  const read = async () =>
    bytes.length > 0 ? { done: false as const, value: bytes.shift() as Uint8Array } : { done: true as const, value: undefined };
  await listen({ read } as never, (line) => lines.push(line));
  expect(lines).toEqual(["ST,GS,+12.34g", "US,GS,+13.00g"]);
});
