import { expect } from "@playwright/test";
import {
  card,
  demoTreatment,
  firstKeys,
  MATCHED,
  newTreatment,
  opens,
  photograph,
  photographed,
  SURVEYED,
  test,
  workOff,
  write,
} from "./support";

test("the bench is alive at first sight: work now, hands off, the Shelf in its order", async ({ page }) => {
  await page.goto("/");
  await expect(
    page
      .getByRole("region", { name: "What you can do now" })
      .getByRole("link", { name: /^Start/ })
      .first(),
  ).toBeVisible();
  const off = page.getByRole("complementary", { name: "Hands off" });
  await expect(off.getByText("Figure hand")).toBeVisible();
  await expect(page.getByRole("region", { name: "Next windows" })).toBeVisible();
  const plates = page.getByRole("complementary", { name: "Shelf" }).getByRole("link");
  expect(await plates.count()).toBeGreaterThanOrEqual(4);
  await expect(page.getByRole("complementary", { name: "Shelf" })).toContainText("Lemonade jar");
});

test("a plate leads to where its piece stands", async ({ page }) => {
  await page.goto("/objects");
  await page
    .getByRole("complementary", { name: "Shelf" })
    .getByRole("link", { name: /Figure hand/ })
    .click();
  await expect(page).toHaveURL(new RegExp(`${demoTreatment("figure-hand")}/join`));
  await expect(page.getByText("Don’t touch").first()).toBeVisible();
});

test("the clock goes on by itself: the plate counts down without a reload", async ({ page }) => {
  await page.clock.install({ time: new Date() });
  await page.goto(`/treatments/${demoTreatment("figure-hand")}/join`);
  const timer = page
    .getByRole("complementary", { name: "Shelf" })
    .getByRole("link", { name: /Figure hand/ })
    .locator(".plate-left");
  const before = await timer.textContent();
  await expect(async () => {
    await page.clock.fastForward("03:00:00");
    await expect(timer).not.toHaveText(before ?? "", { timeout: 500 });
  }).toPass();
});

test("a treatment opens where it stands", async ({ page }) => {
  await page.goto(`/treatments/${demoTreatment("carousel-hare")}`);
  await expect(page).toHaveURL(/\/colour$/);
  await page.goto(`/treatments/${demoTreatment("organ-pipe")}`);
  await expect(page).toHaveURL(/\/match$/);
  await page.goto(`/treatments/${demoTreatment("prize-saucer")}`);
  await expect(page).toHaveURL(/\/close$/);
});

test("find or jump: with the key, over pieces and treatments, near words, places, and nothing", async ({ page }) => {
  await page.goto("/");
  await firstKeys(page, ["/"], () => expect(page.getByRole("dialog")).toBeVisible({ timeout: 2_000 }));
  const box = page.getByRole("combobox");
  await box.fill("HF-052");
  await expect(page.getByRole("option", { name: /Figure hand/ })).toBeVisible();
  await box.fill("concertyna");
  await expect(page.getByRole("option", { name: /Concertina.*near it/s })).toBeVisible();
  await box.fill("obj");
  await page
    .getByRole("option", { name: /Objects/ })
    .first()
    .waitFor();
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/\/objects$/);
  await page.keyboard.press("/");
  await page.getByRole("combobox").fill("bandoneon");
  await expect(page.getByText("No piece called “bandoneon”")).toBeVisible();
  await page.getByRole("button", { name: /New piece “bandoneon”/ }).click();
  await expect(page.getByLabel("What is it?")).toHaveValue("bandoneon");
});

test("keys: g o, g b, s, ?, numbers", async ({ page }) => {
  await page.goto("/objects");
  await firstKeys(page, ["g", "b"], () => expect(page).toHaveURL(/\/$/, { timeout: 2_000 }));
  await page.keyboard.press("s");
  await expect(page.locator(".shelf a:focus")).toHaveCount(1);
  await page.keyboard.press("?");
  await expect(page.getByRole("heading", { name: "All keys" })).toBeVisible();
  await page.keyboard.press("Escape");
  await page.locator("body").click({ position: { x: 5, y: 60 } });
  await page.keyboard.press("1");
  await expect(page).toHaveURL(/\/treatments\//);
});

test("objects: filtered, sorted, searched, the selected one beside the list", async ({ page }) => {
  await page.goto("/objects");
  const rows = page.locator(".obj-row");
  await expect(rows.filter({ hasText: "Barrel-organ lid" })).toBeVisible();
  await page.getByRole("button", { name: /^Closed/ }).click();
  await expect(rows.filter({ hasText: "Prize saucer" })).toBeVisible();
  await expect(rows.filter({ hasText: "Lemonade jar" })).toHaveCount(0);
  await page.getByRole("button", { name: /^On the way/ }).click();
  await page.getByRole("button", { name: "Mark", exact: true }).click();
  await expect(async () => {
    const marks = (await rows.locator(".sub").allTextContents()).filter((text) => /^HF-/.test(text));
    expect(marks).toEqual([...marks].sort());
  }).toPass();
  await page.getByRole("searchbox").fill("gypsum");
  await expect(rows).toHaveCount(1);
  await expect(page.getByRole("complementary", { name: "Selected piece" })).toContainText("Cherub relief");
  await page.getByRole("searchbox").fill("nothing like it");
  await expect(page.getByText("No piece here for “nothing like it”")).toBeVisible();
});

test("the climate set by hand moves the clocks on every page, until it is given back", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await workOff(page, treatment, (id) => id.includes("/fill/mix-2") || id.includes("/fill/blade"));
  await page.goto(`/treatments/${treatment}/fill`);
  const hard = page
    .getByRole("list", { name: "Operations" })
    .getByText(/^from /)
    .first();
  const cool = (await hard.textContent()) ?? "";
  await page.getByRole("button", { name: /^Climate/ }).click();
  await page.getByLabel("Temperature").fill("warm");
  await page.getByRole("button", { name: "Run the clocks on this" }).click();
  await expect(page.getByText("“warm” is not a number.")).toBeVisible();
  await page.getByLabel("Temperature").fill("400");
  await page.getByRole("button", { name: "Run the clocks on this" }).click();
  await expect(page.getByText("must be 300 or less")).toBeVisible();
  await page.getByLabel("Temperature").fill("31");
  await page.getByRole("button", { name: "Run the clocks on this" }).click();
  await expect(page.getByRole("button", { name: /^Climate: 31 °C.*set by hand/ })).toBeVisible();
  await expect(hard).not.toHaveText(cool);
  await page.getByRole("button", { name: /^Climate/ }).click();
  await page.getByRole("button", { name: "Back to the sensor" }).click();
  await expect(page.getByRole("button", { name: /^Climate: 31/ })).toHaveCount(0);
});

test("a piece is corrected, given a second treatment, deleted and brought back", async ({ page }) => {
  const { piece } = await newTreatment(page, { title: "Wheel-of-luck disc" });
  await page.goto(`/objects/${piece}`);
  await page.getByLabel("What is it?").fill("Wheel-of-luck disc, large");
  await page.getByRole("button", { name: "Save the piece" }).click();
  await expect(page.getByRole("heading", { name: "Wheel-of-luck disc, large" })).toBeVisible();
  await page.getByRole("button", { name: "Add the damage" }).click();
  await expect(page.getByText("Say in two words what is to be mended.")).toBeVisible();
  await page.getByLabel("What else is to be mended?").fill("worn hub");
  await page.getByRole("button", { name: "Add the damage" }).click();
  await expect(page).toHaveURL(/\/survey$/);
  await page.goto(`/objects/${piece}`);
  await page.getByRole("button", { name: "Delete this piece with its treatments" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText(/^Deleted:/)).toHaveCount(0);
  await page.goto(`/objects/${piece}`);
  await expect(page.getByRole("link", { name: /worn hub/ })).toBeVisible();
});

test("a survey corrected after the choice says so at Match", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await page.goto(`/treatments/${treatment}/survey`);
  await page.getByLabel("Depth down from the edge").fill("9");
  await page.getByRole("button", { name: "Save, go to Match" }).click();
  await expect(page.getByText(/The survey was changed after you chose/)).toBeVisible();
  const { treatment: kept } = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
  expect(kept.log).toHaveLength(3);
  expect(kept.log[2].corrects).toBe(kept.log[0].id);
});

test("a step taken back is open again, and the log keeps both entries", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await photographed(page, treatment);
  await page.goto(`/treatments/${treatment}/ready`);
  await page.getByRole("button", { name: /^Done: Photograph/ }).click();
  await page.getByText("1 behind").click();
  await page.getByRole("button", { name: /^Take back/ }).click();
  await expect(page.getByRole("button", { name: /^Done: Photograph/ })).toBeVisible();
  const { treatment: kept } = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
  expect(kept.log.map(({ body }: { body: { kind: string } }) => body.kind)).toEqual(["surveyed", "matched", "done", "withdrawn"]);
});

test("join: glued now starts the clock, and the tapes come off by it; what is not needed says so", async ({ page }) => {
  const { treatment } = await newTreatment(page, {
    part: { name: "body", substrate: "porcelain", finish: "glaze" },
    treatment_title: "two shards",
  });
  await write(page, treatment, 0, {
    kind: "surveyed",
    survey: { damage: { kind: "shards", shards: 2, break_length_mm: 60, thickness_mm: 4 }, service: {} },
  });
  await write(page, treatment, 1, { kind: "matched", stance: "service", chain: [{ role: "adhesive", class: "epoxy-slow" }] });
  await workOff(page, treatment, (id) => id.includes("/join/bond-1"));
  await page.goto(`/treatments/${treatment}/join`);
  await page.getByRole("button", { name: /^Glued now: / }).click();
  await expect(page.getByRole("complementary", { name: "Shelf" })).toContainText(/slow epoxy/i);
  await page.goto(`/treatments/${treatment}/fill`);
  await expect(page.getByText("Nothing is done at Fill in this repair.")).toBeVisible();
  await page.getByRole("link", { name: "Go on to Close" }).click();
  await expect(page).toHaveURL(/\/close$/);
});

test("match: another link is chosen, a clash is told, and it can be planned again", async ({ page }) => {
  const { treatment } = await newTreatment(page, { part: { name: "top", substrate: "hardwood", finish: "oil" }, treatment_title: "dent" });
  await write(page, treatment, 0, {
    kind: "surveyed",
    survey: { damage: { kind: "hole", diameter_mm: 6, depth_mm: 3, through: false }, service: {} },
  });
  await page.goto(`/treatments/${treatment}/match`);
  await page.getByRole("button", { name: "Choose Epoxy putty 1:1" }).click();
  await page
    .getByRole("list", { name: "Links of the chain" })
    .getByRole("button", { name: /^Colour/ })
    .click();
  await expect(page.getByText("for the colour", { exact: true })).toBeVisible();
  const stain = page.getByRole("button", { name: "Choose Spirit stain set" });
  if (await stain.isVisible()) await stain.click();
  await expect(page.getByText(/does not take on epoxy putty 1:1: it stays pale/)).toBeVisible();
  await expect(page.getByRole("button", { name: "Two links clash: choose another" })).toBeDisabled();
  await page.getByRole("button", { name: "Choose Studio acrylics" }).click();
  await page.getByRole("button", { name: "Plan this repair" }).click();
  await expect(page).toHaveURL(/\/ready$/);
});

test("an operation is left out with its reason, which Close repeats, with what is still open", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await photographed(page, treatment);
  await page.goto(`/treatments/${treatment}/ready`);
  await card(page).getByRole("button", { name: "Leave it out" }).click();
  await page.getByLabel("Why is it left out?").fill("done by the owner's own shop");
  await page.getByRole("button", { name: "Leave it out" }).last().click();
  await expect(page.getByText("1 behind")).toBeVisible();
  await page.goto(`/treatments/${treatment}/close`);
  await opens(page, "Look back and sign");
  await expect(page.getByText(/done by the owner's own shop/).first()).toBeVisible();
  await expect(page.getByText(/Still open: Make ready, Fill, Level, Colour/)).toBeVisible();
});

test("two damages of a relief: each place is chosen by its number, and two clocks run side by side", async ({ page }) => {
  await page.goto(`/treatments/${demoTreatment("cherub-relief")}/fill`);
  const places = page.getByRole("group", { name: "Places" });
  await expect(places.getByRole("button")).toHaveCount(2);
  await places.getByRole("button", { name: /Joins of 2 shards/ }).click();
  await expect(page.getByText("Nothing is done at Fill in this repair.")).toBeVisible();
  await places.getByRole("button", { name: /Joins of 2 shards/ }).click();
  await expect(page.getByRole("list", { name: "Operations" }).getByText("Take the form off", { exact: true }).first()).toBeVisible();
  await expect(
    page
      .getByRole("complementary", { name: "Shelf" })
      .getByRole("link", { name: /Cherub relief/ })
      .first(),
  ).toBeVisible();
});

test("a second round stands on the route with its cause, and the record tells it", async ({ page }) => {
  await page.goto(`/treatments/${demoTreatment("carousel-hare")}/colour`);
  await expect(page.getByRole("navigation", { name: "Route of this treatment" })).toContainText("damage 1 stands here");
  await expect(page.getByText("Round 2").first()).toBeAttached();
  await page.goto(`/treatments/${demoTreatment("carousel-hare")}/record`);
  await expect(page.getByText(/the tip is 0.4 mm low at the seam/).first()).toBeVisible();
});

test("the work sheet tells what is left by the clock, with a box at everything that is done; what can’t be planned says why", async ({
  page,
}) => {
  await page.goto(`/treatments/${demoTreatment("lemonade-jar")}/fill`);
  await page.getByRole("button", { name: "More for this treatment" }).click();
  await page.getByRole("link", { name: "The work sheet, for print" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Lemonade jar");
  await expect(page.getByRole("heading", { name: "Have ready" })).toBeVisible();
  await expect(page.getByRole("heading", { name: /^(Mon|Tue|Wed|Thu|Fri) \d/ }).first()).toBeVisible();
  await expect(page.getByText(/Trim with a blade/)).toBeVisible();
  await expect(page.getByText("Photograph the damage in raking light")).toHaveCount(0);
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("link", { name: "Write up what is ticked" })).toBeHidden();
  const { treatment } = await newTreatment(page);
  await page.goto(`/treatments/${treatment}/work-sheet`);
  await expect(page.getByRole("link", { name: "Choose the materials first" })).toBeVisible();
});

test("papers for owner and shelf: nothing is promised before it is signed, hands off until the clock says", async ({ page }) => {
  await page.goto(`/treatments/${demoTreatment("carousel-hare")}/owner-card`);
  await expect(page.getByText("Not signed yet: nothing is promised by this card.")).toBeVisible();
  await expect(page.getByText(/^A tip was missing/)).toBeVisible();
  await expect(page.getByRole("img", { name: /^Code of the mark HF-/ })).toBeVisible();
  await expect(page.getByText("Never", { exact: true })).toBeVisible();
  await page.goto(`/treatments/${demoTreatment("organ-pipe")}/shelf-label`);
  await expect(page.getByRole("article")).toContainText("Organ pipe");
  await expect(page.getByRole("article")).toContainText(/Hands off until|No clock runs/);
  const { width, height } = (await page.getByRole("article").boundingBox()) ?? { width: 0, height: 0 };
  // 62 × 29 mm at 96 dots to the inch
  expect([Math.round(width), Math.round(height)]).toEqual([234, 110]);
});

test("a closed treatment takes no work until it is reopened with a reason", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await write(page, treatment, 2, { kind: "closed", notes: "sound", signed_by: "M." });
  const refused = await page.request.post(`/api/treatments/${treatment}/log`, {
    data: { key: crypto.randomUUID(), version: 3, body: { kind: "done", op: "r1/ready/photograph" } },
  });
  expect(refused.status()).toBe(422);
  expect((await refused.json()).detail).toMatch(/closed. Reopen it at Close/);
  await page.goto(`/treatments/${treatment}/close`);
  await page.getByLabel("Reopen it, because").fill("a pit showed under gloss");
  await page.getByRole("button", { name: "Reopen", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Photograph it after" })).toBeVisible();
  await opens(page, "Look back and sign");
  await expect(page.getByRole("button", { name: "Sign and close" })).toBeVisible();
});

test("photographs: deleted, and back by undo", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await page.goto(`/treatments/${treatment}/survey`);
  await opens(page, "Condition map");
  await page.locator("input[type=file]").setInputFiles(await photograph());
  const figure = page.getByRole("img", { name: /^Before/ });
  await expect(figure).toBeVisible();
  await page.getByRole("button", { name: /^Delete photograph/ }).click();
  await expect(figure).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(figure).toBeVisible();
});
