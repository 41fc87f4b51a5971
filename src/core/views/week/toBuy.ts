import { type ClassName, materialOf, type Range } from "../../catalogue";
import { present } from "../../units";
import type { Take } from "../needs";
import { jarsFor, type StockProduct } from "../stock";
import type { WeekPlan } from "./weekPlan";

/** A material that the open plans take and the cabinet has not enough of. Grams, €. */
export interface ToBuy {
  readonly class: ClassName;
  readonly product?: string;
  readonly name: string;
  readonly takes_g: number;
  /** What jars cover of it. */
  readonly here_g: number;
  readonly missing_g: number;
  readonly eur: Range;
  /** When the first block takes more than is here, ms; absent = behind all that is planned. */
  readonly needed?: number;
  /** Whose block that is, and everyone who takes of it. */
  readonly holds_up: string;
  readonly wanted_by: readonly string[];
}

interface Taken extends Take {
  readonly piece: string;
  readonly start: number;
  /** What no jar covers. */
  readonly short_g: number;
}

/**
 * What has to be bought, by the day on which it is needed: block by block in the order of the plan, each out of the jars of its own product,
 * then of its class, until they are empty.
 */
export function toBuy({ rows, left_out, now }: WeekPlan, products: readonly StockProduct[]): ToBuy[] {
  const planned = rows.flatMap(({ piece, blocks }) =>
    blocks.flatMap(({ start, takes }) => takes.map((take) => ({ ...take, piece, start }))),
  );
  const later = left_out.flatMap(({ piece, blocks }) =>
    blocks.flatMap(({ takes }) => takes.map((take) => ({ ...take, piece, start: Number.POSITIVE_INFINITY }))),
  );
  const left = new Map(products.flatMap(({ lots }) => lots.map(({ id, left_g }) => [id, left_g])));
  const kinds = new Map<string, Taken[]>();
  for (const each of [...planned.sort((a, b) => a.start - b.start), ...later]) {
    const key = `${each.class} ${each.product ?? ""}`;
    kinds.set(key, [...(kinds.get(key) ?? []), { ...each, short_g: drawn(each, products, left, now) }]);
  }
  return [...kinds.values()]
    .flatMap((all) => missingOf(all, products))
    .sort((a, b) => (a.needed ?? Number.MAX_VALUE) - (b.needed ?? Number.MAX_VALUE));
}

/** Takes it out of the jars; answers what they did not hold. */
function drawn(take: Take, products: readonly StockProduct[], left: Map<string, number>, now: number): number {
  let short = take.grams;
  for (const { lot_id } of jarsFor(products, take, now)) {
    const there = left.get(lot_id) ?? 0;
    const out = Math.min(there, short);
    left.set(lot_id, there - out);
    short -= out;
  }
  return short;
}

/** Less than this nobody buys, g. */
const NOTHING_G = 1e-6;

function missingOf(all: readonly Taken[], products: readonly StockProduct[]): ToBuy[] {
  const first = all.find(({ short_g }) => short_g > NOTHING_G);
  if (!first) return [];
  const own = products.find(({ id }) => id === first.product);
  // the jar's figures before the class's
  const row = materialOf(first.class, own);
  const takes_g = all.reduce((sum, { grams }) => sum + grams, 0);
  const missing_g = all.reduce((sum, { short_g }) => sum + short_g, 0);
  const [low, high] = row.price_eur_kg;
  return [
    {
      class: first.class,
      ...present({ product: first.product }),
      name: own?.name ?? row.name,
      takes_g,
      here_g: takes_g - missing_g,
      missing_g,
      eur: [(missing_g / 1000) * low, (missing_g / 1000) * high],
      ...(Number.isFinite(first.start) ? { needed: first.start } : {}),
      holds_up: first.piece,
      wanted_by: [...new Set(all.map(({ piece }) => piece))],
    },
  ];
}
