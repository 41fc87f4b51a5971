import { expect } from "@playwright/test";
import sharp from "sharp";
import {
  demoTreatment,
  expectAccessible,
  expectNoSideways,
  newTreatment,
  opens,
  putAway,
  test,
  workedOut,
  workOff,
  write,
} from "./support";

test.afterEach(({ page }) => putAway(page));

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
  await opens(page, "Recipe");
  const recipe = page.getByRole("region", { name: "Recipe" });
  await recipe.getByLabel(/Colour to meet/).fill("a warm grey");
  await expect(recipe.getByText("Write #rrggbb, or L, a and b: 61 9 21.")).toBeVisible();
  await recipe.getByLabel(/Colour to meet/).fill("61 9 21");
  await recipe.getByLabel("Paint to mix").fill("10");
  const parts = recipe.getByRole("list", { name: "Parts of the recipe" }).getByRole("listitem");
  await expect(parts.filter({ hasText: "titanium white" })).toContainText(/7\.\d+ g/);
  await expect(recipe.getByText("not told apart in daylight")).toBeVisible();
  await recipe.getByLabel("titanium white").uncheck();
  await expect(recipe.getByText(/come no nearer than dE00/)).toBeVisible();
  await recipe.getByLabel("titanium white").check();
  await expect(recipe.getByText("not told apart in daylight")).toBeVisible();
  await expectAccessible(page);
  await recipe.getByLabel("The dried sample reads").fill("60 8 20");
  await recipe.getByLabel("What it is called").fill("knob grey");
  await recipe.getByRole("button", { name: "Keep this recipe" }).click();
  await expect(recipe.getByText("It is in the record")).toBeVisible();
  await expect(recipe.getByLabel(/Colour to meet/)).toHaveValue("61 9 21");
  await page.goto(`/treatments/${treatment}/record`);
  await expect(page.getByText(/Recipe knob grey: titanium white 7\d % \(7\.\d+ g\).*dried to L 60, a 8, b 20/)).toBeVisible();

  await test.step("on another piece it is found by its colour, made twice, and kept there too", async () => {
    const { treatment: other } = await newTreatment(page, { ...PIECE, title: "Ring-toss post" });
    await write(page, other, 0, SURVEYED);
    await write(page, other, 1, MATCHED);
    await page.goto(`/treatments/${other}/colour`);
    await opens(page, "Recipe");
    await recipe.getByLabel(/Colour to meet/).fill("60 8 20");
    const near = recipe.getByRole("region", { name: "Used near this" });
    await near.getByRole("button", { name: "twice" }).click();
    await expect(near.getByRole("listitem").filter({ hasText: "knob grey" }).first()).toContainText(
      /0\.0 dE00 off.*titanium white 1[45]\.\d+ g/,
    );
    await near.getByRole("button", { name: "Keep it here too: knob grey" }).first().click();
    await expect(near.getByText("kept here").first()).toBeVisible();
  });
});

test("transparent coats: from one dried coat to where to stop, and by how much to thin it", async ({ page }) => {
  const { treatment } = await newTreatment(page, PIECE);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await page.goto(`/treatments/${treatment}/colour`);
  await opens(page, "Coats");
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
  await expect(strip.getByText(/Mist every coat out \d+ mm further than the one before/)).toBeVisible();
  await strip.getByLabel("Coats planned").fill("4");
  await strip.getByLabel("Coats laid").fill("4");
  await expect(strip.getByText(/Enter 1 to 3: the last can’t be corrected/)).toBeVisible();
  await strip.getByLabel("Coats laid").fill("3");
  await strip.getByLabel("It reads now, dry").fill("61 13 33");
  await expect(strip.getByText(/^Coat 4 at \d+ % of the draw-down’s strength: it ends [\d.]+ dE00 off/)).toBeVisible();
  await strip.getByLabel("It reads now, dry").fill("50 15 34");
  await expect(strip.getByText(/darker than the colour to meet already/)).toBeVisible();
  await expectAccessible(page);
  await page.reload();
  await opens(page, "Coats");
  await expect(strip.getByLabel("Ground")).toHaveValue("80 4 20");
});

test("a photograph with a grey card in lamplight: the spot reads as it is by day, its doubts are said, and it goes into the recipe", async ({
  page,
}) => {
  await page.goto(`/treatments/${demoTreatment("carousel-hare")}/colour`);
  await opens(page, "Recipe");
  const recipe = page.getByRole("region", { name: "Recipe" });
  await recipe.getByText("From a photograph with a grey card", { exact: true }).click();
  // a grey card left, an ochre right, both under a warm lamp that takes a third of the blue
  const lamp = (linear: number, share: number) => Math.round(255 * (1.055 * (linear * share) ** (1 / 2.4) - 0.055));
  const under = ([r, g, b]: readonly [number, number, number]) => ({ r: lamp(r, 1.1), g: lamp(g, 1), b: lamp(b, 0.67) });
  const [card, ochre] = [under([0.184, 0.184, 0.184]), under([0.42, 0.27, 0.09])];
  const buffer = await sharp({ create: { width: 400, height: 300, channels: 3, background: ochre } })
    .composite([{ input: { create: { width: 180, height: 300, channels: 3, background: card } }, left: 0, top: 0 }])
    .png()
    .toBuffer();
  const file = recipe.getByLabel("Photograph, card and piece in the same light");
  await file.setInputFiles({ name: "note.png", mimeType: "image/png", buffer: Buffer.from("no picture") });
  await expect(page.getByText(/no picture that the browser can read/)).toBeVisible();
  await file.setInputFiles({ name: "card.png", mimeType: "image/png", buffer });
  // 0.42, 0.27, 0.09 linear by day are L 60.7, a 4.5, b 34.8 (IEC 61966-2-1, CIE 15)
  await expect(page.getByText(/^L 6[01], a [345], b 3[3-6]$/).first()).toBeVisible();
  await expect(page.getByText(/the spot varies by 0 dE/)).toBeVisible();
  await page.getByRole("button", { name: "2 the colour" }).click();
  // on the edge of both there are two colours
  await page.getByLabel("From the left").fill("0.45");
  await expect(page.getByText(/holds more than one colour/)).toBeVisible();
  await page.getByLabel("From the left").fill("0.7");
  await expectAccessible(page);
  await page.getByRole("button", { name: "Use this colour" }).click();
  await expect(recipe.getByLabel("Colour to meet")).toHaveValue(/^6[01]\.\d [345]\.\d 3[3-6]\.\d$/);
  await expect(recipe.getByRole("list", { name: "Parts of the recipe" })).toContainText("yellow ochre");
});

test("a coat that bloomed: the damp air on record is named first, with what to change, and it goes into the record", async ({ page }) => {
  const { treatment } = await newTreatment(page, { ...PIECE, title: "Shooting-gallery shield" });
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, {
    ...MATCHED,
    chain: [...MATCHED.chain, { role: "colour", class: "toner-lacquer" }, { role: "topcoat", class: "clear-lacquer" }],
  });
  await workOff(page, treatment, (id) => id.includes("/colour/") && id.includes("clear-lacquer"), 200);
  const { kept, found } = await workedOut(page, treatment);
  const coat = found?.repair.operations.find(
    ({ id, starts }) => id.includes("/colour/") && id.includes("clear-lacquer") && starts === "coated",
  );
  expect(coat).toBeDefined();
  await write(page, treatment, kept.log.length, {
    kind: "done",
    op: coat?.id,
    hands_min: 6,
    start: { class: "clear-lacquer", thickness_mm: coat?.thickness_mm, climate: { temp_C: 18, rh_pct: 79 } },
    against: { state: "too-early", because: "made ready for a test" },
  });
  await page.goto(`/treatments/${treatment}/colour`);
  await page.getByText(/behind$/).click();
  const row = page.locator(`[id="${coat?.id}"]`);
  await row.getByText("It came out badly").click();
  await row.getByRole("button", { name: "Bloom" }).click();
  await expect(row.getByRole("list", { name: "Likely causes" }).getByRole("listitem").first()).toContainText(
    "On record The air held 79 % of water",
  );
  await expect(row.getByText(/Wait for drier air/)).toBeVisible();
  await expectAccessible(page);
  await row.getByRole("button", { name: "Record: bloom" }).click();
  await expect(row.getByRole("button", { name: "Record: bloom" })).toHaveCount(0);
  await page.goto(`/treatments/${treatment}/record`);
  await expect(page.getByText(/bloom\. Likely: The air held 79 %.*Next: Wait for drier air/)).toBeVisible();
});

test("a swatch is read dry and under clear: the next match is mixed so that it ends there; a touch greener is so many drops", async ({
  page,
}) => {
  const { treatment } = await newTreatment(page, { ...PIECE, title: "Coconut-shy post" });
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, { ...MATCHED, chain: [...MATCHED.chain, { role: "colour", class: "acrylic-paint" }] });
  await page.goto(`/treatments/${treatment}/colour`);
  await opens(page, "Recipe");
  const recipe = page.getByRole("region", { name: "Recipe" });
  await recipe.getByLabel(/Colour to meet/).fill("55 10 24");
  await recipe.getByLabel("It is seen").selectOption("under-glaze");
  await expect(recipe.getByText(/No pair of your own yet of acrylic paint/)).toBeVisible();

  await opens(page, "Swatches");
  const swatches = page.getByRole("region", { name: "Swatches" });
  await swatches.getByRole("button", { name: "Put it on record" }).click();
  await expect(swatches.getByText("Give it a name: warm grey, ground.")).toBeVisible();
  await swatches.getByLabel("What it is called").fill("post brown");
  await swatches.getByLabel("It reads").fill("60 9 22");
  await swatches.getByRole("button", { name: "Put it on record" }).click();
  const mine = swatches.getByRole("list", { name: "Swatches of this piece" });
  await expect(mine).toContainText("L 60, a 9, b 22");
  await swatches.getByLabel("State").selectOption("under-glaze");
  await swatches.getByLabel("It reads").fill("56 10 25");
  await swatches.getByRole("button", { name: "Put it on record" }).click();
  await expect(mine).toContainText("L 56, a 10, b 25");
  await opens(page, "Recipe");
  await expect(recipe.getByText(/Under a glaze it goes L −\d\S* a \+\d\S* b \+\d\S* \(.*pairs? of yours/)).toBeVisible();
  await expect(recipe.getByLabel(/^post brown/).first()).toBeVisible();

  const cup = recipe.getByRole("region", { name: "In the cup" });
  await cup.getByRole("button", { name: "Greener" }).click();
  await expect(cup.getByRole("list", { name: "Add to the cup" }).getByRole("listitem").first()).toContainText(/g$/);
  await expect(cup.getByText(/dE00 off; [\d.]+ g in the cup/)).toBeVisible();
  await expectAccessible(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expectNoSideways(page);
});

test("coats: laid out by a template, thin against thick in this air, the sheen last", async ({ page }) => {
  const { treatment } = await newTreatment(page, { ...PIECE, title: "Swing-boat seat" });
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, {
    ...MATCHED,
    chain: [...MATCHED.chain, { role: "colour", class: "toner-lacquer" }, { role: "topcoat", class: "clear-lacquer" }],
  });
  await page.goto(`/treatments/${treatment}/colour`);
  await opens(page, "Thin or thick");
  const thin = page.getByRole("region", { name: "Clear lacquer, thin or thick" });
  await expect(thin.getByRole("row", { name: /^1 .*runs, skins/ })).toBeVisible();
  await expect(thin.getByText("soonest")).toHaveCount(1);

  const build = page.getByRole("region", { name: "Built by hand" });
  await opens(page, "Coats");
  await build.getByLabel("Lay it out as").selectOption({ label: "Grained lines" });
  await build.getByRole("button", { name: "Take these coats" }).click();
  await expect(build.getByLabel("Row 2: what it is")).toHaveValue("lock");
  await build.getByRole("button", { name: "Plan it so" }).click();
  await expect(page.getByRole("list", { name: "Operations" }).getByText(/^A lock coat/)).toBeVisible();

  await opens(page, "Sheen");
  const sheen = page.getByRole("region", { name: "Sheen" });
  await sheen.getByRole("button", { name: "Gloss of the repair: gloss" }).click();
  await sheen.getByRole("textbox", { name: "Gloss beside it" }).fill("140");
  await expect(sheen.getByText("Enter 0 to 100 gloss units.")).toBeVisible();
  await sheen.getByRole("textbox", { name: "Gloss beside it" }).fill("38");
  await expect(sheen.getByText("Rub it down with steel wool 0000 and wax, buffed.")).toBeVisible();
  await expectAccessible(page);
  await sheen.getByRole("button", { name: "Put it in the record" }).click();
  await expect(sheen.getByText("It is in the record")).toBeVisible();
  await page.goto(`/treatments/${treatment}/record`);
  await expect(page.getByText(/Sheen: 83 gloss units here, 38 beside it\./)).toBeVisible();
});
