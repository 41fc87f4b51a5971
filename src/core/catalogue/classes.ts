import { ADHESIVES } from "./adhesives.data";
import { BRACES } from "./braces.data";
import { COATS } from "./coats.data";
import { FILLS } from "./fills.data";
import type { ClassRow } from "./materialClass";
import { RELEASES } from "./releases.data";

/** Every generic class of material, in the order in which ties are resolved. A new class is one more row in its table. */
const CLASSES = [...ADHESIVES, ...BRACES, ...FILLS, ...COATS, ...RELEASES] as const;

export type ClassName = (typeof CLASSES)[number]["class"];
export type MaterialClass = ClassRow & { readonly class: ClassName };

export const CLASS_ROWS: readonly MaterialClass[] = CLASSES;

const rows: ReadonlyMap<string, MaterialClass> = new Map(CLASS_ROWS.map((row) => [row.class, row]));

/** The row of a class. @throws {RangeError} on a name that is not in the catalogue */
export function classRow(name: ClassName): MaterialClass {
  const row = rows.get(name);
  if (!row) throw new RangeError(`unknown class: ${name}`);
  return row;
}
