import { expect, type Page } from "@playwright/test";
import { jobInput } from "../src/core/plan/jobs.fixture";
import type { PlanInput } from "../src/core/plan/plan.schema";
import { plan } from "../src/core/plan/planCalc";
import { fillSurvey } from "./measuring";
import { newTreatment, opens, row, write } from "./support";

export const press = (page: Page, name: string | RegExp) => page.getByRole("button", { name, exact: true }).click();
export const go = async (page: Page, treatment: string, station: string) => {
  await page.goto(`/treatments/${treatment}/${station}`);
  await expect(page.getByRole("heading", { name: /^What to do/ })).toBeVisible();
};
export const rows = (page: Page) => page.getByRole("list", { name: "Operations" }).locator(".op-t");
/** Where each of these words first stands in the list, in the order of the list. */
export async function inOrder(page: Page, ...words: readonly RegExp[]): Promise<void> {
  const texts = await rows(page).allTextContents();
  const at = words.map((word) => texts.findIndex((text) => word.test(text)));
  expect(at.every((place) => place >= 0) ? [...at].sort((a, b) => a - b) : at).toEqual(at);
}

/** What is timed without glue is recorded in its own panel, the first of them where several joints are fitted in one go. */
export async function dryRun(page: Page, minutes: string): Promise<void> {
  await opens(page, "Clamps and dry run");
  const run = page.getByRole("region", { name: /^Dry run/ }).first();
  await run.getByLabel("The dry run took").fill(minutes);
  await run.getByRole("button", { name: "Two marks meet across the break: Yes" }).click();
  const before = await row(page, /Dry-fit/).count();
  await run.getByRole("button", { name: "Record the dry run" }).click();
  await expect(row(page, /Dry-fit/)).toHaveCount(before - 1);
}

/** The piece of a job with its first part; answers its treatment. */
async function entered(page: Page, { kind, parts: [part] }: PlanInput["piece"], title: string): Promise<string> {
  const { treatment } = await newTreatment(page, {
    title,
    kind,
    part: { name: part?.id, substrate: part?.substrate, finish: part?.finish ?? "none" },
    treatment_title: "the whole repair",
  });
  return treatment;
}

/** The job entered, surveyed and planned in the interface, one damage after the other; answers its treatment. */
export async function planned(
  page: Page,
  number: number,
  title: string,
  atMatch: (page: Page, damage: number) => Promise<void> = async () => {},
) {
  const { piece, damages, stance } = jobInput(number);
  const treatment = await entered(page, piece, title);
  for (const [i, damage] of damages.entries()) {
    await page.goto(`/treatments/${treatment}/survey${i > 0 ? `?damage=d${i + 1}` : ""}`);
    if (i > 0) await page.getByLabel("What this damage is called").fill(`Damage ${i + 1}`);
    await fillSurvey(page, damage.survey);
    await press(page, "Save, go to Match");
    await expect(page).toHaveURL(/\/match/);
    if (stance === "service" && i === 0) await press(page, "Service first");
    await atMatch(page, i);
    await press(page, "Plan this repair");
    await expect(page).not.toHaveURL(/\/match/);
  }
  return treatment;
}

/** The job surveyed and planned through the API, as the first choice has it: for walks that begin later on the way. */
export async function readyJob(
  page: Page,
  number: number,
  title: string,
  over: (input: PlanInput) => PlanInput = (input) => input,
): Promise<string> {
  const input = over(jobInput(number));
  const { piece, damages, stance } = input;
  const treatment = await entered(page, piece, title);
  const { links } = plan(input);
  let version = 0;
  for (const { id, survey, way } of damages)
    await write(page, treatment, version++, {
      kind: "surveyed",
      damage: id,
      survey,
      ...(way ? { way: { way, reason: "as the job has it" } } : {}),
      ...(id === "d1" ? {} : { title: `Damage ${id}` }),
    });
  for (const { id, choose } of damages) {
    const chosen = links.filter(({ place }) => place.startsWith(`${id}/`));
    const chain = chosen.map(({ role, class: name, place, overridden }) => ({
      place,
      role,
      class: name,
      ...(overridden ? { because: overridden } : {}),
    }));
    await write(page, treatment, version++, { kind: "matched", damage: id, stance, chain: choose && choose.length > 0 ? choose : chain });
  }
  return treatment;
}

export const before = (station: string) => (id: string) => id.includes(`/${station}/`);
export const isDryRun = (id: string) => id.includes("/dry-run/");
