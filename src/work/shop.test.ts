import { freshShop } from "@/core/shop/shop";
import { overview } from "./overview";
import { saveShop, shop } from "./shop";
import { chosenTreatment, problemOf, scratchDatabase } from "./testing.fixture";
import { treatmentPage } from "./treatments";

scratchDatabase();

const kept = { ...freshShop("Haldenau Fairground Collection", "Europe/Berlin"), people: ["Mina", "Jonas"] };

test("before anyone wrote anything it is as the machine has it; then as it was kept", async () => {
  expect(await shop()).toMatchObject({ version: 0, people: [], from: "08:00" });
  expect(await saveShop({ ...kept, version: 0 })).toEqual({ version: 1 });
  expect(await shop()).toEqual({ ...kept, version: 1 });
});

test("an edit that collides is told, whichever came first, and nothing is written over", async () => {
  await saveShop({ ...kept, version: 0 });
  await saveShop({ ...kept, name: "Booth four", version: 1 });
  expect(await problemOf(saveShop({ ...kept, name: "Booth nine", version: 1 }))).toMatchObject({ status: 409 });
  expect(await problemOf(saveShop({ ...kept, version: 7 }))).toMatchObject({ status: 409 });
  expect((await shop()).name).toBe("Booth four");
});

test("what is wrong is said at its field, and nothing is kept", async () => {
  const { errors, status } = await problemOf(saveShop({ ...kept, time_zone: "Haldenau", to: "07:00", version: 0 }));
  expect([status, errors?.map(({ path }) => path)]).toEqual([422, ["/to", "/time_zone"]]);
  expect((await shop()).version).toBe(0);
});

test("the scale’s step stands in every dose, and the zone on every clock", async () => {
  const id = await chosenTreatment();
  const mixOf = async () => (await treatmentPage(id)).worked?.repair.operations.find(({ kind }) => kind === "mix")?.text ?? "";
  expect(await mixOf()).not.toContain("can’t weigh that");
  await saveShop({ ...kept, scale_step_g: 5, time_zone: "Asia/Tokyo", version: 0 });
  expect(await mixOf()).toContain("a scale of 5 g can’t weigh that");
  expect((await overview()).time_zone).toBe("Asia/Tokyo");
  expect((await treatmentPage(id)).time_zone).toBe("Asia/Tokyo");
});
