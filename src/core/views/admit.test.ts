import type { EventBody } from "../record/events.schema";
import { readLog } from "../record/treatment";
import { admit } from "./admit";
import { AIR, CHOSEN, done, JAR, logOf, MINUTE, mixed, NOON, placed, ready, surveyed, type Told } from "./story.fixture";
import { worked } from "./worked";

const MIX_1 = "r1/fill/mix-1/epoxy-putty";
const MIXED: readonly Told[] = [...CHOSEN, ...ready, [80, mixed(1)], [75, placed(1)]];

/** What an entry is held against when it is written `minutes` after noon, or for a typed time. */
function asked(told: readonly Told[], minutes = 0, past = false) {
  const at = NOON + minutes * MINUTE;
  const treatment = readLog(logOf(...told));
  return { treatment, worked: worked(JAR, treatment, AIR, { constant_C: 20 }, at), at, past };
}

describe("found soft", () => {
  test("needs a clock that runs there", () => {
    const soft = { kind: "found-soft" as const, op: MIX_1, stage: "hard" as const };
    expect(admit(asked(MIXED), soft)).toBeUndefined();
    expect(admit(asked(CHOSEN), soft)).toBe("No clock was started there.");
    expect(admit(asked([]), soft)).toBe("Survey the damage first.");
  });
});

describe("treated apart", () => {
  const apart = (damage: string) => ({ kind: "parted" as const, damage, to: "22222222-2222-4222-8222-222222222222", title: "Foot chip" });
  const both: readonly Told[] = [...CHOSEN, [685, surveyed(undefined, {}, { damage: "d2", title: "Foot chip" })]];

  test("one of two may go, one that is not there may not, and the last stays", () => {
    expect(admit(asked(both), apart("d2"))).toBeUndefined();
    expect(admit(asked(both), apart("d9"))).toBe("There is no such damage in this treatment.");
    expect(admit(asked(CHOSEN), apart("d1"))).toMatch(/only damage here/);
  });
});

describe("a time that is typed", () => {
  test("before what it comes after is told, with what that is", () => {
    const early = admit(asked([...CHOSEN, [600, done("r1/ready/photograph")]], -640, true), done("r1/ready/clean/d1"));
    expect(early).toMatchObject({
      path: "/body/against",
      message: expect.stringMatching(
        /It comes after “photograph .*”, which is on record for later than that\. Correct the time, or say why/,
      ),
    });
  });

  test("after it is taken; with a reason it is taken anyway", () => {
    const told: readonly Told[] = [...CHOSEN, [600, done("r1/ready/photograph")]];
    expect(admit(asked(told, -590, true), done("r1/ready/clean/d1"))).toBeUndefined();
    const against = { state: "too-early" as const, because: "the camera’s clock was wrong" };
    expect(admit(asked(told, -640, true), done("r1/ready/clean/d1", { against }))).toBeUndefined();
  });

  test("the same minute will do for what only follows in order", () => {
    const told: readonly Told[] = [...CHOSEN, [600, done("r1/ready/photograph")]];
    expect(admit(asked(told, -600, true), done("r1/ready/clean/d1"))).toBeUndefined();
  });
});

describe("what is left out", () => {
  test("is an operation of the plan", () => {
    const skip = (op: string) => ({ kind: "skipped" as const, op, reason: "the owner did it" });
    expect(admit(asked(CHOSEN), skip("r1/ready/clean/d1"))).toBeUndefined();
    expect(admit(asked(CHOSEN), skip("r1/ready/moonlight"))).toMatch(/may have changed since you opened the page/);
  });

  test("is on record, and can’t be done on top of it", () => {
    const told: readonly Told[] = [...CHOSEN, [600, { kind: "skipped", op: "r1/ready/photograph", reason: "no camera" }]];
    expect(admit(asked(told), done("r1/ready/photograph"))).toBe("It is on record already: take that back first.");
  });
});

describe("a closed treatment", () => {
  const shut: readonly Told[] = [...MIXED, [1, { kind: "closed", notes: "", signed_by: "M." }]];

  test.each<[string, EventBody, RegExp | null]>([
    ["a done", done("r1/ready/mask"), /closed\. Reopen it at Close, with a reason/],
    ["a survey", surveyed(), /closed/],
    ["a note", { kind: "noted", station: "close", text: "the owner called" }, null],
    ["a second signature", { kind: "closed", notes: "", signed_by: "M." }, /closed already/],
    ["a reopening", { kind: "reopened" as const, reason: "a pit showed" }, null],
  ])("%s", (_, body, says) => {
    const found = admit(asked(shut), body);
    if (says) expect(found).toMatch(says);
    else expect(found).toBeUndefined();
  });

  test("what is not closed can’t be reopened, and without a survey nothing is signed", () => {
    expect(admit(asked(MIXED), { kind: "reopened", reason: "why not" })).toBe("It is not closed.");
    expect(admit(asked([]), { kind: "closed", notes: "", signed_by: "M." })).toBe("Survey the damage first.");
  });
});

test("a choice is for a damage that was surveyed", () => {
  const choice = { kind: "matched" as const, damage: "d7", stance: "reversible" as const, chain: [] };
  expect(admit(asked(CHOSEN), choice)).toBe("Survey the damage first.");
  expect(admit(asked(CHOSEN), { ...choice, damage: "d1" })).toBeUndefined();
});

describe("what is set by hand is held against the plan", () => {
  const told = [...CHOSEN, ...ready];
  const ask = (body: EventBody, more: readonly Told[] = []) => admit(asked([...told, ...more]), body);

  test("a volume is of a place that is there, a fill of a damage that is there", () => {
    expect(ask({ kind: "fill-set", volumes: [{ place: "d1/loss", cm3: 2, by: "clay" }] })).toBeUndefined();
    expect(ask({ kind: "fill-set", volumes: [{ place: "d1/rim", cm3: 2, by: "clay" }] })).toContain("no place d1/rim");
    expect(ask({ kind: "fill-set", damage: "d7", shaping: "model" })).toContain("no such damage");
  });

  test("one steps back to a grade that exists and was walked", () => {
    const back = (grade: number): EventBody => ({ kind: "stepped-back", to: { system: "P", grade }, because: "still proud" });
    expect(ask(back(85))).toContain("no grade of its system");
    expect(ask(back(120))).toContain("P120 was not walked here");
    const walked: Told = [5, done("r1/level/grit-P120/d1", { against: { state: "blocked", because: "for the test" } })];
    expect(ask(back(120), [walked])).toBeUndefined();
  });

  test("a log that came from elsewhere with a grade that never was can still be read", () => {
    const strange: Told = [5, { kind: "stepped-back", to: { system: "P", grade: 85 }, because: "so it says" }];
    expect(asked([...told, strange]).worked?.repair.operations.length).toBeGreaterThan(0);
  });
});
