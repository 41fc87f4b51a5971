import { type Static, Type } from "@sinclair/typebox";
import { above0, carried, oneOf, strict } from "../units/schema";

/** How a material was found when it was tested: softer than the test asks, as it asks, harder. */
const SENSES = ["soft", "right", "hard"] as const;

const Spread = () => Type.Number({ minimum: 1e-3, maximum: 10 });

export const CalibrateInput = strict({
  /** None is no mistake: then the prior speaks. */
  observations: Type.Array(strict({ predicted_min: above0(1e8), seen_min: above0(1e8), sense: oneOf(SENSES) }), { maxItems: 2000 }),
  prior_sd: Type.Optional(Spread()),
  noise_scale: Type.Optional(Spread()),
});
export type CalibrateInput = Static<typeof CalibrateInput>;

export const CalibrateResult = strict({
  factor: Type.Number(),
  low: Type.Number(),
  high: Type.Number(),
  n: Type.Integer(),
  applies: Type.Boolean(),
  ...carried,
});
export type CalibrateResult = Static<typeof CalibrateResult>;
