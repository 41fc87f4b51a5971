import { LockMode } from "@mikro-orm/core";
import { type ClassName, type Figures, figureErrors } from "@/core/catalogue";
import { counted } from "@/core/units";
import type { Need } from "@/core/views/needs";
import { type GoingOff, goingOff, type LotReason, type StockProduct } from "@/core/views/stock";
import { type CabinetLine, type LineError, readCabinetCsv, writeCabinetCsv } from "@/formats/cabinetCsv";
import { type ILot, type IProduct, Lot, Product } from "@/store/entities";
import { openNeeds } from "@/store/heads";
import { type Em, em as openEm } from "@/store/orm";
import { cabinet, holdCabinet, lotChanges } from "@/store/queries";
import { airNow } from "./climate";
import { refreshOpen } from "./heads";
import { LotEdit, NewLot, NewProduct, ProductEdit } from "./inputs.schema";
import { changeLot, heldLot } from "./jars";
import { found, once } from "./once";
import { parse } from "./parse";
import { collided, invalid, notFound } from "./problems";

export interface CabinetPage {
  readonly products: readonly StockProduct[];
  /** What the open treatments will still take. */
  readonly needs: readonly Need[];
  readonly going_off: readonly GoingOff[];
  readonly now: number;
}

/** So many lines of each jar's account are shown. */
const MOST_CHANGES = 6;

/** So many pieces that want a material are named; the others are counted. */
const MOST_WANTED = 5;

const ofOthers = (need: Need, others: number, grams: number): Need => ({
  ...need,
  treatment: `${others} others`,
  piece: counted(others, "more piece"),
  grams,
});

export async function cabinetPage(now: Date): Promise<CabinetPage> {
  const em = await openEm();
  await refreshOpen(em, now, await airNow(em, now));
  const [stock, changes, asked] = await Promise.all([cabinet(em), lotChanges(em, MOST_CHANGES), openNeeds<Need>(em, MOST_WANTED)]);
  const needs = asked.map(({ need, others, grams }) => (others === 0 ? need : ofOthers(need, others, grams)));
  const products = stock.map((product) => ({
    ...product,
    lots: product.lots.map((lot) => ({ ...lot, changes: changes.get(lot.id) ?? [] })),
  }));
  return { products, needs, going_off: goingOff(products, needs, now.getTime()), now: now.getTime() };
}

/** Put a product with its first jar in; a repeat with the same id is answered, not doubled. */
export async function addProduct(input: unknown, now: Date): Promise<{ id: string }> {
  const { id, lot, ...product } = parse(NewProduct, input);
  checkFigures(product.class, product.figures);
  const here = (tx: Em) => found(tx.findOne(Lot, { id: lot.id, product: id }));
  await once(here, async (tx) => {
    // the same, sent at the same moment, is no twin: its id stops it
    await refuseTwin(tx, product, id);
    const made = tx.create(Product, { id, ...trimmed(product), createdAt: now, version: 1 });
    putIn(tx, made, lot, lot.id, now, "put in");
  });
  return { id };
}

/** Change what is known of a product. @throws {WorkProblem} 409 when it was changed since it was read */
export async function editProduct(id: string, input: unknown): Promise<{ version: number }> {
  const { version, ...fields } = parse(ProductEdit, input);
  checkFigures(fields.class, fields.figures);
  const em = await openEm();
  return em.transactional(async (tx) => {
    const product = await heldProduct(tx, id);
    if (product.version !== version) throw collided("This product was changed in another window since you opened it.");
    await refuseTwin(tx, fields, id);
    tx.assign(product, { ...trimmed(fields), version: version + 1 });
    return { version: version + 1 };
  });
}

export async function addLot(productId: string, input: unknown, now: Date): Promise<{ id: string }> {
  const lot = parse(NewLot, input);
  const here = (tx: Em) => found(tx.findOne(Lot, { id: lot.id, product: productId }));
  await once(here, async (tx) => {
    const product = await heldProduct(tx, productId);
    if (await tx.findOne(Lot, { product: productId, label: lot.label.trim(), id: { $ne: lot.id } }))
      throw invalid([{ path: "/label", message: `a lot “${lot.label.trim()}” is here already` }]);
    putIn(tx, product, lot, lot.id, now, "put in");
  });
  return { id: lot.id };
}

/** Weigh a jar, or correct what is known of it. @throws {WorkProblem} 409 when it was changed since it was read */
export async function editLot(id: string, input: unknown, now: Date): Promise<{ version: number }> {
  const { version, ...fields } = parse(LotEdit, input);
  const em = await openEm();
  return em.transactional(async (tx) => {
    const lot = await heldLot(tx, id);
    if (lot.version !== version) throw collided("This jar was weighed in another window since you opened it.");
    bringTo(tx, lot, fields, now, "weighed");
    return { version: version + 1 };
  });
}

export interface Imported {
  readonly products: number;
  readonly lots: number;
  /** Lines that were left out, because the user said so. */
  readonly left_out: readonly LineError[];
}

/**
 * Take a cabinet in from CSV: all of it, or with one bad line nothing, unless `skip_bad` says to leave those out.
 * A lot that is here already, by product and label, is brought to what the file says.
 * @throws {WorkProblem} 422 with an error for each line that is wrong
 */
export async function importCabinet(text: string, skip_bad: boolean, now: Date): Promise<Imported> {
  const { lines, errors } = readCabinetCsv(text);
  if (errors.length > 0 && (!skip_bad || lines.length === 0)) throw invalid(errors.map(pathOf), wrongLines(errors, lines.length));
  const bad = new Set(errors.map(({ line }) => line));
  const good = lines.filter(({ line }) => !bad.has(line));
  const em = await openEm();
  const products = await em.transactional((tx) => keepLines(tx, good, now));
  return { products, lots: good.length, left_out: errors };
}

export async function exportCabinet(): Promise<string> {
  return writeCabinetCsv(await cabinet(await openEm()));
}

const pathOf = ({ line, column, message }: LineError) => ({ path: `/lines/${line}${column ? `/${column}` : ""}`, message });

function wrongLines(errors: readonly LineError[], right: number): string {
  const count = new Set(errors.map(({ line }) => line)).size;
  return `${counted(count, "line is", "lines are")} wrong, so nothing was taken in. ${counted(right, "is", "are")} right.`;
}

async function keepLines(tx: Em, lines: readonly CabinetLine[], now: Date): Promise<number> {
  await holdCabinet(tx);
  const known = await tx.find(Product, { deletedAt: null }, { populate: ["lots"] });
  const keyOf = (product: { class: ClassName; name: string }) => `${product.class} ${product.name.toLowerCase()}`;
  const byKey = new Map<string, IProduct>(known.map((product) => [keyOf(product), product]));
  const touched = new Set<IProduct>();
  for (const { name, class: material, figures, lot } of lines) {
    const here = byKey.get(keyOf({ class: material, name }));
    const product = here ?? tx.create(Product, { id: crypto.randomUUID(), class: material, name, figures, createdAt: now, version: 1 });
    if (here && !touched.has(here)) tx.assign(here, { figures, version: here.version + 1 });
    byKey.set(keyOf(product), product);
    touched.add(product);
    const jar = here?.lots.getItems().find(({ label }) => label === lot.label);
    if (jar) bringTo(tx, jar, lot, now, "brought in");
    else putIn(tx, product, lot, crypto.randomUUID(), now, "brought in");
  }
  return touched.size;
}

/** A new jar, with the first line of its account. */
function putIn(tx: Em, product: IProduct, fields: CabinetLine["lot"], id: string, at: Date, because: LotReason): void {
  const lot = tx.create(Lot, { id, product, ...lotColumns(fields), leftG: 0, version: 0 });
  changeLot(tx, lot, fields.left_g, { at, because });
}

/** A jar as it is known now; where another amount is left, its account says so. */
function bringTo(tx: Em, lot: ILot, fields: CabinetLine["lot"], at: Date, because: LotReason): void {
  const { leftG, ...columns } = lotColumns(fields);
  tx.assign(lot, columns);
  if (leftG !== Number(lot.leftG)) changeLot(tx, lot, leftG - Number(lot.leftG), { at, because });
  else tx.assign(lot, { version: lot.version + 1 });
}

async function heldProduct(tx: Em, id: string): Promise<IProduct> {
  const product = await tx.findOne(Product, { id, deletedAt: null }, { lockMode: LockMode.PESSIMISTIC_WRITE });
  if (!product) throw notFound("This product");
  return product;
}

/** Two products of one class and name could not be told apart in a list. */
async function refuseTwin(tx: Em, { class: material, name }: { class: ClassName; name: string }, own?: string): Promise<void> {
  await holdCabinet(tx);
  const twins = await tx.find(Product, { class: material, deletedAt: null, ...(own ? { id: { $ne: own } } : {}) });
  if (twins.some((twin) => twin.name.toLowerCase() === name.trim().toLowerCase()))
    throw invalid([{ path: "/name", message: "is in the cabinet already: add a jar to it" }]);
}

function checkFigures(material: ClassName, figures: Figures): void {
  const errors = Object.entries(figureErrors(material, figures)).map(([figure, message]) => ({ path: `/figures/${figure}`, message }));
  if (errors.length > 0) throw invalid(errors);
}

const trimmed = <T extends { name: string }>(fields: T): T => ({ ...fields, name: fields.name.trim() });

function lotColumns({ label, size_g, left_g, opened, expires, price_eur }: CabinetLine["lot"]) {
  return {
    label: label.trim(),
    sizeG: size_g,
    leftG: left_g,
    opened: opened ?? null,
    expires: expires ?? null,
    priceEur: price_eur ?? null,
  };
}
