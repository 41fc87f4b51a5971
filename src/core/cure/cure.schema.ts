import { type Static, Type } from "@sinclair/typebox";
import { carried, celsius, from0, instant, name, strict, tagged } from "../units/schema";

export const CureModel = tagged("kind", [
  strict({ kind: Type.Literal("arrhenius"), ea_kJ_mol: Type.Number({ minimum: 0, maximum: 500 }) }),
  strict({ kind: Type.Literal("q10"), q10: Type.Number({ exclusiveMinimum: 0, maximum: 100 }) }),
]);
export type CureModel = Static<typeof CureModel>;

export const ClimateSample = strict({ at: instant(), temp_C: celsius() });

export const CureInput = strict({
  stages: Type.Array(strict({ name: name(), minutes: from0(1e7) }), { minItems: 1, maxItems: 50 }),
  reference_C: celsius(),
  model: CureModel,
  min_C: Type.Optional(celsius()),
  start: instant(),
  /** What takes longer is never reached; 60 without. */
  within_days: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 3650 })),
  climate: Type.Unsafe<{ constant_C: number } | { samples: Static<typeof ClimateSample>[] }>({
    type: "object",
    additionalProperties: false,
    properties: {
      constant_C: celsius(),
      samples: Type.Array(ClimateSample, { minItems: 1, maxItems: 20_000 }),
    },
    oneOf: [{ required: ["constant_C"] }, { required: ["samples"] }],
  }),
});
export type CureInput = Static<typeof CureInput>;

const Reached = strict({ name: Type.String(), minutes: Type.Number(), at: Type.String() });
const Never = strict({ name: Type.String(), never: Type.Literal(true), reason: Type.String() });

export const CureResult = strict({ stages: Type.Array(Type.Union([Reached, Never])), ...carried });
export type CureResult = Static<typeof CureResult>;
