import { handHeld, simulatedClimateSensor as sensor, steadyClimateSensor } from "./climateSensor";

const NOON = Date.parse("2026-10-07T12:00:00Z");
const HOUR = 3_600_000;

test("the stand-in reads like a workshop: cooler by night, within what people bear", async () => {
  const day = await sensor.history(NOON, NOON + 24 * HOUR, HOUR);
  const temps = day.map(({ temp_C }) => temp_C);
  expect(Math.min(...temps)).toBeGreaterThan(12);
  expect(Math.max(...temps)).toBeLessThan(24);
  expect(Math.max(...temps) - Math.min(...temps)).toBeGreaterThan(2);
  for (const { rh_pct } of day) expect(rh_pct > 30 && rh_pct < 70).toBe(true);
});

test("the same moment reads the same, whoever asks: all servers agree", async () => {
  expect(await sensor.read(NOON)).toEqual(await sensor.read(NOON));
  expect((await sensor.history(NOON - HOUR, NOON, HOUR)).at(-1)).toEqual(await sensor.read(NOON));
});

test("history runs from one end to the other, both included, in order", async () => {
  const readings = await sensor.history(NOON, NOON + 2.5 * HOUR, HOUR);
  expect(readings.map(({ at }) => Date.parse(at) - NOON)).toEqual([0, HOUR, 2 * HOUR, 2.5 * HOUR]);
  expect(await sensor.history(NOON, NOON, HOUR)).toHaveLength(1);
});

test("where no sensor is, every hour reads as it was said last", async () => {
  const held = handHeld({ temp_C: 17, rh_pct: 61 });
  const readings = await held.history(NOON, NOON + 2 * HOUR, HOUR);
  expect(readings.map(({ temp_C, rh_pct }) => [temp_C, rh_pct])).toEqual([
    [17, 61],
    [17, 61],
    [17, 61],
  ]);
  expect(held.name).toBe("");
});

test("in a room whose air never changes every hour reads the same; an air that is written otherwise is refused", async () => {
  const steady = steadyClimateSensor("20,50");
  for (const { temp_C, rh_pct } of await steady.history(NOON, NOON + 24 * HOUR, HOUR)) expect([temp_C, rh_pct]).toEqual([20, 50]);
  for (const air of ["20", "warm,50", ""]) expect(() => steadyClimateSensor(air)).toThrow("air must be written as 20,50");
});
