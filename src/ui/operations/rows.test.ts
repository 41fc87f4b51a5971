import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { actsOf } from "@/core/views/acts";
import { type OperationView, operationViews } from "@/core/views/operationView";
import { AIR, demoPiece, wordsOf } from "../demo.fixture";
import { ShopTime } from "../frame/now";
import { OperationRow } from "./OperationRow";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: () => undefined, refresh: () => undefined }) }));

/** The rows of a demo piece at the demo's present. */
function rowsOf(file: string) {
  const { treatment, plan, now } = demoPiece(file);
  if (!plan) throw new Error("nothing is planned");
  const views = operationViews(treatment, plan, actsOf(plan, now), [], now);
  return views.map((view) => ({ view, markup: drawn(view, now) }));
}

function drawn(operation: OperationView, now: number, over: { now?: boolean; closed?: boolean } = {}) {
  const row = createElement(OperationRow, {
    operation,
    places: [],
    air: { ...AIR, source: "sensor", sensor: "a sensor" },
    now: over.now ?? false,
    several: true,
    closed: over.closed ?? false,
  });
  return renderToStaticMarkup(createElement(ShopTime, { start: now, timeZone: "Europe/Berlin" } as Parameters<typeof ShopTime>[0], row));
}

const jar = rowsOf("lemonade-jar.dossier.json");
const of = (state: OperationView["state"], rows = jar) => rows.filter(({ view }) => view.state === state);

test("the demo’s jar stands in the middle of its work: behind, now or waiting, and to come", () => {
  expect([of("done").length > 0, of("blocked").length > 0, of("now").length + of("too-early").length > 0]).toEqual([true, true, true]);
});

test("every row says what, why and when it is done", () => {
  for (const { view, markup } of jar) {
    const words = wordsOf(markup);
    expect(words).toContain(view.text);
    expect(words).toContain(view.why.split(".")[0]);
    if (!view.mark) expect(words).toContain(`Done when ${view.done_when}.`);
  }
});

test("what may be done now has its press; what waits asks for a reason; what is done can be taken back", () => {
  for (const { view, markup } of of("now")) expect(markup).toContain(`: ${view.text.replaceAll("'", "&#x27;")}"`);
  for (const { markup } of [...of("blocked"), ...of("too-early")]) expect(wordsOf(markup)).toContain("Do it, with a reason");
  for (const { markup } of of("done")) expect(markup).toContain("Take back:");
});

test("a row that is blocked says what comes first, and one that waits says from when", () => {
  for (const { view, markup } of of("blocked")) expect(wordsOf(markup)).toContain(view.because);
  for (const { markup } of of("too-early")) expect(wordsOf(markup)).toMatch(/from (\w+ )?\d+:\d\d/);
});

test("what opens by the clock opens on a page that is not read again", () => {
  const [waiting] = of("too-early");
  if (!waiting) throw new Error("nothing waits");
  const later = drawn(waiting.view, (waiting.view.from ?? 0) + 60_000);
  expect(later).toContain('data-state="now"');
  expect(wordsOf(later)).not.toContain("from ");
});

test("what to mind and to guard stands at the row that is next, and nowhere else", () => {
  const guarded = jar.find(({ view }) => view.cautions.length > 0 && view.state !== "done");
  if (!guarded) throw new Error("nothing is guarded");
  const short = guarded.view.cautions[0]?.short ?? "";
  expect(wordsOf(drawn(guarded.view, 0, { now: true }))).toContain(`${short}.`);
  expect(wordsOf(drawn(guarded.view, 0))).not.toContain(`${short}.`);
});

test("a closed treatment has nothing to press", () => {
  for (const { view } of jar) expect(drawn(view, 0, { closed: true })).not.toContain("<button");
});

test("a figure of several damages carries their numbers on every row", () => {
  for (const { view, markup } of rowsOf("carousel-hare.dossier.json"))
    for (const token of view.tokens) expect(wordsOf(markup)).toContain(String(token));
});
