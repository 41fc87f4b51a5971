import { type Static, Type } from "@sinclair/typebox";
import { carried, from0, instant, name, strict } from "../units/schema";

const date = () => Type.String({ format: "date" });
const HourMinute = Type.String({ pattern: "^([01][0-9]|2[0-3]):[0-5][0-9]$" });

export const Calendar = strict({
  /** Working days, 1 Monday to 7 Sunday. */
  days: Type.Array(Type.Integer({ minimum: 1, maximum: 7 }), { minItems: 1, maxItems: 7, uniqueItems: true }),
  from: HourMinute,
  to: HourMinute,
  timezone: name(),
  /** Days on which nobody is there, both ends included. */
  closed: Type.Optional(Type.Array(strict({ from: date(), to: date() }), { maxItems: 400 })),
});
export type Calendar = Static<typeof Calendar>;

export const ScheduleInput = strict({
  calendar: Calendar,
  start: instant(),
  /** Pairs of hands. */
  hands: Type.Optional(Type.Integer({ minimum: 1, maximum: 50 })),
  /** Of clamps, jigs, places to spray: how many there are. */
  resources: Type.Optional(Type.Record(Type.String({ minLength: 1, maxLength: 200 }), Type.Integer({ minimum: 0, maximum: 1000 }))),
  tasks: Type.Array(
    strict({
      id: name(),
      object: name(),
      hands_min: from0(10_000),
      uses: Type.Optional(Type.Array(name(), { maxItems: 20 })),
      wait_min: Type.Optional(from0(1e6)),
      priority: Type.Optional(Type.Number({ minimum: -1e6, maximum: 1e6 })),
    }),
    { minItems: 1, maxItems: 400 },
  ),
  links: Type.Optional(
    Type.Array(strict({ from: name(), to: name(), min_min: Type.Optional(from0(1e6)), max_min: Type.Optional(from0(1e6)) }), {
      maxItems: 4000,
    }),
  ),
});
export type ScheduleInput = Static<typeof ScheduleInput>;

export const ScheduleResult = strict({
  tasks: Type.Array(strict({ id: Type.String(), start: Type.String(), hands_end: Type.String(), free_at: Type.String() })),
  finish: Type.String(),
  lower_bound: Type.String(),
  proven_optimal: Type.Boolean(),
  missed: Type.Array(strict({ link: strict({ from: Type.String(), to: Type.String() }), by_min: Type.Number() })),
  ...carried,
});
export type ScheduleResult = Static<typeof ScheduleResult>;
