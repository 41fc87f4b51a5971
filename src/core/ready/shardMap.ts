import type { ShardMap } from "./assembly";

/** Where a shard lies on the picture, 0 to 1 across and down. */
export interface ShardPlace {
  readonly x: number;
  readonly y: number;
}

/** A map of shards whose rim is known, and where they lie on the picture, once someone has put them there. */
export type DrawnMap = Required<ShardMap> & { readonly places?: readonly ShardPlace[] };

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
    ...(mapped?.places ? { places: placesOf({ ...mapped, count }) } : {}),
  };
}

/** So many shards lie on one ring before another is laid inside it. */
const A_RING = 18;
const round = (n: number) => Math.round(n * 1000) / 1000;

/** Where each shard lies: as it was put, else on rings about the middle, the first at the top. */
export function placesOf({ count, places = [] }: Pick<DrawnMap, "count" | "places">): ShardPlace[] {
  return Array.from({ length: count }, (_, shard) => places[shard] ?? onRing(shard, count));
}

function onRing(shard: number, count: number): ShardPlace {
  const ring = Math.floor(shard / A_RING);
  const onIt = Math.min(A_RING, count - ring * A_RING);
  const angle = (2 * Math.PI * (shard % A_RING)) / onIt + ring * 0.2;
  const reach = 0.4 - ring * 0.11;
  return { x: round(0.5 + reach * Math.sin(angle)), y: round(0.5 - reach * Math.cos(angle)) };
}

/** The map with a shard laid somewhere else on the picture. */
export function withPlace(map: DrawnMap, shard: number, to: ShardPlace): DrawnMap {
  return { ...map, places: placesOf(map).map((place, i) => (i === shard ? to : place)) };
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
