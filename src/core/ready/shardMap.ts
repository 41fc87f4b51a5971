import type { ShardMap } from "./assembly";

/** A map of shards whose rim is known. */
export type DrawnMap = Required<ShardMap>;

/**
 * The map as it was recorded, made to fit the shards that are counted now: what belonged to a shard that is gone goes, and a
 * shard that came has an outer edge until someone says otherwise. Without a record nothing touches and every shard has an edge.
 */
export function shardMap(count: number, mapped?: DrawnMap): DrawnMap {
  const known = mapped?.count ?? 0;
  const came = Array.from({ length: Math.max(0, count - known) }, (_, i) => known + i);
  return {
    count,
    touching: (mapped?.touching ?? []).filter((pair) => pair.every((shard) => shard < count)),
    rim: [...(mapped?.rim ?? []).filter((shard) => shard < count), ...came],
  };
}

const pairOf = (a: number, b: number): readonly [number, number] => (a < b ? [a, b] : [b, a]);

/** Whether two shards touch, whichever is named first. */
export function touches({ touching }: ShardMap, a: number, b: number): boolean {
  const [low, high] = pairOf(a, b);
  return touching.some(([x, y]) => x === low && y === high);
}

/** The map with two shards touching that did not, or apart that did. */
export function withTouch(map: DrawnMap, a: number, b: number): DrawnMap {
  const [low, high] = pairOf(a, b);
  const without = map.touching.filter(([x, y]) => x !== low || y !== high);
  return { ...map, touching: without.length < map.touching.length ? without : [...map.touching, [low, high]] };
}

/** The map with an outer edge given to a shard, or taken from it. */
export function withRim(map: DrawnMap, shard: number): DrawnMap {
  const rim = map.rim.includes(shard) ? map.rim.filter((each) => each !== shard) : [...map.rim, shard].sort((a, b) => a - b);
  return { ...map, rim };
}
