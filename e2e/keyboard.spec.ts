import { expect, type Page, test } from "@playwright/test";
import { firstKeys, pressOn, tabTo, typeIn } from "./support";

/** The same job without a pointer: Tab, Enter, Space, arrows and the app's own keys. */
test("the whole job by keyboard alone", async ({ page }) => {
  test.setTimeout(360_000);
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
  await tabTo(page, button("Washed or soaked: No"));
  await page.keyboard.press("Space");
  await expect(button("Washed or soaked: No")).toHaveAttribute("aria-pressed", "true");
  const mark = button(/^Mark 1, edge chip/);
  await tabTo(page, mark);
  for (const key of ["ArrowUp", "Shift+ArrowUp", "Shift+ArrowRight"]) await page.keyboard.press(key);
  await page.keyboard.press("Enter");
  await expect(button(/^Mark 1, edge chip, 11 % across, 88 % down/)).toBeEnabled();
  await pressOn(page, button("Save, go to Match"));
  await expect(page).toHaveURL(/\/match$/);

  await pressOn(page, button("Plan this repair"));
  await expect(page).toHaveURL(/\/ready$/);
  await tickAll(page);
  await pressOn(page, button(/^Leave Make ready/));
  await expect(page).toHaveURL(/\/fill$/);

  for (let layer = 1; ; layer++) {
    await pressOn(page, layer === 1 ? button(/^Mixed layer 1 now/) : button(/mixed the next now/));
    const placed = page.getByRole("button", { name: "Placed", exact: true });
    await expect(placed).toBeVisible();
    await pressOn(page, placed);
    await expect(placed).toHaveCount(0);
    if (await button(/leave Fill now/).isVisible()) break;
  }
  await pressOn(page, button(/leave Fill now/));
  await expect(page).toHaveURL(/\/level$/);

  for (;;) {
    await expect(button(/^P\d+ is done$|^Leave Level/).first()).toBeVisible();
    const grit = button(/^P\d+ is done$/);
    if ((await grit.count()) === 0) break;
    const name = (await grit.textContent()) ?? "";
    await pressOn(page, grit);
    await expect(button(name)).toHaveCount(0);
  }
  await pressOn(page, button(/^Leave Level/));
  await expect(page).toHaveURL(/\/colour$/);

  await pressOn(page, button("Coat 1 is on"));
  for (const coat of [2, 3, 4]) await pressOn(page, button(`It is dry to the touch: coat ${coat} is on now`));
  await tickAll(page);
  await pressOn(page, button(/leave Colour now/));
  await expect(page).toHaveURL(/\/close$/);
  await typeIn(page, field(/Signed$/), "T.");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/Signed and closed .*, T\./)).toBeVisible();

  await page.locator("h1").click();
  await page.keyboard.press("[");
  await expect(page).toHaveURL(/\/colour$/);
  await page.keyboard.press("]");
  await expect(page).toHaveURL(/\/close$/);
});

async function tickAll(page: Page): Promise<void> {
  const open = page.getByRole("button", { name: /^Done: / });
  for (let left = await open.count(); left > 0; left--) {
    await pressOn(page, open.first());
    await expect(open).toHaveCount(left - 1);
  }
}

/** Choose in a list by its first letters, as one does with the keyboard. */
async function choose(page: Page, label: string, letters: string): Promise<void> {
  await tabTo(page, page.getByLabel(label));
  await page.keyboard.type(letters);
  await expect(page.getByLabel(label)).not.toHaveValue("");
}
