import { spawnSync } from "node:child_process";
import { readFileSync } from "node:fs";
import path from "node:path";
import { chromium } from "@playwright/test";
import { CHROMIUM, withDemoApp } from "./lib/serving.mjs";

const ROOT = path.resolve(import.meta.dirname, "..");
const treatment = (name) => JSON.parse(readFileSync(path.join(ROOT, "demo", `${name}.dossier.json`), "utf8")).treatment.id;

/** A page of the same app that reads nothing: what Next itself costs. */
const BARE = "/bare";
const SERVED = [
  ["Bench", "/"],
  ["Fill", `/treatments/${treatment("lemonade-jar")}/fill`],
  ["Objects", "/objects"],
  ["Survey", `/treatments/${treatment("carousel-hare")}/survey`],
  ["Match", `/treatments/${treatment("lemonade-jar")}/match`],
  ["Cabinet", "/cabinet"],
];
const VIEWS = [
  ...SERVED,
  ["New piece", "/objects/new"],
  ["Make ready", `/treatments/${treatment("lemonade-jar")}/ready`],
  ["Join", `/treatments/${treatment("figure-hand")}/join`],
  ["Level", `/treatments/${treatment("booth-counter")}/level`],
  ["Colour", `/treatments/${treatment("carousel-hare")}/colour`],
  ["Close", `/treatments/${treatment("prize-saucer")}/close`],
];
const WARM_UP = 20;
const ROUNDS = 120;

process.chdir(ROOT);
await withDemoApp(ROOT, async (base) => {
  await serverTimes(base);
  await firstLoad(base);
});
console.log("\nCalculations and the store, in this process");
for (const file of [
  "bench/calculations.ts",
  "bench/plans.ts",
  "bench/chains.ts",
  "bench/assembly.ts",
  "bench/scale.ts",
  "bench/dossier.ts",
])
  spawnSync(path.join(ROOT, "node_modules", ".bin", "tsx"), [file], { stdio: "inherit" });

/** p95 of the server's answer, as a ratio to the bare page in the same run; pages take turns, so that noise is shared. */
async function serverTimes(base) {
  const pages = [["bare page", BARE], ...SERVED];
  const times = new Map(pages.map(([name]) => [name, []]));
  for (let round = -WARM_UP; round < ROUNDS; round++)
    for (const [name, url] of pages) {
      const began = performance.now();
      await (await fetch(base + url)).arrayBuffer();
      if (round >= 0) times.get(name).push(performance.now() - began);
    }
  const bare = percentile(times.get("bare page"), 0.95);
  console.log(`\nServer time, p95 of ${ROUNDS} (aim: at most 4 times the bare page)`);
  for (const [name, list] of times) {
    const p95 = percentile(list, 0.95);
    console.log(
      `${name.padEnd(12)} ${p95.toFixed(1).padStart(7)} ms  median ${percentile(list, 0.5).toFixed(1).padStart(6)} ms  ${(p95 / bare).toFixed(2)} ×`,
    );
  }
}

/** JavaScript over the wire until the page is idle, compressed, against the bare page. */
async function firstLoad(base) {
  const browser = await chromium.launch(CHROMIUM);
  const bare = await scriptBytes(browser, base + BARE);
  console.log(`\nFirst-load JavaScript, compressed (aim: at most the bare page + 60 kB)`);
  console.log(`${"bare page".padEnd(12)} ${(bare / 1000).toFixed(1).padStart(7)} kB`);
  for (const [name, url] of VIEWS) {
    const bytes = await scriptBytes(browser, base + url);
    console.log(`${name.padEnd(12)} ${(bytes / 1000).toFixed(1).padStart(7)} kB  + ${((bytes - bare) / 1000).toFixed(1)} kB`);
  }
  await browser.close();
}

async function scriptBytes(browser, url) {
  const context = await browser.newContext();
  const page = await context.newPage();
  const wire = await context.newCDPSession(page);
  await wire.send("Network.enable");
  const scripts = new Set();
  let bytes = 0;
  wire.on("Network.responseReceived", ({ requestId, type }) => type === "Script" && scripts.add(requestId));
  wire.on("Network.loadingFinished", ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength;
  });
  await page.goto(url, { waitUntil: "networkidle" });
  await context.close();
  return bytes;
}

function percentile(list, share) {
  const sorted = [...list].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))];
}
