import { type ClassName, classRow, FIGURE_ROWS, type Figure, type Figures, figureErrors } from "@/core/catalogue";
import { plain } from "@/core/units";
import type { StockLot, StockProduct } from "@/core/views/stock";
import { parseNumber } from "../forms/parse";
import type { Read } from "../forms/read";

/** A product as it is typed: text until it is read. */
export interface ProductForm {
  readonly class: ClassName | "";
  readonly name: string;
  /** `35` or `30-40`; empty = as its class. */
  readonly figures: Partial<Record<Figure, string>>;
}

export interface LotForm {
  readonly label: string;
  readonly size_g: string;
  readonly left_g: string;
  readonly opened: string;
  readonly expires: string;
  readonly price_eur: string;
}

export const EMPTY_LOT: LotForm = { label: "1", size_g: "", left_g: "", opened: "", expires: "", price_eur: "" };

export function productForm({ class: name, name: called, figures }: StockProduct): ProductForm {
  const typed = FIGURE_ROWS.flatMap(({ figure }) => (figures[figure] ? [[figure, rangeWords(figures[figure])]] : []));
  return { class: name, name: called, figures: Object.fromEntries(typed) };
}

export function lotForm({ label, size_g, left_g, opened, expires, price_eur }: StockLot): LotForm {
  return {
    label,
    size_g: plain(size_g, 2),
    left_g: plain(left_g, 2),
    opened: opened ?? "",
    expires: expires ?? "",
    price_eur: price_eur === undefined ? "" : plain(price_eur, 2),
  };
}

/** The figures that mean something for a class. */
export function figuresOf(name: ClassName) {
  const row = classRow(name);
  return FIGURE_ROWS.filter(({ of }) => of(row) !== undefined);
}

/** `30 to 40`, or `35` where both ends are the same. */
export function rangeWords([low, high]: readonly [number, number], digits = 3): string {
  return low === high ? plain(low, digits) : `${plain(low, digits)}-${plain(high, digits)}`;
}

const RANGE = /^(.+?)\s*(?:-|–|to)\s*(.+)$/;

export function readProduct(form: ProductForm): Read<{ class: ClassName; name: string; figures: Figures }> {
  const errors: Record<string, string> = {};
  if (form.class === "") errors.class = "Choose what kind of material it is.";
  if (form.name.trim() === "") errors.name = "Give it the name that is on the jar.";
  const figures: Partial<Record<Figure, readonly [number, number]>> = {};
  for (const [figure, text] of Object.entries(form.figures) as [Figure, string | undefined][]) {
    if (!text?.trim()) continue;
    const ends = RANGE.exec(text.trim())?.slice(1) ?? [text, text];
    const [low, high] = ends.map((end) => parseNumber(end));
    if (low?.ok && high?.ok) figures[figure] = [low.value, high.value];
    else errors[`figures.${figure}`] = "Write 35 or 30-40.";
  }
  if (form.class !== "")
    for (const [figure, message] of Object.entries(figureErrors(form.class, figures))) errors[`figures.${figure}`] = message;
  if (form.class === "" || Object.keys(errors).length > 0) return { ok: false, errors };
  return { ok: true, value: { class: form.class, name: form.name.trim(), figures } };
}

export type LotValue = Omit<StockLot, "id" | "version">;

export function readLot(form: LotForm): Read<LotValue> {
  const errors: Record<string, string> = {};
  const grams = (name: "size_g" | "left_g" | "price_eur", needed: boolean): number | undefined => {
    if (form[name].trim() === "") {
      if (needed) errors[name] = "Enter grams.";
      return undefined;
    }
    const parsed = parseNumber(form[name]);
    if (!parsed.ok || parsed.value < 0) errors[name] = parsed.ok ? "It can’t be below zero." : parsed.message;
    return parsed.ok ? parsed.value : undefined;
  };
  if (form.label.trim() === "") errors.label = "Mark the jar, so that you can tell it from the next.";
  const [size_g, left_g, price_eur] = [grams("size_g", true), grams("left_g", false), grams("price_eur", false)];
  if (size_g === 0) errors.size_g = "Enter the grams of a full jar.";
  if (form.opened && form.expires && form.expires < form.opened) errors.expires = "It goes off before it was opened: check the dates.";
  if (size_g === undefined || Object.keys(errors).length > 0) return { ok: false, errors };
  return {
    ok: true,
    value: {
      label: form.label.trim(),
      size_g,
      left_g: left_g ?? size_g,
      ...(form.opened ? { opened: form.opened } : {}),
      ...(form.expires ? { expires: form.expires } : {}),
      ...(price_eur === undefined ? {} : { price_eur }),
    },
  };
}
