import { classRow } from "../catalogue";
import { readLog } from "../record/treatment";
import type { Damage } from "../survey/measures.data";
import { formQuestion, sittingFacts } from "./readyQuestions";
import { JAR, logOf, matched, surveyed } from "./story.fixture";

describe("sittings", () => {
  test("without an adhesive it is one join a sitting, and nothing is known of the cure between", () => {
    expect(sittingFacts(undefined, 20)).toEqual({ joins_a_sitting: 1, between_min: undefined });
  });

  test("as many joins of four minutes as the shorter end of the open time takes; a colder room takes more", () => {
    const slow = classRow("epoxy-slow");
    const reference = slow.cure.reference_C;
    const [open] = slow.cure.stages.find(({ stage }) => stage === "working")?.minutes ?? [0];
    expect(sittingFacts(slow, reference).joins_a_sitting).toBe(Math.floor(open / 4));
    expect(sittingFacts(slow, reference - 10).joins_a_sitting).toBeGreaterThan(sittingFacts(slow, reference).joins_a_sitting);
  });

  test("glue that sets at once still takes one join", () => {
    expect(sittingFacts(classRow("cyanoacrylate"), 30).joins_a_sitting).toBe(1);
  });
});

describe("the form or mould", () => {
  const asked = (damage: Damage, twin?: "there") => {
    const body = surveyed(damage);
    if (body.kind !== "surveyed") throw new Error("not a survey");
    const survey = { ...body.survey, ...(twin ? { inspected: { twin } } : {}) };
    return formQuestion(JAR, readLog(logOf([9, { ...body, survey }], [8, matched])), 20);
  };
  const CORNER: Damage = { kind: "corner", a_mm: 30, b_mm: 20, c_mm: 12 };

  test("a lost corner with a twin: its volume, its twin, and agents that suit the chain", () => {
    const question = asked(CORNER, "there");
    expect(question?.facts).toMatchObject({ damage: "corner", twin: true, pours: false, through: false });
    expect(question?.facts.loss_cm3).toBeCloseTo((30 * 20 * 12) / 6 / 1000, 9);
    expect(question?.releases.length).toBeGreaterThan(0);
    expect(question?.releases.length).toBeLessThanOrEqual(3);
  });

  test("where nobody looked for a twin, it is not known", () => {
    expect(asked(CORNER)?.facts.twin).toBeUndefined();
  });

  test("nothing is asked before Match, or where nothing is filled", () => {
    expect(formQuestion(JAR, readLog(logOf([9, surveyed()])), 20)).toBeUndefined();
    const glued = logOf([9, surveyed()], [8, { kind: "matched", stance: "service", chain: [{ role: "adhesive", class: "epoxy-slow" }] }]);
    expect(formQuestion(JAR, readLog(glued), 20)).toBeUndefined();
  });
});
