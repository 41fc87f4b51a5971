import { expect, type Page } from "@playwright/test";
import { expectAccessible, expectNoSideways, MATCHED, newTreatment, putAway, SURVEYED, test, workOff, write } from "./support";

test.afterEach(({ page }) => putAway(page));

async function readyFor(
  page: Page,
  title: string,
  chain: object[],
  over: object = {},
  survey: object = SURVEYED,
  hoursAgo: number | undefined = 10,
): Promise<string> {
  const { treatment } = await newTreatment(page, { title, ...over });
  await write(page, treatment, 0, survey);
  await write(page, treatment, 1, { ...MATCHED, chain });
  await workOff(page, treatment, (id) => id.includes("/fill/mix-1"), hoursAgo);
  await page.goto(`/treatments/${treatment}/fill`);
  return treatment;
}
const dialog = (page: Page) => page.getByRole("region", { name: /^Mix .* without a scale/ });
const open = (page: Page) => page.getByRole("button", { name: /^Without a scale: / }).click();

test("without a scale: balls in true size on a screen that was measured with a card, beads by the nozzle", async ({ page }) => {
  await readyFor(page, "Hammer-bell knob", MATCHED.chain);
  await open(page);
  const ball = dialog(page).getByRole("img", { name: /^A: a ball of [\d.]+ mm, in true size/ });
  const before = (await ball.boundingBox())?.width ?? 0;
  await dialog(page).getByRole("button", { name: "Measure this screen" }).click();
  await dialog(page).getByLabel("Larger or smaller").fill("5.67");
  await dialog(page).getByRole("button", { name: "It fits" }).click();
  await expect(dialog(page).getByText("In true size: hold yours against them.")).toBeVisible();
  // half as many pixels again to the millimetre; 4 px are the frame's
  expect((((await ball.boundingBox())?.width ?? 0) - 4) / (before - 4)).toBeCloseTo(1.5, 2);
  const bead = dialog(page).getByRole("row", { name: /^A / }).getByRole("cell").nth(3);
  const first = await bead.textContent();
  await dialog(page).getByLabel("Nozzle, bore").fill("wide");
  await expect(dialog(page).getByText("Enter a bore from 0.5 to 50 mm.")).toBeVisible();
  await dialog(page).getByLabel("Nozzle, bore").fill("8");
  await expect.poll(async () => Number.parseFloat(first ?? "") / Number.parseFloat((await bead.textContent()) ?? "")).toBeGreaterThan(3.4);
  await expectAccessible(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expectNoSideways(page);
});

test("hardener against time: half the dose takes twice as long, too little never sets, too much sets in the cup", async ({ page }) => {
  await readyFor(page, "Test-your-strength bell", [
    { role: "filler", class: "polyester-filler" },
    { role: "colour", class: "acrylic-paint" },
  ]);
  await open(page);
  const curve = dialog(page).getByRole("region", { name: "Hardener" });
  const minutes = async () => Number.parseFloat((await curve.locator(".big-figure").textContent()) ?? "");
  const planned = await minutes();
  await expect(curve.getByText("Between 1 and 4 % it sets as it should.")).toBeVisible();
  await expect(
    curve
      .getByRole("img", { name: /^Minutes workable fall/ })
      .locator("svg")
      .first(),
  ).toBeVisible();
  const percent = curve.getByLabel("Percent of hardener");
  await percent.fill("1");
  await expect.poll(async () => (await minutes()) / planned).toBeCloseTo(2, 0);
  await percent.fill("0.5");
  await expect(curve.getByText(/never sets through/)).toBeVisible();
  await percent.fill("6");
  await expect(curve.getByText(/sets in the cup, gets hot/)).toBeVisible();
  await expectAccessible(page);
});

test("plaster: water first, an additive in place of some of it, and the thinner second pour is a step of its own", async ({ page }) => {
  const corner = { kind: "surveyed", survey: { damage: { kind: "corner", a_mm: 50, b_mm: 40, c_mm: 30 }, service: {} } };
  const treatment = await readyFor(
    page,
    "Grotto cornice",
    [{ role: "filler", class: "gypsum-plaster" }],
    { kind: "relief", part: { name: "corner", substrate: "gypsum", finish: "none" } },
    corner,
    // what was damped is dry again after hours
    0,
  );
  await open(page);
  const plaster = dialog(page).getByRole("region", { name: "Plaster" });
  await expect(plaster.getByRole("heading")).toHaveText("Water first, then the powder into it");
  const water = async () => Number.parseFloat((await plaster.getByRole("listitem").first().textContent()) ?? "");
  const alone = await water();
  await plaster.getByRole("button", { name: "25 % of the water" }).click();
  await expect.poll(async () => (await water()) / alone).toBeCloseTo(0.75, 1);
  await expect(plaster.getByText(/litres of mould/)).toBeVisible();
  await expectAccessible(page);
  await dialog(page).getByRole("button", { name: "Back to the amounts" }).click();
  const second = page.getByRole("listitem").filter({ hasText: /^.*Mix a thinner second pour/ });
  await expect(second.first()).toBeVisible();
  await workOff(page, treatment, (id) => id.includes("/fill/demould"));
  await page.reload();
  const { treatment: kept } = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
  expect(kept.log.map(({ body }: { body: { op?: string } }) => body.op)).toContain("r1/fill/top-up/d1");
});

test("two tablets at one mix: the second is told what the first did, loses nothing, and mixes nothing twice", async ({ page, other }) => {
  const treatment = await readyFor(page, "Duck-pond float", MATCHED.chain);
  await other.goto(page.url(), { waitUntil: "networkidle" });
  await page.getByLabel(/^A, weighed/).fill("0.5");
  await other.getByLabel(/^A, weighed/).fill("0.6");
  await other.getByLabel(/^B, weighed/).fill("0.6");
  await page.getByLabel(/^B, weighed/).fill("0.5");
  await page.getByRole("button", { name: /^Mixed now: Mix/ }).click();
  await expect(page.getByRole("button", { name: /^Mixed now: Mix/ })).toHaveCount(0);
  await other.getByRole("button", { name: /^Mixed now: Mix/ }).click();
  const told = other.getByRole("alert", { name: "Written twice" });
  await expect(told).toContainText("Another window wrote here since you opened this page");
  await expect(told).toContainText(/Kept here: .*A 0\.60 g, B 0\.60 g/);
  await expect(told).toContainText(/Written there meanwhile: .*A 0\.50 g, B 0\.50 g/);
  await told.getByRole("button", { name: "Drop mine" }).click();
  await expect(other.getByRole("button", { name: /^Mixed now: Mix/ })).toHaveCount(0);
  const { treatment: kept } = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
  const mixes = kept.log.filter(({ body }: { body: { op?: string } }) => body.op?.includes("/fill/mix-1"));
  expect(mixes).toHaveLength(1);
  expect(mixes[0].body.start.parts.map(({ actual_g }: { actual_g: number }) => actual_g)).toEqual([0.5, 0.5]);
});

test("the last minute of a mix lies over every page with its seconds", async ({ page }) => {
  await readyFor(page, "Ring-toss bottle", MATCHED.chain);
  await page.getByRole("button", { name: /^Mixed now: Mix/ }).click();
  await expect(page.getByRole("button", { name: /^Mixed now: Mix/ })).toHaveCount(0);
  await page.clock.install({ time: new Date() });
  await page.goto("/cabinet");
  const told = page.getByRole("alert").getByRole("paragraph").filter({ hasText: "Ring-toss bottle" });
  await expect(told).toHaveCount(0);
  // the page goes on reckoning by itself: its clock is turned on until the pot life runs out
  for (let steps = 0; steps < 400 && (await told.count()) === 0; steps++) await page.clock.runFor(20_000);
  await expect(told).toContainText(/Last minute: Press in .*, Ring-toss bottle/);
  await expect(told).toContainText(/[1-6]?\d s$/);
  await expect(told.getByRole("link")).toHaveAttribute("href", /\/fill#r1\/fill\/place-1/);
});
