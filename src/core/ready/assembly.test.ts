import fc from "fast-check";
import { type Assembly, assemblyOrder, type ShardMap } from "./assembly";

const ring = (count: number): [number, number][] => Array.from({ length: count }, (_, i) => [i, (i + 1) % count]);

/** Every shard stands in one group at the end, each join takes groups that stand, and no group takes more than its wet joins. */
function expectSound(map: ShardMap, joins: number, { sittings, locked }: Assembly): void {
  let groups = Array.from({ length: map.count }, (_, shard) => `${shard}`);
  for (const sitting of sittings) {
    const wet = new Map<string, number>();
    for (const { a, b } of sitting.joins) {
      const [keyA, keyB, both] = [a.join(), b.join(), [...a, ...b].sort((x, y) => x - y).join()];
      expect(groups).toEqual(expect.arrayContaining([keyA, keyB]));
      wet.set(both, (wet.get(keyA) ?? 0) + (wet.get(keyB) ?? 0) + 1);
      expect(wet.get(both)).toBeLessThanOrEqual(joins);
      groups = [...groups.filter((group) => group !== keyA && group !== keyB), both];
    }
    expect([...groups].sort()).toEqual(sitting.groups.map((group) => group.join()).sort());
  }
  if (locked.length === 0) expect(groups).toHaveLength(wholesOf(map));
}

function wholesOf({ count, touching }: ShardMap): number {
  const of = Array.from({ length: count }, (_, i) => i);
  const root = (i: number): number => (of[i] === i ? i : root(of[i] ?? i));
  for (const [a, b] of touching) of[root(a)] = root(b);
  return new Set(of.map((_, i) => root(i))).size;
}

describe("by hand", () => {
  test("two shards: one join, one sitting", () => {
    expect(assemblyOrder({ count: 2, touching: [[0, 1]] }, 1)).toEqual({
      sittings: [{ joins: [{ a: [0], b: [1] }], groups: [[0, 1]] }],
      locked: [],
      proven: true,
    });
  });

  test("a strip of four: pairs first, then the halves, two sittings; with two open joins each it is two as well, with three one", () => {
    const strip: ShardMap = {
      count: 4,
      touching: [
        [0, 1],
        [1, 2],
        [2, 3],
      ],
    };
    expect([1, 2, 3].map((joins) => assemblyOrder(strip, joins).sittings.length)).toEqual([2, 2, 1]);
  });

  test("a ring of five is never closed by a single shard: two and three make halves that close like a book", () => {
    const { sittings, locked } = assemblyOrder({ count: 5, touching: ring(5) }, 1);
    const last = sittings.at(-1)?.joins[0];
    expect(Math.min(last?.a.length ?? 0, last?.b.length ?? 0)).toBe(2);
    expect(locked).toEqual([]);
  });

  test("a shard without a rim is not left for a closed ring: the seven-shard saucer with its middle piece", () => {
    const saucer: ShardMap = {
      count: 7,
      touching: [...ring(6), ...ring(6).map(([i]): [number, number] => [i, 6])],
      rim: [0, 1, 2, 3, 4, 5],
    };
    const found = assemblyOrder(saucer, 1);
    expect(found.locked).toEqual([]);
    expect(found.sittings).toHaveLength(3);
    const last = found.sittings.at(-1)?.joins[0];
    expect([last?.a, last?.b]).not.toContainEqual([6]);
    expectSound(saucer, 1, found);
  });

  test("a ring without an outer edge is told, not ordered away: the last two arcs have to be eased in at once", () => {
    const band: ShardMap = { count: 6, touching: ring(6), rim: [] };
    const found = assemblyOrder(band, 2);
    expect(found.proven).toBe(false);
    expect(found.locked.length).toBeGreaterThanOrEqual(2);
    expect(found.locked.flat().sort()).toEqual([0, 1, 2, 3, 4, 5]);
    expectSound(band, 2, found);
  });

  test("what stands beside such a ring is still ordered", () => {
    const both: ShardMap = { count: 6, touching: [...ring(4), [4, 5]], rim: [4, 5] };
    const { sittings, locked } = assemblyOrder(both, 1);
    expect(sittings.flatMap(({ joins }) => joins)).toContainEqual({ a: [4], b: [5] });
    expect(locked.flat()).not.toContain(4);
  });

  test("a large ring without an edge ends as well, with the same words for it", () => {
    const found = assemblyOrder({ count: 30, touching: ring(30), rim: [] }, 3);
    expect(found.locked.flat()).toHaveLength(30);
    expectSound({ count: 30, touching: ring(30), rim: [] }, 3, found);
  });

  test("shards that touch nothing stay by themselves, and that is no trouble", () => {
    expect(assemblyOrder({ count: 3, touching: [[0, 1]] }, 1)).toMatchObject({ locked: [], sittings: [{ groups: [[2], [0, 1]] }] });
  });

  test.each([
    [{ count: 61, touching: [] }, "1 to 60 shards"],
    [{ count: 2, touching: [[0, 2]] as [number, number][] }, "is not there"],
  ])("%j is refused", (map, words) => {
    expect(() => assemblyOrder(map, 1)).toThrow(words);
  });
});

/** A patch of a square grid: shards touch their neighbours as real sherds do; those inside have no rim. */
const patches = (most: number): fc.Arbitrary<ShardMap> =>
  fc
    .record({
      columns: fc.integer({ min: 1, max: 4 }),
      count: fc.integer({ min: 2, max: most }),
      drop: fc.array(fc.nat(30), { maxLength: 4 }),
    })
    .map(({ columns, count, drop }) => {
      const all = Array.from({ length: count }, (_, i): [number, number][] => [
        ...((i + 1) % columns !== 0 && i + 1 < count ? [[i, i + 1] as [number, number]] : []),
        ...(i + columns < count ? [[i, i + columns] as [number, number]] : []),
      ]).flat();
      const touching = all.filter((_, i) => !drop.includes(i));
      const rim = Array.from({ length: count }, (_, i) => i).filter(
        (i) => i % columns === 0 || i % columns === columns - 1 || i < columns || i + columns >= count,
      );
      return { count, touching, rim };
    });

test("orders are sound whatever the break, exact or not", () => {
  fc.assert(
    fc.property(patches(24), fc.integer({ min: 1, max: 4 }), (map, joins) => {
      expectSound(map, joins, assemblyOrder(map, joins));
    }),
    { numRuns: 60 },
  );
});

test("the glue that stays open longer never asks for more sittings", () => {
  fc.assert(
    fc.property(patches(9), fc.integer({ min: 1, max: 4 }), (map, joins) => {
      expect(assemblyOrder(map, joins + 1).sittings.length).toBeLessThanOrEqual(assemblyOrder(map, joins).sittings.length);
    }),
    { numRuns: 60 },
  );
});

/** The fewest sittings by walking through every state of the bench: groups, and how many wet joins each has now. */
function byBruteForce(map: ShardMap, joins: number): number | undefined {
  const start = Array.from({ length: map.count }, (_, shard) => [shard]);
  let front = new Map([[key(start), start]]);
  const seen = new Set(front.keys());
  for (let sitting = 0; sitting <= map.count; sitting++) {
    if ([...front.values()].some((groups) => groups.length === wholesOf(map))) return sitting;
    const next = new Map<string, number[][]>();
    for (const groups of front.values())
      for (const after of afterSitting(map, groups, joins)) if (!seen.has(key(after))) next.set(key(after), after);
    for (const each of next.keys()) seen.add(each);
    front = next;
  }
  return undefined;
}

const key = (groups: readonly (readonly number[])[]) =>
  groups
    .map((group) => group.join())
    .sort()
    .join("|");

function afterSitting(map: ShardMap, groups: number[][], joins: number): number[][][] {
  const found = new Map<string, number[][]>();
  const walk = (now: { shards: number[]; wet: number }[]): void => {
    const id = now
      .map(({ shards, wet }) => `${shards.join()}:${wet}`)
      .sort()
      .join("|");
    if (found.has(id)) return;
    found.set(
      id,
      now.map(({ shards }) => shards),
    );
    now.forEach((a, i) => {
      now.slice(i + 1).forEach((b) => {
        if (a.wet + b.wet + 1 > joins || !freeByHand(map, a.shards, b.shards)) return;
        const both = { shards: [...a.shards, ...b.shards].sort((x, y) => x - y), wet: a.wet + b.wet + 1 };
        walk([...now.filter((each) => each !== a && each !== b), both]);
      });
    });
  };
  walk(groups.map((shards) => ({ shards, wet: 0 })));
  return [...new Map([...found.values()].map((each) => [key(each), each])).values()];
}

type Touch = (x: number, y: number) => boolean;

/** How many separate runs a list of shards falls into. */
function runsIn(shards: readonly number[], touch: Touch): number {
  const left = [...shards];
  let found = 0;
  while (left.length > 0) {
    found++;
    const run = [left.shift() as number];
    for (const x of run) for (const y of [...left]) if (touch(x, y)) run.push(...left.splice(left.indexOf(y), 1));
  }
  return found;
}

/** The rule of free joins, written again without bits. */
function freeByHand({ touching, rim, count }: ShardMap, a: readonly number[], b: readonly number[]): boolean {
  const touch: Touch = (x, y) => touching.some(([p, q]) => (p === x && q === y) || (p === y && q === x));
  const all = Array.from({ length: count }, (_, i) => i);
  const outer = rim ?? all;
  const [onA, onB] = [a.filter((x) => b.some((y) => touch(x, y))), b.filter((y) => a.some((x) => touch(x, y)))];
  if (onA.length === 0) return false;
  const reaches = (group: readonly number[]) => group.some((x) => outer.includes(x));
  const outside = all.filter((y) => !a.includes(y) && !b.includes(y));
  const shutIn = (inner: readonly number[]) => !reaches(inner) && !outside.some((y) => inner.some((x) => touch(x, y)));
  const [single, other] = a.length === 1 ? [a, b] : [b, a];
  if (single.length === 1 && other.length > 1 && shutIn(single)) return false;
  if (runsIn(onA, touch) === 1 && runsIn(onB, touch) === 1) return true;
  return a.length > 1 && b.length > 1 && reaches(a) && reaches(b) && runsIn([...onA, ...onB], touch) <= 2;
}

test("up to nine shards the order has as few sittings as trying everything", () => {
  fc.assert(
    fc.property(patches(7), fc.integer({ min: 1, max: 3 }), (map, joins) => {
      const found = assemblyOrder(map, joins);
      const best = byBruteForce(map, joins);
      if (best === undefined) expect(found.proven).toBe(false);
      else expect([found.proven, found.sittings.length]).toEqual([true, best]);
    }),
    { numRuns: 40 },
  );
});

test.each([
  [
    "a grid of nine with its middle shut in",
    {
      count: 9,
      touching: [
        [0, 1],
        [1, 2],
        [3, 4],
        [4, 5],
        [6, 7],
        [7, 8],
        [0, 3],
        [3, 6],
        [1, 4],
        [4, 7],
        [2, 5],
        [5, 8],
      ],
      rim: [0, 1, 2, 3, 5, 6, 7, 8],
    },
  ],
  [
    "a ring of eight round one",
    { count: 9, touching: [...ring(8), ...ring(8).map(([i]): [number, number] => [i, 8])], rim: [0, 1, 2, 3, 4, 5, 6, 7] },
  ],
  ["a strip of nine", { count: 9, touching: Array.from({ length: 8 }, (_, i): [number, number] => [i, i + 1]) }],
] as ReadonlyArray<readonly [string, ShardMap]>)("nine shards, one join a sitting: %s", (_, map) => {
  expect(assemblyOrder(map, 1).sittings.length).toBe(byBruteForce(map, 1));
});

test("sixty shards get an order without a locked one", () => {
  const columns = 8;
  const touching = Array.from({ length: 60 }, (_, i): [number, number][] => [
    ...((i + 1) % columns !== 0 && i + 1 < 60 ? [[i, i + 1] as [number, number]] : []),
    ...(i + columns < 60 ? [[i, i + columns] as [number, number]] : []),
  ]).flat();
  const rim = Array.from({ length: 60 }, (_, i) => i).filter((i) => i % columns === 0 || i % columns === 7 || i < columns || i >= 52);
  const map = { count: 60, touching, rim };
  const found = assemblyOrder(map, 3);
  expectSound(map, 3, found);
  expect(found.locked).toEqual([]);
});
