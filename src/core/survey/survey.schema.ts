import { type Static, type TSchema, Type } from "@sinclair/typebox";
import { DAMAGE_KINDS, type DamageKind, EARLIER_GLUES, type EarlierGlue } from "../catalogue";
import { celsius, oneOf, strict, tagged } from "../units/schema";
import { CHECK_ROWS, type Check, LIMITS, type Limit } from "./inspection.data";
import { type Damage, MEASURES, type Measure, SECTIONED } from "./measures.data";

function schemaOf(measure: Measure): TSchema {
  switch (measure.type) {
    case "length":
    case "number":
      return Type.Number({ minimum: measure.min, maximum: measure.max });
    case "count":
      return Type.Integer({ minimum: measure.min, maximum: measure.max });
    case "choice":
      return oneOf(measure.options.map(([value]) => value));
    case "yesno":
      return Type.Boolean();
    case "list":
      return Type.Array(strict(Object.fromEntries(measure.of.map((each) => [each.name, schemaOf(each)]))), { maxItems: measure.most });
  }
}

const SQUARE_OR_ROUND = { anyOf: [{ required: ["width_mm", "height_mm"] }, { required: ["diameter_mm"] }] };

const variant = (kind: DamageKind) =>
  strict(
    {
      kind: Type.Literal(kind),
      ...Object.fromEntries(
        MEASURES[kind].map((measure: Measure) => [measure.name, measure.optional ? Type.Optional(schemaOf(measure)) : schemaOf(measure)]),
      ),
    },
    SECTIONED.includes(kind) ? SQUARE_OR_ROUND : {},
  );

/** Built from the table of measures, so that a new kind is described once. */
export const DamageSchema = Type.Unsafe<Damage>(tagged("kind", DAMAGE_KINDS.map(variant)));

/** How the piece is used. Every answer that is left open is taken as No, and Match says so. */
const ServiceSchema = strict({
  touched: Type.Optional(Type.Boolean()),
  food: Type.Optional(Type.Boolean()),
  wet: Type.Optional(Type.Boolean()),
  outdoor: Type.Optional(Type.Boolean()),
  load: Type.Optional(Type.Boolean()),
  flex: Type.Optional(Type.Boolean()),
  acoustic: Type.Optional(Type.Boolean()),
  skin: Type.Optional(Type.Boolean()),
  sprung: Type.Optional(Type.Boolean()),
  heat_C: Type.Optional(celsius()),
});
export type Service = Static<typeof ServiceSchema>;

/** What was found at each check that was made. */
const Inspected = Type.Unsafe<Partial<Record<Check, string>>>(
  strict(
    Object.fromEntries(CHECK_ROWS.map(({ check, findings }) => [check, Type.Optional(oneOf(findings.map(({ finding }) => finding)))])),
  ),
);

const LimitsSchema = Type.Unsafe<Partial<Record<Limit, boolean>>>(
  strict(Object.fromEntries(LIMITS.map(({ limit }) => [limit, Type.Optional(Type.Boolean())]))),
);

const EarlierGlueSchema = oneOf(EARLIER_GLUES.map(({ glue }) => glue) as EarlierGlue[]);

export const SurveySchema = strict({
  damage: DamageSchema,
  service: ServiceSchema,
  /** How long assembly takes, measured in a dry fit. */
  working_min: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 600 })),
  finish_survives: Type.Optional(Type.Boolean()),
  inspected: Type.Optional(Inspected),
  earlier_glue: Type.Optional(EarlierGlueSchema),
  limits: Type.Optional(LimitsSchema),
  found: Type.Optional(Type.String({ maxLength: 4000 })),
});
export type Survey = Static<typeof SurveySchema>;

export const STANCE_SCHEMA = oneOf(["reversible", "service"] as const);
