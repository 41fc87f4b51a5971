import type { Finish, Substrate } from "../../catalogue";
import { columnsFor, marksOf } from "../../match/judge";
import { workOut } from "../../plan/damageContext";
import { atPlaces } from "../../plan/links";
import type { Damage } from "../../survey/measures.data";
import { tellingColumns } from "./columns";
import { type Desk, deskOf, firstQuestion } from "./desk";
import { chainRows } from "./links";

const AIR = { temp_C: 20, rh_pct: 50 };
const CHIP: Damage = { kind: "chip", length_mm: 34, depth_mm: 11, thickness_mm: 6 };

function deskFor(substrate: Substrate, finish: Finish, service: object, over: object = {}): Desk {
  const survey = { damage: CHIP, service };
  const found = workOut({ id: "d1", piece: "other", part: "p", substrate, finish, survey }, "reversible", AIR, { scale_step_g: 0.01 });
  const { stance: _stance, ...input } = found.asked;
  const facts = { input, places: atPlaces(found.places, input), beside: [] };
  const desk = deskOf(facts, { ...firstQuestion(facts), ...over });
  if (!desk) throw new Error("no material is asked for");
  return desk;
}

const DESKS = [
  deskFor("stoneware", "glaze", { wet: true, food: true }),
  deskFor("hardwood", "lacquer", { touched: true }),
  deskFor("gypsum", "none", {}),
];

test("at most five facts tell candidates apart, and each of them does; what is the same for all is told once", () => {
  for (const { here, judged } of DESKS) {
    const { told, same, more } = tellingColumns(here, judged);
    const words = (criterion: (typeof told)[number]["criterion"]) => new Set(judged.map((each) => marksOf(each)[criterion].word));
    expect(told.length).toBeLessThanOrEqual(5);
    for (const { criterion } of told) expect(words(criterion).size).toBeGreaterThan(1);
    expect(told.length + same.length + more).toBe(columnsFor(here).length);
  }
});

test("one candidate is told apart from nobody", () => {
  const [{ here, judged }] = DESKS as [Desk];
  expect(tellingColumns(here, judged.slice(0, 1)).told).toEqual([]);
});

test("every link of the chain is a row with what stands there; the one that is shown has its rank", () => {
  for (const desk of DESKS) {
    const rows = chainRows(desk);
    expect(rows.map(({ role }) => role)).toEqual(desk.found.roles);
    expect(rows.flatMap(({ name }) => name ?? [])).toHaveLength(desk.chain.length);
    expect(rows.find(({ role }) => role === desk.role)?.rank).toMatch(/^\d+\w\w of \d+$/);
    expect(rows.filter(({ rank }) => rank !== undefined)).toHaveLength(1);
  }
});

test("what was taken against the rules says why on its row", () => {
  const forced = { filler: "it stands in a hall from now on" };
  const desk = deskFor("stoneware", "glaze", { wet: true }, { picks: { filler: "gypsum-plaster" }, forced });
  const row = chainRows(desk).find(({ role }) => role === "filler");
  expect(row?.name).toBe("Gypsum plaster");
  expect(["against", "clash"]).toContain(row?.state);
  if (row?.state === "against") expect(row.line).toContain("it stands in a hall from now on");
});
