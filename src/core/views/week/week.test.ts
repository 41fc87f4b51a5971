import fc from "fast-check";
import { schedule } from "../../schedule/schedule";
import { freshShop } from "../../shop/shop";
import { wall } from "../../units";
import { takesOf } from "../needs";
import { CHOSEN, done, MINUTE, mixed, NOON, placed, READY, see, type Told } from "../story.fixture";
import { weekAxis } from "./axis";
import { type Blocks, blocksOf } from "./blocks";
import { startBy } from "./startBy";
import { startsNow } from "./startWords";
import { toBuy } from "./toBuy";
import { calendarOf, type Planned, weekPlan, weekQuestion } from "./weekPlan";
import { weekView } from "./weekView";

const SHOP = { ...freshShop("a shop", "UTC"), from: "08:00", to: "18:00" };
const CALENDAR = calendarOf(SHOP);
const WALL = wall("UTC");
const HOUR = 60 * MINUTE;

function jarBlocks(): Blocks {
  const { worked, acts } = see([...CHOSEN]);
  return blocksOf(acts, takesOf(worked));
}

const planned = (treatment: string, blocks: Blocks, promised: string | null = null): Planned => ({
  treatment,
  piece: `piece ${treatment}`,
  title: "rim chip",
  kind: "vessel",
  promised,
  ...blocks,
});

const planOf = (open: readonly Planned[], hands = 1, now = NOON, shop = SHOP) => {
  const question = weekQuestion(open, shop, hands, now);
  return weekPlan(question, question.input && schedule(question.input));
};

test("every open operation is in one block, in the order of the plan, and hands are those of its operations", () => {
  const { worked, acts } = see([...CHOSEN]);
  const { blocks } = blocksOf(acts, takesOf(worked));
  expect(blocks.flatMap(({ ops }) => ops)).toEqual(acts.filter(({ state }) => state !== "done").map(({ op }) => op.id));
  expect(blocks.length).toBeGreaterThan(3);
  expect(blocks.length).toBeLessThan(acts.length);
});

test("what waits for a clock within a block begins another one, and the wait lies between them", () => {
  const { acts } = see([...CHOSEN]);
  const { blocks, lags } = jarBlocks();
  const blockOf = (op: string) => blocks.findIndex(({ ops }) => ops.includes(op));
  for (const { op } of acts)
    for (const { op: before, min_min } of op.after)
      if (min_min >= 3 && blockOf(before) >= 0) {
        expect(blockOf(before)).toBeLessThan(blockOf(op.id));
        expect(lags.some(({ from, to }) => from === blocks[blockOf(before)]?.id && to === blocks[blockOf(op.id)]?.id)).toBe(true);
      }
});

test("no plan breaks the shop's hours, its hands or an order, over random shops", () => {
  const jar = jarBlocks();
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 5 }),
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: -2000, max: 2000 }),
      (pieces, hands, minutes) => {
        const now = NOON + minutes * MINUTE;
        const plan = planOf(
          Array.from({ length: pieces }, (_, i) => planned(String(i), jar)),
          hands,
          now,
        );
        const all = plan.rows.flatMap(({ blocks }) => blocks);
        for (const { start, end } of all) {
          expect(start).toBeGreaterThanOrEqual(now);
          expect([WALL.minuteOfDay(start) >= 480, WALL.minuteOfDay(end) <= 1080, WALL.date(start)]).toEqual([true, true, WALL.date(end)]);
          const busy = all.filter((other) => other.start < end - 1 && other.end > start + 1);
          for (const { start: at } of busy)
            expect(busy.filter((other) => other.start <= at && other.end > at + 1).length).toBeLessThanOrEqual(hands);
        }
        for (const { blocks, lags } of plan.rows)
          for (const { from, to, min_min } of lags) {
            const [first, second] = [from, to].map((id) => blocks.find((block) => block.id === id));
            expect((second?.start ?? 0) - (first?.end ?? 0)).toBeGreaterThanOrEqual(min_min * MINUTE - 1);
          }
      },
    ),
    { numRuns: 6 },
  );
});

test("what is promised sooner is ready no later than the same that is promised to nobody; on a closed day nobody works", () => {
  const jar = jarBlocks();
  const { rows } = planOf([planned("free", jar), planned("due", jar, "2026-10-12")]);
  const ready = (treatment: string) => rows.find((row) => row.treatment === treatment)?.ready ?? 0;
  expect(ready("due")).toBeLessThanOrEqual(ready("free"));
  const shut = { ...SHOP, closed: [{ from: "2026-10-08", to: "2026-10-11", because: "fair" }] };
  const dates = planOf([planned("a", jar)], 1, NOON, shut).rows.flatMap(({ blocks }) => blocks.map(({ start }) => WALL.date(start)));
  expect(dates.filter((date) => date >= "2026-10-08" && date <= "2026-10-11")).toEqual([]);
});

test("a window that shuts before anyone is there is told as missed, and by how much", () => {
  const block = { id: "trim", ops: ["trim"], station: "fill" as const, title: "Trim with a blade", hands_min: 8, uses: [], takes: [] };
  const night = NOON + 12 * HOUR;
  const open = planned("jar", { blocks: [{ ...block, from: night - HOUR, until: night + HOUR }], lags: [] });
  const plan = planOf([open], 1, NOON + 10 * HOUR);
  // eight in the morning, seven hours after one at night
  expect(plan.rows[0]?.waits[0]?.missed_min).toBeCloseTo(420, 0);
  expect(weekView(plan, CALENDAR, 1, WALL).why[0]).toContain("Its window shuts before anyone is here, at Thu 1:00.");
  expect(weekView(plan, CALENDAR, 1, WALL).clashes[0]).toContain(
    "trim with a blade waits for its clock, until Thu 1:00; hands are there 7 h later",
  );
});

test("six working days stand side by side, nights folded: later is never further left", () => {
  const axis = weekAxis(NOON, 6, CALENDAR, WALL);
  expect(axis.stretches.flatMap(({ label }) => label ?? [])).toEqual(["Wed 7", "Thu 8", "Fri 9", "Mon 12", "Tue 13", "Wed 14"]);
  const times = Array.from({ length: 400 }, (_, i) => axis.at(NOON + i * HOUR));
  for (const [i, at] of times.entries()) expect(at).toBeGreaterThanOrEqual(times[i - 1] ?? 0);
  expect([times[0], times.at(-1)]).toEqual([expect.closeTo(0.06, 1), 1]);
});

test("what is taken over what is here is to buy, by the block that first takes more", () => {
  const takes = (grams: number) => [{ role: "filler" as const, class: "epoxy-putty" as const, grams }];
  const block = (id: string, grams: number) => ({
    id,
    ops: [id],
    station: "fill" as const,
    title: id,
    hands_min: 10,
    uses: [],
    takes: takes(grams),
  });
  const plan = planOf([
    planned("a", { blocks: [block("a", 5)], lags: [] }, "2026-10-08"),
    planned("b", { blocks: [block("b", 4)], lags: [] }),
  ]);
  const lot = { id: "l", label: "tub", size_g: 10, left_g: 7, version: 1 };
  const stock = [{ id: "p", version: 1, name: "Putty", class: "epoxy-putty" as const, figures: {}, lots: [lot] }];
  expect(toBuy(plan, stock)).toMatchObject([
    { takes_g: 9, here_g: 7, missing_g: 2, holds_up: "piece b", wanted_by: ["piece a", "piece b"] },
  ]);
  expect(toBuy(plan, [{ ...stock[0], lots: [{ ...lot, left_g: 9 }] } as (typeof stock)[0]])).toEqual([]);
});

test("start by when: what is trimmed three to five hours after its mix is mixed by one, or not before the small hours are over", () => {
  const mix = { hands_min: 10 };
  const after = [{ lag: { from: "mix", to: "trim", min_min: 180, max_min: 300, because: "firm" }, next: { hands_min: 10 } }];
  // mixed at noon it is trimmed from 15:10 on; 14:40 is the last that still ends by 18:00
  expect(startBy(mix, after, CALENDAR, NOON)).toEqual({ now: true, by: NOON + 160 * MINUTE });
  expect(startBy(mix, after, CALENDAR, NOON + 4 * HOUR)).toEqual({ now: false, after: Date.parse("2026-10-08T08:00:00Z") });
  expect(startBy(mix, [], CALENDAR, NOON)).toBeUndefined();
});

test("an hour that it says is kept: whatever is begun at it has its window in hours, over a year", () => {
  const day = fc.integer({ min: 0, max: 365 });
  const window = fc.record({ min: fc.integer({ min: 5, max: 900 }), wide: fc.integer({ min: 20, max: 400 }) });
  fc.assert(
    fc.property(day, fc.integer({ min: 0, max: 1439 }), window, (days, minute, { min, wide }) => {
      const now = NOON + days * 24 * HOUR + minute * MINUTE;
      const lag = { from: "a", to: "b", min_min: min, max_min: min + wide, because: "" };
      const found = startBy({ hands_min: 10 }, [{ lag, next: { hands_min: 10 } }], CALENDAR, now);
      const start = found?.now ? now : found?.after;
      if (start === undefined) return;
      const [from, to] = [start + (10 + min) * MINUTE, start + (10 + min + wide) * MINUTE];
      // somewhere in the window ten minutes of hands lie within hours
      const minutes = Array.from({ length: wide + 1 }, (_, i) => from + i * MINUTE).filter((at) => at <= to);
      expect(minutes.some((at) => isOpen(at) && isOpen(at + 10 * MINUTE - 1))).toBe(true);
      expect(isOpen(start)).toBe(true);
    }),
    { numRuns: 60 },
  );
});

const isOpen = (at: number) => {
  const minute = WALL.minuteOfDay(at);
  return ![0, 6].includes(new Date(at).getUTCDay()) && minute >= 480 && minute < 1080;
};

test("what is first is said with its reason; a plan of nothing says nothing", () => {
  const view = weekView(planOf([planned("a", jarBlocks(), "2026-10-20")]), CALENDAR, 1, WALL);
  expect(view.why[0]).toMatch(/^First piece a: .*, 12:00\. It is promised for Tue 20 Oct\./);
  expect(view.loads[0]).toMatchObject({ label: "Wed 7", there: 360 });
  expect(view.loads[0]?.taken).toBeGreaterThan(20);
  expect(weekView(planOf([]), CALENDAR, 1, WALL)).toMatchObject({ rows: [], why: [] });
});

test("the card says by when a mix has to be begun, where what follows would fall out of hours", () => {
  // the first layer was laid a day ago: the second, which is trimmed while it is firm, can be mixed
  const told: Told[] = [...READY.map((op): Told => [1700, done(op)]), [1600, mixed(1)], [1595, placed(1)]];
  const chosen: Told[] = CHOSEN.map(([, body], i) => [1800 - i, body]);
  const at = (minutes: number) => startsNow(see([...chosen, ...told], minutes).acts, CALENDAR, NOON + minutes * MINUTE, WALL);
  const [words] = Object.values(at(0));
  expect(words).toMatch(/^start by 1\d:\d\d, or what comes after it falls out of hours\.$/);
  // late in the afternoon the trim would fall into the evening
  expect(Object.values(at(330))[0]).toMatch(/^not now: .* Start from Thu 8:00\.$/);
});

test("more than can be planned at once: what is promised latest is left out, by name, and still bought for", () => {
  const takes = [{ role: "filler" as const, class: "epoxy-putty" as const, grams: 2 }];
  const many = Array.from({ length: 12 }, (_, i) => ({
    id: `b${i}`,
    ops: [`b${i}`],
    station: "fill" as const,
    title: "Mix",
    hands_min: 5,
    uses: [],
    takes,
  }));
  const open = Array.from({ length: 32 }, (_, i) =>
    planned(String(i), { blocks: many, lags: [] }, i === 0 ? null : `2026-10-${String(10 + (i % 20))}`),
  );
  const { taken, left_out } = weekQuestion(open, SHOP, 1, NOON);
  expect([taken.length, left_out.length]).toEqual([31, 1]);
  expect(left_out[0]?.piece).toBe("piece 0");
  const nothing = { now: NOON, rows: [], finish: NOON, bound: NOON, proven: true, left_out };
  const [row] = toBuy(nothing, []);
  expect(row).toMatchObject({ takes_g: 24, missing_g: 24, holds_up: "piece 0" });
  expect(row).not.toHaveProperty("needed");
});

test("one jar is not counted twice: what takes of its product and what takes of its class draw on the same grams, at the jar's own price", () => {
  const block = (id: string, product?: string) => ({
    id,
    ops: [id],
    station: "fill" as const,
    title: id,
    hands_min: 10,
    uses: [],
    takes: [{ role: "filler" as const, class: "epoxy-putty" as const, grams: 5, ...(product ? { product } : {}) }],
  });
  const plan = planOf([
    planned("own", { blocks: [block("own", "p")], lags: [] }, "2026-10-08"),
    planned("any", { blocks: [block("any")], lags: [] }),
  ]);
  const stock = [
    {
      id: "p",
      version: 1,
      name: "Putty",
      class: "epoxy-putty" as const,
      figures: { price_eur_kg: [1000, 1000] as const },
      lots: [{ id: "l", label: "tub", size_g: 10, left_g: 3, version: 1 }],
    },
  ];
  const rows = toBuy(plan, stock);
  expect(rows.map(({ product, here_g, missing_g }) => [product, here_g, missing_g])).toEqual([
    ["p", 3, 2],
    [undefined, 0, 5],
  ]);
  expect(rows[0]?.eur).toEqual([2, 2]);
});
