import { expect } from "@playwright/test";
import { demoTreatment, expectAccessible, opens, test } from "./support";

test("how much: clay beside the measures, together with their spread, and a slip is told", async ({ page }) => {
  await page.goto(`/treatments/${demoTreatment("lemonade-jar")}/fill`);
  await opens(page, "Amounts and cups");
  await page.getByText("How much: measured another way").click();
  await expect(page.getByText("1.76 cm³")).toBeVisible();
  await page.getByLabel("Modelling clay").fill("3.4");
  await expect(page.getByText(/Together 1\.8\d? cm³, \d+ % apart\. Mix \d+(\.\d+)? g of epoxy putty in all/)).toBeVisible();
  await page.getByLabel("Water").fill("a cup");
  await expect(page.getByLabel("Water")).toHaveAttribute("aria-invalid", "true");
  await page.getByLabel("Water").fill("6");
  await expect(page.getByText(/They differ by more than their errors explain/)).toBeVisible();
  await expectAccessible(page);
  await page.reload();
  await opens(page, "Amounts and cups");
  await page.getByText("How much: measured another way").click();
  await expect(page.getByLabel("Modelling clay")).toHaveValue("3.4");
});
