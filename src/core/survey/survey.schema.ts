import { type Static, type TSchema, Type } from "@sinclair/typebox";
import { celsius, oneOf, strict, tagged } from "../units/schema";
import { type Damage, MEASURED_KINDS, MEASURES, type Measure } from "./measures.data";

const MEASURE_TYPES: { readonly [T in Measure["type"]]: (measure: Measure) => TSchema } = {
  length: ({ min, max }) => Type.Number({ minimum: min, maximum: max }),
  count: ({ min, max }) => Type.Integer({ minimum: min, maximum: max }),
  yesno: () => Type.Boolean(),
};

const variant = (kind: keyof typeof MEASURES) =>
  strict({
    kind: Type.Literal(kind),
    ...Object.fromEntries(
      MEASURES[kind].map((measure: Measure) => {
        const schema = MEASURE_TYPES[measure.type](measure);
        return [measure.name, measure.optional ? Type.Optional(schema) : schema];
      }),
    ),
  });

/** Built from the table of measures, so that a new kind is described once. */
export const DamageSchema = Type.Unsafe<Damage>(tagged("kind", MEASURED_KINDS.map(variant)));

/** How the piece is used. Every answer that is left open is taken as No, and Match says so. */
export const ServiceSchema = strict({
  touched: Type.Optional(Type.Boolean()),
  food: Type.Optional(Type.Boolean()),
  wet: Type.Optional(Type.Boolean()),
  outdoor: Type.Optional(Type.Boolean()),
  load: Type.Optional(Type.Boolean()),
  flex: Type.Optional(Type.Boolean()),
  acoustic: Type.Optional(Type.Boolean()),
  heat_C: Type.Optional(celsius()),
});
export type Service = Static<typeof ServiceSchema>;

export const SurveySchema = strict({
  damage: DamageSchema,
  service: ServiceSchema,
  /** How long assembly takes, measured in a dry fit. */
  working_min: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 600 })),
  finish_survives: Type.Optional(Type.Boolean()),
  found: Type.Optional(Type.String({ maxLength: 4000 })),
});
export type Survey = Static<typeof SurveySchema>;

export const STANCE_SCHEMA = oneOf(["reversible", "service"] as const);
