import "fake-indexeddb/auto";
import fc from "fast-check";
import { type Device, inMemory, onDisk, orElse } from "./device";
import { Outbox } from "./outbox";
import { type Kept, nextToSend, requestOf, versionAfter } from "./queue";
import { entry, FakeRecord } from "./record.fixture";

let record: FakeRecord;
const real = globalThis.fetch;
beforeEach(() => {
  record = new FakeRecord();
  globalThis.fetch = (async (url: string, init: RequestInit) => record.answer(url, init)) as typeof fetch;
});
afterAll(() => {
  globalThis.fetch = real;
});

const clock = 0;
const alone = { tell: () => undefined, alone: (work: () => Promise<void>) => work() };
const boxOn = (device: Device) => new Outbox(device, alone, () => clock);
const keys = (box: Outbox) => box.snapshot().map(({ key }) => key);

test("what is written while all is well stands in the record, and nothing stays here", async () => {
  const box = boxOn(inMemory());
  expect(await box.write(entry("a"), 0)).toEqual({ state: "saved", version: 1 });
  expect(await box.write(entry("b"), 1)).toEqual({ state: "saved", version: 2 });
  expect([record.logs.get("t"), keys(box)]).toEqual([["a", "b"], []]);
});

test.each([503, 500, 507])(
  "two acts while the record answers %i: both are kept, and both go up in their order when it is back",
  async (status) => {
    const box = boxOn(inMemory());
    record.away = status;
    expect((await box.write(entry("photograph"), 0)).state).toBe("kept");
    // the page has not seen the first: it writes with the version that it knows
    expect((await box.write(entry("clean"), 0)).state).toBe("kept");
    expect(keys(box)).toEqual(["photograph", "clean"]);
    record.away = undefined;
    await box.flush();
    expect([record.logs.get("t"), keys(box)]).toEqual([["photograph", "clean"], []]);
  },
);

test("what is kept outlives the page, and a lost answer makes no second entry", async () => {
  const name = crypto.randomUUID();
  const before = boxOn(onDisk(name));
  record.away = "cut";
  await before.write(entry("a"), 0);
  record.away = 503;
  await before.write(entry("b"), 0);
  record.away = undefined;
  const after = boxOn(onDisk(name));
  await after.load();
  expect(keys(after)).toEqual(["a", "b"]);
  await after.flush();
  expect([record.logs.get("t"), keys(after)]).toEqual([["a", "b"], []]);
});

test("what others wrote meanwhile holds mine and all that follows it, with theirs beside it, until it is settled", async () => {
  const box = boxOn(inMemory());
  record.logs.set("t", ["theirs", "theirs too"]);
  const collided = await box.write(entry("mine"), 0);
  expect(collided).toMatchObject({ state: "kept", problem: { status: 409, theirs: ["a step"] } });
  await box.write(entry("mine after"), 0);
  await box.write(entry("elsewhere", "u"), 0);
  expect([keys(box), record.logs.get("u")]).toEqual([["mine", "mine after"], ["elsewhere"]]);
  await box.asWell(box.snapshot()[0] as Kept);
  expect([record.logs.get("t"), keys(box)]).toEqual([["theirs", "theirs too", "mine", "mine after"], []]);
});

test("mine is dropped: what follows it moves up", async () => {
  const box = boxOn(inMemory());
  record.away = 503;
  await box.write(entry("a"), 0);
  await box.write(entry("b"), 0);
  record.away = undefined;
  await box.drop(box.snapshot()[0] as Kept);
  expect([record.logs.get("t"), keys(box)]).toEqual([["b"], []]);
});

test("what is refused goes back to who typed it; refused later, it stays to be looked at", async () => {
  const box = boxOn(inMemory());
  expect(await box.write(entry("a", "t", "bad"), 0)).toMatchObject({ state: "refused", problem: { status: 422 } });
  expect(keys(box)).toEqual([]);
  record.away = 503;
  await box.write(entry("b", "t", "bad"), 0);
  record.away = undefined;
  await box.flush();
  expect(box.snapshot()).toMatchObject([{ key: "b", problem: { status: 422 } }]);
});

test("a browser without a database keeps for as long as the page is open", async () => {
  const broken: Device = {
    all: () => Promise.reject(new Error()),
    add: () => Promise.reject(new Error()),
    change: () => Promise.reject(new Error()),
  };
  const box = boxOn(orElse(broken, inMemory()));
  record.away = 503;
  expect((await box.write(entry("a"), 0)).state).toBe("kept");
  expect(keys(box)).toEqual(["a"]);
});

describe("an entry that waited says how long ago it was", () => {
  const kept = { ...entry("a"), version: 3, since: 0 };
  const MINUTE = 60_000;
  test("not within a minute, then in minutes, and after two days as a time", () => {
    expect(requestOf(kept, 0.5 * MINUTE)).toEqual({ key: "a", version: 3, body: kept.body });
    expect(requestOf(kept, 20 * MINUTE)).toMatchObject({ minutes_ago: 20 });
    expect(requestOf(kept, 3000 * MINUTE)).toMatchObject({ at: "1970-01-01T00:00:00.000Z" });
  });
  test("a time that was typed stays; minutes that were typed add up", () => {
    expect(requestOf({ ...kept, options: { at: "2026-10-07T10:00:00Z" } }, 20 * MINUTE)).toMatchObject({ at: "2026-10-07T10:00:00Z" });
    expect(requestOf({ ...kept, options: { minutes_ago: 5 } }, 20 * MINUTE)).toMatchObject({ minutes_ago: 25 });
  });
});

test("whatever comes in whatever order, with outages between: each entry stands once, in the order of its treatment", async () => {
  const acts = fc.array(fc.tuple(fc.constantFrom("t", "u"), fc.constantFrom<FakeRecord["away"]>(undefined, 503, 500, "cut")), {
    maxLength: 20,
  });
  await fc.assert(
    fc.asyncProperty(acts, async (told) => {
      record = new FakeRecord();
      const box = boxOn(inMemory());
      for (const [i, [treatment, away]] of told.entries()) {
        record.away = away;
        await box.write(entry(`${i}`, treatment), record.logs.get(treatment)?.length ?? 0);
      }
      record.away = undefined;
      await box.flush();
      // over which something broke too often, it is pressed
      for (const held of box.snapshot()) await box.again(held);
      expect(keys(box)).toEqual([]);
      for (const treatment of ["t", "u"])
        expect(record.logs.get(treatment) ?? []).toEqual(told.flatMap(([of], i) => (of === treatment ? [`${i}`] : [])));
    }),
    { numRuns: 60 },
  );
});

describe("one mix for several waits and goes up as one", () => {
  const mix = (id: string, versions: { t: number; u: number }) => ({
    ...entry(id),
    batch: {
      words: "One mix for 2",
      request: { id, portions: [{ treatment: "t" }, { treatment: "u" }] },
      takes: [
        { treatment: "t", version: versions.t, entries: 1 },
        { treatment: "u", version: versions.u, entries: 1 },
      ],
    },
  });

  test("after what is kept for each of its logs, and before what comes after it", async () => {
    const box = boxOn(inMemory());
    record.away = 503;
    await box.write(entry("t first", "t"), 0);
    expect((await box.write(mix("mix", { t: 0, u: 0 }), 0)).state).toBe("kept");
    await box.write(entry("u after", "u"), 0);
    record.away = undefined;
    await box.flush();
    expect([record.logs.get("t"), record.logs.get("u"), keys(box)]).toEqual([["t first", "mix"], ["mix", "u after"], []]);
  });

  test("one that collides holds all its logs; dropped, what follows moves up", async () => {
    const box = boxOn(inMemory());
    record.logs.set("u", ["theirs"]);
    await box.write(mix("mix", { t: 0, u: 0 }), 0);
    await box.write(entry("t after", "t"), 0);
    expect([keys(box), record.logs.get("t")]).toEqual([["mix", "t after"], undefined]);
    await box.drop(box.snapshot()[0] as Kept);
    expect([record.logs.get("t"), keys(box)]).toEqual([["t after"], []]);
  });

  test("says how long ago it was stirred", () => {
    const kept = { ...mix("mix", { t: 3, u: 5 }), version: 3, since: 0 };
    expect(requestOf(kept, 20 * 60_000)).toEqual({
      id: "mix",
      portions: [
        { treatment: "t", version: 3 },
        { treatment: "u", version: 5 },
      ],
      minutes_ago: 20,
    });
  });
});

test("what breaks over and over is not sent for ever; pressed, it is tried once more", async () => {
  const box = boxOn(inMemory());
  record.away = 500;
  await box.write(entry("a"), 0);
  for (let times = 0; times < 10; times++) await box.flush();
  expect(record.asked).toBe(3);
  record.away = undefined;
  await box.flush();
  expect(keys(box)).toEqual(["a"]);
  await box.again(box.snapshot()[0] as Kept);
  expect([record.logs.get("t"), keys(box)]).toEqual([["a"], []]);
});

test("the order of a queue: one that is held holds its own treatment and no other", () => {
  const at = (id: number, treatment: string, status?: number): Kept => ({
    ...entry(`${id}`, treatment),
    id,
    version: id,
    since: 0,
    ...(status ? { problem: { type: "", title: "", status, detail: "" } } : {}),
  });
  expect(nextToSend([at(1, "t", 409), at(2, "t"), at(3, "u")], new Set())?.id).toBe(3);
  expect(nextToSend([at(1, "t", 503), at(2, "t")], new Set())?.id).toBe(1);
  expect(nextToSend([at(1, "t", 503), at(2, "t")], new Set([1]))).toBeUndefined();
  expect(versionAfter([at(4, "t"), at(7, "u")], "t", 2)).toBe(5);
});
