import "fake-indexeddb/auto";
import fc, { type Scheduler } from "fast-check";
import { type Device, inMemory, onDisk } from "./device";
import { Outbox } from "./outbox";
import type { Kept } from "./queue";
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

const keys = (box: Outbox) => box.snapshot().map(({ key }) => key);
const turn = () => new Promise((done) => setTimeout(done, 1));

/** What the windows of a device share: what is kept, who sends, and what they tell one another. */
class Windows {
  private readonly ends = new Map<Outbox, () => void>();
  private sending: Promise<unknown> = Promise.resolve();

  constructor(private readonly disk: Device) {}

  open(): Outbox {
    let end: () => void = () => undefined;
    const gone = new Promise<void>((ended) => {
      end = ended;
    });
    // a lock ends with its window
    const alone = (work: () => Promise<void>) => {
      const mine = this.sending.then(() => Promise.race([work(), gone]));
      this.sending = mine.catch(() => undefined);
      return mine;
    };
    const tell = () => {
      for (const other of this.ends.keys()) if (other !== box) void other.load();
    };
    const box: Outbox = new Outbox(this.disk, { tell, alone }, () => 0);
    this.ends.set(box, end);
    return box;
  }

  /** Nobody reads its answers any more; what it had begun may still go on. */
  close(box: Outbox): void {
    this.ends.get(box)?.();
    this.ends.delete(box);
  }
}

test("an entry that one keeps while the other waits for its answer goes up after it", async () => {
  const windows = new Windows(onDisk(crypto.randomUUID()));
  const [a, b] = [windows.open(), windows.open()];
  const answers: Array<() => void> = [];
  globalThis.fetch = ((url: string, init: RequestInit) =>
    new Promise((answer) => answers.push(() => answer(record.answer(url, init))))) as typeof fetch;
  const first = a.write(entry("of a"), 0);
  while (answers.length < 1) await turn();
  const second = b.write(entry("of b"), 0);
  while (b.snapshot().length < 2) await turn();
  answers[0]?.();
  while (answers.length < 2) await turn();
  answers[1]?.();
  expect([await first, await second]).toEqual([
    { state: "saved", version: 1 },
    { state: "saved", version: 2 },
  ]);
  expect([record.logs.get("t"), keys(a), keys(b)]).toEqual([["of a", "of b"], [], []]);
});

test("what another sent and the record refused goes back to the window that it was typed in", async () => {
  const windows = new Windows(inMemory());
  const [a, b] = [windows.open(), windows.open()];
  record.away = 503;
  await a.write(entry("a"), 0);
  record.away = undefined;
  const [, refused] = await Promise.all([a.flush(), b.write(entry("b", "t", "bad"), 0)]);
  expect(refused).toMatchObject({ state: "refused", problem: { status: 422 } });
  expect([record.logs.get("t"), keys(a), keys(b)]).toEqual([["a"], [], []]);
});

test("dropped in one while the other waits for it, it is not called saved", async () => {
  const windows = new Windows(inMemory());
  const [a, b] = [windows.open(), windows.open()];
  record.away = 503;
  await a.write(entry("a"), 0);
  await a.load();
  const held = a.snapshot()[0] as Kept;
  const waits = b.write(entry("b"), 0);
  const both = await Promise.all([waits, b.drop(held), ...b.snapshot().map((each) => b.drop(each))]);
  expect(both[0].state).not.toBe("saved");
  expect(record.logs.get("t")).toBeUndefined();
});

/** A press in a window, what the record answers to it, and whether the window is closed then. */
const press = fc.record({
  window: fc.nat(2),
  treatment: fc.constantFrom("t", "u"),
  answer: fc.constantFrom<FakeRecord["away"]>(undefined, undefined, 503, 500, "cut"),
  closes: fc.boolean(),
});
type Press = typeof press extends fc.Arbitrary<infer T> ? T : never;

/** Press after press, while answers and the disk take their time; answers what was kept. */
async function pressed(s: Scheduler, disk: Device, windows: Windows, presses: readonly Press[]): Promise<void> {
  globalThis.fetch = s.scheduleFunction(async (url: string, init: RequestInit) => {
    record.away = presses[Number(JSON.parse(String(init.body)).key)]?.answer;
    return record.answer(url, init);
  }) as unknown as typeof fetch;
  const boxes = [windows.open(), windows.open(), windows.open()];
  const closed = new Set<Outbox>();
  for (const [i, { window, treatment, closes }] of presses.entries()) {
    const box = boxes[window] as Outbox;
    if (closed.has(box)) continue;
    void box.write(entry(`${i}`, treatment), record.logs.get(treatment)?.length ?? 0).catch(() => undefined);
    if (i % 3 === 0) await s.waitOne();
    if (!closes) continue;
    closed.add(box);
    windows.close(box);
  }
  await s.waitIdle();
  for (const box of boxes) windows.close(box);
  expect((await disk.all()).every(({ stood, key }) => stood === undefined || [...record.logs.values()].flat().includes(key))).toBe(true);
}

/** The record is back: everything is settled as a person would who looks at what is kept. */
async function settled(s: Scheduler, box: Outbox): Promise<void> {
  globalThis.fetch = (async (url: string, init: RequestInit) => {
    record.away = undefined;
    return record.answer(url, init);
  }) as typeof fetch;
  for (let rounds = 0; rounds < 40; rounds++) {
    await s.waitFor(box.flush());
    const [held] = box.snapshot();
    if (!held) break;
    await s.waitFor(held.problem?.status === 409 ? box.asWell(held) : box.again(held));
  }
  await s.waitIdle();
}

test("with answers that are slow or lost and windows that are closed, every kept entry stands once", async () => {
  await fc.assert(
    fc.asyncProperty(fc.scheduler(), fc.array(press, { minLength: 1, maxLength: 9 }), async (s, presses) => {
      record = new FakeRecord();
      const kept: string[] = [];
      const disk = inMemory();
      const slow: Device = {
        all: s.scheduleFunction(disk.all),
        change: s.scheduleFunction(disk.change),
        add: s.scheduleFunction(async (made: Parameters<Device["add"]>[0]) => {
          const added = await disk.add(made);
          kept.push(added.key);
          return added;
        }),
      };
      const windows = new Windows(slow);
      await pressed(s, disk, windows, presses);
      const last = windows.open();
      await settled(s, last);
      expect(keys(last)).toEqual([]);
      expect([...record.logs.values()].flat().sort()).toEqual(kept.sort());
    }),
    { numRuns: 200 },
  );
});
