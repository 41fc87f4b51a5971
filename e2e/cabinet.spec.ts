import { expect, type Page } from "@playwright/test";
import { expectAccessible, newTreatment, opens, SURVEYED, test, write } from "./support";

const press = (page: Page, name: string | RegExp) => page.getByRole("button", { name, exact: true }).click();
const csv = (text: string) => ({ name: "jars.csv", mimeType: "text/csv", buffer: Buffer.from(text) });

test("a jar is put in, stands in the list, and Match takes it with its own figures into the record", async ({ page }) => {
  const name = `Workshop putty ${Date.now() % 10_000}`;
  await page.goto("/cabinet");
  await page.getByRole("link", { name: "Put a jar in" }).click();
  await press(page, "Put it in the cabinet");
  await expect(page.getByText("Choose what kind of material it is.")).toBeVisible();
  await page.getByLabel("Kind of material").selectOption("epoxy-putty");
  await page.getByLabel("Name on the jar").fill(name);
  await page.getByLabel("Layer at most, mm").fill("4");
  await page.getByLabel("Workable, min").fill("50-40");
  await page.getByLabel("Full, g").fill("120");
  await press(page, "Put it in the cabinet");
  await expect(page.getByText("The low figure comes first.")).toBeVisible();
  await page.getByLabel("Workable, min").fill("40-50");
  await expectAccessible(page);
  await press(page, "Put it in the cabinet");
  await expect(page.getByRole("complementary", { name: "Selected product" })).toContainText(name);

  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, {
    ...SURVEYED,
    survey: { ...SURVEYED.survey, damage: { kind: "chip", length_mm: 20, depth_mm: 7, thickness_mm: 5 } },
  });
  await page.goto(`/treatments/${treatment}/match`);
  await press(page, `Choose ${name}`);
  await press(page, "Plan this repair");
  await expect(page).toHaveURL(new RegExp(`/treatments/${treatment}/ready`));
  await page.goto(`/treatments/${treatment}/fill`);
  await opens(page, "Section");
  await expect(page.getByRole("row").filter({ hasText: /^Layer 2/ })).toBeVisible();
  await page.goto(`/treatments/${treatment}/record`);
  await expect(page.getByText(new RegExp(`Chose ${name.toLowerCase()}`))).toBeVisible();
});

test("a jar is weighed; from a page that is behind it is told, not overwritten", async ({ page, context }) => {
  await page.goto("/cabinet");
  await page.getByRole("link", { name: /Studio acrylics/ }).click();
  const side = page.getByRole("complementary", { name: "Selected product" });
  await expect(side.getByRole("heading", { name: "Studio acrylics" })).toBeVisible();
  const late = await context.newPage();
  await late.goto(page.url());
  await side.getByRole("button", { name: "Weigh it: jar box" }).click();
  await side.getByLabel("Left, g").fill("500");
  await press(page, "Save the jar");
  await expect(side.getByText("box: 500 g of 800 g")).toBeVisible();
  const behind = late.getByRole("complementary", { name: "Selected product" });
  await behind.getByRole("button", { name: "Weigh it: jar box" }).click();
  await behind.getByLabel("Left, g").fill("20");
  await late.getByRole("button", { name: "Save the jar" }).click();
  await expect(behind.getByText(/weighed in another window/)).toBeVisible();
  // theirs is shown, the field keeps what was typed, and saving again is meant
  await expect(behind.getByText("box: 500 g of 800 g")).toBeVisible();
  await expect(behind.getByLabel("Left, g")).toHaveValue("20");
  await expect(behind.getByText(/weighed in another window/)).toBeVisible();
  await late.getByRole("button", { name: "Save the jar" }).click();
  await expect(behind.getByText("box: 20 g of 800 g")).toBeVisible();
});

test("a list with one wrong line is not taken in, says which, and may be taken without it", async ({ page }) => {
  await page.goto("/cabinet");
  await press(page, "From CSV");
  const region = page.getByRole("region", { name: "Take a list in" });
  await region
    .locator("input[type=file]")
    .setInputFiles(csv("name,class,lot,size_g\r\nFair wax,wax-fill,1,50\r\nMystery,marzipan,1,50\r\n"));
  await expect(region.getByText(/1 line is wrong, so nothing was taken in/)).toBeVisible();
  await expect(region.getByText("Line 3, class: “marzipan” is no class of the catalogue.")).toBeVisible();
  await expect(page.getByRole("row").filter({ hasText: "Fair wax" })).toHaveCount(0);
  await press(page, "Leave the wrong lines out, take the rest");
  await expect(region.getByText(/1 product with 1 jar is in/)).toBeVisible();
  await expect(page.getByRole("row").filter({ hasText: "Fair wax" })).toHaveCount(1);
  const file = await page.request.get("/api/cabinet/csv");
  expect(file.headers()["content-type"]).toContain("text/csv");
  expect(await file.text()).toContain("\r\nFair wax,wax-fill,1,50,50,");
});

/** Whether the row of one product stands above that of another. */
async function inOrder(page: Page, above: RegExp, below: RegExp): Promise<boolean> {
  const names = await page.getByRole("row").allInnerTexts();
  const [a, b] = [above, below].map((name) => names.findIndex((row) => name.test(row)));
  return a !== undefined && b !== undefined && a >= 0 && a < b;
}

test("what goes off is told first, the list is sorted and filtered, and up to four stand side by side", async ({ page }) => {
  await page.goto("/cabinet");
  await expect(page.getByRole("region", { name: "Will go off before you use it" })).toContainText("Polyester filler");
  await press(page, /^Goes off/);
  await expect(page.getByRole("columnheader", { name: /Goes off/ })).toHaveAttribute("aria-sort", "ascending");
  // other jars may come and go between them: these two have their order
  const [first, later] = [/^Made-up glue/, /^Polyester filler/];
  await expect.poll(() => inOrder(page, first, later)).toBe(true);
  await press(page, /^Goes off/);
  await expect.poll(() => inOrder(page, later, first)).toBe(true);
  await press(page, /^Plasters/);
  await expect(page.getByRole("row")).toHaveCount(3);
  await page.getByLabel("Compare Gypsum cement").check();
  await page.getByLabel("Compare Modelling plaster").check();
  await press(page, /^All/);
  await page.getByLabel("Compare Fine acrylic filler").check();
  await page.getByLabel("Compare Epoxy putty 1:1").check();
  await expect(page.getByLabel("Compare Slow epoxy")).toBeDisabled();
  const compared = page.getByRole("region", { name: "Compared" });
  await expect(compared.getByRole("row", { name: /^Water/ })).toContainText("must stay dry");
  await expectAccessible(page);
  await press(page, "Stop comparing");
  await expect(compared).toHaveCount(0);
});

test("a product is deleted and brought back with its jars", async ({ page }) => {
  await page.goto("/cabinet");
  await page.getByRole("link", { name: /Grey surfacer/ }).click();
  await expect(page.getByRole("complementary", { name: "Selected product" }).getByRole("heading", { name: "Grey surfacer" })).toBeVisible();
  await press(page, "Delete it with its jars");
  await expect(page.getByText("Deleted: Grey surfacer")).toBeVisible();
  await expect(page.getByRole("row").filter({ hasText: "Grey surfacer" })).toHaveCount(0);
  await press(page, "Undo");
  await expect(page.getByRole("row").filter({ hasText: "Grey surfacer" })).toHaveCount(1);
});
