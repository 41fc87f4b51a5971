import fc from "fast-check";
import { CLASS_ROWS } from "@/core/catalogue";
import type { StockProduct } from "@/core/views/stock";
import { readCabinetCsv, writeCabinetCsv } from "./cabinetCsv";

const HEAD = "name,class,lot,size_g,left_g,opened,expires,price_eur,working_min,hard_min";

test("a line is a lot of a product with its own figures", () => {
  const { lines, errors } = readCabinetCsv(`${HEAD}\r\n"Putty, grey",Epoxy putty,A7,100,86,2026-03-12,2027-03-12,5.8,48,300-420\r\n`);
  expect(errors).toEqual([]);
  expect(lines).toEqual([
    {
      line: 2,
      name: "Putty, grey",
      class: "epoxy-putty",
      figures: { working_min: [48, 48], hard_min: [300, 420] },
      lot: { label: "A7", size_g: 100, left_g: 86, opened: "2026-03-12", expires: "2027-03-12", price_eur: 5.8 },
    },
  ]);
});

test.each([
  ["x,cheese,,100,,,,,,", "class", "“cheese” is no class"],
  [",epoxy-putty,,100,,,,,,", "name", "Give it a name"],
  ["x,epoxy-putty,,0,,,,,,", "size_g", "Enter the grams"],
  ["x,epoxy-putty,,much,,,,,,", "size_g", "“much” is no amount"],
  ["x,epoxy-putty,,100,,31.12.2026,,,,", "opened", "write it as 2026-10-07"],
  ["x,epoxy-putty,,100,,,2026-02-30,,,", "expires", "no date"],
  ["x,epoxy-putty,,100,,,2026-13-01,,,", "expires", "no date"],
  ["x,epoxy-putty,,100,,,,,soon,", "working_min", "no figure"],
  ["x,pva,,100,,,,,,1-2", "hard_min", "must follow one another"],
])("what is wrong in %j is said at its line and column", (line, column, message) => {
  const { lines, errors } = readCabinetCsv(`${HEAD}\nok,epoxy-putty,,100,,,,,,\n${line}\n`);
  expect(lines.map(({ name }) => name)).toEqual(["ok"]);
  expect(errors).toContainEqual({ line: 3, column, message: expect.stringContaining(message) });
});

test("a file with a wrong head, or that is no CSV, or holds nothing, says so", () => {
  expect(readCabinetCsv("name,class\nx,pva\n").errors).toEqual([{ line: 1, column: "size_g", message: "This column is missing." }]);
  expect(readCabinetCsv(`${HEAD},smell\nx,pva,,1,,,,,,,\n`).errors[0]).toMatchObject({ line: 1, column: "smell" });
  expect(readCabinetCsv('name,class,size_g\n"x,pva,1\n').errors[0]?.message).toContain("not CSV");
  expect(readCabinetCsv(HEAD).errors[0]?.message).toContain("no line below the head");
});

test("the same lot twice is told, since one of them would be lost", () => {
  const { errors } = readCabinetCsv(`${HEAD}\nTub,pva,1,100,,,,,,\nTUB,pva,1,90,,,,,,\n`);
  expect(errors).toEqual([{ line: 3, column: "lot", message: "This lot stands on line 2 already." }]);
});

test("semicolons, a decimal comma and a byte order mark are understood", () => {
  const { lines, errors } = readCabinetCsv("\uFEFFname;class;size_g;price_eur\nLeim;hide-glue;1000;19,5\n");
  expect(errors).toEqual([]);
  expect(lines[0]?.lot).toMatchObject({ size_g: 1000, price_eur: 19.5 });
});

test("a jar that was topped up over its label comes in as it went out", () => {
  const lot = { id: "2", label: "1", size_g: 100, left_g: 400, version: 1 };
  const text = writeCabinetCsv([{ id: "1", class: "pva", name: "Wood glue", figures: {}, version: 1, lots: [lot] }]);
  expect(readCabinetCsv(text)).toMatchObject({ errors: [], lines: [{ lot: { size_g: 100, left_g: 400 } }] });
});

test("a name that a spreadsheet would run is written as text", () => {
  const product = {
    id: "1",
    class: "pva",
    name: "=1+1",
    figures: {},
    version: 1,
    lots: [{ id: "2", label: "1", size_g: 1, left_g: 1, version: 1 }],
  } as const;
  expect(writeCabinetCsv([product]).split("\r\n")[1]).toMatch(/^'=1\+1,pva,/);
});

const words = fc.stringMatching(/^[A-Za-z=+@'-][A-Za-z ,"';\n]{0,18}[A-Za-z]$/);
const lots = fc.record({
  id: fc.uuid(),
  label: fc.stringMatching(/^[A-Z0-9]{1,6}$/),
  size_g: fc.integer({ min: 1, max: 5000 }),
  left_g: fc.constant(1),
  version: fc.constant(1),
});

test("whatever is written is read back the same", () => {
  const product = fc.record({
    id: fc.uuid(),
    class: fc.constantFrom(...CLASS_ROWS.map((row) => row.class)),
    name: words,
    figures: fc.constantFrom<StockProduct["figures"]>({}, { price_eur_kg: [3, 9] }, { density_g_cm3: [1.2, 1.2] }),
    version: fc.constant(1),
    lots: fc.uniqueArray(lots, { minLength: 1, maxLength: 3, selector: ({ label }) => label }),
  });
  fc.assert(
    fc.property(fc.uniqueArray(product, { maxLength: 8, minLength: 1, selector: ({ name }) => name.toLowerCase() }), (products) => {
      const { lines, errors } = readCabinetCsv(writeCabinetCsv(products));
      expect(errors).toEqual([]);
      expect(lines.map(({ name, class: material, figures, lot }) => [name, material, figures, lot.label, lot.size_g])).toEqual(
        products.flatMap((each) => each.lots.map((lot) => [each.name.trim(), each.class, each.figures, lot.label, lot.size_g])),
      );
    }),
    { numRuns: 60 },
  );
});

test("a head of 160,000 columns is refused in a moment", () => {
  const begun = performance.now();
  const { errors } = readCabinetCsv(`${Array.from({ length: 160_000 }, (_, i) => `c${i}`).join(",")}\n1\n`);
  expect(errors).toEqual([{ line: 1, column: "", message: expect.stringContaining("160000 columns") }]);
  expect(performance.now() - begun).toBeLessThan(500);
});
