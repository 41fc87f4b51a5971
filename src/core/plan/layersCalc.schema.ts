import { type Static, Type } from "@sinclair/typebox";
import { LayersInput } from "../fill/layers.schema";
import { Solid } from "../survey/volume.schema";
import { carried, strict } from "../units/schema";

/** The layers of a loss, with its solids where each layer's volume is asked, and what was already laid and measured. */
export const LayersCalcInput = strict({
  ...LayersInput.properties,
  solids: Type.Optional(Type.Array(Solid, { minItems: 1, maxItems: 1000 })),
  /** Height against the original surface after each layer that is done, mm; the last counts. */
  done: Type.Optional(
    Type.Array(strict({ surface_mm: Type.Number({ minimum: -10_000, maximum: 1000 }) }), { minItems: 1, maxItems: 1000 }),
  ),
});
export type LayersCalcInput = Static<typeof LayersCalcInput>;

export const LayersCalcResult = strict({
  count: Type.Integer(),
  apply_mm: Type.Number(),
  layers: Type.Array(
    strict({ applied_mm: Type.Number(), cured_mm: Type.Number(), surface_mm: Type.Number(), volume_cm3: Type.Optional(Type.Number()) }),
  ),
  ...carried,
});
export type LayersCalcResult = Static<typeof LayersCalcResult>;
