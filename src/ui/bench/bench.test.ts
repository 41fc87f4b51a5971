import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { createElement, type ReactNode } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { readLog } from "@/core/record/treatment";
import { briefOf } from "@/core/views/brief";
import { worked } from "@/core/views/worked";
import { readDossier } from "@/formats/dossier";
import { ShopTime } from "../frame/now";
import { type ObjectItem, ObjectList } from "../objects/ObjectList";
import { Shelf } from "../shelf/Shelf";
import { Bench, type BenchItem } from "./Bench";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: () => undefined, refresh: () => undefined }), usePathname: () => "/" }));

const DEMO = path.resolve(__dirname, "../../../demo");
const AIR = { temp_C: 19, rh_pct: 50 };

interface Shown {
  readonly item: BenchItem & ObjectItem;
  readonly now: number;
}

/** The demo's treatments as lists show them, at the demo's present. */
const demo: Shown[] = readdirSync(DEMO)
  .filter((file) => file.endsWith(".dossier.json") && !file.startsWith("practice"))
  .map((file) => {
    const read = readDossier(JSON.parse(readFileSync(path.join(DEMO, file), "utf8")));
    if (!read.ok) throw new Error(read.detail);
    const { piece, treatment: kept, exported_at } = read.dossier;
    const now = Date.parse(exported_at);
    const treatment = readLog(kept.log);
    const plan = worked({ kind: piece.kind, part: kept.part, parts: piece.parts }, treatment, AIR, { constant_C: AIR.temp_C }, now);
    const item = {
      id: kept.id,
      piece_id: piece.id,
      title: kept.title,
      piece: piece.title,
      reference: piece.reference,
      owner_reference: piece.owner_reference,
      kind: piece.kind,
      substrate: piece.parts[0]?.substrate ?? "stoneware",
      promised: kept.promised ?? null,
      marks: {},
      damages: treatment.damages.length,
      brief: briefOf(treatment, plan, now),
    };
    return { item, now };
  });
const open = demo.map(({ item }) => item).filter(({ brief }) => !brief.closed);
const now = demo[0]?.now ?? 0;

const page = (node: ReactNode) =>
  renderToStaticMarkup(createElement(ShopTime, { start: now, timeZone: "Europe/Berlin" } as Parameters<typeof ShopTime>[0], node));
const words = (markup: string) =>
  markup
    .replaceAll(/<[^>]+>/g, " ")
    .replaceAll("&#x27;", "'")
    .replaceAll(/\s+/g, " ");
const part = (markup: string, label: string) => markup.slice(markup.indexOf(`aria-label="${label}"`));

describe("Bench", () => {
  const markup = page(createElement(Bench, { items: open, more: 0 }));

  test("has one thing to do first, large, with its press", () => {
    expect(markup.match(/<h1/g)).toHaveLength(1);
    expect(words(part(markup, "What you can do now"))).toMatch(/Start, \d+ min of work/);
  });

  test("what may not be touched stands apart, each with its time", () => {
    const off = words(part(markup, "Hands off"));
    expect(off).toContain("Hands off");
    for (const { piece, brief } of open) if (brief.acts.some(({ from = 0 }) => from > now)) expect(off).toContain(piece);
  });

  test("what it does not list it counts, wherever it was left out", () => {
    const many = Array.from({ length: 30 }, (_, i) => ({ ...(open[0] as BenchItem), id: `${i}` }));
    expect(words(page(createElement(Bench, { items: many, more: 0 })))).toContain("21 more on Objects");
    expect(words(page(createElement(Bench, { items: many, more: 100 })))).toContain("121 more on Objects");
  });

  test("with nothing to do it says so, and what comes next", () => {
    const waiting = open
      .map((item) => ({ ...item, brief: { ...item.brief, acts: item.brief.acts.filter(({ from = 0 }) => from > now) } }))
      .filter(({ brief }) => brief.acts.length > 0);
    expect(words(page(createElement(Bench, { items: waiting.slice(0, 1), more: 0 })))).toMatch(/Hands off everything|Start/);
  });
});

describe("Shelf", () => {
  test("has a plate for every clock, and says of each what may be done and until when", () => {
    const markup = page(createElement(Shelf, { items: open }));
    expect(words(markup)).toMatch(/Shelf \d+ clocks?/);
    expect(markup.match(/plate-until/g)?.length).toBeGreaterThan(2);
    expect(words(markup)).toContain("Don’t touch");
  });

  test("with no clock it says what will stand there", () => {
    expect(words(page(createElement(Shelf, { items: [] })))).toContain("Nothing is curing.");
  });

  test("many clocks are counted, not squeezed", () => {
    const running = open.find(({ brief }) => brief.acts.some(({ from = 0 }) => from > now));
    const many = Array.from({ length: 20 }, (_, i) => ({ ...(running as BenchItem), id: `${i}` }));
    expect(words(page(createElement(Shelf, { items: many })))).toMatch(/\d+ more/);
  });
});

describe("Objects", () => {
  const list = (over: { openCount?: number; closedCount?: number } = {}) =>
    page(createElement(ObjectList, { items: open, openCount: open.length, closed: [], closedCount: 0, ...over }));

  test("lists every piece with its mark, its stuff and its next act", () => {
    const shown = words(list());
    for (const { piece, reference } of open) expect([piece, shown.includes(piece), shown.includes(reference)]).toEqual([piece, true, true]);
    expect(shown).toContain(`On the way ${open.length}`);
  });

  test("what is beyond the list is counted, with how it is found; nothing is said where all is listed", () => {
    expect(words(list({ openCount: open.length + 40 }))).toContain("40 more are not listed");
    expect(words(list())).not.toContain("not listed");
  });
});
