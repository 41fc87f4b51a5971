import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { classRow, type Finish, type Substrate } from "@/core/catalogue";
import { workOut } from "@/core/plan/damageContext";
import { atPlaces } from "@/core/plan/links";

import type { Damage } from "@/core/survey/measures.data";
import { deskOf, firstQuestion } from "@/core/views/desk/desk";
import { chainRows } from "@/core/views/desk/links";
import { AIR, wordsOf } from "../demo.fixture";
import { MatchStation } from "./MatchStation";
import { matchViews } from "./MatchView";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: () => undefined, refresh: () => undefined }) }));

/** Match as it opens for a damage that nothing was chosen for yet. */
function opened(substrate: Substrate, finish: Finish, damage: Damage, service: object = {}, referrals: readonly string[] = []) {
  const survey = { damage, service };
  const found = workOut({ id: "d1", piece: "other", part: "p", substrate, finish, survey }, "reversible", AIR, { scale_step_g: 0.01 });
  const { stance: _stance, ...input } = found.asked;
  const facts = { input, places: atPlaces(found.places, input), beside: [] };
  const question = firstQuestion(facts);
  const desk = deskOf(facts, question);
  if (!desk) throw new Error("no material is asked for");
  const { role, other, links, missing } = desk;
  const first = { role, other, links, missing, elsewhere: [], rows: chainRows(desk), views: matchViews(desk) };
  const way = found.way.label;
  const props = {
    treatment: "t",
    damage: "d1",
    input,
    question,
    first,
    ask: async () => first,
    way,
    stale: false,
    referrals,
    damages: null,
    build: null,
  };
  const markup = renderToStaticMarkup(createElement(MatchStation, props));
  return { markup, words: wordsOf(markup), found };
}

const CHIP = { kind: "chip", length_mm: 34, depth_mm: 11, thickness_mm: 6 } as const;

const PIECES: ReadonlyArray<readonly [string, Substrate, Finish, Damage, object]> = [
  ["a washed jar", "stoneware", "glaze", CHIP, { wet: true, food: true }],
  ["a gypsum wing", "gypsum", "none", { kind: "corner", a_mm: 40, b_mm: 30, c_mm: 20 }, {}],
  ["a torn saddle", "leather", "dye", { kind: "tear", length_mm: 60, thickness_mm: 1.6, flap: false, tension: true }, { flex: true }],
  ["a lid in gloss", "hardwood", "lacquer", { kind: "scratch", length_mm: 60, width_mm: 1, depth_mm: 0.09, film_um: 110 } as Damage, {}],
  ["an iron hinge outdoors", "iron", "paint", CHIP, { outdoor: true }],
];

describe.each(PIECES)("%s", (_, substrate, finish, damage, service) => {
  const shown = opened(substrate, finish, damage, service);

  test("every link of the chain stands with its material, and all of it can be planned", () => {
    for (const { class: name } of shown.found.links) expect([name, shown.words.includes(classRow(name).name)]).toEqual([name, true]);
    expect(shown.words).toContain("Plan this repair");
  });

  test("what is refused is refused with why, and with what instead or what would open it", () => {
    expect(shown.words).toMatch(/Refused/);
    expect(shown.words).not.toMatch(/undefined|NaN|\[object/);
  });

  test("no verdict is told by a mark alone: beside every dot stands its word", () => {
    const cells = [...shown.markup.matchAll(/<td[^>]*>((?:(?!<\/td>).)*<svg width="12" height="12"(?:(?!<\/td>).)*)<\/td>/gs)];
    expect(cells.length).toBeGreaterThan(3);
    for (const [, cell] of cells) expect(wordsOf((cell ?? "").replace(/<span class="cell-label.*?<\/span>/s, "")).trim()).not.toBe("");
  });
});

test("the way that was not taken is said with its reason; a referral comes before all materials", () => {
  const shown = opened(
    "hardwood",
    "shellac",
    { kind: "break-across", width_mm: 32, height_mm: 22, load_N: 60, lever_mm: 180 },
    { load: true },
    ["It carries a person: refer it."],
  );
  expect(shown.words.indexOf("It carries a person: refer it.")).toBeGreaterThanOrEqual(0);
  expect(shown.words.indexOf("It carries a person: refer it.")).toBeLessThan(shown.words.indexOf("candidate"));
});
