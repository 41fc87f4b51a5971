import fc from "fast-check";
import { OPERATION_KINDS, STATIONS } from "../catalogue";
import { wall } from "../units";
import { cardOf, upOf } from "./card";
import { frontOf, instrumentFor, instrumentLabel, instrumentsAt } from "./instrument";

const HOUR = 3_600_000;
const NOON = Date.parse("2026-10-07T12:00:00+02:00");
const WALL = wall("Europe/Berlin");
const NOTHING = { because: "", consequence: "", hands_min: [4, 10] as const };
const timed = (state: "now" | "too-early" | "too-late" | "blocked" | "never", over: object = {}) => ({ state, ...NOTHING, ...over });

test("a mix that may be made says its grams; once its window closes the time left counts more", () => {
  const open = { mass_g: 2.56, from: NOON - 2 * HOUR, since: NOON - 2 * HOUR };
  expect(cardOf(timed("now", open), NOON, WALL)).toMatchObject({ sign: "go", word: "Work now", big: { figure: "2.56", unit: "g" } });
  const closing = cardOf(timed("now", { ...open, until: NOON + 5 * 60_000 }), NOON, WALL);
  expect(closing).toMatchObject({ sign: "soon", word: "Closing", when: "until 12:05", big: { figure: "5 min", unit: "" } });
});

test("what is too early says until when it is not touched, and how long that is; what is missed says since when and what follows", () => {
  const early = cardOf(timed("too-early", { from: NOON + 100 * 60_000, until: NOON + 5 * HOUR }), NOON, WALL);
  expect(early).toMatchObject({ sign: "off", word: "Don’t touch", big: { figure: "1 h 40" }, line: "from 13:40 to 17:00" });
  const late = cardOf(timed("too-late", { until: NOON - HOUR, consequence: "Now it tears." }), NOON, WALL);
  expect(late).toMatchObject({ sign: "never", word: "Too late", when: "since 11:00. Now it tears." });
});

test("what waits for an earlier step says which", () => {
  const because = "First: mix layer 2";
  expect(cardOf(timed("blocked", { because }), NOON, WALL)).toMatchObject({ word: "Not yet", when: because, line: because });
  expect(cardOf(timed("never", { because: "It does not cure here." }), NOON, WALL).when).toBe("It does not cure here.");
});

const operation = fc.record({
  state: fc.constantFrom("now" as const, "too-early" as const, "too-late" as const, "blocked" as const, "never" as const),
  from: fc.integer({ min: -300, max: 300 }),
  wide: fc.option(fc.integer({ min: 1, max: 300 }), { nil: undefined }),
});
const list = fc.array(operation, { maxLength: 8 }).map((all) =>
  all.map(({ state, from, wide }, i) => {
    // the times are those that the state says
    const [start, end] =
      state === "too-early" ? [Math.abs(from) + 1, wide] : state === "too-late" ? [-600, undefined] : [-Math.abs(from), wide];
    const until = state === "too-late" ? -1 : end === undefined ? undefined : Math.max(1, start) + end;
    return {
      id: String(i),
      state,
      hands_min: [1, 1] as const,
      chain_min: 1,
      from: NOON + start * 60_000,
      ...(until === undefined ? {} : { until: NOON + until * 60_000 }),
    };
  }),
);

test("what is up is one of the list; nothing that waits or is blocked leads while something can be done", () => {
  fc.assert(
    fc.property(list, (open) => {
      const up = open.find(({ id }) => id === upOf(open, NOON));
      expect(up === undefined).toBe(open.length === 0);
      if (open.some(({ state }) => state === "now")) expect(up?.state).toBe("now");
      else if (open.some(({ state }) => state !== "blocked")) expect(up?.state).not.toBe("blocked");
    }),
  );
});

test("a closing window stands before what has no hurry", () => {
  const first = { id: "sweep", state: "now" as const, hands_min: [4, 4] as const, chain_min: 4 };
  const closing = { ...first, id: "press-in", from: NOON - HOUR, since: NOON - HOUR, until: NOON + 60_000 };
  expect(upOf([first, closing], NOON)).toBe("press-in");
  expect(upOf([first, { ...closing, until: NOON + 20 * HOUR }], NOON)).toBe("sweep");
});

test("nothing leads that would run past a window which can still be met: that is waited for, though it opens later", () => {
  const mix = { id: "mix-2", state: "now" as const, hands_min: [7, 7] as const, chain_min: 15 };
  const trim = { ...mix, id: "trim", state: "too-early" as const, chain_min: 8, from: NOON + 6 * 60_000, until: NOON + 11 * 60_000 };
  expect(upOf([mix, trim], NOON)).toBe("trim");
  expect(upOf([{ ...mix, chain_min: 10 }, trim], NOON)).toBe("mix-2");
  // what can't be met any more holds nothing up
  expect(upOf([mix, { ...trim, state: "too-late", from: NOON - HOUR, until: NOON - HOUR }], NOON)).toBe("mix-2");
});

test("a window is closed to what is not begun: what is under way is told by when it had to be begun", () => {
  const under_way = cardOf(timed("now", { from: NOON - HOUR, until: NOON - 60_000 }), NOON, WALL);
  expect(under_way).toMatchObject({ sign: "soon", when: "begun by 11:59" });
});

test("every kind of operation brings an instrument of its own station, and every instrument has its word", () => {
  for (const { station } of STATIONS)
    for (const kind of OPERATION_KINDS) {
      const brought = instrumentFor(station, kind);
      if (brought === undefined) expect(instrumentsAt(station)).toEqual([]);
      else expect(instrumentsAt(station)).toContain(brought);
      if (brought) expect(instrumentLabel(brought)).toMatch(/^[A-Z]/);
    }
});

test("where what belongs to it is not there the first tab that is there stands in front", () => {
  expect(frontOf("fill", "amounts", ["section", "amounts"])).toBe("amounts");
  expect(frontOf("fill", "amounts", ["section", "found"])).toBe("section");
  expect(frontOf("level", undefined, ["found", "film"])).toBe("film");
  expect(frontOf("survey", undefined, [])).toBeUndefined();
});
