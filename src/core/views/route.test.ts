import { readLog } from "../record/treatment";
import { briefOf } from "./briefOf";
import { routeOf } from "./route";
import { CHOSEN, done, logOf, MINUTE, mixed, NOON, placed, READY, ready, see, surveyed, type Told, WALL } from "./story.fixture";

function stops(told: readonly Told[], minutes = 0) {
  const now = NOON + minutes * MINUTE;
  const { treatment, worked } = see(told, minutes);
  const route = routeOf(treatment, worked, briefOf(treatment, worked, now), WALL, now);
  return (name: string) => {
    const stop = route.find(({ station }) => station === name);
    if (!stop) throw new Error(`no ${name}`);
    return stop;
  };
}

test("before a survey, all is to come", () => {
  const treatment = readLog(logOf());
  const route = routeOf(treatment, undefined, briefOf(treatment, undefined, NOON), WALL, NOON);
  expect(route.map(({ status }) => status)).toEqual(["now", ...route.slice(1).map(() => "to-come")]);
});

test("surveyed and not chosen, it stands at Match with its number", () => {
  const treatment = readLog(logOf([9, surveyed()]));
  const route = routeOf(treatment, undefined, briefOf(treatment, undefined, NOON), WALL, NOON);
  expect(route.find(({ station }) => station === "match")).toMatchObject({ status: "now", tokens: [{ number: 1, damage: "d1" }] });
  expect(route.find(({ station }) => station === "survey")?.status).toBe("walked");
});

test("chosen, it stands at Make ready, with what is to do there and how long", () => {
  const stop = stops(CHOSEN)("ready");
  expect(stop.status).toBe("now");
  expect(stop.sub).toMatch(/^\d to do, \d+ min|^\d to do, \d+ h/);
  expect(stop.tokens).toEqual([{ number: 1, damage: "d1", waits: false }]);
});

test("a station without operations is not needed: nothing of a chip is joined", () => {
  expect(stops(CHOSEN)("join")).toMatchObject({ status: "unneeded", sub: "not needed", tokens: [] });
});

test("what is walked says when, and the number stands where its first open operation is", () => {
  const at = stops([...CHOSEN, ...ready]);
  expect(at("ready").status).toBe("walked");
  expect(at("ready").sub).not.toBe("");
  expect(at("fill").status).toBe("now");
  expect(at("fill").tokens.map(({ number }) => number)).toEqual([1]);
});

test("while the fill sets the number waits, and moves on by itself when it is hard", () => {
  const told: Told[] = [...CHOSEN, ...ready, [80, mixed(1)], [75, placed(1)]];
  expect(stops(told)("fill").tokens[0]?.waits).toBe(true);
  expect(stops(told, 7 * 24 * 60)("fill").tokens[0]?.waits).toBe(false);
});

test("a later round is told where it came back, and why, until it is done", () => {
  const told: Told[] = [
    ...CHOSEN,
    ...ready,
    [80, mixed(1)],
    [75, placed(1)],
    [2, { kind: "round-opened", station: "fill", places: ["d1/loss"], because: "a pinhole" }],
  ];
  expect(stops(told)("fill").loop?.words).toBe("round 2: a pinhole");
  expect(stops(told)("level").loop).toBeUndefined();
});

test("signed, every station that it needed is walked and no number stands anywhere", () => {
  const at = stops([...CHOSEN, ...ready, [80, mixed(1)], [1, { kind: "closed", notes: "", signed_by: "M." }]]);
  expect(at("fill").status).toBe("walked");
  expect(at("join").status).toBe("unneeded");
  for (const name of ["ready", "fill", "level", "colour", "close"]) expect(at(name).tokens).toEqual([]);
});

test("an operation left out lets the station be left as one done does", () => {
  const told: Told[] = [
    ...CHOSEN,
    ...READY.filter((op) => op.includes("/ready/")).map(
      (op, i): Told => (i === 1 ? [600 - i, { kind: "skipped", op, reason: "the owner did" }] : [600 - i, done(op)]),
    ),
  ];
  expect(stops(told)("ready").status).toBe("walked");
});
