import { expect } from "@playwright/test";
import { demoTreatment, expectAccessible, expectNoSideways, MATCHED, newTreatment, putAway, SURVEYED, test, write } from "./support";

test.afterEach(({ page }) => putAway(page));

test("the week: every open piece with its blocks of hands, what is first and why, at a desk, on a tablet and on a phone", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByRole("link", { name: "Plan", exact: true }).click();
  await expect(page).toHaveURL(/\/plan$/);
  await expect(page.getByRole("link", { name: /^Lemonade jar, rim chip/ }).first()).toBeVisible();
  const blocks = page.getByRole("link", { name: /\d+:\d\d to \d+:\d\d: / });
  expect(await blocks.count()).toBeGreaterThan(8);
  await expect(page.getByRole("list", { name: "Why" }).getByRole("listitem").first()).toContainText(/^First .*: .*, .*\d+:\d\d\./);
  await expectAccessible(page);
  for (const width of [820, 390]) {
    await page.setViewportSize({ width, height: 900 });
    await expectNoSideways(page);
  }
});

test("a block leads to its step, opened as the card of its station", async ({ page }) => {
  await page.goto("/plan");
  const block = page.getByRole("link", { name: /\d+:\d\d to \d+:\d\d: Take the pressure off/ }).first();
  await block.click();
  await expect(page).toHaveURL(new RegExp(`${demoTreatment("figure-hand")}/join#`));
  await expect(page.locator(".op-card")).toContainText("Take the pressure off");
});

test("to buy: what a new piece takes and the cabinet has not, with who wants it, and as CSV", async ({ page }) => {
  const { treatment } = await newTreatment(page, { title: "Wheel-of-luck hub" });
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, { ...MATCHED, chain: [{ role: "filler", class: "bulked-epoxy" }, ...MATCHED.chain.slice(1)] });
  await page.goto("/plan?view=buy");
  const row = page.getByRole("row").filter({ hasText: "Wheel-of-luck hub" }).first();
  await expect(row).toContainText(/\d+\.\d\d g/);
  const [file] = await Promise.all([page.waitForEvent("download"), page.getByRole("link", { name: "Save as CSV" }).click()]);
  expect(file.suggestedFilename()).toBe("to-buy.csv");
  const csv = await (await page.request.get("/api/plan/to-buy")).text();
  expect(csv.split("\r\n")[0]).toBe("material,class,takes_g,here_g,missing_g,eur_low,eur_high,needed,wanted_by");
  expect(csv).toContain("Wheel-of-luck hub");
  await expectAccessible(page);
});
