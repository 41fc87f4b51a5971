import { classRow, GROUP_LABELS, GROUPS, type Group } from "@/core/catalogue";
import type { Need } from "@/core/views/needs";
import { daysUntil, SOON_DAYS, type StockProduct, wantedFrom } from "@/core/views/stock";

/** A product as the table shows it. */
export interface ProductRow {
  readonly product: StockProduct;
  readonly group: Group;
  readonly class_name: string;
  readonly left_g: number;
  readonly size_g: number;
  readonly opened?: string;
  /** When the first jar that still holds something goes off. */
  readonly expires?: string;
  readonly days?: number;
  readonly price_eur_kg?: number;
  readonly wanted: readonly Need[];
}

export function rowsOf(products: readonly StockProduct[], needs: readonly Need[], now: number): ProductRow[] {
  return products.map((product) => {
    const full = product.lots.filter(({ left_g }) => left_g > 0);
    const expires = first(full.flatMap((lot) => lot.expires ?? []));
    const opened = first(full.flatMap((lot) => lot.opened ?? []));
    const priced = product.lots.find(({ price_eur }) => price_eur !== undefined);
    return {
      product,
      group: classRow(product.class).group,
      class_name: classRow(product.class).name,
      left_g: sum(product.lots.map(({ left_g }) => left_g)),
      size_g: sum(full.map(({ size_g }) => size_g)),
      wanted: wantedFrom(product, needs),
      ...(opened ? { opened } : {}),
      ...(expires ? { expires, days: daysUntil(expires, now) } : {}),
      ...(priced?.price_eur === undefined ? {} : { price_eur_kg: (priced.price_eur / priced.size_g) * 1000 }),
    };
  });
}

const sum = (list: readonly number[]) => list.reduce((total, each) => total + each, 0);
const first = (dates: readonly string[]): string | undefined => [...dates].sort()[0];

type SortKey = "name" | "left" | "opened" | "expires" | "price";

const LATE = "9999";

export const SORTS: Readonly<Record<SortKey, (a: ProductRow, b: ProductRow) => number>> = {
  name: (a, b) => a.product.name.localeCompare(b.product.name),
  left: (a, b) => a.left_g - b.left_g,
  opened: (a, b) => (a.opened ?? LATE).localeCompare(b.opened ?? LATE),
  expires: (a, b) => (a.expires ?? LATE).localeCompare(b.expires ?? LATE),
  price: (a, b) => (a.price_eur_kg ?? 0) - (b.price_eur_kg ?? 0),
};

/** The shelves of the catalogue on which something stands, with how many. */
export function shelvesOf(rows: readonly ProductRow[]): ReadonlyArray<readonly [group: Group, label: string, count: number]> {
  return GROUPS.flatMap((group): [Group, string, number][] => {
    const count = rows.filter((row) => row.group === group).length;
    return count > 0 ? [[group, GROUP_LABELS[group], count]] : [];
  });
}

/** Gone off, going off within weeks, or neither. */
export function freshness({ days }: Pick<ProductRow, "days">): "gone" | "weeks" | "good" {
  if (days === undefined || days > SOON_DAYS) return "good";
  return days < 0 ? "gone" : "weeks";
}
