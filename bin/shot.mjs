import { readFileSync } from "node:fs";
import { chromium } from "@playwright/test";
import { CHROMIUM } from "./lib/serving.mjs";
const t = (name) => JSON.parse(readFileSync(`demo/${name}.dossier.json`, "utf8")).treatment.id;
const browser = await chromium.launch(CHROMIUM);
for (const arg of process.argv.slice(2)) {
  const [name, url, w = 1280, h = 800] = arg.split(",");
  const page = await browser.newPage({ viewport: { width: +w, height: +h }, timezoneId: "UTC" });
  page.on("pageerror", (e) => console.log(name, "PAGEERROR", e.message.slice(0, 300)));
  page.on("console", (m) => m.type() === "error" && console.log(name, "CONSOLE", m.text().slice(0, 2600)));
  const r = await page.goto("http://127.0.0.1:3210" + url.replace(/\{(.+?)\}/, (_, n) => t(n)), { waitUntil: "networkidle", timeout: 60000 }).catch((e) => console.log(name, e.message.slice(0, 100)));
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: `/tmp/shots/${name}.png` });
  console.log(name, r?.status());
  await page.close();
}
await browser.close();
