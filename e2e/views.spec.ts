import { expect } from "@playwright/test";
import { demoTreatment, expectAccessible, expectNoSideways, test } from "./support";

const VIEWS: ReadonlyArray<readonly [name: string, path: () => string]> = [
  ["bench", () => "/"],
  ["objects", () => "/objects"],
  ["new piece", () => "/objects/new"],
  ["cabinet", () => "/cabinet"],
  ["shop", () => "/shop"],
  ["put a jar in", () => "/cabinet/new"],
  ["plan", () => "/plan"],
  ["to buy", () => "/plan?view=buy"],
  ["survey, second damage", () => `/treatments/${demoTreatment("carousel-hare")}/survey?damage=d2`],
  ["match, leather", () => `/treatments/${demoTreatment("concertina")}/match`],
  ["match, torn saddle", () => `/treatments/${demoTreatment("carousel-hare")}/match?damage=d2`],
  ["survey", () => `/treatments/${demoTreatment("carousel-hare")}/survey`],
  ["survey, untouched", () => `/treatments/${demoTreatment("organ-lid")}/survey`],
  ["match", () => `/treatments/${demoTreatment("organ-pipe")}/match`],
  ["make ready", () => `/treatments/${demoTreatment("lemonade-jar")}/ready`],
  ["make ready, shards", () => `/treatments/${demoTreatment("prize-saucer")}/ready`],
  ["join", () => `/treatments/${demoTreatment("figure-hand")}/join`],
  ["fill", () => `/treatments/${demoTreatment("lemonade-jar")}/fill`],
  ["level", () => `/treatments/${demoTreatment("booth-counter")}/level`],
  ["colour", () => `/treatments/${demoTreatment("carousel-hare")}/colour`],
  ["written up", () => `/treatments/${demoTreatment("booth-counter")}/written-up`],
  ["close", () => `/treatments/${demoTreatment("prize-saucer")}/close`],
  ["work sheet", () => `/treatments/${demoTreatment("carousel-hare")}/work-sheet`],
  ["owner’s card", () => `/treatments/${demoTreatment("prize-saucer")}/owner-card`],
  ["owner’s card, several damages", () => `/treatments/${demoTreatment("carousel-hare")}/owner-card`],
  ["shelf label", () => `/treatments/${demoTreatment("lemonade-jar")}/shelf-label`],
  ["record", () => `/treatments/${demoTreatment("prize-saucer")}/record`],
];

for (const [name, path] of VIEWS)
  test(`${name}: axe finds nothing at a desk or on a phone, no error in the console, no scrolling sideways`, async ({ page }) => {
    const errors: string[] = [];
    page.on("console", (message) => message.type() === "error" && errors.push(message.text()));
    page.on("pageerror", (error) => errors.push(String(error)));
    await page.goto(path());
    await expectAccessible(page);
    await expectNoSideways(page);
    for (const [width, height] of [
      [820, 1180],
      [390, 844],
    ] as const) {
      await page.setViewportSize({ width, height });
      await expectNoSideways(page);
    }
    await expectAccessible(page);
    expect(errors).toEqual([]);
  });

test("on a narrow screen the Shelf keeps four plates and the windows become a list of times", async ({ page }) => {
  await page.setViewportSize({ width: 820, height: 1180 });
  await page.goto("/");
  await expect(page.locator(".plate:visible")).toHaveCount(4);
  await expect(page.locator(".windows-table")).toBeVisible();
  await expect(page.locator(".day-line")).toBeHidden();
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(page.locator(".shelf-line")).toBeVisible();
  await expect(page.locator(".plate:visible")).toHaveCount(0);
});

test("everything that is pressed is large enough for a gloved finger", async ({ page }) => {
  for (const path of ["/", `/treatments/${demoTreatment("lemonade-jar")}/fill`, `/treatments/${demoTreatment("booth-counter")}/level`]) {
    await page.goto(path);
    const small = await page
      .locator(".btn:visible")
      .evaluateAll((buttons) => buttons.filter((button) => button.getBoundingClientRect().height < 44).map((button) => button.textContent));
    expect([path, small]).toEqual([path, []]);
  }
});
