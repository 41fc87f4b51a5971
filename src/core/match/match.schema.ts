import { type Static, Type } from "@sinclair/typebox";
import { CLASS_ROWS, type ClassName, DAMAGE_KINDS, FINISHES, type Finish, ROLES, STANCES, SUBSTRATES, type Substrate } from "../catalogue";
import { carried, celsius, from0, oneOf, strict } from "../units/schema";

/** Kind, the two measures that decide, and any further measure whose name ends in its unit. */
const MatchDamage = Type.Unsafe<{ kind: (typeof DAMAGE_KINDS)[number]; gap_mm?: number; depth_mm?: number; closes?: boolean }>({
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
    shards: Type.Integer({ minimum: 1, maximum: 10_000 }),
    count: Type.Integer({ minimum: 1, maximum: 10_000 }),
  },
  patternProperties: { "^[a-z][a-z0-9_]*_(mm|mm2|cm2|cm3|um|N|deg)$": from0(1e9) },
  additionalProperties: false,
});

export const MatchService = strict({
  food: Type.Optional(Type.Boolean()),
  heat_C: Type.Optional(celsius()),
  wet: Type.Optional(Type.Boolean()),
  outdoor: Type.Optional(Type.Boolean()),
  flex: Type.Optional(Type.Boolean()),
  load: Type.Optional(Type.Boolean()),
  acoustic: Type.Optional(Type.Boolean()),
  touched: Type.Optional(Type.Boolean()),
});

export const MatchInput = strict({
  substrate: oneOf(SUBSTRATES.map(({ substrate }) => substrate) as Substrate[]),
  finish: Type.Optional(oneOf(FINISHES.map(({ finish }) => finish) as Finish[])),
  damage: MatchDamage,
  service: MatchService,
  working_min: Type.Optional(from0(10_000)),
  climate_C: Type.Optional(celsius()),
  stance: oneOf(STANCES),
  stock_only: Type.Optional(Type.Boolean()),
});
export type MatchInput = Static<typeof MatchInput>;

const ClassSchema = oneOf(CLASS_ROWS.map((row) => row.class) as ClassName[]);
const Role = oneOf(ROLES);
const Verdict = oneOf(["fits", "fits-if"] as const);

export const ChainLink = strict({ role: Role, class: ClassSchema });
export type ChainLink = Static<typeof ChainLink>;

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
