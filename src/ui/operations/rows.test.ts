import { createElement, type ReactElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { actsOf } from "@/core/views/acts";
import { type OperationView, operationViews } from "@/core/views/operationView";
import { AIR, demoPiece, wordsOf } from "../demo.fixture";
import { ShopTime } from "../frame/now";
import { Behind } from "./Behind";
import { OperationCard } from "./OperationCard";
import { OperationRow } from "./OperationRow";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: () => undefined, refresh: () => undefined }) }));

/** The rows of a demo piece at the demo's present. */
function rowsOf(file: string) {
  const { treatment, plan, now } = demoPiece(file);
  if (!plan) throw new Error("nothing is planned");
  const views = operationViews(treatment, plan, actsOf(plan, now), [], now);
  return views.map((view) => ({ view, markup: drawn(view, now) }));
}

const inShop = (now: number, shown: ReactElement) =>
  renderToStaticMarkup(createElement(ShopTime, { start: now, timeZone: "Europe/Berlin" } as Parameters<typeof ShopTime>[0], shown));
const air = { ...AIR, source: "sensor", sensor: "a sensor" } as const;

/** An operation as it stands when it is open; what is behind, in its list. */
function drawn(operation: OperationView, now: number): string {
  if (operation.mark) return inShop(now, createElement(Behind, { operations: [operation], places: [], several: true, closed: false }));
  return inShop(now, createElement(OperationCard, { operation, air, several: true }));
}

/** The same while it is one row of the list. */
const row = (operation: OperationView, now: number) =>
  inShop(now, createElement(OperationRow, { operation, several: true, kept: false, open: () => undefined, fixed: false }));

const jar = rowsOf("lemonade-jar.dossier.json");
const of = (state: OperationView["state"], rows = jar) => rows.filter(({ view }) => view.state === state);

test("the demo’s jar stands in the middle of its work: behind, now or waiting, and to come", () => {
  expect([of("done").length > 0, of("blocked").length > 0, of("now").length + of("too-early").length > 0]).toEqual([true, true, true]);
});

test("what is open says what, why and what good looks like; what is behind keeps the words that it was done by", () => {
  for (const { view, markup } of jar) {
    const words = wordsOf(markup);
    expect(words).toContain(view.text);
    if (!view.mark) expect(words).toContain(view.why.split(".")[0]);
    if (!view.mark) expect(words).toContain(`${view.done_when}.`);
  }
});

test("what may be done now has its press; what waits asks for a reason; what is done can be taken back", () => {
  for (const { view, markup } of of("now")) expect(markup).toContain(`: ${view.text.replaceAll("'", "&#x27;")}"`);
  for (const { markup } of [...of("blocked"), ...of("too-early")]) expect(wordsOf(markup)).toContain("Do it, with a reason");
  for (const { markup } of of("done")) expect(markup).toContain("Take back:");
});

test("a row says what it is and what it waits for, or from when", () => {
  for (const { view } of of("blocked")) expect(wordsOf(row(view, 0))).toContain(view.because);
  for (const { view } of of("blocked")) expect(wordsOf(row(view, 0))).toContain(view.text);
  for (const { view } of of("too-early")) expect(wordsOf(row(view, (view.from ?? 0) - 3_600_000))).toMatch(/from (\w+ )*\d+:\d\d/);
});

test("guards stand on the card of what is open, and on no row", () => {
  const guarded = jar.find(({ view }) => view.cautions.length > 0 && view.state !== "done");
  if (!guarded) throw new Error("nothing is guarded");
  const short = guarded.view.cautions[0]?.short ?? "";
  expect(wordsOf(guarded.markup)).toContain(`${short}.`);
  expect(wordsOf(row(guarded.view, 0))).not.toContain(`${short}.`);
});

test("a figure of several damages carries their numbers on every row", () => {
  for (const { view, markup } of rowsOf("carousel-hare.dossier.json"))
    for (const token of view.tokens) expect(wordsOf(markup)).toContain(String(token));
});
