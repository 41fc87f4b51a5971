import { readLog } from "../record/treatment";
import { actsOf } from "./acts";
import { type PartedEntry, partedLog } from "./apart";
import { AIR, CHOSEN, done, JAR, logOf, matched, mixed, NOON, READY, ready, see, surveyed, type Told } from "./story.fixture";
import { worked } from "./worked";

const SECOND = "22222222-2222-4222-8222-222222222222";
const both: readonly Told[] = [
  [700, surveyed()],
  [690, matched],
  [688, surveyed(undefined, {}, { damage: "d2", title: "Foot chip" })],
  [686, { ...matched, damage: "d2" } as typeof matched],
  ...ready,
  [500, mixed(1)],
  [495, done("r1/fill/place-1/d2/loss")],
];

function apart(damage: string): PartedEntry[] {
  const { treatment, worked: plan } = see(both);
  return partedLog(treatment, plan, damage, "p", (told) => worked(JAR, told, AIR, { constant_C: 20 }, NOON));
}
const told = (entries: readonly PartedEntry[]) => see(entries.map(({ at, body }): Told => [(NOON - Date.parse(at)) / 60_000, body]));

describe("a damage that is treated apart", () => {
  test("takes its survey and its choice along, and nothing of the other", () => {
    const log = apart("d2");
    expect(log.map(({ body }) => body.kind)).toEqual(expect.arrayContaining(["surveyed", "matched", "done"]));
    expect(told(log).treatment.damages.map(({ id }) => id)).toEqual(["d2"]);
    expect(told(log).worked.repair.places.every(({ damage }) => damage === "d2")).toBe(true);
  });

  test("what was done for both is done for it too, and what was done of it alone", () => {
    const seen = told(apart("d2"));
    const behind = seen.acts.filter(({ state }) => state === "done").map(({ op }) => op.id);
    expect(behind).toEqual(
      expect.arrayContaining(["r1/ready/photograph", "r1/ready/mask", "r1/fill/mix-1/epoxy-putty", "r1/fill/place-1/d2/loss"]),
    );
    expect(seen.act("r1/fill/check-fill/d2").state).not.toBe("done");
  });

  test("what was done in one go for both is found under the name that it has alone", () => {
    const marks = [...told(apart("d2")).worked.marks.keys()];
    const known = new Set(told(apart("d2")).worked.repair.operations.map(({ id }) => id));
    expect(marks.filter((id) => !known.has(id))).toEqual([]);
    expect(marks.length).toBeGreaterThan(READY.length);
  });

  test("its clocks go on, by their own time", () => {
    const before = see(both).worked.clocks.get("r1/fill/mix-1/epoxy-putty");
    const after = told(apart("d2")).worked.clocks.get("r1/fill/mix-1/epoxy-putty");
    expect(after?.start).toBe(before?.start);
    expect(after?.stages).toEqual(before?.stages);
  });

  test("minutes of hands stay where they were counted", () => {
    expect(apart("d2").every(({ body }) => !("hands_min" in body) || body.hands_min === undefined)).toBe(true);
  });

  test("the treatment that it came from goes on without it, and no later damage takes its name", () => {
    const parted: Told[] = [...both, [480, { kind: "parted", damage: "d2", to: SECOND, title: "Foot chip" }]];
    const seen = see(parted);
    expect(seen.treatment.damages.map(({ id }) => id)).toEqual(["d1"]);
    expect(seen.treatment.next_damage).toBe("d3");
    expect(actsOf(seen.worked, NOON).every(({ op }) => op.places.every((place) => place.startsWith("d1/")))).toBe(true);
    expect(seen.act("r1/fill/mix-1/epoxy-putty").state).toBe("done");
  });

  test("the first can be taken out as well: the other stays", () => {
    const parted = readLog(logOf(...both, [480, { kind: "parted", damage: "d1", to: SECOND, title: "Rim" }]));
    expect(parted.damages.map(({ id }) => id)).toEqual(["d2"]);
    expect(CHOSEN).toHaveLength(2);
  });
});
