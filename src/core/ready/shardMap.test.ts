import fc from "fast-check";
import { placesOf, shardMap, touches, withPlace, withRim, withTouch } from "./shardMap";

test("without a record nothing touches and every shard has an outer edge", () => {
  expect(shardMap(3)).toEqual({ count: 3, touching: [], rim: [0, 1, 2] });
});

test("a survey that counts fewer shards drops those that are gone, one that counts more adds them with an edge", () => {
  const mapped = {
    count: 4,
    touching: [
      [0, 1],
      [1, 3],
    ] as const,
    rim: [0, 3],
  };
  expect(shardMap(3, mapped)).toEqual({ count: 3, touching: [[0, 1]], rim: [0] });
  expect(shardMap(6, mapped)).toEqual({ count: 6, touching: mapped.touching, rim: [0, 3, 4, 5] });
});

test("touching has no direction, and pressed twice is as before", () => {
  const shard = fc.integer({ min: 0, max: 9 });
  fc.assert(
    fc.property(fc.array(fc.tuple(shard, shard), { maxLength: 30 }), shard, shard, (pressed, a, b) => {
      fc.pre(a !== b);
      const map = pressed.filter(([x, y]) => x !== y).reduce((all, [x, y]) => withTouch(all, x, y), shardMap(10));
      expect(touches(map, a, b)).toBe(touches(map, b, a));
      const once = withTouch(map, a, b);
      expect(touches(once, b, a)).toBe(!touches(map, a, b));
      expect(new Set(withTouch(once, b, a).touching.map(String))).toEqual(new Set(map.touching.map(String)));
    }),
  );
});

test("shards that nobody has laid down lie apart from one another, inside the picture", () => {
  for (const count of [1, 2, 7, 18, 19, 60]) {
    const places = placesOf(shardMap(count));
    expect(places).toHaveLength(count);
    for (const { x, y } of places) expect(Math.min(x, y) > 0.05 && Math.max(x, y) < 0.95).toBe(true);
    const apart = places.flatMap((a, i) => places.slice(i + 1).map((b) => Math.hypot(a.x - b.x, a.y - b.y)));
    expect(Math.min(1, ...apart)).toBeGreaterThan(0.03);
  }
});

test("a shard that is laid somewhere stays there, the others where they lay; one that comes later finds its own place", () => {
  const map = withPlace(shardMap(3), 1, { x: 0.2, y: 0.7 });
  expect(map.places).toEqual([placesOf(shardMap(3))[0], { x: 0.2, y: 0.7 }, placesOf(shardMap(3))[2]]);
  expect(withTouch(map, 0, 1).places).toEqual(map.places);
  expect(shardMap(4, map).places).toHaveLength(4);
  expect(shardMap(4, map).places?.[1]).toEqual({ x: 0.2, y: 0.7 });
  expect(shardMap(2, map).places).toHaveLength(2);
});

test("an outer edge is taken and given back", () => {
  const inner = withRim(shardMap(3), 1);
  expect(inner.rim).toEqual([0, 2]);
  expect(withRim(inner, 1).rim).toEqual([0, 1, 2]);
});
