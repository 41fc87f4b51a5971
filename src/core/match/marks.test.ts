import { CLASS_ROWS, classRow, type Role, SUBSTRATES } from "../catalogue";
import { type Case, factsOf } from "./case";
import { columnsFor, judge, marksOf, termsOf } from "./judge";
import type { MatchInput } from "./match.schema";

const ask = (over: Partial<MatchInput> = {}): MatchInput => ({
  substrate: "stoneware",
  finish: "glaze",
  damage: { kind: "chip", depth_mm: 6, gap_mm: 6 },
  service: {},
  stance: "reversible",
  climate_C: 20,
  ...over,
});

const caseOf = (name: Parameters<typeof classRow>[0], role: Role, over: Partial<MatchInput> = {}): Case => ({
  ...factsOf(ask(over)),
  row: classRow(name),
  role,
});
const marks = (...asked: Parameters<typeof caseOf>) => marksOf(judge(caseOf(...asked)));

test("where no rule speaks the cell says what the class does by itself", () => {
  const found = marks("epoxy-putty", "filler");
  expect(found.bond).toMatchObject({ degree: 1, word: "Firm" });
  expect(found.gap.note).toMatch(/mm a layer$/);
  expect(found.time.note).toBe("at 20 °C");
  expect(found.strength.word).toBe("Strong");
});

test("the loudest rule names the cell, and a cell is never fuller than its worst rule", () => {
  const washed = marks("cellulose-filler", "filler", { service: { wet: true } });
  expect(washed.service.degree).toBe(0);
  expect(washed.service.word).not.toBe("Stays dry");
  expect(marks("cellulose-filler", "filler").service.degree).toBeGreaterThan(washed.service.degree);
});

test("a warm room shortens the working time that stands in the table", () => {
  const minutes = (climate_C: number) => marks("epoxy-slow", "adhesive", { climate_C, damage: { kind: "shards" } }).time.word;
  expect(minutes(28)).not.toBe(minutes(16));
  expect(marks("metal-pin", "brace", { damage: { kind: "break-across" } }).time.word).toBe("Any time");
});

test.each(SUBSTRATES.map(({ substrate }) => substrate))(
  "on %s every cell of every material has a degree, a short word and a note",
  (substrate) => {
    const service = { food: true, wet: true, load: true, flex: true, heat_C: 60 };
    for (const row of CLASS_ROWS)
      for (const role of row.roles)
        for (const mark of Object.values(marksOf(judge({ ...factsOf(ask({ substrate, service, working_min: 30 })), row, role })))) {
          expect([0, 0.5, 1]).toContain(mark.degree);
          expect(mark.word.length).toBeGreaterThan(1);
          expect(mark.word.length).toBeLessThanOrEqual(20);
          expect(`${mark.word} ${mark.note}`).not.toMatch(/undefined|NaN|Infinity/);
        }
  },
);

test("the heads say what was asked: depth, minutes, load, washing", () => {
  const asked = factsOf(ask({ working_min: 25, service: { load: true, wet: true, food: true, heat_C: 45 } }));
  const heads = Object.fromEntries(columnsFor(asked).map(({ criterion, asks }) => [criterion, asks(asked)]));
  expect(heads).toMatchObject({
    bond: "on stoneware",
    gap: "6 mm to lay",
    time: "you asked 25 min",
    strength: "carries a load",
    service: "washed, food, 45 °C",
  });
  expect(heads.shelf).toBeUndefined();
  const bare = factsOf(ask({ damage: { kind: "stain" } }));
  expect(columnsFor(bare).map(({ asks }) => asks(bare))).toContain("indoors, dry");
});

test("the sum that is shown is the score", () => {
  for (const name of ["epoxy-putty", "wax-fill", "gypsum-plaster"] as const) {
    const judgement = judge(caseOf(name, "filler", { service: { wet: true } }));
    const terms = termsOf(judgement);
    const [points, weight] = [terms.reduce((sum, term) => sum + term.points, 0), terms.reduce((sum, term) => sum + term.weight, 0)];
    expect((points / weight) * 100).toBeCloseTo(judgement.score, 9);
  }
});
