import fc from "fast-check";
import { check } from "../problem";
import { lossOf } from "./loss";
import { DAMAGE_LABELS, type Damage, MEASURED_KINDS, MEASURES, type Measure, type MeasuredKind } from "./measures.data";
import { QUESTIONS } from "./questions.data";
import { DamageSchema, SurveySchema } from "./survey.schema";

const rows = (kind: MeasuredKind): readonly Measure[] => MEASURES[kind];

/** A value of a measure, at a share of its range. */
function valueAt({ type, min, max }: Measure, share: number): number | boolean {
  if (type === "yesno") return share > 0.5;
  const value = min + share * (max - min);
  return type === "count" ? Math.round(value) : value;
}

const damageAt = (kind: MeasuredKind, share: number): Damage =>
  ({ kind, ...Object.fromEntries(rows(kind).map((row) => [row.name, valueAt(row, share)])) }) as Damage;

describe.each(MEASURED_KINDS)("%s", (kind) => {
  test("has a name, and measures with a range, a label and a hint", () => {
    expect(DAMAGE_LABELS[kind].length).toBeGreaterThan(3);
    for (const { min, max, label, hint } of rows(kind)) {
      expect(min).toBeLessThan(max);
      expect(label.length).toBeGreaterThan(2);
      expect(hint.length).toBeGreaterThan(8);
    }
  });

  test("is taken anywhere inside its ranges, and has a loss there that makes sense", () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (share) => {
        const damage = damageAt(kind, share);
        expect(check(DamageSchema, damage)).toEqual([]);
        const loss = lossOf(damage);
        expect(Number.isFinite(loss.volume_cm3) && loss.volume_cm3 >= 0).toBe(true);
        expect(loss.depth_mm).toBeGreaterThanOrEqual(0);
        expect(loss.gap_mm).toBeGreaterThan(0);
        expect(loss.size).toMatch(/^[\d.]+( × [\d.]+)+ mm$/);
      }),
      { numRuns: 40 },
    );
  });

  test.each(rows(kind).filter(({ type }) => type !== "yesno"))("refuses $name beyond its range, at its path", ({ name, min, max }) => {
    for (const value of [max * 1.01 + 1, min - 1]) {
      const errors = check(DamageSchema, { ...damageAt(kind, 0.5), [name]: value });
      expect(errors.map(({ path }) => path)).toEqual([`/${name}`]);
    }
  });

  test("misses nothing but what is optional", () => {
    for (const { name, optional } of rows(kind)) {
      const { [name as keyof Damage]: _, ...rest } = damageAt(kind, 0.5);
      expect(check(DamageSchema, rest).map(({ path }) => path)).toEqual(optional ? [] : [`/${name}`]);
    }
  });
});

test("a survey needs a damage and answers; every question that is asked may be answered", () => {
  const damage = damageAt("chip", 0.1);
  const service = Object.fromEntries(QUESTIONS.map(({ ask }) => [ask, true]));
  expect(check(SurveySchema, { damage, service: { ...service, heat_C: 40 } })).toEqual([]);
  expect(check(SurveySchema, { damage }).map(({ path }) => path)).toEqual(["/service"]);
  expect(check(SurveySchema, { damage, service: { moonlight: true } }).map(({ path }) => path)).toEqual(["/service/moonlight"]);
  expect(check(SurveySchema, { damage, service: {}, found: "x".repeat(4001) }).map(({ path }) => path)).toEqual(["/found"]);
});

test("a larger damage never has a smaller loss", () => {
  const sizes = fc.tuple(fc.double({ min: 0.02, max: 0.9, noNaN: true }), fc.double({ min: 1.01, max: 1.1, noNaN: true }));
  fc.assert(
    fc.property(fc.constantFrom("chip" as const, "corner" as const, "hole" as const), sizes, (kind, [share, grow]) => {
      expect(lossOf(damageAt(kind, share * grow)).volume_cm3).toBeGreaterThanOrEqual(lossOf(damageAt(kind, share)).volume_cm3);
    }),
  );
});
