import fc from "fast-check";
import type { PlanInput } from "./plan.schema";
import { plan } from "./planCalc";

const DAMAGES = [
  { kind: "chip", length_mm: 26, across_mm: 6, depth_mm: 2, thickness_mm: 19 },
  { kind: "hole", diameter_mm: 5, depth_mm: 19, through: true },
  { kind: "veneer-lost", length_mm: 70, width_mm: 30, thickness_mm: 0.8, swelling_mm: 0 },
  { kind: "corner", a_mm: 20, b_mm: 20, c_mm: 15 },
] as const;

const asked = (which: readonly number[], finish: "paint" | "lacquer" | "shellac"): PlanInput =>
  ({
    piece: { kind: "furniture", parts: [{ id: "p", substrate: "hardwood", finish }] },
    damages: which.map((n, i) => ({ id: `d${i + 1}`, part: "p", survey: { damage: DAMAGES[n], service: {} } })),
    stance: "service",
    climate: { temp_C: 20, rh_pct: 50 },
  }) as PlanInput;

const SEEN = ["levelling", "colour", "topcoat"];

test("what is seen of one part is of one stuff, in whatever order its damages were found", () => {
  fc.assert(
    fc.property(fc.shuffledSubarray([0, 1, 2, 3], { minLength: 2 }), fc.constantFrom("paint", "lacquer", "shellac"), (which, finish) => {
      const { links } = plan(asked(which, finish));
      for (const role of SEEN)
        expect([role, new Set(links.filter((link) => link.role === role).map((link) => link.class)).size <= 1]).toEqual([role, true]);
      expect(links.filter(({ verdict }) => verdict === "refused")).toEqual([]);
    }),
    { numRuns: 25 },
  );
});

test("what was chosen for a damage stays its own", () => {
  const input = asked([0, 1], "paint");
  const [first, second] = input.damages;
  if (!first || !second) throw new Error("two damages are asked");
  const { links } = plan({ ...input, damages: [first, { ...second, choose: [{ role: "colour", class: "oil-colour" }] }] });
  expect(links.filter(({ role, place }) => role === "colour" && place.startsWith("d2/")).map((link) => link.class)).toEqual(["oil-colour"]);
});
