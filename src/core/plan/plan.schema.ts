import { type Static, Type } from "@sinclair/typebox";
import {
  ABRASIVE_SYSTEMS,
  type AbrasiveSystem,
  CLASS_ROWS,
  type ClassName,
  COAT_NAMES,
  type CoatName,
  FINISHES,
  type Finish,
  OPERATION_KINDS,
  PIECE_KINDS,
  type PieceKind,
  ROLES,
  STAGES,
  STATIONS,
  SUBSTRATES,
  type Substrate,
} from "../catalogue";
import { BRACE_KINDS, BraceSize } from "../join/brace.schema";
import { GradeInput } from "../level/ladder.schema";
import { LinkByHand } from "../match/match.schema";
import { PLACE_KINDS } from "../survey/place";
import { STANCE_SCHEMA, SurveySchema } from "../survey/survey.schema";
import { above0, celsius, instant, oneOf, strict } from "../units/schema";

const GradeSchema = strict({ system: oneOf(Object.keys(ABRASIVE_SYSTEMS) as AbrasiveSystem[]), grade: Type.Number() });

const id = () => Type.String({ pattern: "^[a-z][a-z0-9-]*$", maxLength: 40 });
const text = (maxLength: number) => Type.String({ maxLength });
const Role = oneOf(ROLES);
const Class = oneOf(CLASS_ROWS.map((row) => row.class) as ClassName[]);

/** A material taken by hand; `because` where it is against the rules. */
const Choose = strict({ place: Type.Optional(text(120)), role: Role, class: Class, because: Type.Optional(text(2000)), ...LinkByHand });

const PlanDamage = strict({
  id: id(),
  part: Type.String({ minLength: 1, maxLength: 80 }),
  survey: SurveySchema,
  way: Type.Optional(text(60)),
  choose: Type.Optional(Type.Array(Choose, { maxItems: 60 })),
  brace: Type.Optional(strict({ kind: oneOf(BRACE_KINDS), size: Type.Optional(BraceSize) })),
});

/** What the plan looks at in the log: what was done, what was left out, what came again. */
const PlanEntry = strict({
  at: instant(),
  by: Type.Optional(text(200)),
  body: Type.Unsafe<PlanEntryBody>({
    type: "object",
    required: ["kind"],
    properties: { kind: Type.String({ maxLength: 60 }) },
    additionalProperties: true,
    oneOf: [
      {
        properties: {
          kind: { const: "done" },
          op: { type: "string", maxLength: 200 },
          places: { type: "array", items: { type: "string" }, maxItems: 200 },
          surface_mm: { type: "number", minimum: -1000, maximum: 1000 },
          start: {
            type: "object",
            properties: {
              parts: {
                type: "array",
                maxItems: 20,
                items: {
                  type: "object",
                  required: ["planned_g"],
                  properties: { planned_g: { type: "number", minimum: 0 }, actual_g: { type: "number", minimum: 0 } },
                },
              },
            },
          },
        },
        required: ["op"],
      },
      { properties: { kind: { const: "skipped" }, op: { type: "string", maxLength: 200 } }, required: ["op"] },
      {
        properties: {
          kind: { const: "round-opened" },
          station: { type: "string", enum: STATIONS.map(({ station }) => station) },
          places: { type: "array", items: { type: "string" }, minItems: 1, maxItems: 200 },
          because: { type: "string", minLength: 1, maxLength: 2000 },
          low_mm: { type: "number", exclusiveMinimum: 0, maximum: 1000 },
          count: { type: "integer", minimum: 1, maximum: 500 },
          filler: { type: "string", enum: CLASS_ROWS.filter(({ roles }) => roles.includes("filler")).map((row) => row.class) },
        },
        required: ["station", "places", "because"],
      },
      { properties: { kind: { type: "string", not: { enum: ["done", "skipped", "round-opened"] } } } },
    ],
  }),
});

export interface PlanEntryBody {
  readonly kind: string;
  readonly op?: string;
  readonly [field: string]: unknown;
}

export const PlanInput = strict({
  piece: strict({
    kind: Type.Optional(oneOf(PIECE_KINDS.map(({ kind }) => kind) as PieceKind[])),
    parts: Type.Array(
      strict({
        id: Type.String({ minLength: 1, maxLength: 80 }),
        substrate: oneOf(SUBSTRATES.map(({ substrate }) => substrate) as Substrate[]),
        finish: Type.Optional(oneOf(FINISHES.map(({ finish }) => finish) as Finish[])),
        /** What it is to have when it is done, where that is another. */
        finish_to_be: Type.Optional(oneOf(FINISHES.map(({ finish }) => finish) as Finish[])),
      }),
      { minItems: 1, maxItems: 40 },
    ),
  }),
  damages: Type.Array(PlanDamage, { minItems: 1, maxItems: 40 }),
  stance: STANCE_SCHEMA,
  climate: strict({ temp_C: celsius(), rh_pct: Type.Number({ minimum: 0, maximum: 100 }) }),
  at: instant(),
  entries: Type.Optional(Type.Array(PlanEntry, { maxItems: 5000 })),
  tools: Type.Optional(
    strict({
      scale_step_g: Type.Optional(above0(100)),
      grits: Type.Optional(Type.Array(GradeInput, { maxItems: 300 })),
      drills: Type.Optional(Type.Array(above0(200), { maxItems: 300 })),
    }),
  ),
});
export type PlanInput = Static<typeof PlanInput>;

const Span = () => Type.Unsafe<readonly [number, number]>(Type.Tuple([Type.Number(), Type.Number()]));
const Amount = { mass_g: Type.Optional(Type.Number()), volume_cm3: Type.Optional(Type.Number()) };

export const PlanResult = strict({
  places: Type.Array(
    strict({
      id: Type.String(),
      damage: Type.String(),
      kind: oneOf(PLACE_KINDS),
      label: Type.String(),
      volume_cm3: Type.Optional(Type.Number()),
      area_mm2: Type.Optional(Type.Number()),
      film_mm: Type.Optional(Type.Number()),
      gap_mm: Type.Optional(Type.Number()),
      gap_from_mm: Type.Optional(Type.Number()),
      depth_mm: Type.Optional(Type.Number()),
      open_behind: Type.Optional(Type.Boolean()),
    }),
  ),
  ways: Type.Array(strict({ damage: Type.String(), way: Type.String(), label: Type.String(), because: Type.Optional(Type.String()) })),
  links: Type.Array(
    strict({
      id: Type.String(),
      place: Type.String(),
      role: Role,
      class: Class,
      verdict: oneOf(["fits", "fits-if", "refused"] as const),
      overridden: Type.Optional(Type.String()),
      ...LinkByHand,
      reasons: Type.Array(strict({ rule: Type.String(), effect: Type.String(), text: Type.String() })),
    }),
  ),
  operations: Type.Array(
    strict({
      id: Type.String(),
      name: Type.String(),
      n: Type.Optional(Type.Integer()),
      of: Type.Optional(Type.Integer()),
      round: Type.Integer(),
      station: oneOf(STATIONS.map(({ station }) => station)),
      damages: Type.Array(Type.String()),
      places: Type.Array(Type.String()),
      kind: oneOf(OPERATION_KINDS),
      title: Type.String(),
      text: Type.String(),
      why: Type.String(),
      role: Type.Optional(Role),
      class: Type.Optional(Class),
      need_cm3: Type.Optional(Type.Number()),
      waste_pct: Type.Optional(Type.Number()),
      ...Amount,
      mixed: Type.Optional(Type.Literal(true)),
      parts: Type.Optional(Type.Array(strict({ name: Type.String(), mass_g: Type.Number() }))),
      batches: Type.Optional(Type.Integer()),
      /** How many places that are alike it is for. */
      count: Type.Optional(Type.Integer()),
      portions: Type.Optional(Type.Array(strict({ place: Type.String(), mass_g: Type.Number() }))),
      thickness_mm: Type.Optional(Type.Number()),
      hands_min: Span(),
      after: Type.Array(
        strict({
          op: Type.String(),
          min_min: Type.Number(),
          min_range: Span(),
          max_min: Type.Optional(Type.Number()),
          max_range: Type.Optional(Span()),
          because: Type.String(),
          stage: Type.Optional(oneOf(STAGES)),
          closes: Type.Optional(oneOf(STAGES)),
          /** How much of the thickness that was laid lies where this is waited for; absent = all of it. */
          share: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 1 })),
          closes_share: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 1 })),
        }),
      ),
      uses: Type.Optional(Type.Array(Type.String())),
      cautions: Type.Array(Type.String()),
      mind: Type.Array(strict({ rule: Type.String(), text: Type.String() })),
      done_when: Type.String(),
      status: oneOf(["open", "running", "done", "skipped"] as const),
      link: Type.Optional(Type.String()),
      starts: Type.Optional(oneOf(["mixed", "clamped", "coated"] as const)),
      layer: Type.Optional(Type.Integer()),
      layers: Type.Optional(Type.Integer()),
      coat: Type.Optional(Type.Integer()),
      coats: Type.Optional(Type.Integer()),
      coat_name: Type.Optional(oneOf(COAT_NAMES as readonly CoatName[])),
      grade: Type.Optional(GradeSchema),
      /** Papers that it takes along beside its grade. */
      papers: Type.Optional(Type.Array(GradeSchema)),
      abrasive: Type.Optional(Type.String()),
      figures: Type.Optional(Type.Record(Type.String(), Type.Number())),
    }),
  ),
  hands_min: Span(),
  elapsed_min: Span(),
  cost_eur: Span(),
  refer: Type.Array(strict({ code: Type.String(), message: Type.String() })),
  basis: strict({ formula: Type.String(), source: Type.String() }),
  warnings: Type.Array(strict({ code: Type.String(), message: Type.String() })),
});
export type PlanResult = Static<typeof PlanResult>;
export type Operation = PlanResult["operations"][number];
