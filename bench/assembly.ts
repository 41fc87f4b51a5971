import { assemblyOrder, type ShardMap } from "../src/core/ready/assembly";

const AIM_MS = 200;
const ROUNDS = 9;
const COLUMNS = 8;

/** A flat break of sixty shards in rows; with `staggered` ones each touches its diagonal neighbour too, as sherds do. */
function broken(staggered: boolean): ShardMap {
  const touching = Array.from({ length: 60 }, (_, i): [number, number][] => {
    const last = (i + 1) % COLUMNS === 0;
    return [
      ...(!last && i + 1 < 60 ? [[i, i + 1] as [number, number]] : []),
      ...(i + COLUMNS < 60 ? [[i, i + COLUMNS] as [number, number]] : []),
      ...(staggered && !last && i + COLUMNS + 1 < 60 ? [[i, i + COLUMNS + 1] as [number, number]] : []),
    ];
  }).flat();
  const rim = Array.from({ length: 60 }, (_, i) => i).filter(
    (i) => i % COLUMNS === 0 || i % COLUMNS === COLUMNS - 1 || i < COLUMNS || i >= 52,
  );
  return { count: 60, touching, rim };
}

console.log(`Assembly of sixty shards (aim: under ${AIM_MS} ms)`);
for (const [name, staggered] of [
  ["square", false],
  ["staggered", true],
] as const)
  for (const joins of [1, 3]) {
    const map = broken(staggered);
    const times = Array.from({ length: ROUNDS }, () => {
      const began = performance.now();
      assemblyOrder(map, joins);
      return performance.now() - began;
    }).sort((a, b) => a - b);
    const { sittings, locked } = assemblyOrder(map, joins);
    const bound = Math.ceil(Math.log(60) / Math.log(joins + 1));
    const median = times[Math.floor(ROUNDS / 2)] ?? 0;
    console.log(
      `${name.padEnd(10)} ${joins} ${joins === 1 ? "join" : "joins"} a sitting: ${sittings.length} sittings (no order has under ${bound}), ${locked.length} locked, median ${median.toFixed(0)} ms, ${(median / AIM_MS).toFixed(2)} of the aim`,
    );
  }
