import fc from "fast-check";
import { CLASS_ROWS, type ClassName, classRow, DAMAGE_KINDS, FINISHES, ROLES, STANCES, SUBSTRATES } from "../catalogue";
import { factsOf } from "./case";
import { bestChains, clashesWith } from "./chains";
import { type Judgement, judge, reasonsOf } from "./judge";
import { match, matching, REFER } from "./match";
import type { MatchInput } from "./match.schema";
import { PAIR_RULES } from "./pairs.data";
import { rolesFor } from "./roles";
import { RULES } from "./rules";

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
    [{ damage: { kind: "break-across" } }, "adhesive brace"],
    [{ damage: { kind: "tip" }, finish: "none" }, "brace filler"],
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

test("the same question gets the same answer", () => {
  fc.assert(
    fc.property(inputs, (input) => expect(match(structuredClone(input))).toEqual(match(input))),
    { numRuns: 20 },
  );
});

/** The best chain through one class by trying everything. */
function exhaustive(input: MatchInput, key: Judgement, byRole: ReturnType<typeof matching>["byRole"]): number {
  const facts = factsOf(input);
  let best = Number.NEGATIVE_INFINITY;
  const lists = [...byRole.entries()].map(([role, all]) => (role === key.role ? [key] : all.filter((each) => each.verdict !== "refused")));
  const whole = lists.length + 2;
  const walk = (links: readonly Judgement[], score: number) => {
    if (links.length === lists.length) best = Math.max(best, score);
    for (const next of lists[links.length] ?? []) {
      const clashes = clashesWith(facts, links, next);
      if (clashes.some(({ effect }) => effect === "refuse")) continue;
      walk([...links, next], score + ((next.role === key.role ? 3 : 1) * next.score) / whole - 4 * clashes.length);
    }
  };
  walk([], 0);
  return best;
}

test("the search finds the same optimum as trying every chain", () => {
  fc.assert(
    fc.property(inputs, (input) => {
      const { byRole, chains } = matching(input);
      for (const chain of chains.slice(0, 3)) {
        const key = chain.links.find(
          (link) =>
            bestChains(factsOf(input), byRole).length > 0 &&
            chains.filter((other) => other.links.some((each) => each.row === link.row && each.role === link.role)).length === 1,
        );
        if (key) expect(chain.score).toBeCloseTo(exhaustive(input, key, byRole), 6);
      }
    }),
    { numRuns: 25 },
  );
});

test("a stance changes the order, never the facts", () => {
  const both = STANCES.map((stance) => match(ask({ stance, damage: { kind: "shards", gap_mm: 0.1 } })));
  expect(both[0]?.refused.map((row) => row.class)).toEqual(both[1]?.refused.map((row) => row.class));
});

test("no stock is known to the bare calculation, and it says so", () => {
  expect(match(ask({ stock_only: true })).warnings.map(({ code }) => code)).toContain("no-stock");
});
