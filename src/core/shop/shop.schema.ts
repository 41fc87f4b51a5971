import { type Static, Type } from "@sinclair/typebox";
import { above0, strict } from "../units/schema";

const HourMinute = Type.String({ pattern: "^([01][0-9]|2[0-3]):[0-5][0-9]$" });
const line = (maxLength: number) => Type.String({ minLength: 1, maxLength, pattern: "\\S" });

/** What holds for the whole shop. */
export const ShopSchema = strict({
  /** As it stands in the top bar and on the record; empty = nothing stands there. */
  name: Type.String({ maxLength: 120 }),
  people: Type.Array(line(60), { maxItems: 40 }),
  from: HourMinute,
  to: HourMinute,
  /** An IANA name. */
  time_zone: line(60),
  /** The least that the scale tells apart, g. */
  scale_step_g: above0(100),
});
export type Shop = Static<typeof ShopSchema>;

/** A shop before anyone wrote anything: the day as most keep it, a scale of a hundredth of a gram. */
export const freshShop = (name: string, time_zone: string): Shop => ({
  name,
  people: [],
  from: "08:00",
  to: "18:00",
  time_zone,
  scale_step_g: 0.01,
});

/** What is wrong with it beyond its form, by field; empty when it can be kept. */
export function shopErrors({ from, to, time_zone, people }: Shop): Partial<Record<keyof Shop, string>> {
  return {
    ...(from < to ? {} : { to: "The day ends after it begins." }),
    ...(isZone(time_zone) ? {} : { time_zone: "No such time zone: write it as Europe/Berlin." }),
    ...(new Set(people.map((name) => name.trim().toLowerCase())).size === people.length
      ? {}
      : { people: "Two have one name: add a letter." }),
  };
}

function isZone(timeZone: string): boolean {
  try {
    return new Intl.DateTimeFormat("en-GB", { timeZone }).resolvedOptions().timeZone !== "";
  } catch {
    return false;
  }
}
