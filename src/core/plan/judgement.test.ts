import fc from "fast-check";
import { CLASS_ROWS, FINISHES, type Finish, finishRow, isStripped, type Substrate } from "../catalogue";
import { doseOf } from "../mix/doses";
import { hardenerOf } from "../mix/hardener";
import { weigh } from "../mix/weigh";
import { jobOf } from "./jobs.fixture";
import type { PlanInput } from "./plan.schema";

const AIR = { temp_C: 18, rh_pct: 50 };
const MIXED = CLASS_ROWS.filter(({ mix }) => mix.parts.length > 1);

type Parts = ReadonlyArray<{ readonly mass_g: number }>;
const ratio = (parts: Parts) => parts.map(({ mass_g }) => mass_g / (parts[0]?.mass_g ?? 1));

/** How far each part that must be right is from being held by a scale of this step: 1 or less = it is held. */
function missed(material: (typeof MIXED)[number], parts: Parts, step: number): number {
  const [least, most] = hardenerOf(material)?.pct ?? [0, 0];
  const resin = parts[0]?.mass_g ?? 0;
  const each = parts.map(({ mass_g }, i) => {
    if (material.mix.parts[i]?.bulk) return 0;
    const spare = Math.min(mass_g - (resin * least) / 100, (resin * most) / 100 - mass_g);
    return most > 0 && i === 1 ? step / spare : step / 2 / mass_g / 0.05;
  });
  return Math.max(...each);
}

describe("a dose can be measured", () => {
  const amounts = [fc.constantFrom(...MIXED), fc.double({ min: 0.001, max: 50, noNaN: true }), fc.constantFrom(0.01, 0.1, 1)] as const;

  test("whatever is mixed, however little: the scale holds every part that must be right, or drops, balls or a larger pot do", () => {
    fc.assert(
      fc.property(...amounts, (material, cm3, step) => {
        const weighed = weigh(material, cm3, 35, "pressed", AIR);
        const { parts, pot_g, blind } = doseOf(material, weighed, step) ?? { parts: [] };
        // a larger pot alone is no answer: the scale holds what is in it, or it is counted in drops
        const otherwise = blind?.by_volume === true || blind?.drops !== undefined || pot_g === material.mix.least_g;
        expect(otherwise || missed(material, parts, step) <= 1 + 1e-9).toBe(true);
      }),
      { numRuns: 400 },
    );
  });

  test("the ratio stays whatever the pot, and a pot is never less than what is needed of it", () => {
    fc.assert(
      fc.property(...amounts, (material, cm3, step) => {
        const weighed = weigh(material, cm3, 35, "pressed", AIR);
        const { parts, pot_g = Infinity } = doseOf(material, weighed, step) ?? { parts: [] };
        const off = ratio(parts).map((share, i) => Math.abs(share - (ratio(weighed.parts)[i] ?? 0)));
        expect(Math.max(...off)).toBeLessThan(1e-9);
        expect(pot_g).toBeGreaterThan(weighed.mass_g / weighed.batches - 1e-9);
      }),
      { numRuns: 200 },
    );
  });
});

const DAMAGES: ReadonlyArray<PlanInput["damages"][number]["survey"]["damage"]> = [
  { kind: "veneer-lifted", length_mm: 80, width_mm: 40, thickness_mm: 0.6, swelling_mm: 1 },
  { kind: "veneer-lost", length_mm: 50, width_mm: 30, thickness_mm: 0.7, swelling_mm: 0 },
  { kind: "burn-through", length_mm: 30, width_mm: 20, depth_mm: 0.6, into_core: true },
  { kind: "hole", diameter_mm: 6, depth_mm: 18, through: true, count: 3 },
  { kind: "dent", diameter_mm: 20, depth_mm: 2, broken: true },
  { kind: "stain", length_mm: 60, width_mm: 40, through: true },
  { kind: "chip", length_mm: 20, depth_mm: 8, thickness_mm: 10 },
];
const WOODS: readonly Substrate[] = ["hardwood", "softwood", "veneer-solid", "veneer-particleboard"];
const names = FINISHES.map(({ finish }) => finish).filter((finish) => !["foil", "dye", "glaze", "gilding", "bare"].includes(finish));

const surveys = fc.record({
  substrate: fc.constantFrom(...WOODS),
  finish: fc.constantFrom<Finish>(...names),
  to_be: fc.constantFrom<Finish>(...names),
  damages: fc.uniqueArray(fc.integer({ min: 0, max: DAMAGES.length - 1 }), { minLength: 1, maxLength: 4 }),
});
type Drawn = typeof surveys extends fc.Arbitrary<infer T> ? T : never;

const NEAR: readonly string[] = ["bond", "place", "prime", "tint", "colour", "coat", "grit"];

/** What is laid, glued or sanded before the old finish is off. */
function tooEarly(plan: ReturnType<typeof jobOf>): string[] {
  const stripped = plan.operations.findIndex(({ name }) => name === "strip-old");
  return plan.operations.flatMap(({ id, kind, name }, i) => (i < stripped && (NEAR.includes(kind) || name === "bleach") ? [id] : []));
}

const inputOf = ({ substrate, finish, to_be, damages }: Drawn): PlanInput =>
  ({
    piece: { kind: "furniture", parts: [{ id: "top", substrate, finish, finish_to_be: to_be }] },
    damages: damages.map((i) => ({ id: `d${i}`, part: "top", survey: { damage: DAMAGES[i], service: { touched: true } } })),
    stance: "service",
    climate: AIR,
    at: "2026-10-06T09:00:00+02:00",
  }) as PlanInput;

describe("one finish for another, over random pieces", () => {
  test("it is stripped exactly where the new one would show or not reach through the old, and then before all that is laid near it", () => {
    fc.assert(
      fc.property(surveys, (drawn) => {
        const plan = jobOf(inputOf(drawn));
        const wanted = isStripped(finishRow(drawn.finish), finishRow(drawn.to_be)) && plan.ways.some(({ way }) => way !== "leave");
        expect(plan.has("strip-old")).toBe(wanted);
        expect(tooEarly(plan)).toEqual([]);
        if (wanted) expect(plan.has("flat-old")).toBe(false);
      }),
      { numRuns: 60 },
    );
  });

  test("under a finish that hides it nothing is veneered unasked; under one that shows it veneer is never filled unasked", () => {
    fc.assert(
      fc.property(surveys, (drawn) => {
        const { opaque } = finishRow(drawn.to_be);
        expect(jobOf(inputOf(drawn)).ways.map(({ way }) => way)).not.toContain(opaque ? "reveneer" : "cut-fill");
      }),
      { numRuns: 60 },
    );
  });

  test("what is done while a mix is firm waits for one cup: the window of one is not held against another", () => {
    fc.assert(
      fc.property(surveys, (drawn) => {
        const blades = jobOf(inputOf(drawn)).operations.filter(({ name }) => name === "blade");
        const cups = blades.map(({ after }) => new Set(after.filter(({ max_min }) => max_min !== undefined).map(({ op }) => op)).size);
        expect(Math.max(0, ...cups)).toBeLessThanOrEqual(1);
      }),
      { numRuns: 60 },
    );
  });
});
