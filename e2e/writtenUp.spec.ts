import { expect } from "@playwright/test";
import { expectAccessible, expectNoSideways, MATCHED, newTreatment, putAway, SURVEYED, test, write } from "./support";

test.afterEach(async ({ page }) => putAway(page));

test("in the evening: what was done is given its times by keyboard and kept in one go; what does not fit waits, and says why", async ({
  page,
}) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await page.goto(`/treatments/${treatment}/ready`);
  await page.getByRole("link", { name: "Write up" }).click();
  await page.getByLabel("Hands began").fill("yesterday 9");
  const done = page.getByRole("list", { name: "Done by now" });
  const time = (title: string) => done.getByRole("textbox", { name: `Done at: ${title}`, exact: true });
  const first = done.getByRole("listitem").first();
  const title = (await first.locator("b").first().textContent()) ?? "";
  await expect(time(title)).toHaveAttribute("placeholder", /9:0\d$/);

  // down the column by Enter; +15 counts from the one before
  await time(title).fill("yesterday 9:10");
  await time(title).press("Enter");
  await page.keyboard.type("+15");
  const second = done.getByRole("listitem").nth(1);
  await expect(second).toContainText("9:25");
  await expectAccessible(page);

  // out of order is said at its row, with the time that fits and the field for the reason
  const third = done.getByRole("listitem").nth(2);
  await third.getByRole("textbox", { name: /^Done at/ }).fill("yesterday 8");
  await expect(third).toContainText(/Out of order|Too early/);
  const before = await page.getByRole("button", { name: /^Keep \d+ acts?/ }).textContent();
  await third.getByRole("button", { name: /^It was so, say why/ }).click();
  await third.getByLabel(/^Why it was done all the same/).fill("the file came before the camera");
  await expect(page.getByRole("button", { name: /^Keep \d+ acts?/ })).not.toHaveText(before ?? "");

  // not done yet: it stays open with what follows
  const last = done.getByRole("listitem").last();
  await last.getByRole("button", { name: /^Done: / }).click();
  await expect(last).toContainText("not done yet");
  const fourth = done.getByRole("listitem").nth(3);
  await fourth.getByRole("button", { name: /^Leave out/ }).click();
  await fourth.getByLabel(/^Why left out/).fill("nothing to mask here");
  for (const [width, height] of [
    [820, 1180],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height });
    await expectNoSideways(page);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.reload();
  await expect(time(title)).toHaveValue("yesterday 9:10");
  await page.keyboard.press("Control+Enter");
  await expect(page.getByText(/\d+ acts? kept, each at its own time/)).toBeVisible();
  await expect(time(title)).toHaveCount(0);

  const { treatment: kept } = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
  const told = kept.log.slice(2);
  const at = (op: RegExp) =>
    new Date(told.find(({ body }: { body: { op: string } }) => op.test(body.op)).at).toLocaleTimeString("en-GB", {
      timeZone: "Europe/Berlin",
    });
  expect(at(/photograph/)).toBe("09:10:00");
  expect(told.map(({ body }: { body: { kind: string } }) => body.kind)).toContain("skipped");
  expect(told.filter(({ body }: { body: { against?: object } }) => body.against)).toHaveLength(1);
});

test("a log that grew meanwhile is told, and what was typed stays", async ({ page, other }) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await page.goto(`/treatments/${treatment}/written-up`);
  await page.getByLabel("Hands began").fill("yesterday 9");
  const first = page.getByRole("list", { name: "Done by now" }).getByRole("listitem").first();
  await first.getByRole("textbox", { name: /^Done at/ }).fill("yesterday 10");
  await write(other, treatment, 2, { kind: "noted", station: "ready", text: "the owner called" });
  await page.getByRole("button", { name: /^Keep \d+ acts?/ }).click();
  await expect(page.getByText(/Another window wrote here/)).toBeVisible();
  await expect(first.getByRole("textbox", { name: /^Done at/ })).toHaveValue("yesterday 10");
  await page.getByRole("button", { name: /^Keep \d+ acts?/ }).click();
  await expect(page.getByText(/\d+ acts? kept, each at its own time/)).toBeVisible();
});

test("a refusal stands at the button that was pressed, with the field for its reason; once the time is right it is not asked", async ({
  page,
}) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await write(
    page,
    treatment,
    2,
    { kind: "done", op: "r1/ready/photograph", hands_min: 5 },
    new Date(Date.now() - 3_600_000).toISOString(),
  );
  await page.goto(`/treatments/${treatment}/ready`);
  const row = page.getByRole("list", { name: "Operations" }).getByRole("listitem").first();
  await row.getByRole("button", { name: /^More: / }).click();
  await row.getByLabel("When it was done, if not now").fill("yesterday 9");
  await row.getByLabel("Note").fill("two swabs");
  await row.getByRole("button", { name: /^Done: / }).click();
  await expect(row.getByRole("alert", { name: "Not kept" })).toContainText(/It comes after .*Correct the time/);
  await expect(row.getByLabel("Why is it done all the same?")).toBeVisible();
  await expect(row.getByLabel("Note")).toHaveValue("two swabs");
  await expectAccessible(page);
  await row.getByLabel("When it was done, if not now").fill("soon");
  await expect(row.getByLabel("Why is it done all the same?")).toHaveCount(0);
  await row.getByRole("button", { name: /^Done: / }).click();
  await expect(row.getByText(/Type a time such as/)).toBeVisible();
  await row.getByLabel("When it was done, if not now").fill("3 Mar 2021 9");
  await row.getByRole("button", { name: /^Done: / }).click();
  await expect(row.getByRole("alert", { name: "Not kept" })).toContainText(/long ago/);
  await row.getByLabel("When it was done, if not now").fill("");
  await row.getByRole("button", { name: /^Done: / }).click();
  await expect(page.getByText("2 behind")).toBeVisible();
});
