import { expect } from "@playwright/test";
import { card, expectAccessible, opens, photograph, test, workStation } from "./support";

/** The whole job by a new user, from nothing to the printed record. One database, one story, in order. */
test("from an empty bench to the record, and back in from its dossier", async ({ page }) => {
  test.setTimeout(360_000);
  const done = (name: string | RegExp) => page.getByRole("button", { name, exact: true }).click();

  await test.step("the empty bench leads to the first piece", async () => {
    await page.goto("/");
    await expect(page.getByRole("heading", { name: "Nothing on the bench yet" })).toBeVisible();
    await expect(page.getByText(/^Nothing is curing\./)).toBeVisible();
    await expectAccessible(page);
    await page.getByRole("link", { name: "New piece" }).click();
  });

  await test.step("enter it; what is missing is said at the field", async () => {
    await page.getByLabel("What is it?").fill("Ginger-beer jar");
    await done("Enter it, go to Survey");
    await expect(page.getByText("Give it a mark, so that it is found again.")).toBeVisible();
    await expect(page.getByLabel("What is it?")).toHaveValue("Ginger-beer jar");
    await page.getByLabel("Mark").fill("HF-101");
    await page.getByLabel("Owner’s reference").fill("stand 7");
    await page.getByLabel("Kind of piece").selectOption("vessel");
    await page.getByLabel("Damaged part").fill("rim");
    await page.getByLabel("Made of").selectOption("stoneware");
    await page.getByLabel("Finish on it").selectOption("glaze");
    await page.getByLabel("What is to be mended?").fill("rim chip");
    await expectAccessible(page);
    await done("Enter it, go to Survey");
    await expect(page).toHaveURL(/\/survey$/);
  });

  await test.step("survey in inches and millimetres, with a photograph", async () => {
    await page.getByLabel("What is wrong").selectOption("chip");
    await page.getByLabel("Length along the edge").fill("1 3/16 in");
    await expect(page.getByText("30.2 mm", { exact: true })).toBeVisible();
    await page.getByLabel("Depth down from the edge").fill("6");
    await page.getByLabel("Thickness of the wall").fill("0.5 cm");
    await expect(page.getByRole("img", { name: /Drawing, seen from the front/ })).toBeVisible();
    await opens(page, /^Use and inspection/);
    await done("Washed or soaked: Yes");
    await done("Food or drink touches it: No");
    await opens(page, "Condition map");
    await page.getByLabel("View and light of the next photograph").fill("rim, raking light");
    await page.locator("input[type=file]").setInputFiles(await photograph());
    await expect(page.getByRole("img", { name: /rim, raking light/ })).toBeVisible();
    await expect(page.getByLabel("Length along the edge")).toHaveValue("1 3/16 in");
    await done("Save, go to Match");
    await expect(page).toHaveURL(/\/match/);
  });

  await test.step("match: ranked, refused with what instead, stance, choose", async () => {
    await expect(page.getByText("Epoxy putty", { exact: true }).first()).toBeVisible();
    const refused = page.getByRole("region", { name: "Refused" });
    await expect(refused.getByText(/It drinks water, and this piece is washed/).first()).toBeVisible();
    await expect(refused.getByText(/Use epoxy putty\./).first()).toBeVisible();
    await done("Service first");
    await expect(page.getByText(/Reversible first would pick/)).toBeVisible();
    await done("Reversible first");
    await page
      .getByRole("button", { name: /All reasons/ })
      .first()
      .click();
    await expect(page.getByText(/Rule .+;/).first()).toBeVisible();
    const choose = page.getByRole("button", { name: "Choose Epoxy putty" });
    if (await choose.isVisible()) await choose.click();
    await expectAccessible(page);
    await done("Plan this repair");
    await expect(page).toHaveURL(/\/ready$/);
  });

  await test.step("make ready: one operation is left out with its reason, the rest is done", async () => {
    await done(/^Done: Photograph the damage/);
    const open = page.getByRole("list", { name: "Operations" }).getByRole("listitem");
    await expect(open.getByText("Photograph the damage in raking light", { exact: true })).toHaveCount(0);
    await card(page).getByRole("button", { name: "Leave it out" }).click();
    await page.getByLabel("Why is it left out?").fill("the owner had it cleaned");
    await page.getByRole("button", { name: "Leave it out" }).last().click();
    await expect(page.getByText("2 behind")).toBeVisible();
    await workStation(page);
    await expect(page.getByText("the owner had it cleaned")).toBeVisible();
    await page.getByRole("link", { name: "Go on to Fill" }).click();
    await expect(page).toHaveURL(/\/fill$/);
  });

  await test.step("fill: weigh, a slip is caught, mixed now starts the clock on the Shelf", async () => {
    await workStation(page, /^Mix /);
    await page.getByLabel(/^A, weighed/).fill("1.20");
    await page.getByLabel(/^B, weighed/).fill("0.80");
    await expect(page.getByText(/off: add 0.40 g of B/)).toBeVisible();
    await page.getByLabel(/^B, weighed/).fill("1.20");
    await expect(page.getByText(/Ratio right/)).toBeVisible();
    await done(/^Mixed now: /);
    await expect(page.getByRole("complementary", { name: "Shelf" }).getByText("Ginger-beer jar")).toBeVisible();
    await done(/^Done: Press in/);
    await expect(page.getByText("Don’t touch").first()).toBeVisible();
    await expectAccessible(page);
  });

  await test.step("the bench says hands off, and until when; too early asks why", async () => {
    await page.getByRole("link", { name: "Bench", exact: true }).click();
    await expect(page.getByRole("complementary", { name: "Hands off" }).getByText("Ginger-beer jar")).toBeVisible();
    await expect(page.getByText("Hands off everything")).toBeVisible();
    await page.getByRole("complementary", { name: "Hands off" }).getByRole("link").first().click();
    await expect(page).toHaveURL(/\/fill/);
    const early = card(page);
    await early.getByText("Do it, with a reason").click();
    await early.getByRole("button", { name: /^Do it all the same: / }).click();
    await expect(page.getByText("Say why, in a few words: the record keeps it.")).toBeVisible();
    await early.getByLabel("Why is it done all the same?").fill("the thumbnail says it is firm");
    await early.getByRole("button", { name: /^Do it all the same: / }).click();
    await workStation(page);
    await page.getByRole("link", { name: "Go on to Level" }).click();
    await expect(page).toHaveURL(/\/level$/);
  });

  await test.step("level, and back to Fill for a pinhole: the second round is told with its cause", async () => {
    await workStation(page, /P180/);
    await done("Back to …");
    await page.getByRole("combobox", { name: "Station" }).selectOption("fill");
    await page.getByLabel("Because").fill("a pinhole by the rim");
    await done("Open the round");
    await expect(page.getByLabel("Because")).toBeHidden();
    await page.goto(page.url().replace(/level.*/, "fill"));
    await expect(page.getByText("Round 2").first()).toBeVisible();
    await expect(page.getByText(/a pinhole by the rim/).first()).toBeVisible();
    await workStation(page);
    await page.getByRole("link", { name: "Go on to Level" }).click();
    await expect(page).toHaveURL(/\/level$/);
    await workStation(page);
    await page.getByRole("link", { name: "Go on to Colour" }).click();
    await expect(page).toHaveURL(/\/colour$/);
  });

  await test.step("colour: every coat with its clock", async () => {
    await workStation(page);
    await page.getByRole("link", { name: "Go on to Close" }).click();
    await expect(page).toHaveURL(/\/close$/);
    await workStation(page, /sign$/);
  });

  let treatment = "";
  await test.step("close: after-photograph, planned against done, signed", async () => {
    await opens(page, "Photographs");
    await page.locator("input[type=file]").setInputFiles(await photograph("after.jpg"));
    await expect(page.getByRole("img", { name: /^After/ })).toBeVisible();
    await opens(page, "Look back and sign");
    await expect(page.getByText(/the thumbnail says it is firm/i).first()).toBeVisible();
    await expect(page.getByText(/Back to Fill: a pinhole by the rim/).first()).toBeVisible();
    await done("Sign and close");
    await expect(page.getByText("Write your name or initial: the record is signed.")).toBeVisible();
    await page.getByLabel("Final notes").fill("Sound. Next time a dam.");
    await page.getByLabel(/Signed$/).fill("M.");
    await expectAccessible(page);
    await done("Sign and close");
    await expect(page.getByText(/Signed and closed .*, M\./)).toBeVisible();
    treatment = /treatments\/([^/]+)/.exec(page.url())?.[1] ?? "";
  });

  await test.step("the printed record holds it all", async () => {
    await page.getByRole("link", { name: /Print view, A4/ }).click();
    await expect(page.getByRole("heading", { name: "Ginger-beer jar, rim chip" })).toBeVisible();
    for (const words of [
      "Epoxy putty",
      "A 1.20 g : B 1.20 g",
      "a pinhole by the rim",
      "the thumbnail says it is firm",
      "signed M.",
      "Sound. Next time a dam.",
      "the owner had it cleaned",
    ])
      await expect(page.getByText(words).first()).toBeVisible();
    await expect(page.getByRole("figure")).toHaveCount(2);
    await expect(page.getByRole("region", { name: "Condition map" })).toBeVisible();
    await expectAccessible(page);
    const pdf = await page.pdf({ format: "A4" });
    expect(pdf.length).toBeGreaterThan(20_000);
    await page.emulateMedia({ media: "print" });
    await expect(page.getByRole("button", { name: "Print on A4" })).toBeHidden();
    await page.emulateMedia({ media: "screen" });
  });

  await test.step("deleted, undone, deleted, and in again from its dossier without loss", async () => {
    const before = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
    await page.goto(`/treatments/${treatment}/close`);
    const remove = async () => {
      await page.getByRole("button", { name: "More for this treatment" }).click();
      await page.getByRole("button", { name: "Delete this treatment" }).click();
      await expect(page.getByText("Deleted: rim chip")).toBeVisible();
    };
    await remove();
    await done("Undo");
    await expect(page.getByRole("link", { name: /rim chip/ })).toBeVisible();
    await page.goto(`/treatments/${treatment}/close`);
    await remove();
    await page.goto("/objects");
    await page
      .locator("input[type=file]")
      .setInputFiles({ name: "jar.dossier.json", mimeType: "application/json", buffer: Buffer.from(JSON.stringify(before)) });
    await expect(page.getByText(/Signed and closed .*, M\./)).toBeVisible();
    const after = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
    expect({ ...after, exported_at: "" }).toEqual({ ...before, exported_at: "" });
  });
});

test("a practice jar comes to try things on, surveyed and ready to be matched", async ({ page }) => {
  await page.request.get("/");
  const answer = await page.request.post("/api/practice");
  expect(answer.status()).toBe(201);
  await page.goto(`/treatments/${(await answer.json()).treatment_id}`);
  await expect(page).toHaveURL(/\/match/);
  await expect(page.getByRole("heading", { name: /Practice jar/ })).toBeVisible();
});
