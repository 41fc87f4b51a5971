import { type Static, Type } from "@sinclair/typebox";
import { SUBSTRATES, type Substrate } from "../catalogue";
import { above0, carried, from0, oneOf, strict } from "../units/schema";

export const BRACE_JOINTS = ["break-along", "break-across", "butt", "crack", "tear", "build-up"] as const;
export type BraceJoint = (typeof BRACE_JOINTS)[number];

export const BRACE_KINDS = ["dowel", "pin", "spline", "cleat", "wire", "screw", "patch", "none"] as const;
export type BraceKind = (typeof BRACE_KINDS)[number];

/** How a piece is used, where no load is known. */
const BRACE_USES = ["looked-at", "handled", "played", "carried"] as const;
export type BraceUse = (typeof BRACE_USES)[number];

/** Lengths, counts and slopes of a brace by their names, each as large as a thing on a bench can be. */
export const BraceSize = Type.Record(Type.String({ maxLength: 40 }), Type.Number({ minimum: 0, maximum: 10_000 }), { maxProperties: 40 });

const Rectangle = strict({ width_mm: above0(5000), height_mm: above0(5000) });
const Round = strict({ diameter_mm: above0(5000) });

export const BraceInput = strict({
  joint: oneOf(BRACE_JOINTS),
  /** `height_mm` lies in the direction of the load. */
  section: Type.Unsafe<Static<typeof Rectangle> | Static<typeof Round>>({
    type: "object",
    properties: { width_mm: above0(5000), height_mm: above0(5000), diameter_mm: above0(5000) },
    additionalProperties: false,
    oneOf: [{ required: ["width_mm", "height_mm"] }, { required: ["diameter_mm"] }],
  }),
  slope_length_mm: Type.Optional(above0(10_000)),
  crack_length_mm: Type.Optional(above0(10_000)),
  load_N: Type.Optional(from0(1e6)),
  lever_mm: Type.Optional(from0(20_000)),
  /** Where no load is given: what hands do to it. */
  use: Type.Optional(oneOf(BRACE_USES)),
  /** How far the faces stay apart, on the mean: a thick line of glue holds less. */
  gap_mm: Type.Optional(from0(50)),
  material: oneOf(SUBSTRATES.map(({ substrate }) => substrate) as Substrate[]),
  brace: Type.Optional(oneOf(BRACE_KINDS)),
  /** Of shards: how many, and whether a closed body holds them. */
  pieces: Type.Optional(Type.Integer({ minimum: 2, maximum: 500 })),
  support: Type.Optional(oneOf(["body", "beam"] as const)),
});
export type BraceInput = Static<typeof BraceInput>;

export const BraceResult = strict({
  needed: oneOf(["yes", "no", "optional"] as const),
  safety_without: Type.Number(),
  safety_with: Type.Number(),
  options: Type.Array(
    strict({ kind: oneOf(BRACE_KINDS), size: Type.Record(Type.String(), Type.Number()), reasons: Type.Array(Type.String()) }),
  ),
  ...carried,
});
export type BraceResult = Static<typeof BraceResult>;
