import { expect, type Page } from "@playwright/test";
import { readyJob } from "./jobWalk";
import { expectAccessible, expectNoSideways, firstKeys, test } from "./support";

const bench = (page: Page) => page.getByRole("dialog");
const title = (page: Page) => bench(page).getByRole("article").getByRole("heading");

/** Stand at the bench of a station. */
async function stand(page: Page, treatment: string, station: string): Promise<void> {
  await page.goto(`/treatments/${treatment}/${station}`);
  await firstKeys(page, ["b"], () => expect(bench(page)).toBeVisible({ timeout: 2000 }));
}

/** What the last four entries of a treatment's log are. */
async function kinds(page: Page, treatment: string): Promise<string[]> {
  const { treatment: kept } = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
  return kept.log.slice(-4).map(({ body }: { body: { kind: string } }) => body.kind);
}

test("at the bench by pedal keys alone: next, before, done, taken back, and out again", async ({ page }) => {
  const treatment = await readyJob(page, 5, "Carousel plinth at the bench");
  await stand(page, treatment, "ready");
  await expect(title(page)).toHaveText("Photograph in raking light");
  await page.keyboard.press("PageDown");
  await expect(title(page)).not.toHaveText("Photograph in raking light");
  await page.keyboard.press("PageUp");
  await expect(title(page)).toHaveText("Photograph in raking light");
  // a picture is a hand's work: none was taken, and why is said
  await bench(page).getByRole("button", { name: "None taken" }).click();
  await bench(page).getByLabel("Why is there no photograph?").fill("both hands in gloves");
  await bench(page).getByRole("button", { name: "None was taken" }).click();
  await expect(title(page)).toHaveText("Test for lead");
  await expect(bench(page).locator("[data-stop]")).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(title(page)).not.toHaveText("Test for lead");
  await page.keyboard.press("Backspace");
  await expect(title(page)).toHaveText("Test for lead");
  // pressed before the server has answered, it is taken back once it stands
  await expect(bench(page).locator("[data-stop]")).toBeFocused();
  await page.keyboard.press("Enter");
  await page.keyboard.press("Backspace");
  await expect.poll(() => kinds(page, treatment)).toEqual(["done", "withdrawn", "done", "withdrawn"]);
  await expect(title(page)).toHaveText("Test for lead");
  await expect(bench(page).getByText("at it")).toBeVisible();
  await page.keyboard.press("Space");
  await expect(bench(page).getByText("paused")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(bench(page)).toHaveCount(0);
  expect(await page.evaluate(() => document.documentElement.dataset.mode)).toBeUndefined();
});

test("what counts is in sight at three sizes, large enough for gloves, and readable at night", async ({ page }) => {
  const treatment = await readyJob(page, 15, "Jar at the bench");
  for (const [width, height] of [
    [1280, 800],
    [820, 1180],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height });
    await stand(page, treatment, "fill");
    await expect(title(page)).toBeInViewport();
    const acts = bench(page).locator(".card-acts").locator("button, .not-yet").first();
    await expect(acts).toBeInViewport();
    await expectNoSideways(page);
    await expectAccessible(page);
    await page.keyboard.press("Escape");
    await expect(bench(page)).toHaveCount(0);
  }
});
