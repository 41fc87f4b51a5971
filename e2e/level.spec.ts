import { expect, type Page } from "@playwright/test";
import { demoTreatment, expectAccessible, expectNoSideways, newTreatment, openRow, opens, putAway, test, workOff, write } from "./support";

test.afterEach(({ page }) => putAway(page));

const LID = { kind: "instrument", part: { name: "lid", substrate: "hardwood", finish: "lacquer" } };
const rungs = (page: Page) => page.getByRole("list", { name: /^Rungs/ }).getByRole("listitem");
const steps = (page: Page) => page.getByRole("list", { name: "Operations" });

async function lid(
  page: Page,
  title: string,
  damage: object,
  way: object,
  chain: object[],
  until: (id: string) => boolean,
): Promise<string> {
  const { treatment } = await newTreatment(page, { title, ...LID });
  await write(page, treatment, 0, { kind: "surveyed", survey: { damage, service: {} }, way });
  await write(page, treatment, 1, { kind: "matched", stance: "service", chain });
  await workOff(page, treatment, until, 200);
  return treatment;
}

test("the ladder, the wait and what works alike: told to all, on a desk and on a phone", async ({ page }) => {
  await page.goto(`/treatments/${demoTreatment("booth-counter")}/level`);
  await expect(rungs(page).first()).toContainText("P120");
  await expect(page.getByRole("region", { name: "Ladder" })).toContainText(/Beside it lies lacquer, some 110 µm: one slip of P120/);
  await opens(page, "Sinking");
  await expect(page.getByRole("region", { name: "Shrink wait" })).toContainText(/still to sink now; under gloss an edge is seen from 2 µm/);
  await opens(page, "Works alike");
  const alike = page.getByRole("region", { name: "Works alike" });
  await alike.getByLabel("Instead of").selectOption({ label: "P400, 35 µm" });
  await expect(alike.getByRole("row", { name: /ANSI grade/ })).toContainText(/ANSI 3\d0/);
  const backing = page.getByRole("region", { name: "Backing" });
  await backing.getByLabel("Radius of the hollow").fill("120");
  await expect(backing.getByText("Enter a radius up to 60 mm.")).toBeVisible();
  await backing.getByLabel("Radius of the hollow").fill("12");
  await expect(backing.getByRole("img", { name: "A dowel of 24 mm, in true size" })).toBeVisible();
  await expectAccessible(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expectNoSideways(page);
});

test("the surface that is left, with and without a rung, in a worker; under primer less is seen; it can be cancelled", async ({ page }) => {
  await page.goto(`/treatments/${demoTreatment("booth-counter")}/level`);
  await opens(page, "Surface");
  const left = page.getByRole("region", { name: "Surface that is left" });
  await left.getByLabel("Skip a rung").selectOption({ label: "without P280" });
  await left.getByRole("button", { name: "in gloss" }).click();
  await left.getByRole("button", { name: "Show it" }).click();
  await expect(left.getByRole("img", { name: /^The whole ladder: deepest scratch [\d.]+ µm/ })).toBeVisible();
  await expect(left.getByRole("img", { name: /^Without P280: deepest scratch [\d.]+ µm/ })).toBeVisible();
  const picture = () =>
    left
      .locator("canvas")
      .first()
      .evaluate((canvas) => (canvas as HTMLCanvasElement).toDataURL());
  const gloss = await picture();
  await left.getByRole("button", { name: "under coats" }).click();
  await expect(left.getByText(/not seen; seen from 10 to 20 µm on/).first()).toBeVisible();
  expect(await picture()).not.toBe(gloss);
  await expect(left.getByText(/A picture of a model, not of your piece/)).toBeVisible();
  await expectAccessible(page);
});

test("half a millimetre left before a fine rung: a step back is proposed, and the coarser grade comes again", async ({ page }) => {
  const chip = { kind: "chip", length_mm: 30, depth_mm: 6, thickness_mm: 5 };
  const treatment = await lid(
    page,
    "Band-organ lid",
    chip,
    { way: "fill", reason: "the grain is short" },
    [{ role: "filler", class: "epoxy-wood-putty" }],
    (id) => id.includes("/level/grit-"),
  );
  await page.goto(`/treatments/${treatment}/level`);
  await page.getByRole("button", { name: /^Done: Sand with P180/ }).click();
  await expect(rungs(page).first()).toContainText("done");
  await page.getByRole("button", { name: /^More: Sand with P280/ }).click();
  await page
    .getByLabel(/^Height against the old surface/)
    .first()
    .fill("0.3");
  await page.getByRole("button", { name: /^Done: Sand with P280/ }).click();
  const ladder = page.getByRole("region", { name: "Ladder" });
  await expect(ladder.getByText(/0\.3 mm still stands proud: P400 would take long for it/)).toBeVisible();
  await ladder.getByLabel("Back to").selectOption({ label: "P180" });
  await ladder.getByRole("button", { name: "Walk again from P180" }).click();
  await expect(
    steps(page)
      .getByText(/^Sand with P180 again/)
      .first(),
  ).toBeVisible();
  await expect(rungs(page)).toHaveCount(5);
  await expectAccessible(page);
  await page.goto(`/treatments/${treatment}/record`);
  await expect(page.getByText(/Back to P180: 0\.3 mm still stands proud/)).toBeVisible();
});

test("from film to compound: a gauge reading takes the place of the estimate and says where to stop", async ({ page }) => {
  const scratch = { kind: "scratch", length_mm: 60, width_mm: 1, depth_mm: 0.012, film_um: 120 };
  const treatment = await lid(
    page,
    "Music-cabinet door",
    scratch,
    { way: "spray-cut", reason: "all over the face" },
    [{ role: "topcoat", class: "clear-lacquer" }],
    (id) => id.includes("/cut-1/"),
  );
  await page.goto(`/treatments/${treatment}/colour`);
  const cut = await openRow(page, /Cut/);
  await opens(page, "Film");
  const film = page.getByRole("region", { name: "Film budget" });
  await expect(film).toContainText("120 ± 24 µm, as surveyed");
  await expect(film.getByRole("img", { name: /^Film left, safe from 60 µm on\. Before: 120 µm at the flat/ })).toBeVisible();
  if (await cut.getByText("Do it, with a reason").isVisible()) {
    await cut.getByText("Do it, with a reason").click();
    await cut.getByLabel("Why is it done all the same?").fill("it has dried all night");
  } else await cut.getByRole("button", { name: /^More: / }).click();
  await cut.getByLabel(/^Film by the gauge/).fill("lots");
  await cut.getByRole("button", { name: /^(Done|Do it all the same): Cut/ }).click();
  await expect(page.getByText("Enter micrometres, 0 to 5000.")).toBeVisible();
  await cut.getByLabel(/^Film by the gauge/).fill("63");
  await cut.getByRole("button", { name: /^(Done|Do it all the same): Cut/ }).click();
  // the next cut comes up with its own instrument
  await expect(async () => {
    await opens(page, "Film");
    await expect(film.getByRole("img", { name: /Cut coat 1: 63 µm at the flat/ })).toBeVisible({ timeout: 2_000 });
  }).toPass();
  await expect(film.getByText(/^(Stop before|Tape the edges before)/)).toBeVisible();
  await expectAccessible(page);
  await page.goto(`/treatments/${treatment}/record`);
  await expect(page.getByText(/film 63 µm by the gauge/)).toBeVisible();
});
