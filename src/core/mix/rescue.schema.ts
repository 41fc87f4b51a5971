import { type Static, Type } from "@sinclair/typebox";
import { above0, carried, from0, name, strict } from "../units/schema";

export const RescueInput = strict({
  parts: Type.Array(strict({ name: name(), ratio: above0(), poured_g: from0() }), { minItems: 2, maxItems: 20 }),
  tolerance_pct: Type.Number({ minimum: 0, maximum: 100 }),
});
export type RescueInput = Static<typeof RescueInput>;

export const RescueResult = strict({
  within_tolerance: Type.Boolean(),
  error_pct: Type.Number(),
  add: Type.Array(strict({ name: Type.String(), mass_g: Type.Number() })),
  total_g: Type.Number(),
  ...carried,
});
export type RescueResult = Static<typeof RescueResult>;
