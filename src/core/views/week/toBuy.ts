import { type ClassName, classRow, type Range } from "../../catalogue";
import { present } from "../../units";
import { jarsFor, type StockProduct } from "../stock";
import type { WeekPlan } from "./weekPlan";

/** A material that the open plans take and the cabinet has not enough of. Grams, €. */
export interface ToBuy {
  readonly class: ClassName;
  readonly product?: string;
  readonly name: string;
  readonly takes_g: number;
  readonly here_g: number;
  readonly missing_g: number;
  readonly eur: Range;
  /** When the first block takes more than is here, ms; absent = behind all that is planned. */
  readonly needed?: number;
  /** Whose block that is, and everyone who takes of it. */
  readonly holds_up: string;
  readonly wanted_by: readonly string[];
}

interface Taken {
  readonly piece: string;
  readonly start: number;
  readonly class: ClassName;
  readonly product?: string;
  readonly grams: number;
}

/** What has to be bought, by the day on which it is needed: block by block in the order of the plan, until what is here is used up. */
export function toBuy({ rows, left_out, now }: WeekPlan, products: readonly StockProduct[]): ToBuy[] {
  const planned = rows.flatMap(({ piece, blocks }) =>
    blocks.flatMap(({ start, takes }) => takes.map((each): Taken => ({ ...each, piece, start }))),
  );
  const later = left_out.flatMap(({ piece, blocks }) =>
    blocks.flatMap(({ takes }) => takes.map((each): Taken => ({ ...each, piece, start: Number.POSITIVE_INFINITY }))),
  );
  const taken = [...planned.sort((a, b) => a.start - b.start), ...later];
  const kinds = new Map<string, Taken[]>();
  for (const each of taken) kinds.set(keyOf(each), [...(kinds.get(keyOf(each)) ?? []), each]);
  return [...kinds.values()]
    .flatMap((all) => missingOf(all, products, now))
    .sort((a, b) => (a.needed ?? Number.MAX_VALUE) - (b.needed ?? Number.MAX_VALUE));
}

const keyOf = ({ class: name, product }: Pick<Taken, "class" | "product">) => `${name} ${product ?? ""}`;

function missingOf(all: readonly Taken[], products: readonly StockProduct[], now: number): ToBuy[] {
  const [first] = all as [Taken];
  const of = { class: first.class, ...present({ product: first.product }) };
  const here_g = jarsFor(products, of, now).reduce((sum, { left_g }) => sum + left_g, 0);
  let left = here_g;
  const short = all.find(({ grams }) => {
    left -= grams;
    return left < 0;
  });
  if (!short) return [];
  const takes_g = all.reduce((sum, { grams }) => sum + grams, 0);
  const row = classRow(first.class);
  const missing_g = takes_g - here_g;
  const [low, high] = row.price_eur_kg;
  return [
    {
      ...of,
      name: products.find(({ id }) => id === first.product)?.name ?? row.name,
      takes_g,
      here_g,
      missing_g,
      eur: [(missing_g / 1000) * low, (missing_g / 1000) * high],
      ...(Number.isFinite(short.start) ? { needed: short.start } : {}),
      holds_up: short.piece,
      wanted_by: [...new Set(all.map(({ piece }) => piece))],
    },
  ];
}
