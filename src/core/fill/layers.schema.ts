import { type Static, Type } from "@sinclair/typebox";
import { above0, carried, from0, strict } from "../units/schema";

export const LayersInput = strict({
  depth_mm: above0(10_000),
  max_layer_mm: above0(10_000),
  shrinkage_pct: Type.Number({ minimum: 0, exclusiveMaximum: 100 }),
  proud_mm: from0(1000),
});
export type LayersInput = Static<typeof LayersInput>;

export const LayersResult = strict({
  count: Type.Integer(),
  apply_mm: Type.Number(),
  layers: Type.Array(strict({ applied_mm: Type.Number(), cured_mm: Type.Number(), surface_mm: Type.Number() })),
  ...carried,
});
export type LayersResult = Static<typeof LayersResult>;
