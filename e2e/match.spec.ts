import { expect, type Page } from "@playwright/test";
import { newTreatment, opens, putAway, SURVEYED, test, workedOut, write } from "./support";

test.afterEach(({ page }) => putAway(page));

/** A mug with two chips of other sizes, neither with materials. */
async function twoChips(page: Page): Promise<string> {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, SURVEYED);
  const smaller = { ...SURVEYED.survey, damage: { ...SURVEYED.survey.damage, length_mm: 12 } };
  await write(page, treatment, 1, { ...SURVEYED, survey: smaller, damage: "d2", title: "foot chip" });
  return treatment;
}

const chosen = (page: Page, name: string) => page.getByRole("list", { name: "Links of the chain" }).getByText(name, { exact: true });

test("what was chosen stays through another link, another damage and a reload, until it is planned", async ({ page }) => {
  const treatment = await twoChips(page);
  await page.goto(`/treatments/${treatment}/match?damage=d1`);
  await page.getByRole("button", { name: "Choose Polyester filler" }).click();
  await expect(chosen(page, "Polyester filler")).toBeVisible();
  await page.getByRole("link", { name: /foot chip/ }).click();
  await expect(page).toHaveURL(/damage=d2/);
  await expect(chosen(page, "Polyester filler")).toHaveCount(0);
  await page.goto(`/treatments/${treatment}/match?damage=d1`);
  await expect(chosen(page, "Polyester filler")).toBeVisible();

  await test.step("what Why not calls fitting can be taken there", async () => {
    await opens(page, "Every fact");
    const whyNot = page.getByRole("region", { name: "Why not" });
    await whyNot.getByRole("combobox").selectOption({ label: "Slow epoxy with glass beads" });
    await whyNot.getByRole("button", { name: "Choose Slow epoxy with glass beads" }).first().click();
    await expect(chosen(page, "Slow epoxy with glass beads")).toBeVisible();
  });

  await test.step("one press plans it for both, each with its own measures", async () => {
    await page.getByRole("button", { name: "Take it for all 2" }).click();
    await expect(page).not.toHaveURL(/\/match/);
    const { log } = await workedOut(page, treatment);
    const fillers = log.damages.map(({ choice }) => choice?.body.chain.find(({ role }) => role === "filler")?.class);
    expect(fillers).toEqual(["bulked-epoxy", "bulked-epoxy"]);
  });
});
