import fc from "fast-check";
import { DAMAGE_KINDS, FINISHES, finishRow, type PieceKind, SUBSTRATES, substrateRow } from "../catalogue";
import type { Damage } from "./measures.data";
import { placeSize, volumeOf } from "./place";
import { damages } from "./survey.fixture";
import type { WayFacts } from "./wayRow";
import { placesOf, preselectedWay, wayLabel, wayRow, waysFor } from "./ways";

const facts = (
  substrate: Parameters<typeof substrateRow>[0],
  finish: Parameters<typeof finishRow>[0] = "none",
  over: Partial<WayFacts> = {},
): WayFacts => ({
  piece: "furniture",
  on: substrateRow(substrate),
  finish: finishRow(finish),
  service: {},
  stance: "reversible",
  hollow: false,
  powders: false,
  ...over,
});

const places = (damage: Damage, f: WayFacts, way?: string) => {
  const row = way === undefined ? preselectedWay(damage, f) : wayRow(damage.kind, way);
  if (!row) throw new Error(`no ${way}`);
  return placesOf(row, damage, "d1", f);
};
const names = (damage: Damage, f: WayFacts, way?: string) => places(damage, f, way).map(({ id }) => id);

/** What is taken unasked, and why something else is not. */
const UNASKED: ReadonlyArray<readonly [say: string, damage: Damage, f: WayFacts, way: string]> = [
  ["a chip is filled", { kind: "chip", length_mm: 34, depth_mm: 11, thickness_mm: 6 }, facts("stoneware", "glaze"), "fill"],
  ["shards are joined", { kind: "shards", shards: 7, break_length_mm: 640, thickness_mm: 3 }, facts("porcelain", "glaze"), "bond"],
  [
    "a crack that damp air closes is humidified, never filled",
    { kind: "crack", length_mm: 120, width_mm: 0.3, depth_mm: 3, closes: true, closes_by: "humidity" },
    facts("softwood", "none", { piece: "instrument" }),
    "humidify",
  ],
  [
    "veneer over a swollen core is let in new, not glued down",
    { kind: "veneer-lifted", length_mm: 60, width_mm: 40, thickness_mm: 0.6, swelling_mm: 1.5 },
    facts("veneer-particleboard", "lacquer"),
    "reveneer",
  ],
  [
    "veneer over a flat core is glued down",
    { kind: "veneer-lifted", length_mm: 60, width_mm: 40, thickness_mm: 0.6, swelling_mm: 0 },
    facts("veneer-solid", "shellac"),
    "reglue",
  ],
  [
    "a break that needs a brace gets one",
    { kind: "break-across", width_mm: 32, height_mm: 22, load_N: 60, lever_mm: 180 },
    facts("hardwood", "lacquer", { brace: "yes" }),
    "brace",
  ],
  [
    "a break that glue carries keeps its wood",
    { kind: "break-along", slope_mm: 240, width_mm: 20, height_mm: 20 },
    facts("hardwood", "shellac", { brace: "no" }),
    "bond",
  ],
];

test.each(UNASKED)("%s", (_, damage, f, way) => {
  expect(preselectedWay(damage, f).way).toBe(way);
});

test("a film that was measured is filled with its own kind as deep as it is, and no deeper", () => {
  const way = (film_um: number | undefined, depth_mm: number) =>
    preselectedWay(
      { kind: "dent", diameter_mm: 15, depth_mm, broken: false, ...(film_um === undefined ? {} : { film_um }) },
      facts("veneer-particleboard", "polyester-film"),
    ).way;
  expect([way(undefined, 1.2), way(600, 0.6), way(600, 0.61), way(600, 2.5)]).toEqual(["drop-fill", "drop-fill", "fill", "fill"]);
});

test("a dent in a film is never steamed unasked; whole fibres under a bare surface are", () => {
  const dent = { kind: "dent", diameter_mm: 15, depth_mm: 1.2, broken: false } as const;
  expect(preselectedWay(dent, facts("veneer-particleboard", "polyester-film")).way).not.toMatch(/steam|raise/);
  const raise = waysFor(dent, facts("hardwood", "polyester-film")).find(({ way }) => /steam|raise/.test(way));
  expect(raise?.not_first?.(dent as never, facts("hardwood", "polyester-film")) ?? "cloud").toContain("cloud");
  expect(preselectedWay(dent, facts("hardwood")).way).toMatch(/steam|raise/);
});

test("leaving it is always a way, stands last or nearly so, and makes no place", () => {
  for (const kind of DAMAGE_KINDS) expect([kind, wayRow(kind, "leave")?.places]).toEqual([kind, undefined]);
});

test("seven shards with three slivers are faces and three voids of 0.264 cm³, each open behind", () => {
  const sliver = { length_mm: 22, width_mm: 4, depth_mm: 3 };
  const found = places(
    { kind: "shards", shards: 7, break_length_mm: 640, thickness_mm: 3, slivers: [sliver, sliver, sliver] },
    facts("porcelain", "glaze"),
  );
  expect(found.map(({ id }) => id)).toEqual(["d1/joins", "d1/sliver-1", "d1/sliver-2", "d1/sliver-3", "d1/surface"]);
  expect(found.filter(({ kind }) => kind === "void").map(volumeOf)).toEqual([0.264, 0.264, 0.264].map((v) => expect.closeTo(v, 9)));
  expect(found.filter(({ open_behind }) => open_behind)).toHaveLength(3);
  expect(found[0]?.joins).toBe(6);
});

test("a gapped slope is faces with its gap and hollows beside them; a closed one has none", () => {
  const slope = { kind: "break-along", slope_mm: 70, diameter_mm: 24 } as const;
  expect(names({ ...slope, gap_mm: 3, gap_from_mm: 0 }, facts("hardwood", "shellac", { brace: "yes" }))).toEqual(
    expect.arrayContaining(["d1/joint", "d1/hollows"]),
  );
  expect(names({ ...slope }, facts("hardwood", "shellac", { brace: "no" }))).not.toContain("d1/hollows");
});

test("what powders, is hollow or frays is locked first; metal and skin never", () => {
  const chip = { kind: "chip", length_mm: 20, depth_mm: 5, thickness_mm: 5 } as const;
  const takes = (f: WayFacts) => places(chip, f).find(({ kind }) => kind === "void")?.takes ?? [];
  expect(takes(facts("gypsum", "none", { powders: true }))[0]).toBe("consolidant");
  expect(takes(facts("mdf-vinyl", "foil"))[0]).toBe("consolidant");
  expect(takes(facts("gypsum"))).not.toContain("consolidant");
  expect(takes(facts("brass", "none", { powders: true }))).not.toContain("consolidant");
});

test("a bare surface is not coloured; paint is levelled and coloured; a clear film is toned and coated, never painted over", () => {
  const chip = { kind: "chip", length_mm: 20, depth_mm: 5, thickness_mm: 5 } as const;
  const surface = (f: WayFacts) => places(chip, f).find(({ kind }) => kind === "surface");
  expect(surface(facts("hardwood"))).toBeUndefined();
  expect(surface(facts("hardwood", "paint"))?.takes).toEqual(["levelling", "colour"]);
  expect(surface(facts("hardwood", "shellac"))?.takes).toEqual(["colour", "topcoat"]);
  expect(surface(facts("hardwood", "shellac"))?.only?.colour).not.toContain("acrylic-paint");
});

test("an older record's way is shown by its name, however it is spelt today", () => {
  expect(wayLabel("chip", "fill")).toBe("Fill it");
  expect(wayLabel("chip", "cut-out-long-ago")).toBe("cut out long ago");
});

const anyFacts: fc.Arbitrary<WayFacts> = fc.record({
  piece: fc.constantFrom<PieceKind>("vessel", "furniture", "instrument", "figure"),
  on: fc.constantFrom(...SUBSTRATES),
  finish: fc.constantFrom(...FINISHES),
  service: fc.constant({}),
  stance: fc.constantFrom("service" as const, "reversible" as const),
  hollow: fc.boolean(),
  powders: fc.boolean(),
  brace: fc.constantFrom("yes" as const, "no" as const, "optional" as const),
});

test("for every damage there is a way, its places have names of their own and measures that can be read", () => {
  fc.assert(
    fc.property(damages, anyFacts, (damage, f) => {
      const ways = waysFor(damage, f);
      expect(new Set(ways.map(({ way }) => way)).size).toBe(ways.length);
      expect(ways.map(({ way }) => way)).toContain(preselectedWay(damage, f).way);
      for (const row of ways) {
        const found = placesOf(row, damage, "d1", f);
        expect(new Set(found.map(({ id }) => id)).size).toBe(found.length);
        for (const place of found) {
          expect([place.id, place.takes.length > 0 && place.label.length > 2]).toEqual([place.id, true]);
          expect(placeSize(place)).not.toMatch(/NaN|undefined|Infinity/);
          if (place.kind === "void") expect(volumeOf(place)).toBeGreaterThan(0);
          if (place.area_mm2 !== undefined) expect(place.area_mm2).toBeGreaterThan(0);
        }
      }
    }),
    { numRuns: 200 },
  );
});

test("a larger loss never has less to fill", () => {
  const chip = (length_mm: number) =>
    places({ kind: "chip", length_mm, depth_mm: 5, thickness_mm: 5 }, facts("stoneware", "glaze")).reduce(
      (sum, place) => sum + (place.kind === "void" ? volumeOf(place) : 0),
      0,
    );
  fc.assert(
    fc.property(fc.double({ min: 1, max: 400, noNaN: true }), fc.double({ min: 1, max: 2, noNaN: true }), (length, times) =>
      expect(chip(length * times)).toBeGreaterThanOrEqual(chip(length) - 1e-9),
    ),
  );
});
