import { expect, type Page } from "@playwright/test";
import { expectAccessible, expectNoSideways, MATCHED, newTreatment, putAway, SURVEYED, test, workOff, write } from "./support";

test.afterEach(({ page }) => putAway(page));

async function readyToMix(page: Page): Promise<string> {
  const { treatment } = await newTreatment(page, { title: "Hoopla peg" });
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await workOff(page, treatment, (id) => id.includes("/fill/mix-1"), 10);
  return treatment;
}

/** Hold a button of the stand-in down until the guide says what is waited for. */
async function hold(page: Page, button: string, until: RegExp): Promise<void> {
  const hand = page.getByRole("button", { name: button, exact: true });
  const words = until.source;
  // a page that is still settling may move the button from under the hand: then it is pressed again
  await expect(async () => {
    await hand.scrollIntoViewIfNeeded();
    await hand.hover();
    await page.mouse.down();
    try {
      // what is waited for may stand for a moment only: looked for at every frame
      await page.waitForFunction((source) => new RegExp(source).test(document.querySelector(".weigh-guide")?.textContent ?? ""), words, {
        timeout: 10_000,
      });
    } finally {
      await page.mouse.up();
    }
  }).toPass();
}
const take = (page: Page) => page.getByRole("button", { name: /^Take \d/ });

test("on a phone: part by part on the scale, overshot, brought back, and on record with its scale", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const treatment = await readyToMix(page);
  await page.goto(`/treatments/${treatment}/fill`);
  await page.getByRole("button", { name: "Instrument", exact: true }).click();
  await page.getByRole("button", { name: /^Weigh it: Mix/ }).click();
  const dialog = page.getByRole("region", { name: "Weigh it" });
  await expect(dialog.getByText("part 1 of 2")).toBeVisible();
  await expectAccessible(page);
  await expectNoSideways(page);
  await hold(page, "Pour", /Slowly|Stop|Over/);
  await hold(page, "Drop by drop", /Stop|Over/);
  await take(page).click();
  await expect(dialog.getByText("part 2 of 2")).toBeVisible();

  await test.step("a pulled cable, rubbish and pounds are told, and what was taken stays", async () => {
    for (const [fault, words] of [
      ["Pull its cable", /does not answer. What was taken stays/],
      ["Send rubbish", /no weight. Look at its baud rate/],
      ["Send pounds", /sends lb: set it to grams/],
    ] as const) {
      await dialog.getByRole("button", { name: fault }).click();
      await expect(dialog.getByText(words)).toBeVisible();
      await dialog.getByRole("button", { name: fault }).click();
      await expect(dialog.getByText(words)).toHaveCount(0);
    }
    await expect(dialog.getByText("part 2 of 2")).toBeVisible();
  });

  await hold(page, "Pour too much", /Over/);
  await take(page).click();
  await expect(dialog.getByText(/This brings it back; the mix is then/)).toBeVisible();
  await page.reload();
  await page.getByRole("button", { name: "Instrument", exact: true }).click();
  await page.getByRole("button", { name: /^Weigh it: Mix/ }).click();
  await expect(dialog.getByText(/This brings it back; the mix is then/)).toBeVisible();
  while (await dialog.getByText(/This brings it back/).isVisible()) {
    await hold(page, "Pour", /Slowly|Stop|Over/);
    if (!(await page.locator(".weigh-guide").textContent())?.match(/Stop|Over/)) await hold(page, "Drop by drop", /Stop|Over/);
    await take(page).click();
    await page.waitForTimeout(300);
  }
  await expect(dialog.getByText(/^Ratio right/)).toBeVisible();
  await dialog.getByRole("button", { name: "Use these weights" }).click();
  await expect(page.getByText(/Weighed on the simulated scale, ± 0.005 g/)).toBeVisible();
  await page.getByRole("button", { name: "To do", exact: true }).click();
  await page.getByRole("button", { name: /^Mixed now: Mix/ }).click();
  await expect(page.getByRole("button", { name: /^Mixed now: Mix/ })).toHaveCount(0);
  const { treatment: kept } = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
  const { start } = kept.log.at(-1).body;
  expect(start.scale).toEqual({ name: "simulated scale", off_g: 0.005 });
  const [a, b] = start.parts;
  expect(Math.abs(a.actual_g / a.planned_g / (b.actual_g / b.planned_g) - 1)).toBeLessThan(0.06);
});

test("typed, by keyboard alone, where there is no scale", async ({ page }) => {
  const treatment = await readyToMix(page);
  await page.goto(`/treatments/${treatment}/fill`);
  await page.getByRole("button", { name: /^Weigh it: Mix/ }).press("Enter");
  const dialog = page.getByRole("region", { name: "Weigh it" });
  await dialog.getByRole("button", { name: "Typed" }).press("Enter");
  const grams = dialog.getByLabel("Grams of this part");
  await grams.fill("nothing");
  await expect(dialog.getByText("Enter grams above zero.")).toBeVisible();
  for (const part of ["part 1 of 2", "part 2 of 2"]) {
    await expect(dialog.getByText(part)).toBeVisible();
    await grams.fill("0.9");
    await grams.press("Enter");
  }
  await dialog.getByRole("button", { name: "Use these weights" }).press("Enter");
  await expect(page.getByLabel(/^A, weighed/)).toHaveValue("0.90");
});

test("a mix that came out badly is asked what it may come from: what the record speaks for first, and it goes into the record", async ({
  page,
}) => {
  const treatment = await readyToMix(page);
  await page.goto(`/treatments/${treatment}/fill`);
  await page.getByLabel(/^A, weighed/).fill("1");
  await page.getByLabel(/^B, weighed/).fill("0.7");
  await page.getByRole("button", { name: /^Mixed now: Mix/ }).click();
  await page.getByText(/behind$/).click();
  const row = page.getByRole("list", { name: "Behind" }).getByRole("listitem").filter({ hasText: "It came out badly" }).first();
  await row.getByText("It came out badly").click();
  await row.getByRole("button", { name: "Still soft", exact: true }).click();
  const causes = row.getByRole("list", { name: "Likely causes" }).getByRole("listitem");
  await expect(causes.first()).toContainText("On record B was 30 % short of its ratio");
  await expectAccessible(page);
  await row.getByRole("button", { name: "Record: still soft" }).click();
  await expect(row.getByRole("button", { name: "Record: still soft" })).toHaveCount(0);
  const { treatment: kept } = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
  expect(kept.log.at(-1).body).toMatchObject({
    kind: "came-out",
    defect: "still-soft",
    causes: expect.arrayContaining([expect.stringMatching(/^B was 30 % short/)]),
  });
});
