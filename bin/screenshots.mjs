import { mkdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { chromium } from "@playwright/test";
import { CHROMIUM, withDemoApp } from "./lib/serving.mjs";

const ROOT = path.resolve(import.meta.dirname, "..");
const OUT = path.join(ROOT, "docs", "screenshots");
const treatment = (name) => JSON.parse(readFileSync(path.join(ROOT, "demo", `${name}.dossier.json`), "utf8")).treatment.id;

/** One current picture of each main view: name, path, size, the tab that is opened, what is typed there, and the key that is pressed. */
const VIEWS = [
  ["bench", "/", 1280, 800],
  ["bench-tablet", "/", 820, 1180],
  ["objects", "/objects", 1280, 800],
  ["plan", "/plan", 1280, 800],
  ["survey", `/treatments/${treatment("carousel-hare")}/survey`, 1280, 800],
  ["match", `/treatments/${treatment("lemonade-jar")}/match`, 1280, 800],
  ["cabinet", "/cabinet", 1280, 800],
  ["ready", `/treatments/${treatment("lemonade-jar")}/ready`, 1280, 800],
  ["shards", `/treatments/${treatment("prize-saucer")}/ready`, 1280, 800, "Shards"],
  ["join", `/treatments/${treatment("figure-hand")}/join`, 1280, 800],
  ["at-the-bench", `/treatments/${treatment("carousel-hare")}/colour`, 1280, 800, undefined, {}, "b"],
  ["fill", `/treatments/${treatment("lemonade-jar")}/fill`, 1280, 800],
  ["written-up", `/treatments/${treatment("booth-counter")}/written-up`, 1280, 800],
  ["level", `/treatments/${treatment("booth-counter")}/level`, 1280, 800],
  ["level-tablet", `/treatments/${treatment("booth-counter")}/level`, 820, 1180],
  ["recipe", `/treatments/${treatment("carousel-hare")}/colour`, 1280, 800, "Recipe", { "Colour to meet": "47 22 34" }],
  ["close", `/treatments/${treatment("prize-saucer")}/close`, 1280, 800],
  ["work-sheet", `/treatments/${treatment("carousel-hare")}/work-sheet`, 1280, 1100],
  ["record", `/treatments/${treatment("prize-saucer")}/record`, 1280, 1100],
];

process.chdir(ROOT);
mkdirSync(OUT, { recursive: true });
await withDemoApp(ROOT, async (base) => {
  const browser = await chromium.launch(CHROMIUM);
  for (const [name, url, width, height, tab, typed = {}, key] of VIEWS) {
    const page = await browser.newPage({ viewport: { width, height }, timezoneId: "Europe/Berlin" });
    await page.goto(base + url, { waitUntil: "networkidle" });
    await page.evaluate(() => document.fonts.ready);
    if (tab) await page.getByRole("tab", { name: tab, exact: true }).click();
    if (tab || url === "/plan") await page.waitForTimeout(2_000);
    for (const [label, text] of Object.entries(typed)) await page.getByLabel(label).first().fill(text);
    if (key) {
      await page.keyboard.press(key);
      await page.waitForTimeout(1_500);
    }
    // what is worked out in a worker is waited for
    if (Object.keys(typed).length > 0) await page.waitForTimeout(2_000);
    await page.screenshot({ path: path.join(OUT, `${name}.png`) });
    await page.close();
    console.log(`docs/screenshots/${name}.png`);
  }
  await browser.close();
});
