import { classRow, type Group, type Hatch } from "../catalogue";
import type { Need } from "./needs";
import { daysUntil, expiryByClass, SOON_DAYS, type StockProduct, wantedFrom } from "./stock";

/** A product as the table shows it. */
export interface ProductRow {
  readonly product: StockProduct;
  readonly group: Group;
  readonly class_name: string;
  readonly hatch: Hatch;
  readonly left_g: number;
  readonly size_g: number;
  readonly opened?: string;
  /** When the first jar that still holds something goes off. */
  readonly expires?: string;
  /** By its class, where no jar has a date. */
  readonly about?: string;
  readonly freshness: "gone" | "weeks" | "good";
  readonly days?: number;
  readonly price_eur_kg?: number;
  readonly wanted: readonly Need[];
}

/** The products of the cabinet with all that the list shows of them. */
export function rowsOf(products: readonly StockProduct[], needs: readonly Need[], now: number): ProductRow[] {
  return products.map((product) => {
    const material = classRow(product.class);
    const full = product.lots.filter(({ left_g }) => left_g > 0);
    const expires = first(full.flatMap((lot) => lot.expires ?? []));
    const opened = first(full.flatMap((lot) => lot.opened ?? []));
    const priced = product.lots.find(({ price_eur }) => price_eur !== undefined);
    return {
      product,
      group: material.group,
      class_name: material.name,
      hatch: material.hatch,
      left_g: sum(product.lots.map(({ left_g }) => left_g)),
      size_g: sum(full.map(({ size_g }) => size_g)),
      wanted: wantedFrom(product, needs),
      ...(opened ? { opened } : {}),
      ...(expires ? { expires, days: daysUntil(expires, now) } : {}),
      ...(opened && !expires ? { about: expiryByClass(product.class, opened) } : {}),
      freshness: freshness(expires === undefined ? undefined : daysUntil(expires, now)),
      ...(priced?.price_eur === undefined ? {} : { price_eur_kg: (priced.price_eur / priced.size_g) * 1000 }),
    };
  });
}

const sum = (list: readonly number[]) => list.reduce((total, each) => total + each, 0);
const first = (dates: readonly string[]): string | undefined => [...dates].sort()[0];

/** Gone off, going off within weeks, or neither. */
function freshness(days: number | undefined): ProductRow["freshness"] {
  if (days === undefined || days > SOON_DAYS) return "good";
  return days < 0 ? "gone" : "weeks";
}
