import { addProduct } from "./cabinet";
import { chosenTreatment, NOW, problemOf, scratchDatabase } from "./testing.fixture";
import { treatmentPage } from "./treatments";
import { waysOf } from "./ways";

scratchDatabase();

const CHIP = { kind: "chip", length_mm: 20, depth_mm: 5, thickness_mm: 5 };
const ask = (damage: object = CHIP) => ({ survey: { damage, service: {} }, stance: "reversible" });

test("ways are compared for what is typed, and nothing is saved", async () => {
  const id = await chosenTreatment();
  const before = (await treatmentPage(id)).record.version;
  const ways = await waysOf(id, ask(), NOW);
  expect(ways.map(({ way }) => way)).toEqual(expect.arrayContaining(["fill", "leave"]));
  expect(ways.filter(({ preselected }) => preselected).map(({ way }) => way)).toEqual(["fill"]);
  expect(ways[0]?.materials[0]).toBeDefined();
  expect((await treatmentPage(id)).record.version).toBe(before);
});

test("a jar of the shop's own is reckoned with", async () => {
  const id = await chosenTreatment();
  const lot = { id: crypto.randomUUID(), label: "1", size_g: 100, left_g: 100 };
  await addProduct({ id: crypto.randomUUID(), class: "epoxy-putty", name: "Way tub", figures: {}, lot }, NOW);
  expect((await waysOf(id, ask(), NOW))[0]?.materials).toContain("Way tub");
});

test("what cannot be is said at its path; an unknown treatment is not here", async () => {
  const id = await chosenTreatment();
  expect((await problemOf(waysOf(id, ask({ ...CHIP, depth_mm: -1 }), NOW))).errors).toMatchObject([{ path: "/survey/damage/depth_mm" }]);
  expect(await problemOf(waysOf(crypto.randomUUID(), ask(), NOW))).toMatchObject({ status: 404 });
});
