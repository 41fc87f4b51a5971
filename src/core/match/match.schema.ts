import { type Static, type TSchema, Type } from "@sinclair/typebox";
import {
  CLASS_ROWS,
  type ClassName,
  COAT_NAMES,
  DAMAGE_KINDS,
  EARLIER_GLUES,
  type EarlierGlue,
  FIGURE_ROWS,
  FINISHES,
  type Figures,
  type Finish,
  FLAGS,
  type Flag,
  ROLES,
  STANCES,
  SUBSTRATES,
  type Substrate,
} from "../catalogue";
import { carried, celsius, from0, oneOf, strict } from "../units/schema";

interface MatchDamage {
  kind: (typeof DAMAGE_KINDS)[number];
  closes?: boolean;
  shards?: number;
  tension?: boolean;
  cause_present?: boolean;
  broken?: boolean;
  film_um?: number;
  [measure: `${string}_mm`]: number | undefined;
}

/** Kind, the two measures that decide, and any further measure whose name ends in its unit. */
const MatchDamage = Type.Unsafe<MatchDamage>({
  type: "object",
  required: ["kind"],
  properties: {
    kind: oneOf(DAMAGE_KINDS),
    gap_mm: from0(10_000),
    depth_mm: from0(10_000),
    closes: Type.Boolean(),
    through: Type.Boolean(),
    straight: Type.Boolean(),
    cracked: Type.Boolean(),
    cause_present: Type.Boolean(),
    tension: Type.Boolean(),
    flap: Type.Boolean(),
    broken: Type.Boolean(),
    into_core: Type.Boolean(),
    flexes: Type.Boolean(),
    shards: Type.Integer({ minimum: 1, maximum: 10_000 }),
    count: Type.Integer({ minimum: 1, maximum: 10_000 }),
  },
  patternProperties: { "^[a-z][a-z0-9_]*_(mm|mm2|cm2|cm3|um|N|deg)$": from0(1e9) },
  additionalProperties: false,
});

const MatchService = strict({
  food: Type.Optional(Type.Boolean()),
  heat_C: Type.Optional(celsius()),
  wet: Type.Optional(Type.Boolean()),
  outdoor: Type.Optional(Type.Boolean()),
  flex: Type.Optional(Type.Boolean()),
  load: Type.Optional(Type.Boolean()),
  acoustic: Type.Optional(Type.Boolean()),
  touched: Type.Optional(Type.Boolean()),
  skin: Type.Optional(Type.Boolean()),
  sprung: Type.Optional(Type.Boolean()),
});

export const MatchInput = strict({
  substrate: oneOf(SUBSTRATES.map(({ substrate }) => substrate) as Substrate[]),
  finish: Type.Optional(oneOf(FINISHES.map(({ finish }) => finish) as Finish[])),
  /** What it is to have when it is done, where that is another: coats are judged by it. */
  finish_to_be: Type.Optional(oneOf(FINISHES.map(({ finish }) => finish) as Finish[])),
  damage: MatchDamage,
  service: MatchService,
  working_min: Type.Optional(from0(10_000)),
  climate_C: Type.Optional(celsius()),
  stance: oneOf(STANCES),
  stock_only: Type.Optional(Type.Boolean()),
  /** What the inspection brought to light. */
  found: Type.Optional(
    Type.Unsafe<Partial<Record<Flag, boolean>>>(strict(Object.fromEntries(FLAGS.map((flag) => [flag, Type.Optional(Type.Boolean())])))),
  ),
  earlier_glue: Type.Optional(oneOf(EARLIER_GLUES.map(({ glue }) => glue) as EarlierGlue[])),
  finish_survives: Type.Optional(Type.Boolean()),
});
export type MatchInput = Static<typeof MatchInput>;

const ClassSchema = oneOf(CLASS_ROWS.map((row) => row.class) as ClassName[]);
const Role = oneOf(ROLES);
const Verdict = oneOf(["fits", "fits-if"] as const);

/** Low and high; one figure stands twice. */
function range(limits: object = {}) {
  return Type.Unsafe<readonly [number, number]>(Type.Tuple([Type.Number(limits), Type.Number(limits)]));
}
const figures = (of: (row: (typeof FIGURE_ROWS)[number]) => TSchema) =>
  Type.Unsafe<Figures>(strict(Object.fromEntries(FIGURE_ROWS.map((row) => [row.figure, Type.Optional(of(row))]))));

/** As they are typed in the cabinet, where `figureErrors` says what a figure can be. */
export const FiguresSchema = figures(() => range());

/** As a log keeps them: each within what its figure can be. */
const FiguresKept = figures(({ limits: [minimum, maximum] }) => range({ minimum, maximum }));

export const OwnProductSchema = strict({
  id: Type.String({ format: "uuid" }),
  name: Type.String({ minLength: 1, maxLength: 200 }),
  figures: FiguresKept,
});

/** What is set of a link by hand: of a filler over another its thickness, mm; of a coat what it is, and how many of it. Links of a role follow in their order. */
export const LinkByHand = {
  mm: Type.Optional(Type.Number({ minimum: 0.001, maximum: 1000 })),
  as: Type.Optional(oneOf(COAT_NAMES)),
  coats: Type.Optional(Type.Integer({ minimum: 1, maximum: 20 })),
};

/** A link as it is chosen and kept: a jar's own figures are kept with it, so that the record needs no cabinet. */
export const ChainLink = strict({
  role: Role,
  class: ClassSchema,
  product: Type.Optional(OwnProductSchema),
  /** The one place it is for; absent = every place that takes the role. */
  place: Type.Optional(Type.String({ maxLength: 200 })),
  /** Why it was taken against a refusal. */
  because: Type.Optional(Type.String({ minLength: 1, maxLength: 2000 })),
  ...LinkByHand,
});
export type ChainLink = Static<typeof ChainLink>;

/** What was taken for a link: a class, or a jar of it. */
export type Taken = Pick<ChainLink, "class" | "product">;

export const MatchResult = strict({
  chains: Type.Array(
    strict({
      links: Type.Array(strict({ role: Role, class: ClassSchema, verdict: Verdict, reasons: Type.Array(Type.String()) })),
      score: Type.Number(),
      verdict: Verdict,
    }),
  ),
  refused: Type.Array(strict({ class: ClassSchema, role: Role, reasons: Type.Array(Type.String()), instead: Type.String() })),
  ...carried,
});
export type MatchResult = Static<typeof MatchResult>;
