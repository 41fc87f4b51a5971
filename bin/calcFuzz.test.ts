import fc from "fast-check";
import { CALCULATIONS, type CalcName } from "../src/core/calc";
import { ABRASIVE_SYSTEMS } from "../src/core/catalogue";
import type { LadderInput } from "../src/core/level/ladder.schema";
import type { PlanInput } from "../src/core/plan/plan.schema";
import { check } from "../src/core/problem";
import type { ScheduleInput } from "../src/core/schedule/schedule.schema";
import { fromSchema } from "../src/core/units/fromSchema.fixture";
import { CALC_LIMIT_MS, calcInThread, endCalcThread } from "../src/work/calcThread";

afterAll(endCalcThread);

/** A second on a machine that does nothing else; here others run beside it. */
const WATCHDOG_MS = 5 * CALC_LIMIT_MS;
const RUNS = Number(process.env.FUZZ_RUNS ?? 60);

/** What hangs together: damages are of parts that the piece has, links of tasks that are there. */
const JOINED: Partial<Record<CalcName, (asked: never) => unknown>> = {
  plan: ({ tools: _tools, entries: _entries, ...asked }: PlanInput) => {
    const [part] = asked.piece.parts;
    const damages = asked.damages.map(({ way: _way, choose, ...each }, i) => ({
      ...each,
      ...(i % 2 && choose ? { choose: choose.map(({ place: _place, ...link }) => link) } : {}),
      id: `d${i + 1}`,
      part: part?.id ?? "",
    }));
    return { ...asked, damages };
  },
  schedule: (asked: ScheduleInput) => {
    const ids = asked.tasks.map((_, i) => `t${i}`);
    const links = asked.links?.map((each, i) => ({ ...each, from: ids[i % ids.length], to: ids[(i + 1) % ids.length] }));
    const tasks = asked.tasks.map((each, i) => ({ ...each, id: ids[i], uses: i % 2 ? ["spray"] : [] }));
    return { ...asked, calendar: { ...asked.calendar, from: "08:00", timezone: "Europe/Berlin" }, resources: { spray: 1 }, links, tasks };
  },
  ladder: (asked: LadderInput) => {
    const known = ({ grade }: LadderInput["from"]) => {
      const grades = ABRASIVE_SYSTEMS.P.grades;
      return { system: "P", grade: grades[Math.round(Math.abs(Number.parseFloat(String(grade).replace(/^\D/, "")))) % grades.length]?.[0] };
    };
    return { ...asked, from: known(asked.from), to: known(asked.to), ...(asked.stock ? { stock: asked.stock.map(known) } : {}) };
  },
};

describe.each(Object.keys(CALCULATIONS) as CalcName[])("whatever %s lets in", (name) => {
  const { input, result } = CALCULATIONS[name];

  test("is answered within a second, in numbers, or refused at its field", async () => {
    await fc.assert(
      fc.asyncProperty(
        fromSchema(input).map((made) => JOINED[name]?.(made as never) ?? made),
        async (asked) => {
          fc.pre(check(input, asked).length === 0);
          const outcome = await calcInThread(name, asked, WATCHDOG_MS);
          if (!outcome.ok) {
            expect(outcome.problem.status).toBe(422);
            expect(outcome.problem.title).not.toBe("Too much at once");
            expect(outcome.problem.errors?.length).toBeGreaterThan(0);
          } else expect(check(result, JSON.parse(JSON.stringify(outcome.result)))).toEqual([]);
        },
      ),
      { numRuns: RUNS, maxSkipsPerRun: 1000 },
    );
  }, 240_000);
});

test("what takes too long is given up, and the next question is answered", async () => {
  const shards = { kind: "shards", shards: 500, break_length_mm: 9000, thickness_mm: 4, gap_mm: 0, support: "body" };
  const long: PlanInput = {
    piece: { parts: [{ id: "body", substrate: "porcelain" }] },
    damages: [{ id: "d1", part: "body", survey: { damage: shards as PlanInput["damages"][number]["survey"]["damage"], service: {} } }],
    stance: "reversible",
    climate: { temp_C: 18, rh_pct: 50 },
    at: "2026-10-07T12:00:00Z",
  };
  // in a fresh thread, where nothing is compiled yet
  await endCalcThread();
  expect(await calcInThread("plan", long, 5)).toMatchObject({ ok: false, problem: { status: 422, title: "Too much at once" } });
  const chip = { solids: [{ shape: "edgeChip", length: 34, depth: 11, thickness: 6 }] };
  expect(await calcInThread("volume", chip)).toMatchObject({ ok: true, result: { volume_cm3: expect.closeTo(1.762, 3) } });
});

test("what throws in the thread is thrown where it was asked", async () => {
  await expect(calcInThread("volume", Symbol("not to be cloned"))).rejects.toThrow();
  expect(await calcInThread("polish", {})).toMatchObject({ ok: false, problem: { status: 404 } });
});
