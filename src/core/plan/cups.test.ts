import fc from "fast-check";
import { type Job, job, jobOf } from "./jobs.fixture";
import type { PlanInput } from "./plan.schema";

const service = { washed: false, food_contact: false, wear: false, outdoors: false, heat: false, flex: false, acoustic: false };

const holes = (sizes: readonly (readonly [diameter: number, depth: number, count: number])[]): PlanInput => ({
  piece: { kind: "furniture", parts: [{ id: "front", substrate: "hardwood", finish: "lacquer", finish_to_be: "paint" }] },
  damages: sizes.map(([diameter_mm, depth_mm, count], i) => ({
    id: `h${i}`,
    part: "front",
    survey: { damage: { kind: "hole", diameter_mm, depth_mm, through: false, count }, service },
    choose: [{ role: "filler", class: "polyester-filler" }],
  })) as PlanInput["damages"],
  stance: "service",
  climate: { temp_C: 20, rh_pct: 50 },
  at: "2026-10-06T09:00:00+02:00",
});

const sizes = fc.array(fc.tuple(fc.integer({ min: 4, max: 25 }), fc.integer({ min: 5, max: 20 }), fc.integer({ min: 1, max: 9 })), {
  minLength: 1,
  maxLength: 5,
});

/** Mixes that stand in the list before what the one before was stirred for is laid. */
function stirredTooSoon(operations: Job["operations"]): string[] {
  let open: readonly string[] = [];
  return operations
    .filter(({ name, layer = 1 }) => layer === 1 && (name === "mix" || name === "place"))
    .flatMap(({ id, name, places }) => {
      const soon = name === "mix" && open.length > 0 ? [id] : [];
      open = name === "mix" ? places : open.filter((place) => !places.includes(place));
      return soon;
    });
}

test("each place is laid out of one cup before the next is stirred, and the cups are what all places take", () => {
  fc.assert(
    fc.property(sizes, (chosen) => {
      const { operations } = jobOf(holes(chosen));
      const mixes = operations.filter(({ name, layer = 1 }) => name === "mix" && layer === 1);
      const places = mixes.flatMap((mix) => mix.places);
      expect(new Set(places).size).toBe(places.length);
      for (const { portions = [], mass_g = 0, damages, batches = 1 } of mixes) {
        if (portions.length > 0) expect(portions.reduce((sum, each) => sum + each.mass_g, 0)).toBeCloseTo(mass_g, 6);
        // only what one damage takes alone is stirred in several
        if (batches > 1) expect(damages).toHaveLength(1);
      }
      expect(stirredTooSoon(operations)).toEqual([]);
    }),
    { numRuns: 40 },
  );
});

test("seven holes and three gouges share a cup as far as it is laid while it is workable, the veneer has one of its own", () => {
  const cabinet = job(16);
  const mixes = cabinet.all("fill/mix-1");
  expect(mixes.length).toBeGreaterThan(1);
  expect(new Set(mixes.map(({ batches }) => batches))).toEqual(new Set([1]));
  expect(new Set(mixes.flatMap(({ damages }) => damages))).toEqual(new Set(["holes", "gouges", "veneer"]));
});
