import type { Page } from "@playwright/test";
import { EARLIER_GLUES } from "../src/core/catalogue";
import { DAMAGE_LABELS, MEASURES, type Measure } from "../src/core/survey/measures.data";
import { QUESTIONS } from "../src/core/survey/questions.data";
import type { Survey } from "../src/core/survey/survey.schema";
import { opens } from "./support";

const exactly = (text: string) => new RegExp(`^${text.replace(/[.*+?^${}()|[\]\\]/g, "\\$&")}( \\(if any\\))?$`);
async function answer(page: Page, text: string, yes: boolean): Promise<void> {
  const half = page.getByRole("button", { name: `${text}: ${yes ? "Yes" : "No"}`, includeHidden: true });
  // what hardly matters here is folded
  if (!(await half.isVisible())) await page.locator("details", { has: half }).locator("summary").click();
  await half.click();
}

/** Fill the survey in as a person does: every measure and every answer at its own field. */
export async function fillSurvey(page: Page, { damage, service, finish_survives, earlier_glue, working_min }: Survey): Promise<void> {
  await page.getByLabel("What is wrong").selectOption({ label: DAMAGE_LABELS[damage.kind] });
  for (const measure of MEASURES[damage.kind]) await fillMeasure(page, measure, (damage as Record<string, unknown>)[measure.name]);
  await opens(page, /^Use and inspection/);
  for (const { ask, text } of QUESTIONS) if (service[ask] !== undefined) await answer(page, text, service[ask]);
  if (finish_survives !== undefined) await answer(page, "The finish beside it must survive", finish_survives);
  if (working_min !== undefined) await page.getByLabel(/^Assembly takes/).fill(String(working_min));
  const glue = EARLIER_GLUES.find((row) => row.glue === earlier_glue);
  if (glue) await page.getByLabel("Glued before with").selectOption(glue.glue);
}

async function fillMeasure(page: Page, measure: Measure, value: unknown): Promise<void> {
  if (value === undefined) return;
  if (measure.type === "yesno") return answer(page, measure.label, value === true);
  if (measure.type === "choice") {
    const word = measure.options.find(([option]) => option === value)?.[1] ?? "";
    return page.getByRole("group", { name: measure.label, exact: true }).getByRole("button", { name: word, exact: true }).click();
  }
  if (measure.type !== "list") return page.getByLabel(exactly(measure.label)).first().fill(String(value));
  for (const [i, row] of (value as ReadonlyArray<Record<string, number>>).entries()) {
    await page.getByRole("button", { name: "Add one" }).click();
    for (const { name, label } of measure.of) await page.getByLabel(`${i + 1}. ${label}`, { exact: true }).fill(String(row[name]));
  }
}
