import { expect, type Page } from "@playwright/test";
import { expectAccessible, expectNoSideways, newTreatment, test, write } from "./support";

/** A broken rail of hardwood with a dowel in it, a chip of it filled. */
async function rail(page: Page): Promise<string> {
  const part = { name: "rail", substrate: "hardwood", finish: "shellac" };
  const { treatment } = await newTreatment(page, { kind: "furniture", part, treatment_title: "broken rail" });
  const damage = { kind: "break-across", width_mm: 32, height_mm: 44, load_N: 250, lever_mm: 180 };
  await write(page, treatment, 0, { kind: "surveyed", survey: { damage, service: { load: true } } });
  const chain = [
    { role: "adhesive", class: "pva" },
    { role: "brace", class: "wood-dowel" },
  ];
  await write(page, treatment, 1, { kind: "matched", stance: "service", chain });
  return treatment;
}

test("the shop's drawers: drills in inches, one missing, papers marked, days closed; Join and the record follow", async ({ page }) => {
  const treatment = await rail(page);
  await page.goto("/shop");
  await page.getByRole("button", { name: "Inch fractions" }).click();
  await page.getByRole("button", { name: "5/16 in", exact: true }).click();
  await page.getByRole("button", { name: "P180", exact: true }).click();
  await page.getByLabel("P180", { exact: true }).fill("some");
  await page.getByLabel("Router jig, mm thick").fill("wide");
  await page.getByRole("button", { name: "Saturday" }).click();
  await page.getByRole("button", { name: "Add closed days" }).click();
  await page.getByLabel("From").fill("2036-12-24");
  await page.getByLabel("Why").fill("the fair");
  await page.getByRole("button", { name: "Save the shop" }).click();
  await expect(page.getByText("“wide” is not a number.")).toBeVisible();
  await expect(page.getByText("Enter a day.")).toBeVisible();
  await expect(page.getByText("Enter sheets, 0 to 10 000.")).toBeVisible();
  await page.getByLabel("P180", { exact: true }).fill("2.5");
  await page.getByLabel("Router jig, mm thick").fill("15");
  await page.getByLabel("To, that day too").fill("2036-12-20");
  await page.getByRole("button", { name: "Save the shop" }).click();
  await expect(page.getByText("It ends before it begins.")).toBeVisible();
  await page.getByLabel("To, that day too").fill("2036-12-26");
  await expectAccessible(page);
  await page.getByRole("button", { name: "Save the shop" }).click();
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByRole("button", { name: "5/16 in", exact: true })).toHaveAttribute("aria-pressed", "false");
  await expect(page.getByRole("button", { name: "P180", exact: true })).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByLabel("Why")).toHaveValue("the fair");
  await expect(page.getByLabel("P180", { exact: true })).toHaveValue("2.5");

  // another window saves: it is told, and stays told; saved again, what stands here stands
  const { version, ...theirs } = await (await page.request.get("/api/shop")).json();
  expect((await page.request.put("/api/shop", { data: { ...theirs, version, clamps: 4 } })).status()).toBe(200);
  await page.getByLabel("Clamps").fill("12");
  await page.getByRole("button", { name: "Save the shop" }).click();
  await page.waitForLoadState("networkidle");
  await expect(page.getByText("The shop was changed in another window since you opened it.")).toBeVisible();
  await expect(page.getByLabel("Clamps")).toHaveValue("12");
  // the page takes theirs in its own time; until then it is told again
  await expect(async () => {
    await page.getByRole("button", { name: "Save the shop" }).click();
    await expect(page.getByText("Saved", { exact: true })).toBeVisible({ timeout: 3_000 });
  }).toPass();
  await page.waitForLoadState("networkidle");
  await page.getByLabel("Clamps").fill("11");
  await expect(page.getByText("Saved", { exact: true })).toBeHidden();
  await page.getByRole("button", { name: "Save the shop" }).click();
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
  await expect.poll(async () => (await (await page.request.get("/api/shop")).json()).clamps).toBe(11);

  await page.goto(`/treatments/${treatment}/join`);
  const card = page.getByRole("region", { name: "Drill card" });
  await expect(card.getByText(/^Hole: wanted .* nearest \d+\/\d+ in/)).toBeVisible();
  await expect(card.getByText("Out of 28 drills in the drawer, inch fractions.")).toBeVisible();
  await expect(page.getByText(/nearest in the drawer: \d+\/\d+ in/).first()).toBeVisible();
  await page.getByRole("button", { name: "Take: Spline" }).click();
  await expect(page.getByRole("region", { name: "Router" }).getByText(/and 15 mm of jig/)).toBeVisible();
  for (const width of [820, 390]) {
    await page.setViewportSize({ width, height: 1000 });
    await page.goto("/shop");
    await expectNoSideways(page);
  }
});

test("without a sensor clocks run on what is said by hand, and the dialog says that nobody reads the air", async ({ page }) => {
  const { version, ...shop } = await (await page.request.get("/api/shop")).json();
  expect((await page.request.put("/api/shop", { data: { ...shop, version, sensor: "none" } })).status()).toBe(200);
  await page.goto("/");
  await page.getByRole("button", { name: /^Climate: 20 °C · 50 % RH/ }).click();
  await expect(page.getByText(/No sensor reads the air here/)).toBeVisible();
  await page.getByLabel("Temperature").fill("16");
  await page.getByRole("button", { name: "Run the clocks on this" }).click();
  await expect(page.getByRole("button", { name: /^Climate: 16 °C/ })).toBeVisible();
});
