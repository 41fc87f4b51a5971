import { boundsOf } from "../units";
import { type Cut, cutsOf } from "./cut";
import { CHOSEN, done, mixed, placed, ready, see, surveyed, type Told } from "./story.fixture";
import type { PieceFacts } from "./worked";

const only = (told: readonly Told[], piece?: PieceFacts): Cut => {
  const { worked, acts } = see(told, 0, piece);
  const [cut, ...more] = cutsOf(worked, acts);
  if (!cut || more.length > 0) throw new Error(`${more.length + 1} cuts`);
  return cut;
};
const kinds = (cut: Cut) => new Set(cut.scene.shapes.map(({ kind }) => kind));
/** What was measured after a layer was laid. */
const low = (layer: number, surface_mm: number) => done(`r1/fill/place-${layer}/d1/loss`, { surface_mm });

describe("the cut through a chip", () => {
  test("as planned: two layers of one putty told apart, each with its share of mass, the coats over them in order", () => {
    const cut = only(CHOSEN);
    expect(cut.layers.map(({ name, hatch, state }) => [name, hatch, state])).toEqual([
      ["Layer 1", "putty", "planned"],
      ["Layer 2", "putty-2", "planned"],
    ]);
    expect(cut.layers.every(({ plan_g = 0, done_g, done_mm }) => plan_g > 0 && done_g === undefined && done_mm === undefined)).toBe(true);
    expect(cut.films.map(({ name }) => name)).toEqual(expect.arrayContaining(["acrylic paint and pigments"]));
    expect(cut.films.every(({ um, done: laid }) => um > 0 && um < 200 && !laid)).toBe(true);
    expect(cut.words).toMatch(
      /^Section of the chip in stoneware, 11 mm deep\. From below: layer 1: [\d.]+ mm of epoxy putty, [\d.]+ g, planned;/,
    );
  });

  test("as done: what was weighed and when stands in its row, the next layer follows from what was measured", () => {
    const cut = only([...CHOSEN, ...ready, [80, mixed(1)], [72, low(1, -6.5)]]);
    const [first, second] = cut.layers;
    expect(first).toMatchObject({ state: "done", done_g: 2.02 });
    expect(first?.done_mm).toBeCloseTo(4.5, 9);
    expect(second?.plan_mm).toBeGreaterThan(6.5);
    const below = cut.scene.shapes.find(({ layer }) => layer === 0);
    expect(boundsOf({ shapes: below ? [below] : [], lines: [] }).top).toBeCloseTo(-6.5, 9);
    expect(cut.words).toContain("done, measured 4.5 mm");
  });

  test("what is laid and what may be laid are not what is planned", () => {
    const cut = only([...CHOSEN, ...ready, [80, mixed(1)], [72, placed(1)], [5, mixed(2)]]);
    expect(cut.layers.map(({ state }) => state)).toEqual(["done", "now"]);
  });
});

const FINGER: PieceFacts = { kind: "figure", part: "p", parts: [{ id: "p", substrate: "porcelain", finish: "glaze" }] };

test("an edge chip is drawn as high as it is, laid as thick as its wall, and says so", () => {
  const wall = (thickness_mm: number) =>
    only([[700, surveyed({ kind: "chip", length_mm: 34, depth_mm: 11, thickness_mm })], ...CHOSEN.slice(1)]);
  const [thin, thick] = [wall(6), wall(12)];
  expect(thin.note).toBe("outer face up, seen along the wall, which is 6 mm thick");
  expect(thick.note).toBe("outer face up");
  expect([thin.layers.length, thick.layers.length]).toEqual([1, 2]);
  expect(thin.layers[0]?.plan_mm).toBeCloseTo(6.45, 1);
  expect(boundsOf(thin.scene).bottom).toBe(boundsOf(thick.scene).bottom);
});

test("a broken member is cut along, its pin in the middle; where no height is known nothing is drawn", () => {
  const told = (damage: Parameters<typeof surveyed>[0], brace = false): Told[] => [
    [700, surveyed(damage, {}, brace ? { way: { way: "brace", reason: "it is knocked" } } : {})],
    [690, { kind: "matched", stance: "service", chain: [{ role: "adhesive", class: "epoxy-slow" }] }],
    ...(brace ? ([[680, { kind: "braced", damage: "d1", joint: "break-across", brace: "pin", size: { diameter_mm: 3 } }]] as const) : []),
  ];
  const cut = only(told({ kind: "break-across", width_mm: 16, height_mm: 16 }, true), FINGER);
  expect(cut.note).toBe("along the piece, outer face up");
  expect(kinds(cut)).toEqual(new Set(["ground", "glue", "slot", "core"]));
  expect(cut.words).toMatch(/16 mm high, film of slow epoxy 0\.1 mm, pin Ø 3, hole 3\.2\.$/);
});
