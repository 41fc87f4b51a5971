import { type Static, Type } from "@sinclair/typebox";
import { ABRASIVE_SYSTEMS, type AbrasiveSystem, type Grade, grainOf } from "../catalogue";
import { above0, from0, oneOf, strict } from "../units/schema";
import { WEEKDAYS } from "./weekdays.data";

const HourMinute = Type.String({ pattern: "^([01][0-9]|2[0-3]):[0-5][0-9]$" });
const line = (maxLength: number) => Type.String({ minLength: 1, maxLength, pattern: "\\S" });
const date = () => Type.String({ format: "date" });

const PaperSchema = strict({
  system: oneOf(Object.keys(ABRASIVE_SYSTEMS) as AbrasiveSystem[]),
  grade: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }),
  /** Sheets that are left, down to the quarter; absent = nobody counts them. */
  sheets: Type.Optional(from0(10_000)),
});
export type Paper = Static<typeof PaperSchema>;

/** What holds for the whole shop. */
export const ShopSchema = strict({
  /** As it stands in the top bar and on the record; empty = nothing stands there. */
  name: Type.String({ maxLength: 120 }),
  people: Type.Array(line(60), { maxItems: 40 }),
  from: HourMinute,
  to: HourMinute,
  /** Days of the week on which someone is here. */
  days: Type.Array(oneOf([...WEEKDAYS]), { minItems: 1, maxItems: 7, uniqueItems: true }),
  /** Days on which nobody is, both ends included. */
  closed: Type.Array(strict({ from: date(), to: date(), because: Type.String({ maxLength: 120 }) }), { maxItems: 100 }),
  /** An IANA name. */
  time_zone: line(60),
  /** What drills and rods are sold in here. */
  units: oneOf(["mm", "in"]),
  /** The least that the scale tells apart, g. */
  scale_step_g: above0(100),
  /** Sizes of the set of drills that are not in the drawer. */
  drills_missing: Type.Array(line(20), { maxItems: 60 }),
  /** Thickness of the jig that the router rides on, and the width of its bit. */
  jig_mm: above0(100),
  bit_mm: above0(100),
  /** Papers and cloths in the drawer, with what is left of them where that is counted; empty = every grade is taken to be there. */
  papers: Type.Array(PaperSchema, { maxItems: 100 }),
  /** How many clamps there are; 0 = nobody counts them. */
  clamps: Type.Integer({ minimum: 0, maximum: 10_000 }),
  /** What reads the air; none = it is set by hand. */
  sensor: oneOf(["simulated", "none"]),
  /** A tone when a wait is over, and when a window is closing. */
  sounds: Type.Boolean(),
  /** A flash in the last minute of a window: a mix is about to set. */
  flash: Type.Boolean(),
});
export type Shop = Static<typeof ShopSchema>;

/** What is wrong with it beyond its form, by the path of its field; empty when it can be kept. */
export function shopErrors({ from, to, time_zone, people, closed, papers }: Shop): Readonly<Record<string, string>> {
  const backwards = closed.flatMap((each, i) => (each.from <= each.to ? [] : [[`closed/${i}/to`, "It ends before it begins."]]));
  const unknown = papers.flatMap((each, i) => (grainOf(each as Grade) === undefined ? [[`papers/${i}`, "No such grade."]] : []));
  return {
    ...(from < to ? {} : { to: "The day ends after it begins." }),
    ...(isZone(time_zone) ? {} : { time_zone: "No such time zone: write it as Europe/Berlin." }),
    ...(new Set(people.map((name) => name.trim().toLowerCase())).size === people.length
      ? {}
      : { people: "Two have one name: add a letter." }),
    ...Object.fromEntries([...backwards, ...unknown]),
  };
}

function isZone(timeZone: string): boolean {
  try {
    return new Intl.DateTimeFormat("en-GB", { timeZone }).resolvedOptions().timeZone !== "";
  } catch {
    return false;
  }
}
