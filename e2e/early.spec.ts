import { expect, type Page } from "@playwright/test";
import { putAway, test } from "./support";

test.afterEach(({ page }) => putAway(page));

const SCRIPTS_MS = 1500;

/** Opens a page whose scripts are a while on their way, and does not wait for them. */
async function openSlowly(page: Page, path: string): Promise<void> {
  await page.goto("/cabinet");
  await page.route("**/_next/static/**/*.js", async (route) => {
    await new Promise((done) => setTimeout(done, SCRIPTS_MS));
    await route.continue();
  });
  await page.evaluate((to) => window.location.assign(to), path);
  await page.waitForURL(`**${path}`, { waitUntil: "commit" });
}
const isReady = (page: Page) => page.evaluate(() => document.documentElement.dataset.ready === "true");

test("what is typed and pressed before the scripts run is kept, said, and handed over once they do", async ({ page }) => {
  await openSlowly(page, "/objects/new");
  const title = `Swing-boat prow ${crypto.randomUUID().slice(0, 6)}`;
  await page.getByLabel("What is it?", { exact: true }).fill(title);
  const save = page.getByRole("button", { name: "Enter it, go to Survey" });
  await save.click();
  expect(await isReady(page)).toBe(false);
  await expect(save).toHaveAttribute("aria-busy", "true");
  expect(new URL(page.url()).search).toBe("");
  await expect.poll(() => isReady(page)).toBe(true);
  // it was sent as it stood: what is missing is said at its field, and what was typed is there
  await expect(page.getByRole("alert").first()).toBeVisible();
  await expect(page.getByLabel("What is it?", { exact: true })).toHaveValue(title);
  expect(new URL(page.url()).search).toBe("");
});

test("a press on a button that only shows something is taken over too, once", async ({ page }) => {
  await openSlowly(page, "/cabinet");
  const find = page.getByRole("button", { name: /Find or jump/ });
  await find.click();
  await find.click();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await expect(page.getByRole("dialog")).toBeVisible();
});
