import { mkdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { chromium } from "@playwright/test";
import { CHROMIUM, withDemoApp } from "./lib/serving.mjs";

const ROOT = path.resolve(import.meta.dirname, "..");
const OUT = path.join(ROOT, "docs", "screenshots");
const treatment = (name) => JSON.parse(readFileSync(path.join(ROOT, "demo", `${name}.dossier.json`), "utf8")).treatment.id;

/** One current picture of each main view: name, path, size, what to scroll to, and what to type there. */
const VIEWS = [
  ["bench", "/", 1280, 800],
  ["bench-tablet", "/", 820, 1180],
  ["objects", "/objects", 1280, 800],
  ["new-piece", "/objects/new", 1280, 800],
  ["survey", `/treatments/${treatment("carousel-hare")}/survey`, 1280, 800],
  ["match", `/treatments/${treatment("lemonade-jar")}/match`, 1280, 800],
  ["cabinet", "/cabinet", 1280, 800],
  ["ready", `/treatments/${treatment("lemonade-jar")}/ready`, 1280, 800],
  ["shards", `/treatments/${treatment("prize-saucer")}/ready`, 1280, 1180],
  ["join", `/treatments/${treatment("figure-hand")}/join`, 1280, 800],
  ["brace", `/treatments/${treatment("carousel-hare")}/join`, 1280, 800, "section[aria-label='Brace']"],
  ["fill", `/treatments/${treatment("lemonade-jar")}/fill`, 1280, 800, "section[aria-label='Section']"],
  ["written-up", `/treatments/${treatment("booth-counter")}/written-up`, 1280, 800],
  ["level", `/treatments/${treatment("booth-counter")}/level`, 1280, 800, "section[aria-label='Ladder']"],
  ["colour", `/treatments/${treatment("carousel-hare")}/colour`, 1280, 800],
  [
    "recipe",
    `/treatments/${treatment("carousel-hare")}/colour`,
    1280,
    800,
    "section[aria-label='Recipe']",
    { "Colour to meet": "47 22 34" },
  ],
  ["shop", "/shop", 1280, 800],
  ["close", `/treatments/${treatment("prize-saucer")}/close`, 1280, 800],
  ["record", `/treatments/${treatment("prize-saucer")}/record`, 1280, 1100],
];

process.chdir(ROOT);
mkdirSync(OUT, { recursive: true });
await withDemoApp(ROOT, async (base) => {
  const browser = await chromium.launch(CHROMIUM);
  for (const [name, url, width, height, scrollTo, typed = {}] of VIEWS) {
    const page = await browser.newPage({ viewport: { width, height }, timezoneId: "Europe/Berlin" });
    await page.goto(base + url, { waitUntil: "networkidle" });
    await page.evaluate(() => document.fonts.ready);
    for (const [label, text] of Object.entries(typed)) await page.locator(scrollTo).getByLabel(label).fill(text);
    // what is worked out in a worker is waited for
    if (Object.keys(typed).length > 0) await page.waitForTimeout(2_000);
    if (scrollTo) await page.locator(scrollTo).evaluate((section) => section.scrollIntoView());
    await page.screenshot({ path: path.join(OUT, `${name}.png`) });
    await page.close();
    console.log(`docs/screenshots/${name}.png`);
  }
  await browser.close();
});
