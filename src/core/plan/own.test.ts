import { jobInput } from "./jobs.fixture";
import { type OwnOp, withOwn } from "./own";
import { planned } from "./planCalc";

const { operations } = planned(jobInput(5));
const own = (over: Partial<OwnOp> = {}): OwnOp => ({
  id: "own/fill/x",
  station: "fill",
  text: "Chill the form",
  why: "",
  hands_min: 5,
  wait_min: 0,
  ...over,
});
const placed = (over: Partial<OwnOp> = {}) => withOwn(operations, [own(over)], new Map());

test("a step of one’s own stands right behind the one that it follows, and what needs that one waits for both", () => {
  const [dam] = operations.filter(({ id }) => id.includes("/ready/mask"));
  const found = placed({ after: dam?.id ?? "", wait_min: 90 });
  const at = found.findIndex(({ id }) => id === "own/fill/x");
  expect(found[at - 1]?.id).toBe(dam?.id);
  expect(found[at]?.after.map(({ op }) => op)).toEqual([dam?.id]);
  const followers = found.filter(({ after }) => after.some(({ op }) => op === dam?.id) && !after.some(({ op }) => op === "own/fill/x"));
  expect(followers.map(({ id }) => id)).toEqual(["own/fill/x"]);
  expect(found.find(({ after }) => after.some(({ op }) => op === "own/fill/x"))?.after.at(-1)?.min_min).toBe(90);
});

test("else it stands at the end of its station; the signature stays last", () => {
  const fill = placed();
  const at = fill.findIndex(({ id }) => id === "own/fill/x");
  expect([fill[at - 1]?.station, fill[at + 1]?.station]).toEqual(["fill", "level"]);
  expect(fill.filter(({ after }) => after.some(({ op }) => op === "own/fill/x"))).toEqual([]);
  expect(placed({ station: "close" }).at(-1)?.kind).toBe("sign");
  const waited = placed({ wait_min: 60 }).find(({ station }) => station === "level");
  expect(waited?.after.at(-1)).toMatchObject({ op: "own/fill/x", min_min: 60 });
});
