import { expect, test } from "@playwright/test";
import { expectAccessible, newTreatment, write } from "./support";

const PIECE = { title: "Shuttle-bar knob", kind: "other", part: { name: "knob", substrate: "hardwood", finish: "lacquer" } };
const SURVEYED = {
  kind: "surveyed",
  survey: { damage: { kind: "chip", length_mm: 30, depth_mm: 5, thickness_mm: 8 }, service: { touched: true } },
};
const MATCHED = { kind: "matched", stance: "service", chain: [{ role: "filler", class: "epoxy-wood-putty" }] };

test("a colour is met out of the pigments at hand, in grams, and the recipe stands in the record", async ({ page }) => {
  const { treatment } = await newTreatment(page, PIECE);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await page.goto(`/treatments/${treatment}/colour`);
  const recipe = page.getByRole("region", { name: "Recipe" });
  await recipe.getByLabel(/Colour to meet/).fill("a warm grey");
  await expect(recipe.getByText("Write #rrggbb, or L, a and b: 61 9 21.")).toBeVisible();
  await recipe.getByLabel(/Colour to meet/).fill("61 9 21");
  await recipe.getByLabel("Paint to mix").fill("10");
  const parts = recipe.getByRole("listitem");
  await expect(parts.filter({ hasText: "titanium white" })).toContainText(/7\.\d+ g/);
  await expect(recipe.getByText("not told apart in daylight")).toBeVisible();
  await recipe.getByLabel("titanium white").uncheck();
  await expect(recipe.getByText(/come no nearer than dE00/)).toBeVisible();
  await recipe.getByLabel("titanium white").check();
  await expect(recipe.getByText("not told apart in daylight")).toBeVisible();
  await expectAccessible(page);
  await recipe.getByRole("button", { name: "Keep this recipe in the record" }).click();
  await expect(recipe.getByText("It is in the record")).toBeVisible();
  await expect(recipe.getByLabel(/Colour to meet/)).toHaveValue("61 9 21");
  await page.goto(`/treatments/${treatment}/record`);
  await expect(page.getByText(/Recipe for 61 9 21: titanium white 7\.\d+ g/)).toBeVisible();
});

test("transparent coats: from one dried coat to where to stop, and by how much to thin it", async ({ page }) => {
  const { treatment } = await newTreatment(page, PIECE);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await page.goto(`/treatments/${treatment}/colour`);
  const strip = page.getByRole("region", { name: "Transparent coats" });
  await strip.getByLabel("Ground").fill("80 4 20");
  await strip.getByLabel("One coat over it, dry").fill("72 8 26");
  await strip.getByLabel("Colour to meet").fill("58 14 35");
  await expect(strip.getByText("stop here")).toHaveCount(1);
  await expect(strip.getByText("coat 5", { exact: true })).toBeVisible();
  await strip.getByLabel("Coats planned").fill("0");
  await expect(strip.getByText("Enter 1 to 12 coats.")).toBeVisible();
  await strip.getByLabel("Coats planned").fill("6");
  await expect(strip.getByText("coat 7", { exact: true })).toBeVisible();
  await page.reload();
  await expect(strip.getByLabel("Ground")).toHaveValue("80 4 20");
});
