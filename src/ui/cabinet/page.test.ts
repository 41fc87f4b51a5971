import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { rowsOf } from "@/core/views/cabinetRows";
import type { Need } from "@/core/views/needs";
import { goingOff, type StockProduct } from "@/core/views/stock";
import { wordsOf } from "../demo.fixture";
import { ShopTime } from "../frame/now";
import { Cabinet } from "./Cabinet";
import { FigureBars } from "./FigureBars";
import { ProductSide } from "./ProductSide";

jest.mock("next/navigation", () => ({
  useRouter: () => ({ push: () => undefined, refresh: () => undefined }),
  usePathname: () => "/cabinet",
}));

const NOW = Date.parse("2026-10-07T12:00:00Z");
const product = (id: string, name: string, over: Partial<StockProduct["lots"][number]> = {}): StockProduct => ({
  id,
  class: "epoxy-putty",
  name,
  figures: {},
  version: 1,
  lots: [{ id: `${id}-lot`, label: "A7", size_g: 100, left_g: 86, expires: "2027-10-01", price_eur: 5.8, version: 1, ...over }],
});
const need = (grams: number): Need => ({ treatment: "t", piece: "Lemonade jar", role: "filler", class: "epoxy-putty", grams });

function page(products: readonly StockProduct[], needs: readonly Need[] = []) {
  const rows = rowsOf(products, needs, NOW);
  const [first] = rows;
  const side = first && createElement(ProductSide, { row: first, figures: createElement(FigureBars, first), note: "from its class" });
  const cabinet = createElement(Cabinet, { rows, goingOff: goingOff(products, needs, NOW), here: first?.product.id, side });
  const markup = renderToStaticMarkup(
    createElement(ShopTime, { start: NOW, timeZone: "Europe/Berlin" } as Parameters<typeof ShopTime>[0], cabinet),
  );
  return wordsOf(markup);
}

test("every product stands with what is left, what it costs, and when it goes off", () => {
  const shown = page([product("a", "Putty, grey"), product("b", "Putty, white", { left_g: 12 })]);
  for (const text of ["Putty, grey", "Putty, white", "86", "12", "58 €/kg", "1 Oct 27"])
    expect([text, shown.includes(text)]).toEqual([text, true]);
});

test("who still wants it, and that it is not enough, is said", () => {
  const shown = page([product("a", "Putty, grey", { left_g: 2 })], [need(5)]);
  expect(shown).toContain("Lemonade jar");
  expect(page([product("a", "Putty, grey")], [])).not.toContain("Lemonade jar");
});

test("what goes off soon is told before the list, what lasts is not", () => {
  const [soon, later] = [page([product("a", "Putty, grey", { expires: "2026-10-20" })]), page([product("a", "Putty, grey")])];
  expect(soon.indexOf("Putty, grey")).toBeLessThan(soon.indexOf("Material"));
  expect(later.indexOf("Putty, grey")).toBeGreaterThan(later.indexOf("Material"));
});

test("a jar that is empty or gone off is said in words, and never only by a colour", () => {
  expect(page([product("a", "Putty, grey", { expires: "2026-09-01" })])).toContain("off since 1 Sep 26");
  expect(page([product("a", "Putty, grey", { left_g: 0 })])).toMatch(/0 g|empty/i);
});

test("an empty cabinet says how the first jar comes in", () => {
  expect(page([])).toMatch(/Put a (first )?(jar|product)|jar in/i);
});

test("a long cabinet stands in the page from the first: what is in sight, and room for the rest", () => {
  const many = Array.from({ length: 300 }, (_, i) => product(`p${i}`, `Putty ${String(i).padStart(3, "0")}`));
  const shown = page(many);
  expect(shown).toContain("Putty 001");
  expect(shown).not.toContain("Putty 250");
  expect(shown).toContain("All 300");
});
