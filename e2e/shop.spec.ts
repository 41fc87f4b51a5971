import { expect } from "@playwright/test";
import { expectAccessible, MATCHED, newTreatment, noneTaken, SURVEYED, test, write } from "./support";

test("the shop: who is at the bench is one press, and every entry then says who", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await page.goto("/");
  await page.keyboard.press("g");
  await page.keyboard.press("h");
  await expect(page).toHaveURL(/\/shop$/);
  await expectAccessible(page);
  await page.getByRole("button", { name: "Add a person" }).click();
  await page.getByRole("textbox", { name: "Person 1" }).fill("Mina");
  await page.getByRole("button", { name: "Add a person" }).click();
  await page.getByRole("textbox", { name: "Person 2" }).fill("mina");
  await page.getByRole("button", { name: "Save the shop" }).click();
  await expect(page.getByText("Two have one name: add a letter.")).toBeVisible();
  await page.getByRole("textbox", { name: "Person 2" }).fill("Jonas");
  await page.getByLabel("The scale’s step, g").fill("nothing");
  await page.getByRole("button", { name: "Save the shop" }).click();
  await expect(page.getByLabel("The scale’s step, g")).toHaveAttribute("aria-invalid", "true");
  await page.getByLabel("The scale’s step, g").fill("0.01");
  await page.getByRole("button", { name: "Save the shop" }).click();
  await page.getByRole("button", { name: "Who is at the bench?" }).click();
  await page.getByRole("button", { name: "Jonas", exact: true }).click();
  await expect(page.getByRole("button", { name: "At the bench: Jonas. Change it" })).toBeVisible();
  await page.goto(`/treatments/${treatment}/ready`);
  await noneTaken(page);
  await expect(page.getByText("1 behind")).toBeVisible();
  const { treatment: kept } = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
  expect(kept.log.at(-1)).toMatchObject({ by: "Jonas", body: { op: "r1/ready/photograph" } });
  // the demo's shop goes back to nobody, for the tests beside this one
  const { version, ...shop } = await (await page.request.get("/api/shop")).json();
  expect((await page.request.put("/api/shop", { data: { ...shop, people: [], version } })).status()).toBe(200);
  // who was taken off the list is no longer said, though this device still remembers them
  await page.reload();
  await page.getByRole("button", { name: /^Done: Wipe/ }).click();
  await expect(page.getByText("2 behind")).toBeVisible();
  const { treatment: later } = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
  expect(later.log.at(-1).by).toBeUndefined();
});
