/** What a climate sensor answers. */
export interface ClimateReading {
  readonly at: string;
  readonly temp_C: number;
  readonly rh_pct: number;
}

/** The one interface for a climate sensor; an adapter for a real one stands beside the simulated one. */
export interface ClimateSensor {
  /** Empty = nothing reads the air. */
  readonly name: string;
  /** The air at a moment not in the future. */
  read(atMs: number): Promise<ClimateReading>;
  /** Readings from `fromMs` to `toMs`, both included, every `stepMs`. */
  history(fromMs: number, toMs: number, stepMs: number): Promise<ClimateReading[]>;
}

const HOUR = 3_600_000;
const DAY = 24 * HOUR;

/** A workshop that is heated by day: warmest at 15:00 UTC, coldest at 3:00, a slow swing over nine days. */
function simulate(atMs: number): ClimateReading {
  const day = Math.cos((2 * Math.PI * (atMs - 15 * HOUR)) / DAY);
  const week = Math.sin((2 * Math.PI * atMs) / (9 * DAY));
  return {
    at: new Date(atMs).toISOString(),
    temp_C: Math.round((18 + 1.6 * day + 0.6 * week) * 10) / 10,
    rh_pct: Math.round(51 - 3 * day + 2 * week),
  };
}

/** Moments from one to another, both included. */
const every = (fromMs: number, toMs: number, stepMs: number): number[] =>
  Array.from({ length: Math.max(0, Math.ceil((toMs - fromMs) / stepMs)) + 1 }, (_, i) => Math.min(toMs, fromMs + i * stepMs));

const sensor = (name: string, at: (ms: number) => ClimateReading): ClimateSensor => ({
  name,
  read: async (atMs) => at(atMs),
  history: async (fromMs, toMs, stepMs) => every(fromMs, toMs, stepMs).map(at),
});

/** One air at every moment. */
const always =
  ({ temp_C, rh_pct }: Pick<ClimateReading, "temp_C" | "rh_pct">) =>
  (ms: number): ClimateReading => ({ at: new Date(ms).toISOString(), temp_C, rh_pct });

const SIMULATED = "simulated sensor";
/** Stands in for a sensor; ships, so that clocks run on something like a real night. */
export const simulatedClimateSensor: ClimateSensor = sensor(SIMULATED, simulate);

/**
 * The same in a room whose air never changes, for whoever must not hang on the hour of the day. `air` is `20 °C, 50 %` as `20,50`.
 * @throws {RangeError} when it is not written so
 */
export function steadyClimateSensor(air: string): ClimateSensor {
  const [temp_C = Number.NaN, rh_pct = Number.NaN] = air.split(",").map(Number);
  if (!Number.isFinite(temp_C) || !Number.isFinite(rh_pct)) throw new RangeError(`air must be written as 20,50, got ${air}`);
  return sensor(SIMULATED, always({ temp_C, rh_pct }));
}

/** Where no sensor is: the air as somebody said it last, for every hour. */
export const handHeld = (air: Pick<ClimateReading, "temp_C" | "rh_pct">): ClimateSensor => sensor("", always(air));
