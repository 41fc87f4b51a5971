import { Type } from "@sinclair/typebox";
import { oneOf, strict } from "@/core/units/schema";
import { LISTS, ORDERS } from "@/core/views/listed";
import { ShopEdit } from "./inputs.schema";

const text = () => Type.String();
const uuid = () => Type.String({ format: "uuid" });
const range = () => Type.Array(Type.Number(), { minItems: 2, maxItems: 2 });
const orNull = (schema: ReturnType<typeof Type.String>) => Type.Union([schema, Type.Null()]);

/** What is answered where nothing is to be told. */
export const Nothing = strict({});
export const Here = strict({ here: Type.Literal(true) });
export const Made = strict({ id: uuid() });
export const Changed = strict({ version: Type.Integer({ minimum: 1 }) });
export const Written = strict({ id: uuid(), version: Type.Integer({ minimum: 1 }) });
export const WrittenUp = strict({
  version: Type.Integer({ minimum: 0 }),
  written: Type.Array(strict({ key: Type.String(), id: uuid() })),
  refused: Type.Array(
    strict({ key: Type.String(), detail: Type.String(), errors: Type.Array(strict({ path: Type.String(), message: Type.String() })) }),
  ),
});
export const MadePiece = strict({ id: uuid(), treatment_id: uuid() });
export const CameIn = strict({ treatment_id: uuid(), piece_id: uuid() });
export const ShopAnswer = ShopEdit;

export const Hits = Type.Array(
  strict({ type: oneOf(["piece", "treatment", "product"]), id: uuid(), title: text(), detail: text(), nearness: Type.Number() }),
);

const Words = { title: text(), why: text(), hands_min: Type.Number() };
/** Times in ms since the epoch. */
const Times = { from: Type.Optional(Type.Number()), until: Type.Optional(Type.Number()), since: Type.Optional(Type.Number()) };
const Brief = strict({
  closed: Type.Boolean(),
  station: text(),
  idle: strict(Words),
  acts: Type.Array(
    strict({
      ...Words,
      ...Times,
      op: text(),
      station: text(),
      tokens: Type.Array(Type.Integer()),
      never: Type.Optional(text()),
      chain_min: Type.Number(),
      in_hand: Type.Optional(Type.Literal(true)),
      hands_off: text(),
      material: Type.Optional(text()),
    }),
  ),
  broken: Type.Optional(text()),
});

const Listed = strict({
  id: uuid(),
  piece_id: uuid(),
  title: text(),
  piece: text(),
  reference: text(),
  owner_reference: text(),
  kind: text(),
  substrate: text(),
  finish: text(),
  promised: orNull(Type.String({ format: "date" })),
  brief: Brief,
  damages: Type.Integer(),
  marks: Type.Record(text(), oneOf(["done", "skipped", "unneeded"])),
  others: Type.Array(strict({ id: uuid(), title: text() })),
});

export const ListAnswer = strict({
  list: oneOf([...LISTS]),
  order: oneOf([...ORDERS]),
  words: text(),
  items: Type.Array(Listed),
  next: Type.Optional(text()),
  counts: strict(Object.fromEntries(LISTS.map((list) => [list, Type.Integer({ minimum: 0 })]))),
});

const Part = strict({ name: text(), mass_g: Type.Number() });
const Share = strict({ op: text(), title: text(), class: text(), mass_g: Type.Number(), parts: Type.Array(Part) });
export const Takers = strict({
  treatments: Type.Array(strict({ treatment: uuid(), version: Type.Integer(), piece: text(), title: text(), shares: Type.Array(Share) })),
});

export const WaysAnswer = Type.Array(
  strict({
    way: text(),
    label: text(),
    how: text(),
    lost: text(),
    risk: text(),
    materials: Type.Array(text()),
    refused_because: Type.Optional(text()),
    not_first: Type.Optional(text()),
    preselected: Type.Boolean(),
    places: Type.Array(
      strict({
        label: text(),
        kind: text(),
        size: text(),
        volume_cm3: Type.Optional(Type.Number()),
        area_mm2: Type.Optional(Type.Number()),
      }),
    ),
    hands_min: range(),
    elapsed_min: range(),
    cost_eur: range(),
    conditions: Type.Integer(),
  }),
);

export const CabinetIn = strict({
  products: Type.Integer(),
  lots: Type.Integer(),
  left_out: Type.Array(strict({ line: Type.Integer(), column: Type.Optional(text()), message: text() })),
});
