import { expect, type Page } from "@playwright/test";
import { expectAccessible, expectNoSideways, newTreatment, openRow, opens, test, write } from "./support";

/** A treatment surveyed and matched, so that Make ready and Join have something to work on. */
async function matched(page: Page, piece: object, survey: object, chain: readonly object[]): Promise<string> {
  const { treatment } = await newTreatment(page, piece);
  await write(page, treatment, 0, { kind: "surveyed", survey: { service: {}, ...survey } });
  await write(page, treatment, 1, { kind: "matched", stance: "service", chain });
  return treatment;
}

const RAIL = { kind: "furniture", part: { name: "rail", substrate: "hardwood", finish: "shellac" }, treatment_title: "broken rail" };
const ACROSS = { damage: { kind: "break-across", width_mm: 32, height_mm: 44, load_N: 250, lever_mm: 180 }, service: { load: true } };
const rail = (page: Page) =>
  matched(page, RAIL, ACROSS, [
    { role: "adhesive", class: "pva" },
    { role: "brace", class: "wood-dowel" },
  ]);

const brace = (page: Page) => page.getByRole("region", { name: "Brace" });

test("a break across the grain: glue alone fails, the dowel is sized and recorded, and leaving it out asks why", async ({ page }) => {
  const treatment = await rail(page);
  await page.goto(`/treatments/${treatment}/join`);
  await opens(page, "Brace");
  await expect(brace(page).getByText("A brace is needed")).toBeVisible();
  await expect(brace(page).getByText(/with the dowel; 3 is asked/)).toBeVisible();
  await expect(page.getByRole("img", { name: /^Drawing, break across, cut lengthwise, with its dowel/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Record: dowel" }).click();
  await expect(brace(page).getByText("On record", { exact: true })).toBeVisible();

  await page.getByRole("button", { name: "Take: No brace" }).click();
  const against = page.getByRole("button", { name: "Say why, against the figures" });
  await expect(against).toBeDisabled();
  await page.getByLabel("Why against the figures").fill("it only hangs on the wall from now on");
  await page.getByRole("button", { name: "Record: no brace" }).click();
  await expect(page.getByRole("list", { name: "Operations" }).getByText(/^Drill/)).toHaveCount(0);
  await opens(page, "Brace");
  await expect(brace(page).getByText("On record")).toBeVisible();
  await page.reload();
  await opens(page, "Brace");
  await expect(page.getByLabel("Why against the figures")).toHaveValue("it only hangs on the wall from now on");
  await expect(brace(page).getByText("On record")).toBeVisible();
});

test("under a lighter load end grain is braced all the same, and why; a load that is no number is told at its field", async ({ page }) => {
  await page.goto(`/treatments/${await rail(page)}/join`);
  await opens(page, "Brace");
  await page.getByLabel("Load at the end").fill("2");
  await expect(brace(page).getByText(/End grain that carries is braced whatever the figure says/)).toBeVisible();
  await page.getByLabel("Load at the end").fill("much");
  await expect(brace(page).getByText("“much” is not a number.")).toBeVisible();
});

test("the load that a brace was judged by stays with it, and another load says that it is not that one", async ({ page }) => {
  await page.goto(`/treatments/${await rail(page)}/join`);
  await opens(page, "Brace");
  await page.getByLabel("Load at the end").fill("200");
  await page.getByLabel("Lever arm").fill("");
  await page.getByLabel("Lever arm").fill("150");
  await page.reload();
  await opens(page, "Brace");
  await expect(page.getByLabel("Load at the end")).toHaveValue("200");
  await page.getByRole("button", { name: "Record: dowel" }).click();
  await expect(brace(page).getByText("On record", { exact: true })).toBeVisible();
  await page.reload();
  await opens(page, "Brace");
  await expect(page.getByLabel("Load at the end")).toHaveValue("200");
  await expect(page.getByLabel("Lever arm")).toHaveValue("150");
  await page.getByLabel("Load at the end").fill("190");
  await expect(brace(page).getByText("On record, judged by another load")).toBeVisible();
});

test("a spline: the router stands out by slot and jig, in passes of the shop's own bit, or of another for this slot", async ({ page }) => {
  await page.goto(`/treatments/${await rail(page)}/join`);
  await opens(page, "Brace");
  await page.getByRole("button", { name: "Take: Spline" }).click();
  const router = page.getByRole("region", { name: "Router" });
  await expect(router.getByText("Bit stands out 45 mm: 33 mm of slot and 12 mm of jig. 6 passes:")).toBeVisible();
  await router.getByLabel("Jig").fill("20");
  await router.getByLabel("Bit").fill("3");
  await expect(router.getByText("Bit stands out 53 mm: 33 mm of slot and 20 mm of jig. 11 passes:")).toBeVisible();
  await router.getByLabel("Bit").fill("0");
  await expect(router.getByText("Enter more than 0, up to 100 mm.")).toBeVisible();
});

test("the drill card: the nearest drill in the drawer, and the depth as a bar in full size", async ({ page }) => {
  await page.goto(`/treatments/${await rail(page)}/join`);
  await opens(page, "Brace");
  const card = page.getByRole("region", { name: "Drill card" });
  await expect(card.getByText(/^Hole: wanted .* nearest .* mm/)).toBeVisible();
  await expect(card.getByText("Out of 25 drills in the drawer, metric.")).toBeVisible();
  await card.getByRole("link", { name: /^Print it, A6/ }).click();
  const bar = page.getByRole("img", { name: /mm deep, in full size$/ }).first();
  const depth = Number((await bar.getAttribute("aria-label"))?.split(" ")[0]);
  const MM = 96 / 25.4;
  expect(depth).toBeGreaterThan(10);
  expect((await bar.boundingBox())?.width).toBeCloseTo(depth * MM, 0);
  await expectAccessible(page);
});

test("a crack with cleats: how many, how far apart, across the grain", async ({ page }) => {
  const treatment = await matched(
    page,
    { kind: "instrument", part: { name: "wind-chest board", substrate: "softwood", finish: "shellac" }, treatment_title: "crack" },
    { damage: { kind: "crack", length_mm: 210, width_mm: 0.3, depth_mm: 3, closes: true } },
    [
      { role: "adhesive", class: "hide-glue" },
      { role: "brace", class: "wood-cleat" },
    ],
  );
  await page.goto(`/treatments/${treatment}/join`);
  await opens(page, "Brace");
  await expect(page.getByRole("img", { name: /^Drawing, crack, .* with its cleat/ })).toBeVisible();
  await expect(brace(page).getByText(/^4 along 210 mm, 56.7 mm apart/)).toBeVisible();
  await expect(brace(page).getByText(/^Grain across the crack/)).toBeVisible();
  await page.setViewportSize({ width: 820, height: 1180 });
  await expectNoSideways(page);
});

const SAUCER = { kind: "dish", part: { name: "saucer", substrate: "bone-china", finish: "glaze" }, treatment_title: "seven shards" };
/** The rim in a ring, shard 7 the well in the middle. */
const TOUCHING: ReadonlyArray<readonly [number, readonly number[]]> = [
  [1, [2, 6, 7]],
  [2, [3, 7]],
  [3, [4, 7]],
  [4, [5, 7]],
  [5, [6, 7]],
  [6, [7]],
];

test("a shell worn thin: the bandage is one operation, with its layers and grams, before anything is filled", async ({ page }) => {
  const treatment = await matched(
    page,
    { kind: "relief", part: { name: "shell", substrate: "papier-mache", finish: "paint" }, treatment_title: "shell worn thin" },
    {
      damage: { kind: "worn-thin", length_mm: 120, width_mm: 80, remaining_mm: 2.6, target_mm: 8, flexes: true, cracked: false },
      service: {},
    },
    [{ role: "brace", class: "plaster-bandage" }],
  );
  await page.goto(`/treatments/${treatment}/join`);
  await expect(page.getByText(/^Lay \d+ layers of plaster bandage behind it, wet through, laps of a third, about \d+ g/)).toBeVisible();
  await expectAccessible(page);
});

test("what was decided at the brace decides the steps: a spline is routed, no brace drills nothing", async ({ page }) => {
  const treatment = await rail(page);
  await page.goto(`/treatments/${treatment}/join`);
  const steps = page.getByRole("list", { name: "Operations" });
  await expect(steps.getByText(/^Drill Ø .* for the wood dowel/)).toBeVisible();
  await opens(page, "Brace");
  await page.getByRole("button", { name: "Take: Spline" }).click();
  await page.getByRole("button", { name: "Record: spline" }).click();
  await expect(steps.getByText(/^Rout 2 slots 8 mm wide/)).toBeVisible();
  await expect(steps.getByText(/^Drill Ø/)).toHaveCount(0);
});

test("a seven-shard saucer: pressed pairs become sittings, the dry run is judged, and both stay on record", async ({ page }) => {
  const damage = { kind: "shards", shards: 7, break_length_mm: 420, thickness_mm: 2.6 };
  const treatment = await matched(page, SAUCER, { damage }, [{ role: "adhesive", class: "epoxy-slow" }]);
  await page.goto(`/treatments/${treatment}/ready`);
  await opens(page, "Shards");
  const shards = page.getByRole("region", { name: "Shards" });
  for (const [shard, others] of TOUCHING) {
    await page.getByLabel("Shard in your hand").selectOption({ label: String(shard) });
    for (const other of others) await page.getByRole("button", { name: `Shard ${shard} touches ${other}`, exact: true }).click();
  }
  await page.getByLabel("Shard in your hand").selectOption({ label: "7" });
  await page.getByRole("button", { name: "Has an outer edge" }).click();
  await expect(shards.getByText(/^\d sittings?/)).toBeVisible();
  // left before it was recorded: what was pressed is still there
  await page.reload();
  await opens(page, "Shards");
  await expect(shards.getByText(/No order has fewer sittings/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Record this order" }).click();
  await expect(page.getByRole("button", { name: "The order is on record" })).toBeDisabled();

  await opens(page, "Clamps and dry run");
  const run = page.getByRole("region", { name: "Dry run" });
  await run.getByRole("button", { name: "+ Clamp" }).click();
  await run.getByRole("button", { name: "+ Tape" }).click();
  await run.getByLabel("The dry run took").fill("300");
  await expect(run.getByText(/^Too long: Slow epoxy/)).toBeVisible();
  await expect(run.getByText(/^Split it into \d+ sub-assemblies/)).toBeVisible();
  await run.getByLabel("The dry run took").fill("9");
  await expect(run.getByText(/^It fits/)).toBeVisible();
  await expect(run.getByRole("button", { name: "Say whether two marks meet" })).toBeDisabled();
  await run.getByRole("button", { name: "Two marks meet across the break: Yes" }).click();
  await run.getByRole("button", { name: "Record the dry run" }).click();
  // the step is behind then, and the next one brings its own instrument
  await expect(page.getByText(/behind$/)).toBeVisible();
  await opens(page, "Clamps and dry run");
  await expect(run.getByRole("button", { name: "The dry run is on record" })).toBeDisabled();
  await page.reload();
  await opens(page, "Clamps and dry run");
  await expect(run.getByLabel("The dry run took")).toHaveValue("9");
  await expect(run.getByText("1 clamp, 2 tape")).toBeVisible();
  await opens(page, "Shards");
  await expect(page.getByRole("button", { name: "The order is on record" })).toBeDisabled();

  await test.step("an order of one’s own is read, refused with its reason, and stands at Join", async () => {
    await page.getByText("An order of your own").click();
    const own = page.getByLabel(/^A line a sitting/);
    await own.fill("1 to 2\n2 to 3");
    await expect(page.getByText(/no 2 stands by itself/)).toBeVisible();
    await own.fill("1 to 2, then 3 to 1+2\n4 to 5, then 6 to 4+5\n1+2+3 to 4+5+6, then 7 to 1+2+3+4+5+6");
    await page.getByRole("button", { name: "Record this order" }).click();
    await expect(page.getByRole("button", { name: "The order is on record" })).toBeDisabled();
    await page.goto(`/treatments/${treatment}/join`);
    await opens(page, "Clamps and dry run");
    await expect(page.getByRole("region", { name: "Joining order" }).getByRole("listitem")).toHaveText([
      /1 to 2, then 3 to 1\+2/,
      /4 to 5/,
      /1\+2\+3 to 4\+5\+6, then 7/,
    ]);
  });
});

test("shards on the picture: dragged to where they lie, pressed in pairs, by pointer and by keyboard", async ({ page }) => {
  const damage = { kind: "shards", shards: 3, break_length_mm: 120, thickness_mm: 2.6 };
  const treatment = await matched(page, SAUCER, { damage }, [{ role: "adhesive", class: "epoxy-slow" }]);
  await page.goto(`/treatments/${treatment}/ready`);
  await opens(page, "Shards");
  const shards = page.getByRole("region", { name: "Shards" });
  await shards.getByRole("button", { name: "On the picture" }).click();
  const mark = (number: number) => shards.getByRole("button", { name: new RegExp(`^Mark ${number}, `) });
  const box = await mark(1).boundingBox();
  if (!box) throw new Error("no mark");
  await page.mouse.move(box.x + 22, box.y + 22);
  await page.mouse.down();
  await page.mouse.move(box.x - 60, box.y + 60, { steps: 5 });
  await page.mouse.up();
  await expect(mark(1)).not.toHaveAccessibleName(/50 % across/);
  await expect(mark(1)).toHaveAttribute("aria-pressed", "false");

  await mark(1).click();
  await expect(mark(1)).toHaveAttribute("aria-pressed", "true");
  await mark(2).click();
  await mark(1).click();
  await mark(2).focus();
  await page.keyboard.press("Enter");
  await mark(3).focus();
  await page.keyboard.press("Enter");
  await expect(mark(2)).toHaveAccessibleName(/^Mark 2, shard, touches 1, 3,/);
  await expect(shards.getByText(/^\d sittings?/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Record this order" }).click();
  await expect(page.getByRole("button", { name: "The order is on record" })).toBeVisible();
  const name = await mark(1).getAttribute("aria-label");
  await page.reload();
  await opens(page, "Shards");
  await expect(mark(1)).toHaveAttribute("aria-label", name ?? "");
  await shards.getByRole("button", { name: "By number" }).click();
  await page.getByLabel("Shard in your hand").selectOption({ label: "2" });
  await expect(page.getByRole("button", { name: "Shard 2 touches 3", exact: true })).toHaveAttribute("aria-pressed", "true");
});

test("more shards than an order is worked out for: it says so, and what to do instead", async ({ page }) => {
  const damage = { kind: "shards", shards: 84, break_length_mm: 2400, thickness_mm: 4 };
  const treatment = await matched(page, SAUCER, { damage }, [{ role: "adhesive", class: "epoxy-slow" }]);
  await page.goto(`/treatments/${treatment}/ready`);
  await opens(page, "Shards");
  await expect(page.getByRole("region", { name: "Shards" })).toContainText(
    /up to 60 shards; the survey counts 84. Sort them into sub-assemblies/,
  );
});

test("make ready: an operation of one's own stands in the list with its reason, and is done like every other", async ({ page }) => {
  await page.goto(`/treatments/${await rail(page)}/ready`);
  await page.getByText("Add a step").click();
  await page.getByLabel("What is done").fill("Wax the bench top");
  await page.getByLabel("Why", { exact: true }).fill("glue must not hold it");
  await page.getByRole("button", { name: "Add the step" }).click();
  const own = await openRow(page, /Wax the bench top/);
  await expect(own).toContainText("glue must not hold it");
  await own.getByRole("button", { name: "Done: Wax the bench top" }).click();
  await expect(page.getByText("1 behind")).toBeVisible();
});

test("a dry run is held against the open time: it fits, is too long, and is on record", async ({ page }) => {
  await page.goto(`/treatments/${await rail(page)}/ready`);
  await opens(page, "Clamps and dry run");
  const dry = page.getByRole("region", { name: "Dry run" });
  await dry.getByRole("button", { name: "+ Clamp" }).click();
  await dry.getByRole("button", { name: "+ Wedge" }).click();
  await expect(dry.getByText("1 clamp, 2 wedge")).toBeVisible();
  await dry.getByRole("button", { name: /^Mark 2, Wedge/ }).focus();
  await page.keyboard.press("Shift+ArrowRight");
  await page.keyboard.press("Enter");
  await expect(dry.getByRole("button", { name: /^Mark 2, Wedge, 45 % across/ })).toBeVisible();
  await dry.getByLabel("The dry run took").fill("2");
  await expect(dry.getByText(/^It fits: PVA wood glue stays open/)).toBeVisible();
  await dry.getByLabel("The dry run took").fill("90");
  await expect(dry.getByText(/^Too long: PVA wood glue/)).toBeVisible();
  await expect(dry.getByText(/Split it into \d+ sub-assemblies/)).toBeVisible();
  await expect(dry.getByRole("button", { name: "Say whether two marks meet" })).toBeDisabled();
  await dry.getByRole("button", { name: /Two marks meet.*Yes/ }).click();
  await dry.getByRole("button", { name: "Record the dry run" }).click();
  await expect(page.getByText(/behind$/)).toBeVisible();
  await opens(page, "Clamps and dry run");
  await expect(dry.getByRole("button", { name: "The dry run is on record" })).toBeVisible();
  await page.reload();
  await opens(page, "Clamps and dry run");
  await expect(dry.getByRole("button", { name: /^Mark 2, Wedge, 45 % across/ })).toBeVisible();
  await expect(dry.getByLabel("The dry run took")).toHaveValue("90");
});

test("form or mould: the loss with a twin is moulded off it, and what was chosen stays", async ({ page }) => {
  const treatment = await matched(
    page,
    { kind: "relief", part: { name: "garland", substrate: "gypsum", finish: "none" }, treatment_title: "lost garland end" },
    { damage: { kind: "corner", a_mm: 42, b_mm: 34, c_mm: 25 }, inspected: { twin: "there" } },
    [{ role: "filler", class: "gypsum-plaster" }],
  );
  await page.goto(`/treatments/${treatment}/ready`);
  await opens(page, "Form or mould");
  const forms = page.getByRole("region", { name: "Form or mould" });
  await expect(forms.getByText("suits this loss best")).toBeVisible();
  await expect(forms.getByText(/of mould material/).first()).toBeVisible();
  await forms
    .getByRole("button", { name: /^Choose: / })
    .first()
    .click();
  await expect(forms.getByText("Chosen")).toBeVisible();
  await page.reload();
  await opens(page, "Form or mould");
  await expect(forms.getByText("Chosen")).toBeVisible();
});
