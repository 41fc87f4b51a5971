import { addLot, addProduct, cabinetPage, editLot, editProduct, exportCabinet, importCabinet } from "./cabinet";
import { find } from "./find";
import { setRemoved } from "./removal";
import { chosenTreatment, NOW, problemOf, scratchDatabase } from "./testing.fixture";

scratchDatabase();

const jar = (over: object = {}) => ({
  id: crypto.randomUUID(),
  label: "A7",
  size_g: 100,
  left_g: 86,
  expires: "2026-11-14",
  price_eur: 5.8,
  ...over,
});
const putty = (over: object = {}) => ({
  id: crypto.randomUUID(),
  class: "epoxy-putty",
  name: "Grey putty",
  figures: { working_min: [48, 48] },
  lot: jar(),
  ...over,
});
const products = async () => (await cabinetPage(NOW)).products;

test("a product comes with its jar, once, however often it is sent", async () => {
  const input = putty();
  await Promise.all(Array.from({ length: 6 }, () => addProduct(input, NOW)));
  await addProduct(input, NOW);
  expect(await products()).toMatchObject([
    {
      name: "Grey putty",
      class: "epoxy-putty",
      figures: { working_min: [48, 48] },
      lots: [{ label: "A7", left_g: 86, expires: "2026-11-14" }],
    },
  ]);
});

test("figures that cannot be are refused at their field, and nothing is kept", async () => {
  const wrong = await problemOf(addProduct(putty({ figures: { shrinkage_pct: [0, 300], recoat_min: [1, 2] } }), NOW));
  expect(wrong).toMatchObject({ status: 422 });
  expect(wrong.errors?.map(({ path }) => path).sort()).toEqual(["/figures/recoat_min", "/figures/shrinkage_pct"]);
  expect(await products()).toEqual([]);
});

test("the same name of the same class is one product: the second is told to be a jar", async () => {
  await addProduct(putty(), NOW);
  expect((await problemOf(addProduct(putty({ name: "GREY putty" }), NOW))).errors).toMatchObject([{ path: "/name" }]);
  await addProduct(putty({ class: "pva", figures: {} }), NOW);
  expect(await products()).toHaveLength(2);
});

test("of several products of one name that are put in at the same moment one stays, and the others are told", async () => {
  const settled = await Promise.allSettled(Array.from({ length: 6 }, () => addProduct(putty(), NOW)));
  expect(settled.filter(({ status }) => status === "fulfilled")).toHaveLength(1);
  expect(await products()).toHaveLength(1);
});

test("weighing a jar that was weighed meanwhile is told, not overwritten", async () => {
  const input = putty();
  await addProduct(input, NOW);
  const weigh = (left_g: number, version: number) => editLot(input.lot.id, { version, label: "A7", size_g: 100, left_g }, NOW);
  expect(await weigh(70, 1)).toEqual({ version: 2 });
  expect(await problemOf(weigh(65, 1))).toMatchObject({ status: 409 });
  expect((await products())[0]?.lots[0]).toMatchObject({ left_g: 70, version: 2 });
});

test("an edit of a product changes its figures; a stale one is told", async () => {
  const input = putty();
  await addProduct(input, NOW);
  await editProduct(input.id, { version: 1, class: "epoxy-putty", name: "Grey putty", figures: {} });
  expect((await products())[0]).toMatchObject({ figures: {}, version: 2 });
  expect(await problemOf(editProduct(input.id, { version: 1, class: "pva", name: "x", figures: {} }))).toMatchObject({ status: 409 });
});

test("the same jar sent several times at once is one jar", async () => {
  const input = putty();
  await addProduct(input, NOW);
  const second = { ...jar(), id: crypto.randomUUID(), label: "B2" };
  await Promise.all(Array.from({ length: 6 }, () => addLot(input.id, second, NOW)));
  expect((await products())[0]?.lots.map(({ label }) => label)).toEqual(["A7", "B2"]);
});

test("a second jar has a mark of its own", async () => {
  const input = putty();
  await addProduct(input, NOW);
  expect((await problemOf(addLot(input.id, jar(), NOW))).errors).toMatchObject([{ path: "/label" }]);
  await addLot(input.id, jar({ label: "B2" }), NOW);
  expect((await products())[0]?.lots.map(({ label }) => label)).toEqual(["A7", "B2"]);
});

test("a product that is deleted is away, and comes back with its jars", async () => {
  const input = putty();
  await addProduct(input, NOW);
  expect((await find("grey putty"))[0]).toMatchObject({ type: "product", id: input.id });
  await setRemoved("products", input.id, NOW);
  expect([await products(), await find("grey putty")]).toEqual([[], []]);
  await setRemoved("products", input.id, null);
  expect(await products()).toHaveLength(1);
});

const HEAD = "name,class,lot,size_g,left_g,opened,expires,price_eur";

test("one bad line keeps the whole file out, unless it is said to leave it", async () => {
  const text = `${HEAD}\nTub,pva,1,500,400,,,\nTube,cheese,1,50,,,,\n`;
  const refusal = await problemOf(importCabinet(text, false, NOW));
  expect(refusal).toMatchObject({ status: 422, detail: "1 line is wrong, so nothing was taken in. 1 is right." });
  expect(refusal.errors).toEqual([{ path: "/lines/3/class", message: expect.stringContaining("cheese") }]);
  expect(await products()).toEqual([]);
  expect(await importCabinet(text, true, NOW)).toMatchObject({ products: 1, lots: 1, left_out: [{ line: 3 }] });
  expect(await products()).toMatchObject([{ name: "Tub" }]);
});

test("what goes out comes in again without a double, and brings jars to what the file says", async () => {
  await addProduct(putty(), NOW);
  const file = await exportCabinet();
  await importCabinet(file, false, NOW);
  expect((await products())[0]).toMatchObject({ version: 2, lots: [{ left_g: 86, version: 2 }] });
  await importCabinet(file.replace(",86,", ",40,"), false, NOW);
  expect(await products()).toMatchObject([{ name: "Grey putty", lots: [{ left_g: 40 }] }]);
});

test("what goes off before it is used says who takes how much of it", async () => {
  await chosenTreatment();
  await addProduct(putty(), NOW);
  const { going_off, needs } = await cabinetPage(NOW);
  expect(needs.find((need) => need.class === "epoxy-putty")).toMatchObject({ piece: "Lemonade jar", role: "filler" });
  const [lot] = going_off;
  expect(lot).toMatchObject({ days: 38, wanted: [{ piece: "Lemonade jar" }] });
  expect((lot?.over_g ?? 0) + (lot?.wanted[0]?.grams ?? 0)).toBeCloseTo(86, 6);
  expect(lot?.worth_eur).toBeCloseTo((lot?.over_g ?? 0) * 0.058, 6);
});

test("of many pieces that want a material five are named and the others are one line, with all their grams", async () => {
  for (let i = 0; i < 8; i++) await chosenTreatment();
  const putty = (await cabinetPage(NOW)).needs.filter((need) => need.class === "epoxy-putty");
  expect(putty.map(({ piece }) => piece)).toEqual([...Array.from({ length: 5 }, () => "Lemonade jar"), "3 more pieces"]);
  expect(putty[5]?.grams).toBeCloseTo(3 * (putty[0]?.grams ?? 0), 9);
});
