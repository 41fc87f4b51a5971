import fc from "fast-check";
import {
  CLASS_ROWS,
  type ClassName,
  classRow,
  DAMAGE_KINDS,
  EARLIER_GLUES,
  FINISHES,
  FLAGS,
  ROLES,
  STANCES,
  SUBSTRATES,
} from "../catalogue";
import { factsOf, type Jar } from "./case";
import { doubtsOf, judge, judgeRole, reasonsOf, termsOf } from "./judge";
import { match, REFER } from "./match";
import type { MatchInput } from "./match.schema";
import { PAIR_RULES, RELEASE_RULES } from "./pairs.data";
import { rolesFor } from "./roles";
import { RULES } from "./rules";
import { jars } from "./shelf.fixture";

const ask = (over: Partial<MatchInput>): MatchInput => ({
  substrate: "stoneware",
  finish: "glaze",
  damage: { kind: "chip", depth_mm: 6 },
  service: {},
  stance: "reversible",
  ...over,
});
describe("only the links that the damage needs", () => {
  const roles = (over: Partial<MatchInput>) => rolesFor(factsOf(ask(over)));
  test.each<[Partial<MatchInput>, string]>([
    [{}, "filler colour topcoat"],
    [{ finish: "none" }, "filler"],
    [{ finish: "paint" }, "filler levelling colour"],
    [{ damage: { kind: "shards" } }, "adhesive"],
    [{ damage: { kind: "shards", gap_mm: 1 } }, "adhesive filler colour topcoat"],
    [{ damage: { kind: "crack", gap_mm: 0.1 } }, "adhesive"],
    [{ damage: { kind: "crack", gap_mm: 2 }, finish: "none" }, "filler"],
    [{ damage: { kind: "crack", gap_mm: 2, closes: true }, finish: "none" }, "adhesive"],
    [{ damage: { kind: "break-across" } }, "adhesive"],
    [{ damage: { kind: "break-across" }, stance: "service" }, "adhesive brace"],
    [{ damage: { kind: "break-across", width_mm: 8, height_mm: 6 }, stance: "service" }, "adhesive"],
    [{ damage: { kind: "break-across" }, substrate: "hardwood", finish: "none" }, "adhesive brace"],
    [{ damage: { kind: "tip" }, finish: "none" }, "filler"],
    [{ damage: { kind: "tip" }, finish: "none", stance: "service" }, "brace filler"],
    [{ damage: { kind: "eroded" }, substrate: "gypsum", finish: "none" }, "consolidant filler"],
    [{ substrate: "mdf", finish: "none" }, "consolidant filler"],
    [{ damage: { kind: "scratch" }, finish: "lacquer" }, "filler topcoat"],
    [{ damage: { kind: "tear" }, substrate: "leather", finish: "dye" }, "adhesive brace"],
    [{ damage: { kind: "stain" }, finish: "shellac" }, "colour topcoat"],
  ])("%j needs %s", (over, expected) => {
    expect(roles(over).join(" ")).toBe(expected);
  });
});

test("every rule has its own id, a source, and a sentence without a stray undefined", () => {
  const ids = [...RULES, ...PAIR_RULES].map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  for (const { source } of [...RULES, ...PAIR_RULES]) expect(source.length).toBeGreaterThan(8);
  for (const row of CLASS_ROWS)
    for (const role of row.roles) {
      const reasons = reasonsOf(
        judge({
          ...factsOf(
            ask({
              damage: { kind: "chip", depth_mm: 40, gap_mm: 3 },
              service: { food: true, wet: true, outdoor: true, flex: true, load: true, acoustic: true, heat_C: 62 },
              working_min: 12,
              climate_C: 6,
            }),
          ),
          row,
          role,
        }),
      );
      for (const { text } of reasons) expect(text).toMatch(/^[A-Z0-9].*\.$/);
      expect(reasons.map(({ text }) => text).join(" ")).not.toMatch(/undefined|NaN/);
    }
});

test("a condition is worded as one", () => {
  for (const rule of RULES.filter(({ effect }) => effect === "if")) {
    const sentence =
      typeof rule.says === "string"
        ? rule.says
        : rule.says({ ...factsOf(ask({ working_min: 20, service: { heat_C: 60 } })), row: classRow("epoxy-putty"), role: "filler" });
    expect(sentence).toMatch(/^Fits if /);
  }
});

/** Every class in every role, as neighbours. */
const links = CLASS_ROWS.flatMap((row) => row.roles.map((role) => ({ role, row })));

const flags = fc.record(
  {
    food: fc.boolean(),
    wet: fc.boolean(),
    outdoor: fc.boolean(),
    flex: fc.boolean(),
    load: fc.boolean(),
    acoustic: fc.boolean(),
    touched: fc.boolean(),
  },
  { requiredKeys: [] },
);
const inputs: fc.Arbitrary<MatchInput> = fc.record({
  substrate: fc.constantFrom(...SUBSTRATES.map(({ substrate }) => substrate)),
  finish: fc.constantFrom(...FINISHES.map(({ finish }) => finish)),
  damage: fc.record({
    kind: fc.constantFrom(...DAMAGE_KINDS),
    gap_mm: fc.double({ min: 0, max: 20, noNaN: true }),
    depth_mm: fc.double({ min: 0.05, max: 60, noNaN: true }),
  }),
  service: flags,
  stance: fc.constantFrom(...STANCES),
  climate_C: fc.double({ min: 0, max: 30, noNaN: true }),
});

/** Questions that touch on everything a rule may look at. */
const everything: fc.Arbitrary<MatchInput> = inputs.chain((input) =>
  fc.record({
    substrate: fc.constant(input.substrate),
    finish: fc.constant(input.finish ?? "none"),
    damage: fc.record({
      kind: fc.constant(input.damage.kind),
      gap_mm: fc.constantFrom(0.02, 0.1, 0.14, 0.3, 2, 8),
      depth_mm: fc.constantFrom(0.05, 1, 4, 9, 30, 80),
      swelling_mm: fc.constantFrom(0, 0.6),
      width_mm: fc.constantFrom(3, 7, 20),
      shards: fc.constantFrom(2, 9),
      tension: fc.boolean(),
      cause_present: fc.boolean(),
    }),
    service: fc.record({
      ...Object.fromEntries(
        ["food", "wet", "outdoor", "flex", "load", "acoustic", "touched", "skin", "sprung"].map((ask) => [ask, fc.boolean()]),
      ),
      heat_C: fc.constantFrom(20, 45, 62, 75, 100),
    }),
    working_min: fc.constantFrom(1, 12, 90),
    climate_C: fc.constantFrom(6, 11, 18, 30),
    stance: fc.constant(input.stance),
    found: fc.record(Object.fromEntries(FLAGS.map((flag) => [flag, fc.boolean()]))),
    earlier_glue: fc.constantFrom(...EARLIER_GLUES.map(({ glue }) => glue)),
    finish_survives: fc.boolean(),
  }),
);

test("whatever is refused has a reason, and an alternative that is itself not refused, or the word to refer", () => {
  fc.assert(
    fc.property(inputs, (input) => {
      const { refused, chains } = match(input);
      const gone = new Set(refused.map((row) => row.class));
      for (const { reasons, instead } of refused) {
        expect(reasons.length).toBeGreaterThan(0);
        if (instead !== REFER) expect(gone.has(instead as ClassName)).toBe(false);
      }
      const scores = chains.map(({ score }) => score);
      expect(scores).toEqual([...scores].sort((a, b) => b - a));
      for (const { links } of chains) {
        expect(links.map(({ role }) => ROLES.indexOf(role))).toEqual(links.map(({ role }) => ROLES.indexOf(role)).sort((a, b) => a - b));
        for (const link of links) expect(link.reasons.length).toBeGreaterThan(0);
      }
    }),
    { numRuns: 60 },
  );
});

test("asking more of a material never lifts a refusal", () => {
  const harder = fc.constantFrom("food", "wet", "outdoor", "flex", "load", "acoustic");
  fc.assert(
    fc.property(inputs, harder, fc.constantFrom(...CLASS_ROWS), (input, more, row) => {
      for (const role of row.roles) {
        const before = judge({ ...factsOf(input), row, role }).verdict;
        const after = judge({ ...factsOf({ ...input, service: { ...input.service, [more]: true } }), row, role }).verdict;
        if (before === "refused") expect(after).toBe("refused");
      }
    }),
    { numRuns: 300 },
  );
});

test("a wider gap, a deeper loss or more heat never lifts a refusal", () => {
  const grow = fc.double({ min: 1, max: 4, noNaN: true });
  fc.assert(
    fc.property(
      inputs,
      grow,
      fc.double({ min: 20, max: 150, noNaN: true }),
      fc.constantFrom(...CLASS_ROWS),
      (input, times, heat_C, row) => {
        const base = { ...input, service: { ...input.service, heat_C } };
        const hotter = { ...base, service: { ...base.service, heat_C: heat_C * times } };
        const wider = { ...base, damage: { ...base.damage, gap_mm: (base.damage.gap_mm ?? 0) * times } };
        for (const role of row.roles) {
          const refused = (asked: MatchInput) => judge({ ...factsOf(asked), row, role }).verdict === "refused";
          if (refused(base)) expect(refused(hotter)).toBe(true);
          if (role === "adhesive" && refused(base)) expect(refused(wider)).toBe(true);
        }
      },
    ),
    { numRuns: 300 },
  );
});

test("whatever the inspection brings to light only adds conditions, never lifts a refusal", () => {
  fc.assert(
    fc.property(
      inputs,
      fc.constantFrom(...FLAGS),
      fc.constantFrom(...EARLIER_GLUES),
      fc.constantFrom(...CLASS_ROWS),
      (input, flag, { glue }, row) => {
        for (const role of row.roles) {
          const before = judge({ ...factsOf(input), row, role });
          const after = judge({ ...factsOf({ ...input, found: { [flag]: true }, earlier_glue: glue, finish_survives: true }), row, role });
          if (before.verdict === "refused") expect(after.verdict).toBe("refused");
          if (before.verdict === "fits-if") expect(after.verdict).not.toBe("fits");
        }
      },
    ),
    { numRuns: 200 },
  );
});

/** Ids of the single rules that speak when every class is judged over many questions, and jars over some. */
function spokenRules(): string[] {
  const questions = fc.sample(everything, { numRuns: 2500, seed: 11 }).map((input) => factsOf(input));
  const classes = questions.flatMap((facts) => links.map((link) => judge({ ...facts, ...link })));
  const [jar] = jars(1);
  const shelf = { jars: [...jars(300), { ...jar, class: "epoxy-putty", left_g: 0 } as Jar], need_cm3: { filler: 40 } };
  const own = [true, false].flatMap((stock_only) => judgeRole(factsOf(ask({ stock_only }), shelf), "filler"));
  return [...classes, ...own].flatMap(({ fired }) => fired.map(({ id }) => id));
}

/** Ids of the rules between links, and between release agents and links, that speak on four very different pieces. */
function spokenPairs(): string[] {
  const pieces = [
    factsOf(ask({ substrate: "hardwood", finish: "gilding" })),
    factsOf(ask({ substrate: "brass", finish: "wax", found: { lifted: true } })),
    factsOf(ask({ substrate: "leather", finish: "dye" })),
    factsOf(ask({ substrate: "gypsum", finish: "gilding" })),
  ];
  return pieces
    .flatMap((facts) => [
      ...PAIR_RULES.filter(({ when }) => links.some((over) => links.some((under) => when(under, over, facts)))),
      ...RELEASE_RULES.filter(({ when }) => links.some((link) => CLASS_ROWS.some((row) => when(row, link, facts)))),
    ])
    .map(({ id }) => id);
}

test("there are at least 120 rules, and every one of them speaks somewhere", () => {
  expect(RULES.length + PAIR_RULES.length).toBeGreaterThanOrEqual(120);
  const spoke = new Set([...spokenRules(), ...spokenPairs()]);
  expect([...RULES, ...PAIR_RULES, ...RELEASE_RULES].map(({ id }) => id).filter((id) => !spoke.has(id))).toEqual([]);
});

test("a score is the sum that is shown", () => {
  fc.assert(
    fc.property(inputs, fc.constantFrom(...CLASS_ROWS), (input, row) => {
      for (const role of row.roles) {
        const judgement = judge({ ...factsOf(input), row, role });
        const terms = termsOf(judgement);
        const sum = terms.reduce((points, term) => points + term.points, 0) / terms.reduce((whole, { weight }) => whole + weight, 0);
        expect(judgement.score).toBeCloseTo(sum * 100, 9);
        expect(terms.every(({ points, weight }) => points >= 0 && points <= weight)).toBe(true);
      }
    }),
    { numRuns: 100 },
  );
});

test("what rests on a rule of thumb, or on figures that disagree, says so", () => {
  const hot = judge({ ...factsOf(ask({ service: { heat_C: 70 } })), row: classRow("epoxy-putty"), role: "filler" });
  expect(doubtsOf(hot)).toEqual(["published figures disagree here"]);
  expect(
    match(ask({ service: { heat_C: 70 } }))
      .chains.flatMap(({ links: all }) => all.flatMap(({ reasons }) => reasons))
      .join(),
  ).toContain("(published figures disagree here)");
  const hump = judge({ ...factsOf(ask({ substrate: "gypsum", finish: "none" })), row: classRow("epoxy-putty"), role: "filler" });
  expect(doubtsOf(hump)).toEqual(["a rule of thumb"]);
  expect(doubtsOf(judge({ ...factsOf(ask({})), row: classRow("cellulose-filler"), role: "filler" }))).toEqual([]);
});

test("the same question gets the same answer", () => {
  fc.assert(
    fc.property(inputs, (input) => expect(match(structuredClone(input))).toEqual(match(input))),
    { numRuns: 20 },
  );
});

test("a stance changes the order, never the facts", () => {
  const both = STANCES.map((stance) => match(ask({ stance, damage: { kind: "shards", gap_mm: 0.1 } })));
  expect(both[0]?.refused.map((row) => row.class)).toEqual(both[1]?.refused.map((row) => row.class));
});

test("no stock is known to the bare calculation, and it says so", () => {
  expect(match(ask({ stock_only: true })).warnings.map(({ code }) => code)).toContain("no-stock");
});
