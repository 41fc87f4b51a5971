import { type Static, Type } from "@sinclair/typebox";
import { ABRASIVE_SYSTEMS, type AbrasiveSystem } from "../catalogue";
import { carried, oneOf, strict } from "../units/schema";

const LadderSystem = oneOf(Object.keys(ABRASIVE_SYSTEMS) as AbrasiveSystem[]);

/** A grade is its number; text such as "P240", "#240" or "240" is taken too and answered in the same form. */
export const GradeInput = strict({
  system: LadderSystem,
  grade: Type.Unsafe<number | string>({
    anyOf: [
      { type: "number", exclusiveMinimum: 0, maximum: 100_000 },
      { type: "string", pattern: "^[P#]?[0-9]+(\\.[0-9]+)?$" },
    ],
  }),
});
export type GradeInput = Static<typeof GradeInput>;

export const LadderInput = strict({
  from: GradeInput,
  to: GradeInput,
  max_step_ratio: Type.Optional(Type.Number({ exclusiveMinimum: 1, maximum: 100 })),
  stock: Type.Optional(Type.Array(GradeInput, { minItems: 1, maxItems: 500 })),
  repeat_from: Type.Optional(GradeInput),
});
export type LadderInput = Static<typeof LadderInput>;

const GradeOut = Type.Unsafe<number | string>({ type: ["number", "string"] });

export const LadderResult = strict({
  steps: Type.Array(
    strict({
      system: LadderSystem,
      grade: GradeOut,
      micron: Type.Number(),
      micron_range: Type.Optional(Type.Array(Type.Number(), { minItems: 2, maxItems: 2 })),
    }),
  ),
  ratios: Type.Array(Type.Number()),
  gaps: Type.Array(strict({ after: strict({ system: LadderSystem, grade: GradeOut }), ratio: Type.Number() })),
  ...carried,
});
export type LadderResult = Static<typeof LadderResult>;
