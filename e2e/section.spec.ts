import { readFileSync } from "node:fs";
import { expect, type Page } from "@playwright/test";
import {
  demoTreatment,
  expectAccessible,
  expectNoSideways,
  MATCHED,
  newTreatment,
  opens,
  putAway,
  SURVEYED,
  tabTo,
  test,
  write,
} from "./support";

test.afterEach(({ page }) => putAway(page));

const section = (page: Page) => page.getByRole("region", { name: "Section" });

/** Pairs of words in the drawing that overlap as the browser set them. */
const overlaps = (page: Page) =>
  section(page)
    .locator("svg.section [data-label]")
    .evaluateAll((labels) => {
      const boxes = labels.map((label) => ({
        words: label.getAttribute("data-label"),
        at: label.querySelector("text")?.getBoundingClientRect(),
      }));
      return boxes.flatMap((a, i) =>
        boxes
          .slice(i + 1)
          .filter(
            (b) =>
              a.at && b.at && a.at.left < b.at.right && b.at.left < a.at.right && a.at.top + 3 < b.at.bottom && b.at.top + 3 < a.at.bottom,
          )
          .map((b) => `${a.words} × ${b.words}`),
      );
    });

for (const [name, station] of [
  ["lemonade-jar", "fill"],
  ["cherub-relief", "fill"],
  ["concertina", "fill"],
  ["figure-hand", "join"],
] as const)
  test(`${name}: the section is told in words, its labels stand clear of one another, and axe finds nothing`, async ({ page }) => {
    await page.goto(`/treatments/${demoTreatment(name)}/${station}`);
    await opens(page, "Section");
    await expect(section(page).getByText(/^\d+(\.\d+)? : \d+, in mm/)).toBeVisible();
    expect(await overlaps(page)).toEqual([]);
    await section(page).getByText("The same in words").click();
    await expect(
      section(page)
        .getByText(/^Section of .+\.$/)
        .last(),
    ).toBeVisible();
    await expectAccessible(page);
    await page.setViewportSize({ width: 390, height: 844 });
    await expectNoSideways(page);
  });

test("layer and row point at one another, by mouse and by keyboard", async ({ page }) => {
  await page.goto(`/treatments/${demoTreatment("ring-toss-board")}/fill`);
  await opens(page, "Section");
  const layer = section(page).getByRole("button", { name: /^The fill, Polyester filler/ });
  const row = section(page).getByRole("row").filter({ hasText: "The fill" });
  await expect(layer).toHaveAttribute("aria-pressed", "false");
  await row.hover();
  await expect(layer).toHaveAttribute("aria-pressed", "true");
  await page.mouse.move(0, 0);
  await expect(layer).toHaveAttribute("aria-pressed", "false");
  await tabTo(page, layer);
  await expect(row).toHaveClass(/lit/);
});

test("the drawing is saved as SVG with its hatches and words inside, as PNG, and printed in its scale with a line that proves it", async ({
  page,
}) => {
  await page.goto(`/treatments/${demoTreatment("lemonade-jar")}/fill`);
  await opens(page, "Section");
  const saved = async (name: string) => {
    const [file] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name }).click()]);
    return { name: file.suggestedFilename(), bytes: readFileSync(await file.path()) };
  };
  const svg = await saved("Save as SVG");
  expect(svg.name).toBe("lemonade-jar-the-chip.svg");
  const text = svg.bytes.toString("utf8");
  expect(text).toMatch(/<pattern[^>]+id="h-putty"/);
  expect(text).toMatch(/<desc>Section of the chip/);
  expect(text).not.toMatch(/var\(--|class="/);
  const png = await saved("Save as PNG");
  expect(png.bytes.subarray(1, 4).toString()).toBe("PNG");
  // 680 px wide, three dots for each
  expect(png.bytes.readUInt32BE(16)).toBe(2040);
  await page.getByRole("link", { name: "Print to scale" }).click();
  await expect(page.getByText(/This line is 50 mm/)).toBeVisible();
  await page.emulateMedia({ media: "print" });
  const drawn = await page.locator("svg.section").boundingBox();
  const line = await page.locator(".check-line").boundingBox();
  expect((line?.width ?? 0) / (96 / 25.4)).toBeCloseTo(50, 0);
  expect((drawn?.width ?? 0) / (96 / 25.4)).toBeCloseTo(260, 0);
});

test("the shaping, the grain, the height and a better volume are set, kept, and planned with", async ({ page }) => {
  const { treatment } = await newTreatment(page, { title: "Coconut-shy post" });
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await page.goto(`/treatments/${treatment}/fill`);
  const steps = page.getByRole("list", { name: "Operations" });
  await opens(page, "Shape and grain");
  await page.getByRole("button", { name: "Choose: Build over size, carve hard" }).click();
  await expect(steps.getByText(/^Carve it to the profile when it is hard/)).toBeVisible();
  await page.getByRole("button", { name: "Choose: Model it soft" }).click();
  await expect(steps.getByText(/^Model it to the profile while it is soft/)).toBeVisible();
  await expect(steps.getByText(/^Carve it to the profile/)).toHaveCount(0);
  await page.getByRole("button", { name: "Sponge" }).click();
  await expect(steps.getByText(/^Give it its grain before it skins: dab with a damp natural sponge/)).toBeVisible();
  await page.getByLabel("Laid proud").fill("30");
  await expect(page.getByText("Enter 0 to 20, or leave it empty.")).toBeVisible();
  await page.getByLabel("Laid proud").fill("0,6");
  await page.getByLabel("Mixed over the need").fill("50");
  await page.getByRole("button", { name: "Plan with these" }).click();
  await expect(steps.getByText(/0\.6 mm proud/).first()).toBeVisible();
  await opens(page, "Amounts and cups");
  await page.getByText("How much: measured another way").click();
  await page.getByLabel("Modelling clay").fill("0.9");
  await page.getByRole("button", { name: /^Plan with 0\.\d+ cm³$/ }).click();
  await expect(page.getByRole("button", { name: /^Plan with 0\.\d+ cm³$/ })).toHaveCount(0);
  await page.reload();
  await opens(page, "Shape and grain");
  await expect(page.getByLabel("Laid proud")).toHaveValue("0.6");
  await expect(page.getByText("Chosen", { exact: true })).toBeVisible();
  await expectAccessible(page);
  await page.goto(`/treatments/${treatment}/record`);
  await expect(
    page.getByText(/Fill: model it soft, sponge, 0\.6 mm proud, 50 % over the need, The chip holds 0\.\d+ cm³ by modelling clay, measures/),
  ).toBeVisible();
});
