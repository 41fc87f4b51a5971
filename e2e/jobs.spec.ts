import { expect } from "@playwright/test";
import { before, dryRun, go, inOrder, isDryRun, planned, press, readyJob, rows } from "./jobWalk";
import { card, openRow, opens, photograph, putAway, row, test, workedOut, workOff, workStation } from "./support";

test.afterEach(({ page }) => putAway(page));

test("job 1: a rung that broke along its grain and is loose in its stile, glued in one sitting, ends without a load", async ({ page }) => {
  test.setTimeout(300_000);
  const treatment = await planned(page, 1, "Wagon step");
  await go(page, treatment, "ready");
  const old = await openRow(page, /^Take the earlier repair off/);
  await expect(old).toContainText(/Hot-melt glue softens at 65 to 90 °C, shellac stands 50 °C/);
  await expect(old).toContainText(/chill it with ice spray, pick it off/);
  await workOff(page, treatment, isDryRun);
  await go(page, treatment, "ready");
  await expect(rows(page).first()).toContainText("Dry-fit everything");
  await dryRun(page, "12");
  await workOff(page, treatment, before("join"));
  await go(page, treatment, "join");
  await inOrder(
    page,
    /^Drill Ø 8.2 mm/,
    /^Mix 3\.\d+ g of slow epoxy, thickened/,
    /^Wrap of cord or rubber/,
    /^Wet both faces with fish glue/,
    /^Check square by the diagonals/,
  );
  await workOff(page, treatment, before("colour"));
  await go(page, treatment, "colour");
  await inOrder(page, /^A first clear coat/, /^Mute what is dark/, /^A toning coat, 1 of 3/, /^A toning coat, 3 of 3/);
  await workOff(page, treatment, before("close"));
  await go(page, treatment, "close");
  await expect(page.getByText(/the owner’s card allows no load/).first()).toBeVisible();
  await expect(await openRow(page, /^Look it over/)).toContainText(/The safety reached is 1\.\d of 3/);
});

test("job 5: a lost corner in three rounds, each told with its cause", async ({ page }) => {
  test.setTimeout(300_000);
  const treatment = await planned(page, 5, "Carousel plinth", async () => {
    const choose = page.getByRole("button", { name: "Choose Polyester filler" });
    if (await choose.isVisible()) await choose.click();
  });
  const backTo = async (because: string, low = "") => {
    await press(page, "Back to …");
    await page.getByRole("combobox", { name: "Station" }).selectOption("fill");
    await page.getByLabel("Because").fill(because);
    if (low) await page.getByLabel(/^How low it is/).fill(low);
    await press(page, "Open the round");
    await expect(page.getByRole("button", { name: "Back to …" })).toBeVisible();
  };
  await go(page, treatment, "ready");
  await expect(rows(page).filter({ hasText: "mirrored twin" })).toHaveCount(1);
  await workOff(page, treatment, before("fill"));
  await go(page, treatment, "fill");
  await inOrder(
    page,
    /layer 1 of 2/,
    /^Press in layer 1 of 2/,
    /layer 2 of 2/,
    /^Press in layer 2 of 2/,
    /^Trim with a blade/,
    /^Look for pinholes/,
  );
  await expect(page.getByText(/hardener 0.08 g \(0.04 g to 0.15 g is right\)/).first()).toBeVisible();
  await workOff(page, treatment, before("level"));
  await go(page, treatment, "fill");
  await backTo("a pinhole at the heel");
  await expect(page.getByText("Round 2").first()).toBeVisible();
  await expect(rows(page).filter({ hasText: "fine surfacer" }).first()).toBeVisible();
  await workOff(page, treatment, (id) => id.includes("/rub-prime/"));
  await go(page, treatment, "level");
  await expect(rows(page).first()).toContainText(/Rub it down/);
  await backTo("the primer shows a low spot", "0.3");
  await go(page, treatment, "fill");
  await expect(page.getByText("Round 3").first()).toBeVisible();
  await workOff(page, treatment, before("close"));
  await go(page, treatment, "close");
  await workStation(page, /sign$/);
  await page.getByLabel(/Signed$/).fill("M.");
  await press(page, "Sign and close");
  await expect(page.getByText(/Signed and closed .*, M\./)).toBeVisible();
  await page.goto(`/treatments/${treatment}/record`);
  for (const words of ["a pinhole at the heel", "the primer shows a low spot"]) await expect(page.getByText(words).first()).toBeVisible();
});

test("job 7: seven shards with three lost slivers: the glue is judged at closed joins, one mix fills all three", async ({ page }) => {
  test.setTimeout(300_000);
  const treatment = await planned(page, 7, "Prize dish");
  await go(page, treatment, "join");
  await expect(rows(page).filter({ hasText: /^Mix 0\.3\d g of slow epoxy/ })).toHaveCount(1);
  await go(page, treatment, "fill");
  await page.getByText(/^\d+ places$/).click();
  await expect(page.getByRole("button", { name: /Lost sliver 3 22/ })).toBeVisible();
  await expect(rows(page).filter({ hasText: /^Mix .* of .*/ })).toHaveCount(1);
  await openRow(page, /^Mix/);
  const portions = page.locator(".portions").first();
  for (const sliver of ["Lost sliver 1", "Lost sliver 2", "Lost sliver 3"]) await expect(portions.getByText(`${sliver}:`)).toBeVisible();

  await test.step("as many coats as the user plans, each of its own stuff, in their order", async () => {
    await go(page, treatment, "colour");
    await opens(page, "Coats");
    const build = page.getByRole("region", { name: "Built by hand" });
    await build.getByRole("button", { name: "Add a coat" }).click();
    await build.getByLabel("Row 3: what it is").selectOption("pattern");
    await build.getByLabel("Row 3: material").selectOption({ label: "Bronze powder in clear binder" });
    await build.getByRole("button", { name: "Row 3: one coat more" }).click();
    await build.getByRole("button", { name: "Row 3: earlier" }).click();
    await page.reload();
    await opens(page, "Coats");
    await expect(build.getByText(/Surface of the repair: coats, 3 rows/)).toBeVisible();
    await expect(build.getByLabel("Row 2: what it is")).toHaveValue("pattern");
    await build.getByRole("button", { name: "Plan it so" }).click();
    await expect(rows(page).filter({ hasText: /^Pattern: sponge or mottle it.*bronze powder/ })).toHaveCount(2);
    await inOrder(page, /^Undercolour, 2 of 2/, /^Pattern.*1 of 2/, /^Pattern.*2 of 2/, /^A clear coat, 1 of 2/);
  });

  await test.step("Match still knows what was set by hand", async () => {
    await page.goto(`/treatments/${treatment}/match`);
    await press(page, "Plan this repair");
    await expect(page).not.toHaveURL(/\/match/);
    await go(page, treatment, "colour");
    await expect(rows(page).filter({ hasText: /^Pattern/ })).toHaveCount(2);
  });
});

test("job 10: a torn bag: patch, sections, trough, grain before it skins, dressing last, nothing that harms dyed leather", async ({
  page,
}) => {
  test.setTimeout(300_000);
  const treatment = await planned(page, 10, "Concertina saddle bag");
  await go(page, treatment, "ready");
  await expect(page.getByText(/acetone/i)).toHaveCount(0);
  await expect(rows(page).filter({ hasText: "no tape on dyed leather" })).toHaveCount(1);
  await workOff(page, treatment, isDryRun);
  await go(page, treatment, "ready");
  await dryRun(page, "6");
  await workOff(page, treatment, before("join"));
  await go(page, treatment, "join");
  await inOrder(
    page,
    /90 × 32 mm, corners round/,
    /the seam side first/,
    /^Lay edge section 1 of 3.*awkward end first/,
    /^Lay edge section 3 of 3/,
  );
  await workOff(page, treatment, before("fill"));
  await go(page, treatment, "fill");
  await inOrder(page, /layer 1 of/, /^Emboss the grain before it skins/, /^Look for pinholes/);
  await expect(await openRow(page, /^Press in|^Lay/)).toContainText(/A trough, not a peak/);
  await workOff(page, treatment, before("colour"));
  await go(page, treatment, "level");
  await expect(rows(page)).toHaveCount(0);
  await go(page, treatment, "colour");
  await inOrder(page, /after dressing/, /^A thin coat of colour, dabbed, 3 of 3/, /^The finish, sponged on thin/);
  await workOff(page, treatment, before("close"));
  await go(page, treatment, "close");
  await inOrder(page, /^Dress the leather/, /^Photograph it from the same places/);
  await opens(page, "Photographs");
  await page
    .getByRole("region", { name: "Photographs" })
    .locator("input[type=file]")
    .setInputFiles(await photograph("after.jpg"));
  await expect(page.getByRole("img", { name: /^After/ })).toBeVisible();
});

test("job 8: an eroded gate: what stops it first, lime in four cups each with its pot life, a low spot marked and filled in round 2", async ({
  page,
}) => {
  const treatment = await readyJob(page, 8, "Cherub on the gate");
  await go(page, treatment, "ready");
  await inOrder(page, /^Stop the cause first/, /for lead/, /^Let it dry/, /^Brush the loss/, /^Lock the powdering face/);
  await workOff(page, treatment, before("fill"), 40 * 24);
  await go(page, treatment, "fill");
  await inOrder(page, /^Damp the old plaster/, /^Mix 1751 g of fine lime mortar, in 4 batches of 438 g/);
  await workStation(page, /^Mix/);

  await test.step("cup by cup: what the last was short of, the next ones take up; then the mix is behind", async () => {
    const mix = card(page);
    await expect(mix).toContainText("Mix 1751 g");
    await expect(mix.getByText("Next, batch 1 of 4")).toBeVisible();
    await page.getByLabel(/^sand, weighed/).fill("224");
    await press(page, /^Mixed now: batch 1 of 4/);
    await expect(mix.getByText(/Batch 1: 337 g, mixed .*workable until/)).toBeVisible();
    await expect(mix.getByText(/337 g of 1751 g are mixed; use up what is in the cup first/)).toBeVisible();
    await expect(page.getByLabel(/^sand, weighed \(planned 349.*g\)/)).toBeVisible();
    await page.goto("/");
    await expect(page.getByText("Use up batch 1 of 4").first()).toBeVisible();
    await go(page, treatment, "fill");
    await press(page, /^Mixed now: batch 2 of 4/);
    await press(page, "Take back batch 2");
    for (const n of [2, 3, 4]) await press(page, new RegExp(`^Mixed now: batch ${n} of 4`));
    await expect(row(page, /^Mix 1751 g/)).toHaveCount(0);
    await expect(page.getByRole("button", { name: /^Laid now|^Done: Lay on the fine lime mortar/ }).first()).toBeVisible();
  });

  await workStation(page, /^Leave the lime/);
  await test.step("what raking light shows is marked where it is, and the round fills just that", async () => {
    await opens(page, "Found");
    await page.locator(".spot-map").click({ position: { x: 120, y: 90 } });
    await page.getByLabel("How low, if measured").fill("0.6");
    await press(page, "Mark it");
    await expect(page.getByRole("list", { name: "Found" })).toContainText("Low spot, 0.6 mm");
    await press(page, "Mark what you found");
    await page.getByRole("button", { name: /^Mark \+/ }).press("ArrowRight");
    await press(page, "Pinhole");
    await press(page, "Mark it");
    await press(page, "Back to Fill: 1 low spot, 1 pinhole, up to 0.6 mm low");
    await press(page, "Open the round");
    await expect(page.getByText("Round 2").first()).toBeVisible();
    await opens(page, "Found");
    await expect(page.getByRole("list", { name: "Found" })).toContainText("round 2");
  });
  await page.goto(`/treatments/${treatment}/record`);
  await expect(page.locator(".spot-mark")).toHaveCount(2);
  await expect(page.getByText("1 low spot, 1 pinhole, up to 0.6 mm low").first()).toBeVisible();
});

test("job 9: a block’s corner: anchors before the form, damped plaster, one pour and a thinner second, dry by the cheek", async ({
  page,
}) => {
  const treatment = await readyJob(page, 9, "Relief block");
  await workOff(page, treatment, before("join"), 8 * 24);
  await go(page, treatment, "join");
  await inOrder(page, /3 anchor holes Ø 5 mm, 24 mm deep/, /stainless screw/);
  await workOff(page, treatment, (id) => id.includes("/fill/damp"), 6 * 24);
  await go(page, treatment, "fill");
  await workStation(page, /^Mix/);
  await openRow(page, /Mix .* gypsum plaster/i);
  await page.getByRole("button", { name: /^Without a scale/ }).click();
  const dialog = page.getByRole("region", { name: /without a scale$/ });
  await expect(dialog.getByText(/additive/i).first()).toBeVisible();
  await expect(dialog.getByText(/second/i).first()).toBeVisible();
  await inOrder(page, /^Mix /, /^Pour /, /thinner/, /cold to the cheek/);
  await workStation(page, /cold to the cheek/);
  await expect(row(page, /cold to the cheek/)).toContainText(/from|now/);
});

test("job 11: a thin cast hand: overlay measured short takes another thin build; polished lightly, no cloth wider than it", async ({
  page,
}) => {
  const treatment = await readyJob(page, 11, "Figure, thin hand");
  await workOff(page, treatment, before("fill"), 5 * 24);
  await go(page, treatment, "fill");
  await workStation(page, /^Measure the thickness after/);
  const measured = await openRow(page, /Measure the thickness after: 1.4 mm/);
  await measured.getByLabel("Thickness by the caliper, mm").fill("1.1");
  await measured.getByRole("button", { name: /^Done/ }).click();
  await page.getByText(/behind$/).click();
  await press(page, "Back to Fill: measured 0.3 mm low");
  await press(page, "Open the round");
  await expect(page.getByText("Round 2").first()).toBeVisible();
  await inOrder(page, /^(Round 2)?Mix .* cold-cure acrylic/, /^Round 2Press in/, /^Round 2Measure the thickness after: 1.4 mm/);
  await expect(rows(page).filter({ hasText: /surfacer|Measure the thickness before/ })).toHaveCount(0);
  await workStation(page);
  await go(page, treatment, "level");
  await inOrder(page, /^File it/, /P150, wet/, /P400, wet/, /^Polish lightly and stop early/);
  const { found } = await workedOut(page, treatment);
  expect(found?.repair.operations.find(({ id }) => id === "r2/level/file/d1")?.cautions).toContain("dust-metal");
  await workStation(page);
});

test("job 12: three finger tips out of one mix, modelled or carved as one likes, leaf over size at the end", async ({ page }) => {
  const treatment = await readyJob(page, 12, "Jester figure");
  await workOff(page, treatment, before("fill"), 4 * 24);
  await go(page, treatment, "fill");
  await openRow(page, /^Mix/);
  const portions = page.locator(".portions").first();
  await expect(portions.locator("span")).toHaveCount(3);
  await opens(page, "Section");
  await expect(page.getByRole("figure").first()).toBeVisible();
  await opens(page, "Shape and grain");
  await page
    .getByRole("button", { name: /^Choose: Build over size/ })
    .first()
    .click();
  await expect(
    rows(page)
      .filter({ hasText: /^Carve it to the profile when it is hard/ })
      .first(),
  ).toBeVisible();

  await test.step("leaf over size in place of bronze, laid out in one press", async () => {
    await workOff(page, treatment, before("colour"), 3 * 24);
    await go(page, treatment, "colour");
    await opens(page, "Coats");
    const build = page.getByRole("region", { name: "Built by hand" });
    const surface = build
      .locator("details")
      .filter({ hasText: /Surface of the repair: coats/ })
      .first();
    if (!(await surface.getByLabel("Lay it out as").isVisible())) await surface.locator("summary").click();
    await surface.getByLabel("Lay it out as").selectOption({ label: "Leaf over size, toned" });
    await surface.getByRole("button", { name: "Take these coats" }).click();
    await surface.getByRole("button", { name: "Plan it so" }).click();
    await inOrder(page, /^Size and leaf/, /^Lay .*80 × 80 mm, cut on the cushion/, /^A lock coat/, /^Tone the new metal down/);
    await expect(await openRow(page, /80 × 80 mm/)).toContainText(/Size is ready when a knuckle squeaks/);
  });
});

test("job 6: a handle’s splines hidden under four tints: the strength is solved for four, and the sheen comes last", async ({ page }) => {
  const treatment = await readyJob(page, 6, "Shuttle-bar handle");
  await workOff(page, treatment, before("colour"), 20 * 24);
  await go(page, treatment, "colour");
  await inOrder(
    page,
    /pore filler/,
    /^A toning coat, 1 of 4/,
    /^A toning coat, 4 of 4/,
    /^A clear coat, 1 of 3/,
    /stopped shrinking/,
    /^Level the new film with P1200/,
  );
  await opens(page, "Coats");
  const strip = page.getByRole("region", { name: "Transparent coats" });
  await strip.getByLabel("Ground").fill("70 8 24");
  await strip.getByLabel("One coat over it, dry").fill("64 12 28");
  await strip.getByLabel("Colour to meet").fill("50 20 35");
  await expect(strip.getByText(/Thinned to \d+ % of the draw-down’s strength, coat 4 meets it/)).toBeVisible();
  await expect(strip.getByText("stop here")).toHaveCount(1);
  await opens(page, "Thin or thick");
  await expect(page.getByRole("region", { name: "Clear lacquer, thin or thick" }).getByText("planned")).toBeVisible();
});

test("job 3: a dent in a gloss film: drops, a wait for its shrinking, then P400 wet to the last compound with a pad of its own", async ({
  page,
}) => {
  const treatment = await readyJob(page, 3, "Barrel-organ lid");
  await workOff(page, treatment, before("level"), 30 * 24);
  await go(page, treatment, "level");
  await inOrder(page, /^Sand with P400, wet, a hard block/, /^Sand with P800/, /^Sand with P1500/, /medium compound/, /fine compound/);
  const ladder = page.getByRole("region", { name: "Ladder" });
  await expect(ladder).toContainText(/3 quarter sheets, 5 wipes, 2 pads, one for each compound/);
  await expect(rows(page).filter({ hasText: /\biron\b|steam|P150\b/i })).toHaveCount(0);

  await test.step("half a millimetre left after P800: the coarser grade comes again", async () => {
    await press(page, /^Done: Sand with P400/);
    await openRow(page, /Sand with P800/);
    await page.getByRole("button", { name: /^More: Sand with P800/ }).click();
    await page
      .getByLabel(/^Height against the old surface/)
      .first()
      .fill("0.1");
    await press(page, /^Done: Sand with P800/);
    await expect(ladder.getByText(/0\.1 mm still stands proud: P1500 would take long for it/)).toBeVisible();
    await ladder.getByLabel("Back to").selectOption({ label: "P400" });
    await press(page, "Walk again from P400");
    await expect(rows(page).filter({ hasText: /^Sand with P400 again/ })).toHaveCount(1);
  });
  await workStation(page);
  await go(page, treatment, "close");
  await page.goto(`/treatments/${treatment}/record`);
  await expect(page.getByText(/Back to P400: 0\.1 mm still stands proud/)).toBeVisible();
});

test("job 14: a scratch sprayed and cut: a gauge reading after the first cut says where to stop, compounds close it", async ({ page }) => {
  const treatment = await readyJob(page, 14, "Music-box lid");
  await workOff(page, treatment, (id) => id.includes("/cut-1/"), 30 * 24);
  await go(page, treatment, "colour");
  await expect(rows(page).filter({ hasText: "Cut 6 µm off what stands up" })).toHaveCount(15);
  const cut = await openRow(page, /Cut 6 µm off/);
  await opens(page, "Film");
  const film = page.getByRole("region", { name: "Film budget" });
  await expect(film).toContainText("110 ± 22 µm, as surveyed");
  await cut.getByRole("button", { name: /^More: / }).click();
  await cut.getByLabel(/^Film by the gauge/).fill("66");
  await cut.getByRole("button", { name: /^Done: Cut/ }).click();
  // the next cut comes up with its own instrument
  await expect(async () => {
    await opens(page, "Film");
    await expect(film.getByRole("img", { name: /Cut coat 1: 66 µm at the flat/ })).toBeVisible({ timeout: 2_000 });
  }).toPass();
  await expect(film.getByText(/^(Stop before|Tape the edges before)/)).toBeVisible();
  await workOff(page, treatment, before("close"), 20 * 24);
  await page.goto(`/treatments/${treatment}/record`);
  await expect(page.getByText(/^Polish (with .* compound|to gloss)/i).first()).toBeAttached();
});

test("job 15: a jar’s rim: a blade and papers inside the tape, a cloth over the line, the drawer counts what it took", async ({ page }) => {
  const treatment = await readyJob(page, 15, "Jar of the fair");
  await workOff(page, treatment, (id) => id.includes("/level/grit-"), 5 * 24);
  await go(page, treatment, "level");
  await inOrder(
    page,
    /^Sand with P120, wet.*inside the mask/,
    /^Sand with P600.*inside the mask/,
    /^Take the tape off/,
    /^Polish with cloth 6000.*may touch/,
  );
  await expect(page.getByText(/Beside it lies .*glaze/)).toHaveCount(0);
  await workStation(page);
  await go(page, treatment, "colour");
  await inOrder(page, /^Undercolour, 1 of 2/, /^A clear coat, 2 of 2/, /^Match the sheen last/);
  await go(page, treatment, "close");
  await opens(page, "For the owner");
  await expect(page.getByText(/food/i).first()).toBeVisible();
});
