import type { BodyOf } from "../record/events.schema";
import type { Treatment } from "../record/treatment";
import { admit } from "./admit";
import { entryWords } from "./entryWords";
import { roundFor, roundViews, spotsOf } from "./rounds";
import { CHOSEN, idOf, NOON, see, type Told } from "./story.fixture";

const spot = (over: Partial<BodyOf<"spot-found">>): Told => [
  100,
  { kind: "spot-found", damage: "d1", x: 0.4, y: 0.5, what: "low", ...over },
];
const round: Told = [50, { kind: "round-opened", station: "fill", places: ["d1/loss"], because: "low" }];

test("what is found is numbered by its damage, and is open until a round at Fill comes after it", () => {
  const told = [...CHOSEN, spot({ depth_mm: 0.4 }), spot({ what: "pinhole" }), round, spot({ what: "crack" })];
  expect(spotsOf(see(told).treatment)).toMatchObject([
    { label: "1.1", what: "low", depth_mm: 0.4, round: 2 },
    { label: "1.2", what: "pinhole", round: 2 },
    { label: "1.3", what: "crack", entry: idOf(6) },
  ]);
  expect(spotsOf(see(told).treatment)[2]?.round).toBeUndefined();
});

test("the round says what is open, in words, and how deep the deepest is", () => {
  const open = (...told: readonly Told[]) => roundFor(spotsOf(see([...CHOSEN, ...told]).treatment));
  expect(open(spot({ depth_mm: 0.4 }), spot({ depth_mm: 0.25 }), spot({ what: "pinhole" }))).toEqual({
    because: "2 low spots, 1 pinhole, up to 0.4 mm low",
    low_mm: 0.4,
  });
  expect(open(spot({ what: "edge" }))).toEqual({ because: "1 edge that shows" });
  expect(open(spot({}), round)).toBeUndefined();
});

test("no spot is marked on a damage that is not there, and the log tells one in words", () => {
  const { treatment, worked } = see(CHOSEN);
  const body: BodyOf<"spot-found"> = { kind: "spot-found", damage: "d7", x: 0.1, y: 0.1, what: "pinhole" };
  expect(admit({ treatment, worked, at: NOON }, body)).toMatch(/no such damage/);
  expect(admit({ treatment, worked, at: NOON }, { ...body, damage: "d1" })).toBeUndefined();
  expect(entryWords({ ...body, what: "low", depth_mm: 0.3 })).toBe("Found on the condition map: low spot, 0.3 mm");
});

test("a round goes back while nothing of it, or of one after it, is on record", () => {
  const told = [...CHOSEN, round, round] as const;
  const { treatment, worked } = see(told);
  const [first, second] = roundViews(treatment, new Map([["d1/loss", "the chip"]]));
  expect([first, second]).toMatchObject([
    { round: 2, places: ["the chip"], because: "low", begun: false },
    { round: 3, begun: false },
  ]);
  const [, , , opened] = treatment.entries;
  const without = (...more: readonly Told[]) => see([...CHOSEN, round, ...more]).treatment;
  const back = (of: Treatment) => admit({ treatment: of, worked, at: NOON, ...(opened ? { back: opened } : {}) }, { kind: "withdrawn" });
  expect(back(without())).toBeUndefined();
  expect(back(without([10, { kind: "done", op: "r3/fill/mix-1/fine-surfacer" }]))).toMatch(/take that back first/);
});
