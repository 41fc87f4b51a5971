import fc from "fast-check";
import type { EventBody } from "../record/events.schema";
import { BODY_VERSION } from "../record/events.schema";
import { readLog } from "../record/treatment";
import { admit } from "./admit";
import { operationViews } from "./operationView";
import { AIR, CHIP, CHOSEN, JAR, logOf, MINUTE, matched, NOON, placed as putAway, see, surveyed, type Told, WALL } from "./story.fixture";
import { worked } from "./worked";
import { type PlacedRow, placed, type UpTyped, upRows } from "./writtenUp";

const DAY = 24 * 60;

/** The rows of a log that is written up at noon, hands having begun so many minutes before. */
function writeUp(told: readonly Told[], beganAgo: number, typed: Readonly<Record<string, Partial<UpTyped>>> = {}): PlacedRow[] {
  const { treatment, worked: found, acts } = see(told);
  const rows = upRows(found, operationViews(treatment, found, acts, [], NOON));
  const all = new Map(Object.entries(typed).map(([op, each]) => [op, { at: "", took: "", ...each }]));
  return placed(rows, all, { began: NOON - beganAgo * MINUTE, now: NOON, wall: WALL });
}

const body = ({ row: { operation } }: PlacedRow): EventBody => ({
  kind: "done",
  op: operation.id,
  hands_min: 5,
  ...(operation.start ? { start: { ...operation.start, climate: AIR } } : {}),
});

const row = (rows: readonly PlacedRow[], op: string): PlacedRow => {
  const found = rows.find((each) => each.row.operation.id === op);
  if (!found) throw new Error(`no row ${op}`);
  return found;
};

test("what is open is proposed one after another, each when the one before is done; what can’t be done yet is to come", () => {
  const rows = writeUp(CHOSEN, 60);
  const fits = rows.filter(({ state }) => state === "fits");
  expect(fits[0]).toMatchObject({ proposed: true, row: { operation: { id: "r1/ready/photograph" } } });
  const times = fits.map(({ at = 0 }) => at);
  expect([...new Set(times)].sort((a, b) => a - b)).toEqual(times);
  expect(rows.at(-1)?.state).toBe("to-come");
  expect(rows.some(({ row: { operation } }) => operation.kind === "sign")).toBe(false);
});

test("what is proposed can be kept as it is, however long ago hands began: the record refuses none of it", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 5, max: 40 * DAY }),
      fc.integer({ min: 5, max: 60 }),
      fc.integer({ min: 2, max: 30 }),
      fc.constantFrom(matched, { ...matched, chain: [{ role: "filler", class: "polyester-filler" }] } as EventBody),
      (beganAgo, length_mm, depth_mm, chain) => {
        const told: Told[] = [
          [50 * DAY, surveyed({ ...CHIP, length_mm, depth_mm })],
          [50 * DAY - 1, chain],
        ];
        const log = logOf(...told);
        for (const each of writeUp(told, beganAgo).filter(({ state }) => state === "fits")) {
          const treatment = readLog(log);
          const found = worked(JAR, treatment, AIR, { constant_C: AIR.temp_C }, each.at ?? 0);
          expect(admit({ treatment, worked: found, at: each.at ?? 0, past: true }, body(each))).toBeUndefined();
          log.push({
            id: crypto.randomUUID(),
            seq: log.length + 1,
            v: BODY_VERSION,
            at: new Date(each.at ?? 0).toISOString(),
            body: body(each),
          });
        }
      },
    ),
    { numRuns: 10 },
  );
});

test("a time that is typed stays and takes along what comes after it", () => {
  const [first, second] = writeUp(CHOSEN, 600);
  const moved = writeUp(CHOSEN, 600, { "r1/ready/photograph": { at: "8:00", took: "20" } });
  expect(moved[0]).toMatchObject({ proposed: false, state: "fits", at: Date.parse("2026-10-07T08:00:00Z") });
  expect((moved[1]?.at ?? 0) - (moved[0]?.at ?? 0)).toBe((second?.at ?? 0) - (first?.at ?? 0));
});

test("out of order, too early, too late, in the future and not readable are said at their row, with what fits", () => {
  const told: Told[] = [...CHOSEN, ...["r1/ready/photograph"].map((op): Told => [500, { kind: "done", op, hands_min: 5 }])];
  expect(row(writeUp(told, 400, { "r1/level/grit-1/P120": { at: "9:00" } }), firstGrit(told))).toMatchObject({ state: "to-come" });
  const rows = writeUp(told, 400, { [firstGrit(told)]: { at: "9:00" } });
  expect(row(rows, firstGrit(told))).toMatchObject({ state: "blocked", because: expect.stringMatching(/^First: /) });
  expect(writeUp(told, 400, { "r1/ready/clean/d1": { at: "13:00" } })[0]).toMatchObject({
    state: "unreadable",
    because: expect.stringMatching(/future/),
  });
  expect(writeUp(told, 400, { "r1/ready/clean/d1": { at: "soon" } })[0]).toMatchObject({ state: "unreadable" });
});

const firstGrit = (told: readonly Told[]): string => see(told).acts.find(({ op }) => op.name === "grit")?.op.id ?? "";

test("a time before that of what goes before it is out of order, and the time that fits is told", () => {
  const photograph = { at: "9:00" };
  const rows = writeUp(CHOSEN, 600, { "r1/ready/photograph": photograph, "r1/ready/clean/d1": { at: "8:30" } });
  expect(row(rows, "r1/ready/clean/d1")).toMatchObject({
    state: "blocked",
    fits_at: Date.parse("2026-10-07T09:00:00Z"),
    because: expect.stringMatching(/^It comes after “photograph/),
  });
});

test("what is not done yet stays open, and what stands on it is to come", () => {
  const rows = writeUp(CHOSEN, 600, { "r1/ready/clean/d1": { not_yet: true } });
  expect(row(rows, "r1/ready/clean/d1").state).toBe("not-yet");
  expect(row(rows, "r1/ready/mask")).toMatchObject({ state: "to-come", because: expect.stringMatching(/^First: /) });
});

test("what waits for a clock that runs follows it, and nearer to it is too early", () => {
  const told: Told[] = [...CHOSEN, ...made(400)];
  const mixedAt = 300;
  const { act } = see(told);
  const mix = act("r1/fill/mix-1/epoxy-putty").op;
  const log: Told[] = [
    ...told,
    [
      mixedAt,
      { kind: "done", op: mix.id, hands_min: 5, start: { class: "epoxy-putty", thickness_mm: mix.thickness_mm ?? 1, climate: AIR } },
    ],
    [mixedAt - 5, putAway(1)],
  ];
  const open = see(log).acts.find(({ from = 0, state }) => state === "too-early" || (state === "now" && from > NOON - mixedAt * MINUTE));
  const op = open?.op.id ?? "";
  const from = open?.from ?? 0;
  const early = writeUp(log, 290, { [op]: { at: WALL.time(from - 10 * MINUTE) } });
  expect(row(early, op)).toMatchObject({ state: "too-early", fits_at: from });
});

/** Everything before the fill, done. */
const made = (ago: number): Told[] =>
  ["r1/ready/photograph", "r1/ready/clean/d1", "r1/ready/trim/d1", "r1/ready/mask", "r1/fill/dam/d1"].map(
    (op, i): Told => [ago - i, { kind: "done", op, hands_min: 5 }],
  );

test("what is left out starts no clock and holds up nothing", () => {
  const op = "r1/ready/clean/d1";
  const rows = writeUp(CHOSEN, 300, { [op]: { left_out: "clean already" } });
  expect(row(rows, op).state).toBe("left-out");
  expect(rows.filter(({ state }) => state === "fits").length).toBe(writeUp(CHOSEN, 300).filter(({ state }) => state === "fits").length - 1);
});
