import { type ClassName, classRow, type Figures, type MaterialClass, materialOf, middle } from "../catalogue";
import type { Need as CabinetNeed, Jar, Shelf } from "../match/case";
import type { Need } from "./needs";

/** A jar, tube or bag. Grams; dates as `2026-10-07`. */
export interface StockLot {
  readonly id: string;
  readonly label: string;
  readonly size_g: number;
  readonly left_g: number;
  readonly opened?: string;
  readonly expires?: string;
  readonly price_eur?: number;
  readonly version: number;
  /** Its account, newest first. */
  readonly changes?: readonly LotChange[];
}

/** Why what is left in a jar changed. */
export const LOT_REASONS = ["put in", "weighed", "mixed", "taken back", "thrown away", "brought in"] as const;
export type LotReason = (typeof LOT_REASONS)[number];

/** A line of a jar's account. Grams. */
export interface LotChange {
  readonly at: string;
  readonly delta_g: number;
  readonly left_g: number;
  readonly because: LotReason;
  readonly piece?: string;
  readonly by?: string;
}

/** A jar that an operation may be mixed from. */
export interface JarChoice {
  readonly lot_id: string;
  readonly label: string;
  readonly name: string;
  readonly left_g: number;
  readonly product: string;
}

/** Jars of a class with something in them that have not gone off, what goes off first first; those of the product that was chosen before all others. */
export function jarsFor(
  products: readonly StockProduct[],
  of: { readonly class: ClassName; readonly product?: string },
  now: number,
): JarChoice[] {
  const lots = products
    .filter((product) => product.class === of.class)
    .flatMap((product) => product.lots.map((lot) => ({ product, lot })))
    .filter(({ lot }) => lot.left_g > 0 && (lot.expires === undefined || daysUntil(lot.expires, now) >= 0));
  const mine = ({ product }: { product: StockProduct }) => (product.id === of.product ? 0 : 1);
  return lots
    .sort((a, b) => mine(a) - mine(b) || (a.lot.expires ?? "9999").localeCompare(b.lot.expires ?? "9999"))
    .map(({ product, lot }) => ({ lot_id: lot.id, label: lot.label, name: product.name, left_g: lot.left_g, product: product.id }));
}

/** A product of the shop's own with what is left of it. */
export interface StockProduct {
  readonly id: string;
  readonly class: ClassName;
  readonly name: string;
  readonly figures: Figures;
  readonly version: number;
  readonly lots: readonly StockLot[];
}

const DAY_MS = 86_400_000;

/** Days until a date has passed; negative when it has. */
export function daysUntil(date: string, now: number): number {
  return Math.floor((Date.parse(`${date}T23:59:59Z`) - now) / DAY_MS);
}

/** What Match may take from the cabinet: grams that have not gone off, and how long the freshest of them lasts. */
export function jarsOf(products: readonly StockProduct[], now: number): Jar[] {
  return products.map(({ id, class: name, name: called, figures, lots }) => {
    const full = lots.filter(({ left_g }) => left_g > 0);
    const good = full.filter(({ expires }) => expires === undefined || daysUntil(expires, now) >= 0);
    const counted = good.length > 0 ? good : full;
    const ends = counted.flatMap(({ expires }) => (expires === undefined ? [] : [daysUntil(expires, now)]));
    const endless = ends.length < counted.length;
    return {
      id,
      class: name,
      name: called,
      figures,
      left_g: counted.reduce((sum, { left_g }) => sum + left_g, 0),
      ...(endless || ends.length === 0 ? {} : { days_left: Math.max(...ends) }),
    };
  });
}

/** The cabinet as Match weighs it, with what the links of a damage take; undefined where nothing stands in it. */
export function shelfOf(products: readonly StockProduct[], need_cm3: CabinetNeed, now: number): Shelf | undefined {
  return products.length === 0 ? undefined : { jars: jarsOf(products, now), need_cm3 };
}

/** Needs that this product would meet: those that chose it, and those that chose its class without naming a jar. */
export function wantedFrom({ id, class: name }: Pick<StockProduct, "id" | "class">, needs: readonly Need[]): Need[] {
  return needs.filter((need) => (need.product === undefined ? need.class === name : need.product === id));
}

/** A lot that will have gone off before it is used up. */
export interface GoingOff {
  readonly product: StockProduct;
  readonly lot: StockLot;
  readonly days: number;
  /** What goes to waste, in euro, from the lot's own price or the middle of its class's. */
  readonly worth_eur: number;
  readonly wanted: readonly Need[];
  /** Grams that nobody on the list wants. */
  readonly over_g: number;
}

/** Within this many days a lot is asked after. */
export const SOON_DAYS = 60;

/** What will go off before it is used, what goes first first. */
export function goingOff(products: readonly StockProduct[], needs: readonly Need[], now: number): GoingOff[] {
  return products
    .flatMap((product) => product.lots.flatMap((lot) => lotGoingOff(product, lot, wantedFrom(product, needs), now)))
    .sort((a, b) => a.days - b.days);
}

function lotGoingOff(product: StockProduct, lot: StockLot, wanted: readonly Need[], now: number): GoingOff[] {
  if (lot.expires === undefined || lot.left_g <= 0) return [];
  const days = daysUntil(lot.expires, now);
  const over_g = lot.left_g - wanted.reduce((sum, { grams }) => sum + grams, 0);
  if (days > SOON_DAYS || over_g <= 0) return [];
  const per_g = lot.price_eur !== undefined && lot.size_g > 0 ? lot.price_eur / lot.size_g : middle(rowOf(product).price_eur_kg) / 1000;
  return [{ product, lot, days, worth_eur: over_g * per_g, wanted, over_g }];
}

/** The material that a product is, with its own figures. */
export function rowOf({ class: name, name: called, figures }: Pick<StockProduct, "class" | "name" | "figures">): MaterialClass {
  return materialOf(name, { name: called, figures });
}

/** When a jar opened on `opened` goes off by its class, where its own date is not known: the short end of the range. */
export function expiryByClass(name: ClassName, opened: string): string {
  const [months] = classRow(name).shelf_months;
  const end = new Date(`${opened}T12:00:00Z`);
  end.setUTCDate(end.getUTCDate() + Math.round(months * 30.4));
  return end.toISOString().slice(0, 10);
}
