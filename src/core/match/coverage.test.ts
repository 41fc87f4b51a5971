import { readFileSync } from "node:fs";
import path from "node:path";
import { SUBSTRATES } from "../catalogue";
import { answersTo, coverageReport, pairs } from "./coverage";
import { ASKED } from "./coverage.data";

const ALL = pairs();
const ANSWERS = ALL.flatMap(answersTo);

test("every material is asked about, with a thousand pairs and more", () => {
  expect(new Set(ALL.map(({ on }) => on.substrate)).size).toBe(SUBSTRATES.length);
  expect(ALL.length).toBeGreaterThan(1000);
});

describe.each(SUBSTRATES.map(({ substrate }) => substrate))("%s", (substrate) => {
  const answers = ANSWERS.filter(({ on }) => on.substrate === substrate);
  const without = answers.filter(({ found }) => found.chains.length === 0);

  test("indoors and at rest, every damage that it is met with has a chain", () => {
    expect(without.filter(({ asked }) => asked === ASKED[0]?.name).map(({ kind, finish }) => `${finish} ${kind}`)).toEqual([]);
  });

  test("where a demand closes every chain, it is said what opens one, or that it is to be referred", () => {
    for (const { found } of without) {
      expect(found.warnings.map(({ code }) => code)).toEqual(
        expect.arrayContaining([expect.stringMatching(/^(opens-demand|opens-way|opens-override|refer)$/)]),
      );
      for (const { message } of found.warnings) expect(message).toMatch(/^\S.{20,}\.$/);
    }
  });

  test("nothing is refused without a reason, or told to be replaced by itself", () => {
    const wrong = answers.flatMap(({ found }) =>
      found.refused.filter(({ reasons, instead, class: name }) => reasons.length === 0 || instead === name),
    );
    expect(wrong).toEqual([]);
  });
});

test("the report in docs is current (npm run coverage)", () => {
  expect(readFileSync(path.resolve("docs/coverage.md"), "utf8")).toBe(coverageReport(ANSWERS));
});
