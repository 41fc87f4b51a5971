import type { ClassName, ROLES } from "../catalogue";
import { classRow } from "../catalogue";
import { factsOf } from "./case";
import { judge } from "./judge";
import { match } from "./match";
import type { MatchInput } from "./match.schema";
import { VERDICTS } from "./verdicts.fixture";
import { HARD_SITUATIONS } from "./verdictsHard.fixture";
import { SOFT_SITUATIONS } from "./verdictsSoft.fixture";

const ask = (over: Partial<MatchInput>): MatchInput => ({
  substrate: "stoneware",
  finish: "glaze",
  damage: { kind: "chip", depth_mm: 6 },
  service: {},
  stance: "reversible",
  ...over,
});
const verdict = (over: Partial<MatchInput>, role: (typeof ROLES)[number], name: ClassName) =>
  judge({ ...factsOf(ask(over)), row: classRow(name), role }).verdict;
const first = (over: Partial<MatchInput>, role = "filler") => match(ask(over)).chains[0]?.links.find((link) => link.role === role)?.class;

describe("what a restorer would say", () => {
  const MORE = [...HARD_SITUATIONS, ...SOFT_SITUATIONS].flatMap(({ ask: asked, says }) =>
    says.map(
      ([role, name, expected, source]) => [{ finish: "none", ...asked } as Partial<MatchInput>, role, name, expected, source] as const,
    ),
  );

  test("there are at least 250, each with its source", () => {
    expect(VERDICTS.length + MORE.length).toBeGreaterThanOrEqual(250);
    for (const [, , , , source] of [...VERDICTS, ...MORE]) expect(source.length).toBeGreaterThan(5);
  });

  test.each([...VERDICTS, ...MORE])("%j as %s: %s %s (%s)", (over, role, name, expected) => {
    expect(verdict(over, role, name)).toBe(expected);
  });

  test("what comes first", () => {
    expect(first({ service: { wet: true } })).toBe("epoxy-putty");
    expect(first({ substrate: "gypsum", finish: "none", damage: { kind: "corner", depth_mm: 20 } })).toBe("gypsum-plaster");
    expect(first({ substrate: "leather", finish: "dye", damage: { kind: "tear", gap_mm: 0.1 } }, "adhesive")).toBe("flexible-adhesive");
    const rail: Partial<MatchInput> = {
      substrate: "hardwood",
      finish: "shellac",
      damage: { kind: "break-across", gap_mm: 0.1 },
      service: { load: true },
    };
    expect(first({ ...rail, earlier_glue: "animal" }, "adhesive")).toBe("hide-glue");
    expect(first({ substrate: "bone-china", damage: { kind: "shards", gap_mm: 0.1 } }, "adhesive")).toBe("acrylic-resin-solvent");
    expect(
      first(
        { substrate: "bone-china", damage: { kind: "shards", gap_mm: 0.1 }, service: { wet: true, load: true }, stance: "service" },
        "adhesive",
      ),
    ).toBe("epoxy-slow");
    expect(first({ substrate: "hardwood", finish: "lacquer", damage: { kind: "scratch", depth_mm: 0.12 }, stance: "service" })).toBe(
      "spray-film",
    );
  });
});
