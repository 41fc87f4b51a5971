import { expect, type Page } from "@playwright/test";
import { expectAccessible, MATCHED, newTreatment, SURVEYED, test, workOff, write } from "./support";

/** A piece with a chip that is ready to be mixed for. */
async function readyToMix(page: Page, title: string, damages = 1): Promise<string> {
  const { treatment } = await newTreatment(page, { title });
  for (let i = 0; i < damages; i++) {
    const damage = `d${i + 1}`;
    await write(page, treatment, i * 2, { ...SURVEYED, damage, ...(i > 0 ? { title: `Chip ${i + 1}` } : {}) });
    await write(page, treatment, i * 2 + 1, { ...MATCHED, damage });
  }
  await workOff(page, treatment, (id) => id.includes("/fill/mix-1"), 10);
  return treatment;
}

/** A day soon: what goes off first is taken first. */
const inDays = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);

const jar = async (page: Page, label: string) => {
  const id = crypto.randomUUID();
  const answer = await page.request.post("/api/cabinet/products", {
    data: {
      id,
      name: `Putty ${id.slice(0, 6)}`,
      class: "epoxy-putty",
      figures: {},
      lot: { id: crypto.randomUUID(), label, size_g: 200, left_g: 150, expires: inDays(3) },
    },
  });
  expect(answer.status()).toBe(201);
  return `Putty ${id.slice(0, 6)}`;
};

test("one mix for two pieces: both records have it, and the jar goes down by what was mixed", async ({ page }) => {
  const name = await jar(page, "B7");
  const [one, two] = [await readyToMix(page, "Target disc, east"), await readyToMix(page, "Target disc, west")];
  await page.goto(`/treatments/${one}/fill`);
  await page.getByRole("button", { name: /^Mix for others too/ }).click();
  const dialog = page.getByRole("region", { name: "One mix for several" });
  await expect(dialog.getByText("Target disc, west", { exact: true })).toBeVisible();
  await expectAccessible(page);
  for (const other of await dialog.getByRole("checkbox").all())
    if ((await other.isEnabled()) && !/Target disc, (east|west)/.test((await other.locator("xpath=..").textContent()) ?? ""))
      await other.uncheck();
  await dialog.getByLabel("A, weighed").fill("1.6");
  await dialog.getByLabel("B, weighed").fill("1.6");
  await expect(dialog.getByText(/Left over:/)).toBeVisible();
  const sent: string[] = [];
  page.on("request", (request) => request.method() === "POST" && sent.push(new URL(request.url()).pathname));
  await dialog.getByRole("button", { name: "Mixed now, for 2 takers" }).click();
  await expect(dialog).toBeHidden();
  // the card beside it has not sent a mix of its own
  expect(sent).toEqual(["/api/batches"]);
  for (const treatment of [one, two]) {
    await page.goto(`/treatments/${treatment}/fill`);
    await expect(
      page
        .getByRole("list", { name: "Operations" })
        .getByText(/^Press in/)
        .first(),
    ).toBeVisible();
    const { treatment: kept } = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
    expect(kept.log.at(-1).body).toMatchObject({ kind: "done", batch: expect.any(String), portion_g: expect.any(Number) });
  }
  await page.goto("/cabinet");
  await page.getByRole("link", { name: new RegExp(name) }).click();
  await expect(page).toHaveURL(/product=/);
  await expect(page.getByRole("heading", { name: new RegExp(name) })).toBeVisible();
  await page.getByText("What was taken").click();
  await expect(page.getByText(/mixed: Target disc, east/)).toBeVisible();
  await expect(page.getByText(/thrown away/)).toBeVisible();
});

test("portions that don't add up are told where they are typed, and nothing is mixed", async ({ page }) => {
  const [one] = [await readyToMix(page, "Hoopla ring board"), await readyToMix(page, "Hoopla prize shelf")];
  await page.goto(`/treatments/${one}/fill`);
  await page.getByRole("button", { name: /^Mix for others too/ }).click();
  const dialog = page.getByRole("region", { name: "One mix for several" });
  await dialog.getByLabel("A, weighed").fill("0.1");
  await dialog.getByLabel("B, weighed").fill("0.1");
  await dialog.getByRole("button", { name: /^Mixed now, for/ }).click();
  await expect(dialog.getByText(/more is given out than was mixed/)).toBeVisible();
  await dialog.getByRole("button", { name: "Not now" }).click();
  await expect(page.getByRole("button", { name: /^Mixed now: / })).toBeVisible();
});

test("a damage is treated apart: it stands in its own treatment with what was done of it", async ({ page }) => {
  const treatment = await readyToMix(page, "Ghost-train lamp", 2);
  await page.goto(`/treatments/${treatment}/survey?damage=d2`);
  const apart = page.getByRole("region", { name: "Treat apart" });
  // a press before the page's script runs does nothing yet
  await expect(async () => {
    await page.getByRole("button", { name: "Treat this damage apart …" }).click({ timeout: 2_000 });
    await expect(apart).toBeVisible({ timeout: 2_000 });
  }).toPass();
  await apart.getByLabel("What that treatment is called").fill("  ");
  await apart.getByRole("button", { name: "Treat it apart" }).click();
  await expect(apart.getByText(/Name the treatment/)).toBeVisible();
  await apart.getByLabel("What that treatment is called").fill("Foot chip, apart");
  await apart.getByRole("button", { name: "Treat it apart" }).click();
  await expect(page).not.toHaveURL(new RegExp(treatment));
  await expect(page.getByRole("heading", { name: /Ghost-train lamp/ })).toContainText("Foot chip, apart");
  await page.goto(page.url().replace(/\/[a-z]+(\?.*)?$/, "/ready"));
  await expect(page.getByText(/\d+ behind/)).toBeVisible();
  await page.goto(`/treatments/${treatment}/survey`);
  await expect(page.getByRole("button", { name: "Treat this damage apart …" })).toHaveCount(0);
});

test("a check that measures it low offers the way back to Fill; a clock found soft moves out", async ({ page }) => {
  const treatment = await readyToMix(page, "Swing-boat finial");
  await workOff(page, treatment, (id) => id.includes("/fill/check-fill"));
  await page.goto(`/treatments/${treatment}/fill`);
  await page.getByRole("button", { name: /^More: Look for pinholes/ }).click();
  await page.getByLabel(/^Height against the old surface/).fill("-0.4");
  await page.getByRole("button", { name: /^Done: Look for pinholes/ }).click();
  await page.getByRole("button", { name: "Back to Fill: measured 0.4 mm low" }).click();
  await page.getByRole("button", { name: "Open the round" }).click();
  await expect(page.getByText("Round 2").first()).toBeVisible();
  await expect(page.getByText(/measured 0.4 mm low/).first()).toBeVisible();
  // nothing of it is done yet: it goes back
  await page.getByRole("button", { name: "Take round 2 back" }).click();
  await expect(page.getByText("Round 2")).toHaveCount(0);

  await test.step("several are left out in one go, with one reason", async () => {
    await page.goto(`/treatments/${treatment}/level`);
    const rows = page.getByRole("list", { name: "Operations" }).getByRole("listitem");
    const before = await rows.count();
    await page.getByRole("button", { name: "Leave several out" }).click();
    const form = page.getByRole("form", { name: "Leave several out" });
    await expect(form.getByRole("button", { name: "Choose some first" })).toBeDisabled();
    await form.getByRole("checkbox").nth(0).check();
    await form.getByRole("checkbox").nth(1).check();
    await form.getByLabel("Why are they left out?").fill("the glaze hides it");
    await form.getByRole("button", { name: "Leave 2 out" }).click();
    await expect(rows).toHaveCount(before - 2);
  });
});
