import { type ClimatePoint, climateSamples } from "@/core/cure/climate";
import { type ClimateSensor, handHeld, simulatedClimateSensor, steadyClimateSensor } from "@/devices/climateSensor";
import { ClimateRow } from "@/store/entities";
import { type Em, em as openEm } from "@/store/orm";
import { climateHours, handReadings, keepHours } from "@/store/queries";
import { ClimateInput } from "./inputs.schema";
import { parse } from "./parse";
import { shopIn } from "./shop";

/** What reads the air here: the shop's sensor, else whoever set it last by hand. */
async function sensorHere(em: Em, now: Date): Promise<ClimateSensor> {
  const { sensor } = await shopIn(em);
  const steady = process.env.STEADY_AIR;
  if (sensor === "simulated") return steady ? steadyClimateSensor(steady) : simulatedClimateSensor;
  const last = (await handReadings(em, now)).findLast(({ source, at }) => source === "hand" && Date.parse(at) <= now.getTime());
  return handHeld(last ?? ROOM);
}

/** Air that is taken where nothing ever read it. */
const ROOM = { temp_C: 20, rh_pct: 50 };

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
  const sensor = await sensorHere(em, now);
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

/** So many days back the air is looked up hour by hour; a clock that began before has long ended. */
const DAYS_BACK = 400;

/** The temperature from `since` to a week ahead, for the clocks. */
export async function climateSince(em: Em, since: Date, now: Date): Promise<ClimatePoint[]> {
  const oldest = now.getTime() - DAYS_BACK * 24 * HOUR;
  const sensor = await sensorHere(em, now);
  const from = Math.max(oldest, Math.min(since.getTime(), now.getTime() - 24 * HOUR));
  const [hours, reading, hands] = await Promise.all([
    hoursSince(em, sensor, Math.floor(from / HOUR) * HOUR, now.getTime()),
    sensor.read(now.getTime()),
    handReadings(em, new Date(from)),
  ]);
  return climateSamples([...hours, reading], hands, now.getTime());
}

/** The sensor's hours as they were first read: a clock keeps the air that it was reckoned with, whatever the sensor says later. */
async function hoursSince(em: Em, sensor: ClimateSensor, from: number, to: number): Promise<ClimatePoint[]> {
  const kept = await climateHours(em, new Date(from), new Date(to));
  const known = new Set(kept.map(({ at }) => Date.parse(at)));
  const count = Math.floor((to - from) / HOUR) + 1;
  if (known.size >= count) return kept;
  const history = await sensor.history(from, from + (count - 1) * HOUR, HOUR);
  const fresh = history.filter(({ at }) => !known.has(Date.parse(at)));
  await keepHours(em, fresh);
  return [...kept, ...fresh].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
}

/** Set the air by hand, or give it back to the sensor. */
export async function setClimate(input: unknown, now: Date): Promise<void> {
  const { source, temp_C, rh_pct } = parse(ClimateInput, input);
  const em = await openEm();
  await em.transactional(async (tx) => {
    tx.create(ClimateRow, { id: crypto.randomUUID(), at: now, source, tempC: temp_C, rhPct: rh_pct });
  });
}
