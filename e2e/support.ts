import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import path from "node:path";
import { type BrowserContext, test as base, expect, type Locator, type Page } from "@playwright/test";
import sharp from "sharp";
import { BODY_VERSION } from "../src/core/record/events.schema";
import { readLog } from "../src/core/record/treatment";
import { actsOf } from "../src/core/views/acts";
import { operationViews } from "../src/core/views/operationView";
import { worked } from "../src/core/views/worked";

/** How long a page's script may take until it runs, ms; a page without the frame has none to wait for. */
const READY_MS = 5_000;

/** Until the page's script runs a press does nothing: what a test opens is waited for, as a person would who sees it come. */
async function untilReady(page: Page): Promise<void> {
  for (const end = Date.now() + READY_MS; Date.now() < end; await new Promise((done) => setTimeout(done, 40))) {
    const ready = await page
      .evaluate(() => document.documentElement.dataset.ready === "true" || document.querySelector(".shell") === null)
      .catch(() => false);
    if (ready) return;
  }
}

/** Pages live in the time that the run was told (`npm run test:hours`). */
function shiftClock(ms: number): void {
  const Real = Date;
  class Shifted extends Real {
    constructor(...told: [] | [string | number | Date]) {
      if (told.length === 0) super(Real.now() + ms);
      else super(...told);
    }
    static override now(): number {
      return Real.now() + ms;
    }
  }
  globalThis.Date = Shifted as DateConstructor;
}

async function told(context: BrowserContext): Promise<void> {
  const shift = Number(process.env.CLOCK_SHIFT_MS ?? 0);
  if (shift !== 0) await context.addInitScript(shiftClock, shift);
}

/** What it opens is waited for. */
function patient(page: Page): Page {
  const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)];
  page.goto = async (...asked) => {
    const answer = await goto(...asked);
    await untilReady(page);
    return answer;
  };
  page.reload = async (...asked) => {
    const answer = await reload(...asked);
    await untilReady(page);
    return answer;
  };
  return page;
}

/** `other`: a page on another device: windows of one device tell one another what was written. */
export const test = base.extend<{ other: Page }>({
  context: async ({ context }, use) => {
    await told(context);
    await use(context);
  },
  page: async ({ page }, use) => use(patient(page)),
  other: async ({ browser, baseURL }, use) => {
    const context = await browser.newContext(baseURL === undefined ? {} : { baseURL });
    await told(context);
    await use(patient(await context.newPage()));
    await context.close();
  },
});

const axe = readFileSync(createRequire(__filename).resolve("axe-core/axe.min.js"), "utf8");

/** No violation that axe knows, on the page as it stands. */
export async function expectAccessible(page: Page): Promise<void> {
  await page.evaluate(axe);
  const violations = await page.evaluate(async () => {
    const found = await (
      window as unknown as { axe: { run: () => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> } }
    ).axe.run();
    return found.violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(" | ")}`);
  });
  expect(violations).toEqual([]);
}

/** The page may scroll down, never sideways. */
export async function expectNoSideways(page: Page): Promise<void> {
  const over = await page.evaluate(() => {
    const main = document.querySelector(".shell-main") ?? document.documentElement;
    return [document.documentElement.scrollWidth - window.innerWidth, main.scrollWidth - main.clientWidth];
  });
  expect(Math.max(...over)).toBeLessThanOrEqual(1);
}

/** The treatment of a demo dossier, by its file's name. */
export function demoTreatment(name: string): string {
  return JSON.parse(readFileSync(path.join(process.cwd(), "demo", `${name}.dossier.json`), "utf8")).treatment.id;
}

export const photograph = async (name = "rim.jpg") => ({
  name,
  mimeType: "image/jpeg",
  buffer: await sharp({ create: { width: 800, height: 600, channels: 3, background: "#a98f6c" } })
    .jpeg()
    .toBuffer(),
});

/** The first keys on a fresh page: it takes them once its script runs, so they are pressed until what they do is seen. */
export async function firstKeys(page: Page, keys: readonly string[], seen: () => Promise<void>): Promise<void> {
  await expect(async () => {
    for (const key of keys) await page.keyboard.press(key);
    await seen();
  }).toPass();
}

/** Press Tab until the thing has the focus; fails when it never does. */
export async function tabTo(page: Page, target: Locator): Promise<void> {
  await expect(target.first()).toBeVisible();
  // most of the way at once; the last steps one by one, for a list may take one stop or many
  for (let away = await stopsTo(target); away > 4; away = await stopsTo(target)) {
    for (let presses = 0; presses < away - 2; presses++) await page.keyboard.press("Tab");
    if ((await stopsTo(target)) >= away) break;
  }
  for (let presses = 0; presses < 160; presses++) {
    if (await target.evaluate((element) => element === document.activeElement).catch(() => false)) return;
    await page.keyboard.press("Tab");
  }
  throw new Error(`Tab never reached ${target}`);
}

/** How many stops of Tab lie between where the focus is and a target, as far as the document tells; 0 = behind it, or not known. */
function stopsTo(target: Locator): Promise<number> {
  return target
    .evaluate((element) => {
      const stops = [
        ...document.querySelectorAll<HTMLElement>("a[href], button:not(:disabled), input:not(:disabled), select, textarea, summary"),
      ].filter((stop) => stop.tabIndex >= 0 && stop.getClientRects().length > 0);
      return stops.indexOf(element as HTMLElement) - stops.indexOf(document.activeElement as HTMLElement);
    })
    .catch(() => 0);
}

/** Reach it by Tab, then press Enter. */
export async function pressOn(page: Page, target: Locator): Promise<void> {
  await tabTo(page, target);
  await page.keyboard.press("Enter");
}

/** Reach a field by Tab and write in it. */
export async function typeIn(page: Page, target: Locator, text: string): Promise<void> {
  await tabTo(page, target);
  await page.keyboard.press("ControlOrMeta+a");
  await page.keyboard.type(text);
}

/** A piece of one's own through the API, for tests that change it; answers its treatment. */
export async function newTreatment(page: Page, over: object = {}): Promise<{ piece: string; treatment: string }> {
  const ids = { id: crypto.randomUUID(), treatment_id: crypto.randomUUID() };
  const response = await page.request.post("/api/pieces", {
    data: {
      ...ids,
      title: "Shooting-gallery mug",
      reference: `T-${ids.id.slice(0, 6)}`,
      owner_reference: "",
      kind: "vessel",
      part: { name: "rim", substrate: "stoneware", finish: "glaze" },
      treatment_title: "rim chip",
      ...over,
    },
  });
  expect(response.status()).toBe(201);
  made.push(ids.id);
  return { piece: ids.id, treatment: ids.treatment_id };
}

const made: string[] = [];

/** Puts away what a test made, so that its clocks do not crowd the Shelf of the others. */
export async function putAway(page: Page): Promise<void> {
  for (const id of made.splice(0)) expect((await page.request.put(`/api/removed/pieces/${id}`)).ok()).toBe(true);
}

/** A treatment with a picture of how it was found: the step that photographs is then a press. */
export async function photographed(page: Page, treatment: string): Promise<void> {
  const { buffer } = await photograph();
  const query = new URLSearchParams({ id: crypto.randomUUID(), moment: "before", caption: "" });
  const headers = { "content-type": "image/jpeg" };
  const response = await page.request.post(`/api/treatments/${treatment}/photographs?${query}`, { data: buffer, headers });
  expect(response.status(), await response.text()).toBe(201);
}

/** Write an entry in a treatment's log through the API. */
export async function write(page: Page, treatment: string, version: number, body: object, at?: string): Promise<void> {
  const response = await page.request.post(`/api/treatments/${treatment}/log`, { data: { key: crypto.randomUUID(), version, body, at } });
  expect(response.status(), await response.text()).toBe(201);
}

export const SURVEYED = {
  kind: "surveyed",
  survey: { damage: { kind: "chip", length_mm: 20, depth_mm: 5, thickness_mm: 5 }, service: {} },
};
export const MATCHED = {
  kind: "matched",
  stance: "service",
  chain: [
    { role: "filler", class: "epoxy-putty" },
    { role: "colour", class: "acrylic-paint" },
  ],
};

const ACT = /^(Done|Mixed now|Glued now|Laid now|Do it all the same): /;
/** Brings an instrument of the station forward. */
export async function opens(page: Page, tab: string | RegExp): Promise<void> {
  await page.getByRole("tab", { name: tab, exact: true }).click();
}

/** The operation that is open, and a row of the list by its words. */
export const card = (page: Page) => page.locator(".op-card");
export const row = (page: Page, words: RegExp) =>
  page
    .getByRole("list", { name: "Operations" })
    .getByRole("listitem")
    .filter({ has: page.locator(".op-t", { hasText: words }) });

/** Opens an operation of the list, where it is not the card already. */
export async function openRow(page: Page, words: RegExp): Promise<Locator> {
  const named = row(page, words).first();
  await expect(named).toBeVisible();
  const opened = card(page).filter({ has: page.locator(".op-t", { hasText: words }) });
  if ((await opened.count()) === 0) await named.getByRole("button").first().click();
  await expect(opened).toBeVisible();
  return opened;
}

/** The step that photographs, without a camera at hand. */
export async function noneTaken(page: Page): Promise<void> {
  await page.getByRole("button", { name: "None taken" }).click();
  await page.getByLabel("Why is there no photograph?").fill("walked without a camera");
  await page.getByRole("button", { name: "None was taken" }).click();
}

/** Do what is up at the station, one after the other, as its window allows or else with a reason; what `keep` means stays. */
export async function workStation(page: Page, keep?: RegExp): Promise<void> {
  await expect(page.getByRole("heading", { name: /^What to do/ })).toBeVisible();
  for (let i = 0; i < 60; i++) {
    // while an entry is on its way every press of the station rests
    await expect(page.locator(".task-list button.go:disabled")).toHaveCount(0);
    const up = card(page);
    if ((await up.count()) === 0 || keep?.test((await up.locator(".op-t").textContent()) ?? "")) return;
    const id = (await up.getAttribute("id")) ?? "";
    const act = up.getByRole("button", { name: ACT });
    if (await up.getByRole("button", { name: "None taken" }).isVisible()) {
      await noneTaken(page);
      await expect(page.getByRole("list", { name: "Operations" }).locator(`[id="${id}"]`)).toHaveCount(0);
      continue;
    }
    if (!(await act.isVisible())) {
      await up.getByText("Do it, with a reason").click();
      await up.getByLabel("Why is it done all the same?").fill("walked faster than the clock");
    }
    await act.click();
    await expect(page.getByRole("list", { name: "Operations" }).locator(`[id="${id}"]`)).toHaveCount(0);
  }
}

/** A treatment as its dossier tells it. */
async function dossierOf(page: Page, treatment: string) {
  const { piece, treatment: kept } = await (await page.request.get(`/api/treatments/${treatment}/dossier`)).json();
  const facts = { kind: piece.kind, part: kept.part, parts: piece.parts };
  return { kept, workOut: (log: typeof kept.log) => worked(facts, readLog(log), AIR, { constant_C: AIR.temp_C }, Date.now()) };
}

/** A treatment worked out from its dossier, in the air of the tests. */
export async function workedOut(page: Page, treatment: string) {
  const { kept, workOut } = await dossierOf(page, treatment);
  return { kept, log: readLog(kept.log), found: workOut(kept.log) };
}

/** Every operation that is still open, written up in one go: for tests that begin later on the way; a while ago where hours are given, one every ten minutes. */
export async function workOff(page: Page, treatment: string, until: (id: string) => boolean, hoursAgo?: number): Promise<void> {
  const began = Date.now() - (hoursAgo ?? 0) * 3_600_000;
  const { kept, workOut } = await dossierOf(page, treatment);
  const log = [...kept.log];
  const entries: object[] = [];
  for (let i = 0; i < 120; i++) {
    const found = workOut(log);
    const next = found?.repair.operations.find(({ id }) => !found.marks.has(id));
    if (!found || !next || until(next.id)) break;
    const acts = actsOf(found, Date.now()).filter(({ op }) => op.id === next.id);
    const [view] = operationViews(readLog(log), found, acts, [], Date.now());
    const start = view?.start ? { start: { ...view.start, climate: AIR } } : {};
    const body = { kind: "done", op: next.id, hands_min: 5, ...start, against: { state: "too-early", because: "made ready for a test" } };
    const at = new Date(hoursAgo ? began + i * 600_000 : Date.now()).toISOString();
    log.push({ id: crypto.randomUUID(), seq: log.length + 1, v: BODY_VERSION, at, body });
    entries.push({ key: crypto.randomUUID(), body, ...(hoursAgo ? { at } : {}) });
  }
  if (entries.length === 0) return;
  const response = await page.request.post(`/api/treatments/${treatment}/written-up`, { data: { version: kept.log.length, entries } });
  expect(response.status(), await response.text()).toBe(201);
  expect((await response.json()).refused).toEqual([]);
}
const AIR = { temp_C: 20, rh_pct: 50 };
