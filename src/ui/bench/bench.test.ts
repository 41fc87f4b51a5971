import { createElement, type ReactNode } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { briefOf } from "@/core/views/briefOf";
import { DEMO_FILES, demoPiece, wordsOf } from "../demo.fixture";
import { ShopTime } from "../frame/now";
import { ObjectList } from "../objects/ObjectList";
import type { ObjectItem, ObjectPage } from "../objects/objectPage";
import { Shelf } from "../shelf/Shelf";
import { Bench, type BenchItem } from "./Bench";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: () => undefined, refresh: () => undefined }), usePathname: () => "/" }));

interface Shown {
  readonly item: BenchItem & ObjectItem;
  readonly now: number;
}

/** The demo's treatments as lists show them, at the demo's present. */
const demo: Shown[] = DEMO_FILES.filter((file) => !file.startsWith("practice")).map((file) => {
  const { piece, kept, treatment, plan, now } = demoPiece(file);
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
    others: [],
    damages: treatment.damages.length,
    brief: briefOf(treatment, plan, now),
  };
  return { item, now };
});
const open = demo.map(({ item }) => item).filter(({ brief }) => !brief.closed);
const now = demo[0]?.now ?? 0;

const page = (node: ReactNode) =>
  renderToStaticMarkup(createElement(ShopTime, { start: now, timeZone: "Europe/Berlin" } as Parameters<typeof ShopTime>[0], node));
const part = (markup: string, label: string) => markup.slice(markup.indexOf(`aria-label="${label}"`));

describe("Bench", () => {
  const markup = page(createElement(Bench, { items: open, more: 0 }));

  test("has one thing to do first, large, with its press", () => {
    expect(markup.match(/<h1/g)).toHaveLength(1);
    expect(wordsOf(part(markup, "What you can do now"))).toMatch(/Start, \d+ min of work/);
  });

  test("what may not be touched stands apart, each with its time", () => {
    const off = wordsOf(part(markup, "Hands off"));
    expect(off).toContain("Hands off");
    for (const { piece, brief } of open) if (brief.acts.some(({ from = 0 }) => from > now)) expect(off).toContain(piece);
  });

  test("what it does not list it counts, wherever it was left out", () => {
    const many = Array.from({ length: 30 }, (_, i) => ({ ...(open[0] as BenchItem), id: `${i}` }));
    expect(wordsOf(page(createElement(Bench, { items: many, more: 0 })))).toContain("21 more on Objects");
    expect(wordsOf(page(createElement(Bench, { items: many, more: 100 })))).toContain("121 more on Objects");
    // more than a thousand are not counted
    expect(wordsOf(page(createElement(Bench, { items: many, more: 1001 - many.length })))).toContain("Many more on Objects");
  });

  test("with nothing to do it says so, and what comes next", () => {
    const waiting = open
      .map((item) => ({ ...item, brief: { ...item.brief, acts: item.brief.acts.filter(({ from = 0 }) => from > now) } }))
      .filter(({ brief }) => brief.acts.length > 0);
    expect(wordsOf(page(createElement(Bench, { items: waiting.slice(0, 1), more: 0 })))).toMatch(/Hands off everything|Start/);
  });
});

describe("Shelf", () => {
  test("has a plate for every clock, and says of each what may be done and until when", () => {
    const markup = page(createElement(Shelf, { items: open }));
    expect(wordsOf(markup)).toMatch(/Shelf \d+ clocks?/);
    expect(markup.match(/plate-until/g)?.length).toBeGreaterThan(2);
    expect(wordsOf(markup)).toContain("Don’t touch");
  });

  test("with no clock it says what will stand there", () => {
    expect(wordsOf(page(createElement(Shelf, { items: [] })))).toContain("Nothing is curing.");
  });

  test("many clocks are counted, not squeezed", () => {
    const running = open.find(({ brief }) => brief.acts.some(({ from = 0 }) => from > now));
    const many = Array.from({ length: 20 }, (_, i) => ({ ...(running as BenchItem), id: `${i}` }));
    expect(wordsOf(page(createElement(Shelf, { items: many })))).toMatch(/\d+ more/);
  });
});

describe("Objects", () => {
  const counts = { open: open.length, hands: 3, off: 2, closed: 1001 };
  const list = (over: Partial<ObjectPage> = {}) =>
    page(createElement(ObjectList, { page: { list: "open", order: "promised", words: "", items: open, counts, ...over } }));

  test("lists every piece with its mark, its stuff and its next act", () => {
    const shown = wordsOf(list());
    for (const { piece, reference } of open) expect([piece, shown.includes(piece), shown.includes(reference)]).toEqual([piece, true, true]);
    expect(shown).toContain(`On the way ${open.length}`);
  });

  test("further pages are offered where there are any; more than a thousand is not counted", () => {
    expect(wordsOf(list({ next: "there" }))).toContain("Show more");
    expect(wordsOf(list())).not.toContain("Show more");
    expect(wordsOf(list())).toContain("Closed 1000+");
  });

  test("nothing found says where it looked, and offers to enter it", () => {
    const shown = wordsOf(list({ items: [], words: "bandoneon" }));
    expect(shown).toContain("No piece here for “bandoneon”");
    expect(shown).toContain("New piece “bandoneon”");
  });
});
