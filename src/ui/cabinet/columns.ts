import { GROUP_LABELS, GROUPS, type Group } from "@/core/catalogue";
import type { ProductRow } from "@/core/views/cabinetRows";

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
