import { expect, type Page } from "@playwright/test";
import { demoTreatment, expectAccessible, MATCHED, newTreatment, noneTaken, opens, SURVEYED, test, write } from "./support";

/** Three very different pieces, each from what is wrong to its chain, through the screen alone. */
interface Story {
  readonly piece: object;
  readonly kind: string;
  readonly measures: Readonly<Record<string, string>>;
  readonly answers: readonly string[];
  readonly tells: string;
  readonly candidate: RegExp;
  /** Looked up with "Why not …?", and what must be said. */
  readonly why: readonly [material: string, words: RegExp];
  readonly whatIf: readonly [chip: string, refused: RegExp];
}

const STORIES: Readonly<Record<string, Story>> = {
  "glazed stoneware": {
    piece: { kind: "vessel", part: { name: "lug", substrate: "stoneware", finish: "glaze" }, treatment_title: "lost lug" },
    kind: "chip",
    measures: { "Length along the edge": "22", "Depth down from the edge": "5", "Thickness of the wall": "6" },
    answers: ["Washed or soaked: Yes", "Handled in use: Yes", "Ring: rings"],
    tells: "Materials that drink water are refused.",
    candidate: /Epoxy putty/,
    why: ["gypsum-cement", /It drinks water, and this piece is washed/],
    whatIf: ["Outdoors", /Sun, frost or damp breaks it down outdoors/],
  },
  goatskin: {
    piece: { kind: "cover", part: { name: "gusset", substrate: "leather", finish: "dye" }, treatment_title: "torn gusset" },
    kind: "tear",
    measures: { Length: "48", Thickness: "0.8" },
    answers: ["It is a flap: No", "Padding or tension pulls it open: Yes", "Must flex in use: Yes", "Flex: gives"],
    tells: "It gives under the thumb: a rigid material breaks out again.",
    candidate: /Flexible adhesive/,
    why: ["epoxy-slow", /does not hold on leather/],
    whatIf: ["Washed", /It drinks water, and this piece is washed/],
  },
  gypsum: {
    piece: { kind: "relief", part: { name: "garland", substrate: "gypsum", finish: "none" }, treatment_title: "lost garland end" },
    kind: "corner",
    measures: { "First edge": "42", "Second edge": "34", "Third edge": "1 in" },
    answers: ["Washed or soaked: No", "Fingertip: powder", "Twin part: there"],
    tells: "It powders: no glue or fill holds on dust. Consolidate first.",
    candidate: /plaster/i,
    why: ["polyester-filler", /Polyester filler as fill/],
    whatIf: ["Outdoors", /Sun, frost or damp breaks it down outdoors/],
  },
};

const press = (page: Page, name: string) => page.getByRole("button", { name, exact: true }).click();

for (const [name, { piece, kind, measures, answers, tells, candidate, why, whatIf }] of Object.entries(STORIES))
  test(`${name}: measured, inspected, told what it means, matched with reasons, and planned`, async ({ page }) => {
    const { treatment } = await newTreatment(page, piece);
    await page.goto(`/treatments/${treatment}/survey`);
    await page.getByLabel("What is wrong").selectOption(kind);
    const damage = page.getByRole("region", { name: "Damage" });
    for (const [label, value] of Object.entries(measures)) await damage.getByLabel(label, { exact: true }).fill(value);
    await opens(page, /^Use and inspection/);
    for (const answer of answers) await press(page, answer);
    await opens(page, "Drawing");
    await expect(page.getByRole("img", { name: /^Drawing, .*, scale/ })).toBeVisible();
    await expect(page.getByRole("region", { name: "What this tells us" })).toContainText(tells);
    await opens(page, /^Ways/);
    await expect(page.getByRole("region", { name: "Ways to meet it" })).toContainText("Leave it");
    await expectAccessible(page);
    await press(page, "Save, go to Match");

    await expect(page.getByRole("row").filter({ hasText: candidate }).first()).toBeVisible();
    await opens(page, "Every fact");
    await page
      .getByLabel(/Why not/)
      .and(page.locator("select"))
      .selectOption(why[0]);
    await expect(page.getByRole("region", { name: "Why not" })).toContainText(why[1]);
    await opens(page, "Candidates");

    await page.getByText("What if …?").click();
    await press(page, whatIf[0]);
    await expect(page.getByRole("button", { name: "This is a what-if: go back to the survey first" })).toBeDisabled();
    await expect(page.getByRole("region", { name: "Refused" })).toContainText(whatIf[1]);
    await expect(
      page
        .getByText("fitted before")
        .or(page.getByText(/was \d/))
        .first(),
    ).toBeVisible();
    await expectAccessible(page);
    await press(page, "Back to the survey");
    await press(page, "Plan this repair");
    await expect(page).toHaveURL(/\/ready$/);
    await expect(page.getByRole("button", { name: "None taken" })).toBeVisible();
  });

test("a swollen lifted veneer: the ways to meet it are compared, one is chosen with its reason, and that is what is matched", async ({
  page,
}) => {
  const { treatment } = await newTreatment(page, {
    kind: "furniture",
    part: { name: "top", substrate: "veneer-particleboard", finish: "lacquer" },
    treatment_title: "bubble in the top",
  });
  await page.goto(`/treatments/${treatment}/survey`);
  await page.getByLabel("What is wrong").selectOption("veneer-lifted");
  const damage = page.getByRole("region", { name: "Damage" });
  for (const [label, value] of [
    ["Length", "120"],
    ["Width", "40"],
    ["Thickness of the veneer", "0.6"],
    ["Swelling of the core", "0.8"],
  ] as const)
    await damage.getByLabel(label, { exact: true }).fill(value);
  await opens(page, /^Ways/);
  const ways = page.getByRole("region", { name: "Ways to meet it" });
  await expect(ways).toContainText("Glue it down");
  await expect(ways).toContainText("Let in new veneer");
  await expect(ways.locator(".chosen")).toContainText("Let in new veneer");
  await expect(ways).toContainText(/Not taken unasked: the core is swollen by 0.8 mm/);
  await press(page, "Choose: Glue it down");
  await press(page, "Save, go to Match");
  await expect(page.getByText("Say why, in a few words.")).toBeVisible();
  await page.getByLabel(/Why “glue it down”/).fill("The owner wants the old sheet kept.");
  await press(page, "Save, go to Match");
  await expect(page).toHaveURL(/\/match/);
  await expect(page.getByText("Glue it down", { exact: true })).toBeVisible();
  await press(page, "Plan this repair");
  await expect(page).toHaveURL(/\/ready$/);
  await page.goto(`/treatments/${treatment}/record`);
  await expect(page.getByText("Glue it down: The owner wants the old sheet kept.").first()).toBeVisible();
});

test("left as it is, a damage needs no chain: recorded, then Close", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, { ...SURVEYED, way: { way: "leave", reason: "The owner wants it so." } });
  await page.goto(`/treatments/${treatment}/match`);
  await expect(page.getByText(/You decided: leave it\. No chain of materials is needed/)).toBeVisible();
  await page.goto(`/treatments/${treatment}/ready`);
  await noneTaken(page);
  await page.goto(`/treatments/${treatment}/close`);
  await opens(page, "Look back and sign");
  await expect(page.getByRole("button", { name: "Sign and close" })).toBeVisible();
});

test("what exceeds the shop's licence says stop; going on all the same asks for a reason that stays on record", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, { ...SURVEYED, survey: { ...SURVEYED.survey, limits: { carries_person: true } } });
  await page.goto(`/treatments/${treatment}/survey`);
  await expect(page.getByRole("region", { name: "What this tells us" })).toContainText("Stop and refer. People trust their weight to it");
  await page.goto(`/treatments/${treatment}/match`);
  await expect(page.getByText(/^Stop and refer\./)).toBeVisible();
  await expect(page.getByRole("button", { name: "Say why it is done here all the same" })).toBeDisabled();
  await page.getByLabel("Why it is done here all the same").fill("Rests on a stand now, nobody sits on it.");
  await press(page, "Plan this repair");
  await expect(page).toHaveURL(/\/ready$/);
  await page.goto(`/treatments/${treatment}/record`);
  await expect(page.getByText(/done here because: Rests on a stand now/)).toBeVisible();
});

test("the mark on the condition map is dragged to the damage and stays there", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await page.goto(`/treatments/${treatment}/survey`);
  await opens(page, "Condition map");
  const map = page.locator(".map");
  await expect(page.getByText("Drag mark 1 to the damage")).toBeVisible();
  const box = await map.boundingBox();
  const mark = await page
    .getByRole("button", { name: /^Mark 1/ })
    .locator(".map-no")
    .boundingBox();
  if (!box || !mark) throw new Error("the map is not drawn");
  await page.mouse.move(mark.x + mark.width / 2, mark.y + mark.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.5, box.y + box.height * 0.4, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole("button", { name: /^Mark 1, rim chip, 50 % across, 40 % down/ })).toBeEnabled();
  await page.reload();
  await opens(page, "Condition map");
  await expect(page.getByRole("button", { name: /^Mark 1, rim chip, 50 % across, 40 % down/ })).toBeVisible();
});

test("a piece shows all its damages on one map, each with its own part, and leads from one to the other", async ({ page }) => {
  await page.goto(`/treatments/${demoTreatment("carousel-hare")}/survey`);
  await opens(page, "Condition map");
  const map = page.getByRole("region", { name: "Condition map" });
  await expect(map.getByRole("listitem")).toHaveCount(2);
  await map.getByRole("link", { name: "Torn saddle" }).click();
  await expect(page.getByLabel("What this damage is called")).toHaveValue("Torn saddle");
  await opens(page, "Drawing");
  await expect(page.getByText(/saddle cloth: leather/)).toBeVisible();
});

test("a second damage joins the same treatment, is asked its own way and materials, and both are one list", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await page.goto(`/treatments/${treatment}/ready`);
  await page.getByRole("link", { name: "Another damage" }).click();
  await page.getByLabel("What is wrong").selectOption("crack");
  await press(page, "Save, go to Match");
  await expect(page.getByText("Name it, so that it can be told from the others.")).toBeVisible();
  await page.getByLabel("What this damage is called").fill("Hairline by the lug");
  const damage = page.getByRole("region", { name: "Damage" });
  for (const [label, value] of [
    ["Length", "40"],
    ["Width at the surface", "0.1"],
    ["Depth", "5"],
  ] as const)
    await damage.getByLabel(label, { exact: true }).fill(value);
  await press(page, "Closes by hand or clamp: Yes");
  await press(page, "Save, go to Match");
  await expect(page).toHaveURL(/match\?damage=d2/);
  await press(page, "Plan this repair");
  await expect(page).toHaveURL(/\/ready$/);
  await expect(page.getByRole("group", { name: "Places" }).getByRole("button")).toHaveCount(2);
  await expect(page.getByRole("list", { name: "Operations" }).locator("input[type=file]")).toHaveCount(1);
  await noneTaken(page);
  await page.goto(`/treatments/${treatment}/join`);
  await expect(page.getByRole("list", { name: "Operations" }).getByRole("listitem").first()).toBeVisible();
});

test("a refused material is taken all the same, with its reason on the chain and in the record", async ({ page }) => {
  const { treatment } = await newTreatment(page, { part: { name: "front edge", substrate: "hardwood", finish: "paint" } });
  await write(page, treatment, 0, { ...SURVEYED, survey: { ...SURVEYED.survey, service: { outdoor: true } } });
  await page.goto(`/treatments/${treatment}/match`);
  const refused = page.getByRole("region", { name: "Refused" });
  await refused.getByText("Take it all the same").first().click();
  await refused
    .getByLabel(/^Why .* all the same$/)
    .first()
    .fill("it stands in a hall from now on");
  await refused
    .getByRole("button", { name: /^Take / })
    .first()
    .click();
  await expect(page.getByText("Taken against the rules")).toBeVisible();
  await press(page, "Plan this repair");
  await expect(page).toHaveURL(/\/ready$/);
  await page.goto(`/treatments/${treatment}/record`);
  await expect(page.getByText(/against the rules: it stands in a hall from now on/).first()).toBeVisible();
});

test("a further damage is entered on a part of other stuff", async ({ page }) => {
  const { piece } = await newTreatment(page);
  await page.goto(`/objects/${piece}`);
  await page.getByLabel("What else is to be mended?").fill("split handle");
  await page.getByLabel("Where", { exact: true }).selectOption("Another part …");
  await press(page, "Add the damage");
  await expect(page.getByText("Name the damaged part: rim, wing, lid …")).toBeVisible();
  const form = page.locator("form").filter({ hasText: "What else is to be mended?" });
  await form.getByLabel("Damaged part").fill("handle");
  await form.getByLabel("Made of").selectOption("hardwood");
  await form.getByLabel("Finish on it").selectOption("oil");
  await press(page, "Add the damage");
  await expect(page).toHaveURL(/\/survey$/);
  await expect(page.getByText(/· hardwood/)).toBeVisible();
});
