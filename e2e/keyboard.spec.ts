import { expect, type Page } from "@playwright/test";
import { firstKeys, MATCHED, newTreatment, photographed, pressOn, SURVEYED, tabTo, test, typeIn, workOff, write } from "./support";

/** The same job without a pointer: Tab, Enter, Space, arrows and the app's own keys. */
test("the whole job by keyboard alone", async ({ page }) => {
  test.setTimeout(600_000);
  const button = (name: string | RegExp) => page.getByRole("button", { name });
  const field = (name: string | RegExp) => page.getByLabel(name);

  await page.goto("/");
  await firstKeys(page, ["g", "o"], () => expect(page).toHaveURL(/\/objects$/, { timeout: 2_000 }));
  await pressOn(page, page.getByRole("link", { name: "New piece" }));
  await expect(page).toHaveURL(/\/objects\/new$/);

  await typeIn(page, field("What is it?"), "Hoop-la tile");
  await typeIn(page, field("Mark"), "HF-102");
  await choose(page, "Kind of piece", "Dish");
  await typeIn(page, field("Damaged part"), "edge");
  await choose(page, "Made of", "Earth");
  await choose(page, "Finish on it", "Glaze");
  await typeIn(page, field("What is to be mended?"), "edge chip");
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/\/survey$/);

  await choose(page, "What is wrong", "Edge");
  await typeIn(page, field("Length along the edge"), "18");
  await typeIn(page, field("Depth down from the edge"), "4");
  await typeIn(page, field("Thickness of the wall"), "7");
  await tabTo(page, page.getByRole("tab", { name: "Drawing" }));
  for (const _ of ["map", "use"]) await page.keyboard.press("ArrowRight");
  await tabTo(page, button("Washed or soaked: No"));
  await page.keyboard.press("Space");
  await expect(button("Washed or soaked: No")).toHaveAttribute("aria-pressed", "true");
  await tabTo(page, page.getByRole("tab", { name: /^Use and inspection/ }));
  await page.keyboard.press("ArrowLeft");
  const mark = button(/^Mark 1, edge chip/);
  await tabTo(page, mark);
  for (const key of ["ArrowUp", "Shift+ArrowUp", "Shift+ArrowRight"]) await page.keyboard.press(key);
  await page.keyboard.press("Enter");
  await expect(button(/^Mark 1, edge chip, 11 % across, 88 % down/)).toBeEnabled();
  await pressOn(page, button("Save, go to Match"));
  await expect(page).toHaveURL(/\/match/);

  await pressOn(page, button("Plan this repair"));
  await expect(page).toHaveURL(/\/ready$/);
  await pressOn(page, button("None taken"));
  await typeIn(page, field("Why is there no photograph?"), "the camera is away");
  await page.keyboard.press("Enter");
  await expect(page.getByText("1 behind")).toBeVisible();
  const treatment = /treatments\/([^/]+)/.exec(page.url())?.[1] ?? "";
  await workOff(page, treatment, (id) => id.includes("/fill/mix-1"));
  await page.keyboard.press("]");
  await page.goto(`/treatments/${treatment}/fill`);
  // the wiped edge has had no time to dry: it is done all the same, and why
  const soon = page.getByText("Do it, with a reason").first();
  await tabTo(page, soon);
  await page.keyboard.press("Enter");
  await typeIn(page, field("Why is it done all the same?").first(), "dry to the cheek");
  await page.keyboard.press("Enter");
  await expect(page.getByText("2 behind")).toBeVisible();
  await pressOn(page, button(/^Done: Press in/));
  await expect(page.getByRole("list", { name: "Operations" }).getByText(/^Press in/)).toHaveCount(0);
  const early = page.getByText("Do it, with a reason").first();
  await expect(early).toBeVisible();
  await tabTo(page, early);
  await page.keyboard.press("Enter");
  await typeIn(page, field("Why is it done all the same?").first(), "firm by the thumbnail");
  await page.keyboard.press("Enter");
  await expect(page.getByText("4 behind")).toBeVisible();
  await workOff(page, treatment, (id) => id.includes("/close/sign"));
  await page.goto(`/treatments/${treatment}/close`);
  await typeIn(page, field(/Signed$/), "T.");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/Signed and closed .*, T\./)).toBeVisible();

  await page.locator("h1").click();
  await page.keyboard.press("[");
  await expect(page).toHaveURL(/\/colour$/);
  await firstKeys(page, ["]"], () => expect(page).toHaveURL(/\/close$/, { timeout: 4_000 }));
});

test("at a station: N to what is open, the arrows through the rows, M to its minutes", async ({ page }) => {
  const { treatment } = await newTreatment(page, { title: "Dart-board rim" });
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await photographed(page, treatment);
  await page.goto(`/treatments/${treatment}/ready`);
  const main = page.locator(".op-card").getByRole("button", { name: /^Done: Photograph/ });
  await firstKeys(page, ["n"], () => expect(main).toBeFocused({ timeout: 2_000 }));
  await page.keyboard.press("ArrowDown");
  const second = page.getByRole("list", { name: "Operations" }).getByRole("listitem").nth(1);
  await expect(second.getByRole("button")).toBeFocused();
  const words = (await second.locator(".op-t").textContent()) ?? "";
  await page.keyboard.press("Enter");
  await expect(page.locator(".op-card .op-t")).toHaveText(words);
  await page.locator("h1").click();
  await page.keyboard.press("n");
  await page.keyboard.press("ArrowUp");
  await page.keyboard.press("Enter");
  await expect(main).toBeVisible();
  await page.locator("h1").click();
  await page.keyboard.press("m");
  await expect(page.getByLabel(/^Minutes for: Photograph/)).toBeFocused();
});

/** Choose in a list by its first letters, as one does with the keyboard. */
async function choose(page: Page, label: string, letters: string): Promise<void> {
  await tabTo(page, page.getByLabel(label));
  await page.keyboard.type(letters);
  await expect(page.getByLabel(label)).not.toHaveValue("");
}
