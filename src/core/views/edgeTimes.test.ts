import fc from "fast-check";
import type { Operation } from "../plan/plan.schema";
import type { EventBody } from "../record/events.schema";
import { isLooking } from "./acts";
import { AIR, CHIP, CHOSEN, done, MINUTE, mixed, NOON, placed, ready, type Seen, see, surveyed, type Told } from "./story.fixture";

/** The entry that does an operation against whatever stands against it. */
const forced = ({ id, starts, class: name, thickness_mm = 1 }: Operation): EventBody =>
  done(id, {
    ...(starts && name ? { start: { class: name as never, thickness_mm, climate: AIR } } : {}),
    against: { state: "too-early", because: "the owner waits below" },
  });

/** Everything that has to be behind an operation. */
function before(op: Operation, byId: ReadonlyMap<string, Operation>, found = new Set<Operation>()): Set<Operation> {
  for (const { op: id } of op.after) {
    const each = byId.get(id);
    if (each && !found.has(each)) before(each, byId, found.add(each));
  }
  return found;
}

/** A material clock that runs still under an operation, though what waits for it was done. */
function runningUnder(op: Operation, { worked }: Seen, now: number): number[] {
  const byId = new Map(worked.repair.operations.map((each) => [each.id, each]));
  return [op, ...before(op, byId)].flatMap(({ after }) =>
    after.flatMap(({ op: id, stage, share = 1 }) => {
      const at = worked.clocks
        .get(id)
        ?.stagesAt(share)
        .find((each) => each.stage === stage)?.at;
      return at !== undefined && at > now ? [at] : [];
    }),
  );
}

const REPAIRS: readonly (readonly Told[])[] = [
  CHOSEN,
  [
    [700, surveyed({ kind: "break-across", width_mm: 30, height_mm: 20, gap_mm: 0.1 })],
    [690, { kind: "matched", stance: "service", chain: [{ role: "adhesive", class: "epoxy-slow" }], hands_min: 5 }],
  ],
  [
    [700, surveyed({ ...CHIP, depth_mm: 3 })],
    [690, { kind: "matched", stance: "service", chain: [{ role: "filler", class: "polyester-filler" }], hands_min: 5 }],
  ],
];

test("whatever was forced or left out, nothing stands on a material that has not cured: only what sets itself, and looking, goes on", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...REPAIRS),
      fc.integer({ min: 1, max: 25 }),
      fc.integer({ min: 1, max: 30 }),
      fc.nat(3),
      (told, count, gap, leaves) => {
        const log: Told[] = [...told];
        for (let i = 0; i < count; i++) {
          const { worked } = see(log);
          const next = worked.repair.operations.find(({ id, kind }) => !worked.marks.has(id) && kind !== "sign");
          if (!next) break;
          const ago = 600 - i * gap * (600 / (30 * 25));
          log.push([ago, i % 4 === leaves && !next.starts ? { kind: "skipped", op: next.id, reason: "no need" } : forced(next)]);
        }
        const seen = see(log);
        for (const { op, state, until } of seen.acts) {
          if (state !== "now" || isLooking(op) || seen.worked.batches.has(op.id)) continue;
          const running = runningUnder(op, seen, NOON);
          expect({ op: op.id, running: running.filter((at) => at <= (until ?? Infinity)) }).toEqual({ op: op.id, running: [] });
        }
      },
    ),
    { numRuns: 40 },
  );
});

test("a cup that was stirred too early is used up: what sets before the wait is over is not held by it", () => {
  const { act } = see([...CHOSEN, ...ready, [80, mixed(1)], [72, placed(1)], [5, mixed(2)]]);
  expect(act("r1/fill/place-2/d1/loss").state).toBe("now");
});

test("a look is never refused, however early; what stands on what was seen waits for the material", () => {
  const log: Told[] = [...CHOSEN, ...ready, [80, mixed(1)], [72, placed(1)]];
  const { acts, act } = see(log);
  const check = acts.find(({ op, state }) => op.kind === "check" && op.station === "fill" && state !== "done")?.op as Operation;
  const looked = see([
    ...log,
    ...acts
      .filter(({ op, state }) => state !== "done" && op.station === "fill" && op.id !== check.id)
      .map(({ op }): Told => [2, forced(op)]),
  ]);
  expect(looked.act(check.id)).toMatchObject({ state: "too-early", needs: "nothing" });
  expect(act(check.id).needs).toBe("reason");
});

test("of two places that one mix filled, the thin one is ready before the thick one", () => {
  const { worked } = see([
    ...CHOSEN,
    ...ready,
    [80, done("r1/fill/mix-1/epoxy-putty", { start: { class: "acrylic-dispersion-filler", thickness_mm: 20, climate: AIR } })],
  ]);
  const clock = worked.clocks.get("r1/fill/mix-1/epoxy-putty");
  const ends = [0.2, 1].map((share) => clock?.stagesAt(share).at(-1)?.at ?? Number.NaN);
  expect((ends[0] as number) - NOON + 80 * MINUTE).toBeLessThan((ends[1] as number) - NOON + 80 * MINUTE);
});
