import { type Static, Type } from "@sinclair/typebox";
import {
  CLASS_ROWS,
  type ClassName,
  FINISHES,
  type Finish,
  PIECE_KINDS,
  type PieceKind,
  ROLES,
  type Role,
  SUBSTRATES,
  type Substrate,
} from "@/core/catalogue";
import { FiguresSchema, MatchInput, OwnProductSchema } from "@/core/match/match.schema";
import { EventBody } from "@/core/record/events.schema";
import { ShopSchema } from "@/core/shop/shop.schema";
import { STANCE_SCHEMA, SurveySchema } from "@/core/survey/survey.schema";
import { celsius, instant, oneOf, strict } from "@/core/units/schema";

const id = () => Type.String({ format: "uuid" });
const line = (maxLength: number) => Type.String({ minLength: 1, maxLength, pattern: "\\S" });

const PartInput = strict({
  name: line(200),
  substrate: oneOf(SUBSTRATES.map(({ substrate }) => substrate) as Substrate[]),
  finish: oneOf(FINISHES.map(({ finish }) => finish) as Finish[]),
  finish_to_be: Type.Optional(oneOf(FINISHES.map(({ finish }) => finish) as Finish[])),
});

/** A part with the sender's id: known to the piece, or new to it. */
const KnownPart = Type.Composite([PartInput, strict({ id: id() })], { additionalProperties: false });

const pieceFields = {
  title: line(200),
  reference: line(80),
  owner_reference: Type.String({ maxLength: 200 }),
  kind: oneOf(PIECE_KINDS.map(({ kind }) => kind) as PieceKind[]),
};

const promised = () => Type.Optional(Type.String({ format: "date" }));

/** A new piece with its first part and its first treatment. The ids are the sender's, so that a repeat is no second piece. */
export const NewPiece = strict({
  id: id(),
  treatment_id: id(),
  ...pieceFields,
  part: PartInput,
  treatment_title: line(200),
  promised: promised(),
});
export type NewPiece = Static<typeof NewPiece>;

/** `version` is the one that was read: an edit made since is told, not overwritten. */
export const PieceEdit = strict({
  version: Type.Integer({ minimum: 1 }),
  ...pieceFields,
  /** All parts of the piece: those that are missing are taken away, where nothing is mended on them. */
  parts: Type.Array(KnownPart, { minItems: 1, maxItems: 40 }),
});
export type PieceEdit = Static<typeof PieceEdit>;

/** `part`: one of the piece, or a new one; absent = its first. */
export const NewTreatment = strict({ id: id(), title: line(200), promised: promised(), part: Type.Optional(KnownPart) });
export type NewTreatment = Static<typeof NewTreatment>;

/** The air of what is started is to be that of its own hour, as it was read or set here then. */
const airThen = () => Type.Optional(Type.Boolean());

/** An entry for the log. `version` counts the log as the writer saw it; `key` makes a repeat one entry. */
export const NewEntry = strict({
  key: Type.String({ minLength: 8, maxLength: 80 }),
  version: Type.Integer({ minimum: 0 }),
  body: EventBody,
  corrects: Type.Optional(id()),
  minutes_ago: Type.Optional(Type.Number({ minimum: 0, maximum: 2880 })),
  /** When it was done, where that is longer ago. */
  at: Type.Optional(instant()),
  air_then: airThen(),
  /** Who did it, as they call themselves. */
  by: Type.Optional(line(200)),
});
export type NewEntry = Static<typeof NewEntry>;

/** What was done before it is written: several entries at their own times, in one go. `version` counts the log as the writer saw it. */
export const WriteUp = strict({
  version: Type.Integer({ minimum: 0 }),
  entries: Type.Array(
    strict({
      key: Type.String({ minLength: 8, maxLength: 80 }),
      body: EventBody,
      at: Type.Optional(instant()),
      air_then: airThen(),
      by: Type.Optional(line(200)),
    }),
    { minItems: 1, maxItems: 200 },
  ),
});
export type WriteUp = Static<typeof WriteUp>;

/** A damage that is taken out of a treatment into one of its own, `to`. */
export const NewApart = strict({
  to: id(),
  damage: Type.String({ pattern: "^[a-z][a-z0-9-]*$", maxLength: 40 }),
  version: Type.Integer({ minimum: 0 }),
  title: line(200),
  by: Type.Optional(line(200)),
});

/** A mix for several operations, of one or several treatments. What each takes and what is left add up to what was weighed. */
export const NewBatch = strict({
  id: id(),
  class: oneOf(CLASS_ROWS.map((row) => row.class) as ClassName[]),
  product: Type.Optional(OwnProductSchema),
  lot_id: Type.Optional(id()),
  lot: Type.Optional(line(120)),
  parts: Type.Array(
    strict({ name: line(200), planned_g: Type.Number({ minimum: 0, maximum: 1e6 }), actual_g: Type.Number({ minimum: 0, maximum: 1e6 }) }),
    {
      minItems: 1,
      maxItems: 20,
    },
  ),
  portions: Type.Array(
    strict({
      treatment: id(),
      /** Version of its log as the writer saw it. */
      version: Type.Integer({ minimum: 0 }),
      op: Type.String({ minLength: 1, maxLength: 200 }),
      mass_g: Type.Number({ exclusiveMinimum: 0, maximum: 1e6 }),
    }),
    { minItems: 2, maxItems: 50 },
  ),
  left_g: Type.Number({ minimum: 0, maximum: 1e6 }),
  left_over: oneOf(["thrown", "kept"] as const),
  climate: strict({ temp_C: celsius(), rh_pct: Type.Number({ minimum: 0, maximum: 100 }) }),
  hands_min: Type.Optional(Type.Number({ minimum: 0, maximum: 10_000 })),
  /** How long ago it was mixed: it waited on its device. */
  minutes_ago: Type.Optional(Type.Number({ minimum: 0, maximum: 2880 })),
  by: Type.Optional(line(200)),
});
export type NewBatch = Static<typeof NewBatch>;

export const ClimateInput = strict({
  source: oneOf(["hand", "sensor"] as const),
  temp_C: celsius(),
  rh_pct: Type.Number({ minimum: 0, maximum: 100 }),
});
export type ClimateInput = Static<typeof ClimateInput>;

export const PhotographQuery = strict({
  id: id(),
  moment: oneOf(["before", "during", "after"] as const),
  caption: Type.String({ maxLength: 300 }),
});

const lotFields = {
  label: line(80),
  size_g: Type.Number({ exclusiveMinimum: 0, maximum: 1e6 }),
  left_g: Type.Number({ minimum: 0, maximum: 1e6 }),
  opened: Type.Optional(Type.String({ format: "date" })),
  expires: Type.Optional(Type.String({ format: "date" })),
  price_eur: Type.Optional(Type.Number({ minimum: 0, maximum: 1e6 })),
};

const productFields = { name: line(200), class: oneOf(CLASS_ROWS.map((row) => row.class) as ClassName[]), figures: FiguresSchema };

/** A product that is put in the cabinet with its first jar. */
export const NewProduct = strict({ id: id(), ...productFields, lot: strict({ id: id(), ...lotFields }) });

/** `version` is the one that was read: an edit made since is told, not overwritten. */
export const ProductEdit = strict({ version: Type.Integer({ minimum: 1 }), ...productFields });

export const NewLot = strict({ id: id(), ...lotFields });
export const LotEdit = strict({ version: Type.Integer({ minimum: 1 }), ...lotFields });

/** The whole shop; `version` is the one that was read. */
export const ShopEdit = Type.Composite([ShopSchema, strict({ version: Type.Integer({ minimum: 0 }) })], { additionalProperties: false });

/** `damage`: of this treatment; `part` where it is on another part than the first. */
export const WaysQuestion = strict({ survey: SurveySchema, stance: STANCE_SCHEMA, part: Type.Optional(id()) });

const { stance: _stance, ...asked } = MatchInput.properties;
const byRole = () =>
  Type.Unsafe<Partial<Record<Role, string>>>({
    type: "object",
    propertyNames: { enum: [...ROLES] },
    additionalProperties: { type: "string", minLength: 1, maxLength: 2000 },
  });

/** What is asked at Match: whose stance, which link, what if, and what was picked. */
export const DeskInput = strict({
  stance: STANCE_SCHEMA,
  role: Type.Optional(oneOf([...ROLES])),
  what_if: Type.Optional(strict(asked)),
  picks: byRole(),
  forced: byRole(),
  shown: Type.Optional(byRole()),
  why_not: Type.Optional(Type.String({ maxLength: 60 })),
});
