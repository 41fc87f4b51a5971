import { type ClimatePoint, climateSamples } from "@/core/cure/climate";
import { simulatedClimateSensor } from "@/devices/climateSensor";
import { ClimateRow } from "@/store/entities";
import { type Em, em as openEm } from "@/store/orm";
import { handReadings } from "@/store/queries";
import { ClimateInput } from "./inputs.schema";
import { parse } from "./parse";

const sensor = simulatedClimateSensor;
const HOUR = 3_600_000;

export interface Air {
  readonly temp_C: number;
  readonly rh_pct: number;
  readonly source: "hand" | "sensor";
  readonly sensor: string;
  /** Since when it is set by hand. */
  readonly since?: string;
}

/** The air now: as set by hand, else as the sensor reads it. */
export async function airNow(em: Em, now: Date): Promise<Air> {
  const reading = (await handReadings(em, now)).findLast(({ at }) => Date.parse(at) <= now.getTime());
  if (reading?.source === "hand")
    return {
      temp_C: reading.temp_C,
      rh_pct: reading.rh_pct,
      source: "hand",
      sensor: sensor.name,
      since: new Date(reading.at).toISOString(),
    };
  const { temp_C, rh_pct } = await sensor.read(now.getTime());
  return { temp_C, rh_pct, source: "sensor", sensor: sensor.name };
}

/** The temperature from `since` to a week ahead, for the clocks. */
export async function climateSince(em: Em, since: Date, now: Date): Promise<ClimatePoint[]> {
  const from = Math.min(since.getTime(), now.getTime() - 24 * HOUR);
  const [history, hands] = await Promise.all([
    sensor.history(Math.floor(from / HOUR) * HOUR, now.getTime(), HOUR),
    handReadings(em, new Date(from)),
  ]);
  return climateSamples(history, hands, now.getTime());
}

/** Set the air by hand, or give it back to the sensor. */
export async function setClimate(input: unknown, now: Date): Promise<void> {
  const { source, temp_C, rh_pct } = parse(ClimateInput, input);
  const em = await openEm();
  await em.transactional(async (tx) => {
    tx.create(ClimateRow, { id: crypto.randomUUID(), at: now, source, tempC: temp_C, rhPct: rh_pct });
  });
}
