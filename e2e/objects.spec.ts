import { expect } from "@playwright/test";
import { newTreatment, test } from "./support";

test("what is asked of the list stands in the address: gone back to, reloaded, sent on", async ({ page }) => {
  await page.goto("/objects");
  await page.getByRole("button", { name: /^Hands off/ }).click();
  await expect(page).toHaveURL(/list=off/);
  await expect(page.locator(".obj-row").filter({ hasText: "Figure hand" })).toBeVisible();
  await expect(page.locator(".obj-row").filter({ hasText: "Barrel-organ lid" })).toHaveCount(0);
  await page.getByRole("searchbox").fill("haldenau");
  await expect(page).toHaveURL(/list=off&words=haldenau/);
  await page.reload();
  await expect(page.getByRole("button", { name: /^Hands off/ })).toHaveAttribute("aria-pressed", "true");
  await page.getByRole("navigation", { name: "Places" }).getByRole("link", { name: "Objects" }).click();
  await expect(page.getByRole("button", { name: /^On the way/ })).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByRole("searchbox")).toHaveValue("");
  await page.goto("/objects?list=nonsense&order=weight");
  await expect(page.getByRole("button", { name: /^On the way/ })).toHaveAttribute("aria-pressed", "true");
});

test("a list of more than a page is read on, and a long one draws only the rows in sight", async ({ page }) => {
  for (let i = 1; i <= 110; i++) await newTreatment(page, { title: `Shooting-gallery duck ${i}`, reference: `HF-D${i}` });
  await page.goto("/objects?words=gallery+duck&order=reference");
  const rows = page.locator(".obj-row");
  await expect(rows).toHaveCount(30);
  await page.getByRole("button", { name: "Show more" }).click();
  await expect(rows).toHaveCount(60);
  for (const all of ["91", "111"]) {
    await page.getByRole("button", { name: "Show more" }).click();
    await expect(page.locator("table.lst")).toHaveAttribute("aria-rowcount", all);
  }
  expect(await rows.count()).toBeLessThan(60);
  await expect(page.getByRole("button", { name: "Show more" })).toHaveCount(0);
  await page.locator(".shell-main").evaluate((main) => main.scrollTo({ top: main.scrollHeight }));
  await expect(rows.filter({ hasText: "HF-D110" })).toBeVisible();
});
