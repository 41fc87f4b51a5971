import { expect } from "@playwright/test";
import { demoTreatment, expectAccessible, MATCHED, newTreatment, opens, photograph, photographed, SURVEYED, test, write } from "./support";

test("absurd and wrong sizes are said at their fields, and what was typed stays", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await page.goto(`/treatments/${treatment}/survey`);
  await page.getByRole("button", { name: "Save, go to Match" }).click();
  await expect(page.getByText("Choose what is wrong first.")).toBeVisible();
  await page.getByLabel("What is wrong").selectOption("chip");
  await page.getByLabel("Length along the edge").fill("4 m");
  await page.getByLabel("Depth down from the edge").fill("-3");
  await page.getByLabel("Thickness of the wall").fill("six");
  await page.getByRole("button", { name: "Save, go to Match" }).click();
  await expect(page.getByText(/4000 mm is more than we plan for/)).toBeVisible();
  await expect(page.getByText("A length can't be below zero.").first()).toBeVisible();
  await expect(page.getByText(/“six” is not a length/).first()).toBeVisible();
  await expect(page.getByLabel("Length along the edge")).toHaveValue("4 m");
  await expect(page.getByLabel("Length along the edge")).toBeFocused();
  await expect(page).toHaveURL(/\/survey$/);
});

test("a form that is left half-typed is there again", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await page.goto(`/treatments/${treatment}/survey`);
  await page.getByLabel("What is wrong").selectOption("hole");
  await page.getByLabel("Diameter").fill("3/8 in");
  await opens(page, /^Use and inspection/);
  await page.getByLabel("What you saw").fill("a screw was torn out");
  await page.goto("/objects");
  await page.goto(`/treatments/${treatment}/survey`);
  await expect(page.getByLabel("Diameter")).toHaveValue("3/8 in");
  await opens(page, /^Use and inspection/);
  await expect(page.getByLabel("What you saw")).toHaveValue("a screw was torn out");
  await expect(page.getByText("What you typed last time was kept")).toBeVisible();
});

test("a wrong, a broken and an oversized photograph are refused with what to do", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await page.goto(`/treatments/${treatment}/survey`);
  await opens(page, "Condition map");
  const input = page.locator("input[type=file]");
  await input.setInputFiles({ name: "rim.jpg", mimeType: "image/jpeg", buffer: Buffer.from("not a picture at all") });
  await expect(page.getByText(/not a whole JPEG, PNG or WebP picture. Export it as JPEG/)).toBeVisible();
  await input.setInputFiles({ name: "huge.jpg", mimeType: "image/jpeg", buffer: Buffer.alloc(12 * 1024 * 1024 + 1) });
  await expect(page.getByText(/huge.jpg is over 12 MB/)).toBeVisible();
  const sent = await page.request.post(`/api/treatments/${treatment}/photographs?id=${crypto.randomUUID()}&moment=before&caption=`, {
    data: Buffer.alloc(12 * 1024 * 1024 + 1),
  });
  expect(sent.status()).toBe(413);
  await input.setInputFiles(await photograph());
  await expect(page.getByRole("img", { name: /^Before/ })).toBeVisible();
});

test("a malformed dossier and one of an unknown version take nothing in, and say why", async ({ page }) => {
  await page.goto("/objects");
  const input = page.locator("input[type=file]");
  const give = (text: string) => input.setInputFiles({ name: "piece.json", mimeType: "application/json", buffer: Buffer.from(text) });
  await give("{ not json");
  await expect(page.getByText(/Nothing was taken in/)).toBeVisible();
  await give(JSON.stringify({ format: "wanderjahr-dossier", version: 99 }));
  await expect(page.getByText(/This dossier has version 99; this Wanderjahr reads/)).toBeVisible();
  await give(JSON.stringify({ format: "wanderjahr-dossier", version: 2, piece: {} }));
  await expect(page.getByText(/The dossier is damaged/)).toBeVisible();
  await expect(page.getByText("/treatment is missing")).toBeVisible();
  const jar = await (await page.request.get(`/api/treatments/${demoTreatment("lemonade-jar")}/dossier`)).text();
  await give(jar);
  await expect(page.getByText(/This treatment is here already/)).toBeVisible();
  await page.getByRole("button", { name: "Take it in as a copy" }).click();
  await expect(page).toHaveURL(/\/treatments\/.*\/\w+/);
  expect(page.url()).not.toContain(demoTreatment("lemonade-jar"));
});

test("two devices on one treatment: the second is told, keeps its entry, and may save it as well", async ({ page, other }) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await photographed(page, treatment);
  await page.goto(`/treatments/${treatment}/ready`);
  await other.goto(`/treatments/${treatment}/ready`);
  await page.getByRole("button", { name: /^Done: Photograph/ }).click();
  await expect(page.getByText("1 behind")).toBeVisible();
  await other.getByRole("button", { name: /^Done: Photograph/ }).click();
  const notice = other.getByRole("alert", { name: "Written twice" });
  await expect(notice).toContainText("Kept here: Make ready: photograph");
  await expect(other.getByText("1 behind")).toBeVisible();
  await notice.getByRole("button", { name: "Save mine as well" }).click();
  await expect(other.getByRole("alert", { name: "Not saved" })).toContainText("It is on record already");
});

test("two windows of one device: what is written in one is seen in the other", async ({ page, context }) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await photographed(page, treatment);
  const window = await context.newPage();
  for (const each of [page, window]) await each.goto(`/treatments/${treatment}/ready`, { waitUntil: "networkidle" });
  await page.getByRole("button", { name: /^Done: Photograph/ }).click();
  await expect(page.getByText("1 behind")).toBeVisible();
  await expect(window.getByText("1 behind")).toBeVisible();
});

test("two windows on one piece: the later edit is told, not written over", async ({ page, context }) => {
  const { piece } = await newTreatment(page, { title: "Coconut-shy cup" });
  const other = await context.newPage();
  await page.goto(`/objects/${piece}`);
  await other.goto(`/objects/${piece}`);
  await page.getByLabel("What is it?").fill("Coconut-shy cup, blue");
  await page.getByRole("button", { name: "Save the piece" }).click();
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
  await other.getByLabel("What is it?").fill("Coconut-shy cup, green");
  await other.getByRole("button", { name: "Save the piece" }).click();
  await expect(other.getByText(/changed in another window since you opened it/)).toBeVisible();
  await expect(other.getByLabel("What is it?")).toHaveValue("Coconut-shy cup, green");
  await expect(other.getByRole("heading", { name: "Coconut-shy cup, blue" })).toBeVisible();
});

test("a form that is sent too soon says what is missing at each field, and stands at the first of them", async ({ page }) => {
  await page.goto("/objects/new");
  await page.getByLabel("What is it?").fill("Hoopla ring");
  await page.getByRole("button", { name: "Enter it, go to Survey" }).click();
  await expect(page.getByText("Give it a mark, so that it is found again.")).toBeVisible();
  await expect(page.getByLabel("Mark", { exact: true })).toBeFocused();
  await page.getByLabel("Mark", { exact: true }).fill("T-SOON");
  await expect(page.getByText("Give it a mark, so that it is found again.")).toHaveCount(0);
  await expect(page.getByText("Choose what lies on it.")).toBeVisible();
});

test("pressing twice makes one record", async ({ page }) => {
  await page.goto("/objects/new");
  await page.getByLabel("What is it?").fill("Twice-pressed plate");
  await page.getByLabel("Mark").fill("T-TWICE");
  await page.getByLabel("Kind of piece").selectOption("dish");
  await page.getByLabel("Damaged part").fill("edge");
  await page.getByLabel("Made of").selectOption("porcelain");
  await page.getByLabel("Finish on it").selectOption("glaze");
  await page.getByLabel("What is to be mended?").fill("chip");
  await page.getByRole("button", { name: "Enter it, go to Survey" }).dblclick();
  await expect(page).toHaveURL(/\/survey$/);
  const hits = await (await page.request.get("/api/find?q=T-TWICE")).json();
  expect(hits.filter(({ type, nearness }: { type: string; nearness: number }) => type === "piece" && nearness === 1)).toHaveLength(1);
  const treatment = /treatments\/([^/]+)/.exec(page.url())?.[1] ?? "";
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await photographed(page, treatment);
  await page.goto(`/treatments/${treatment}/ready`);
  await page.getByRole("button", { name: /^Done: Photograph/ }).dblclick();
  await expect(page.getByText("1 behind")).toBeVisible();
  const { treatment: kept } = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
  expect(kept.log.filter(({ body }: { body: { op?: string } }) => body.op === "r1/ready/photograph")).toHaveLength(1);
});

test("a name of 200 letters breaks nothing", async ({ page }) => {
  const title = `Fairground ${"Wundermaschinenorgelpfeifenhalter".repeat(6)}`.slice(0, 200);
  const { treatment, piece } = await newTreatment(page, { title });
  for (const path of ["/objects", `/objects/${piece}`, `/treatments/${treatment}/survey`, "/", `/treatments/${treatment}/record`]) {
    await page.goto(path);
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect([path, over <= 1]).toEqual([path, true]);
  }
  await page.request.put(`/api/removed/pieces/${piece}`);
});

test("what is not here has a page that leads on", async ({ page }) => {
  for (const path of ["/treatments/00000000-0000-4000-8000-000000000000/fill", "/treatments/nonsense/fill", "/objects/nonsense"]) {
    const response = await page.goto(path);
    expect(response?.status()).toBe(404);
    await expect(page.getByRole("heading", { name: "This is not here" })).toBeVisible();
  }
});

test("a station that comes too early says what comes first", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  for (const station of ["match", "ready", "join", "fill", "level", "colour", "close"]) {
    await page.goto(`/treatments/${treatment}/${station}`);
    await expect(page.getByRole("link", { name: "Go to Survey" })).toBeVisible();
  }
});

test("a treatment whose log is broken already says since which entry, and goes on once that is taken back", async ({ page }) => {
  const { treatment } = await newTreatment(page, { title: "Coconut-shy cup" });
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await write(page, treatment, 2, SURVEYED);
  const dossier = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
  dossier.treatment.log[2].body.way = { way: "wishing", reason: "it would be nice" };
  const came = await page.request.post("/api/dossiers?as=copy", { data: dossier });
  const { treatment_id } = await came.json();
  await page.goto(`/treatments/${treatment_id}/fill`);
  const told = page.getByRole("alert", { name: "Can’t be worked out" });
  await expect(told).toContainText("since entry 3");
  await expect(told).toContainText("“wishing” is no way to meet");
  await expectAccessible(page);
  await told.getByRole("button", { name: "Take entry 3 back" }).click();
  await expect(told).toHaveCount(0);
  await expect(page.getByRole("heading", { name: /^What to do/ })).toBeVisible();
});
