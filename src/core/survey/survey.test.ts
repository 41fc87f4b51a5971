import fc from "fast-check";
import { DAMAGE_KINDS, type DamageKind, EARLIER_GLUES, FINISHES, finishRow, SUBSTRATES, substrateRow } from "../catalogue";
import { check } from "../problem";
import { consequences, flagsOf, referrals } from "./consequences";
import { CHECK_ROWS, checksFor, LIMITS } from "./inspection.data";
import { DAMAGE_LABELS, type Damage, lacksSection, MEASURES, type Measure } from "./measures.data";
import { QUESTIONS } from "./questions.data";
import { sizeOf } from "./size";
import { boundsOf, sketchOf } from "./sketch";
import { damageAt } from "./survey.fixture";
import { DamageSchema, SurveySchema } from "./survey.schema";

const rows = (kind: DamageKind): readonly Measure[] => MEASURES[kind];

describe.each(DAMAGE_KINDS)("%s", (kind) => {
  test("has a name, and measures with a range, a label and a hint", () => {
    expect(DAMAGE_LABELS[kind].length).toBeGreaterThan(3);
    for (const measure of rows(kind)) {
      const { label, hint } = measure;
      if ("min" in measure) expect(measure.min).toBeLessThan(measure.max);
      expect(label.length).toBeGreaterThan(2);
      expect(hint.length).toBeGreaterThan(8);
    }
  });

  test("is taken anywhere inside its ranges, and has a loss there that makes sense", () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (share) => {
        const damage = damageAt(kind, share);
        expect(check(DamageSchema, damage)).toEqual([]);
        expect(sizeOf(damage)).toMatch(/^(\d+ alike, each )?(Ø )?[\d.]+( × (Ø )?[\d.]+)* mm$/);
      }),
      { numRuns: 40 },
    );
  });

  test.each(rows(kind).flatMap((row) => ("min" in row ? [row] : [])))(
    "refuses $name beyond its range, at its path",
    ({ name, min, max }) => {
      for (const value of [max * 1.01 + 1, min - 1]) {
        const errors = check(DamageSchema, { ...damageAt(kind, 0.5), [name]: value });
        expect(errors.map(({ path }) => path)).toEqual([`/${name}`]);
      }
    },
  );

  test("misses nothing but what is optional", () => {
    for (const { name, optional } of rows(kind)) {
      const { [name as keyof Damage]: _, ...rest } = damageAt(kind, 0.5);
      expect(check(DamageSchema, rest).map(({ path }) => path)).toEqual(optional ? [] : [`/${name}`]);
    }
  });

  test("a member is measured by width and height, or by its diameter; one side alone is not enough", () => {
    const { width_mm: _w, height_mm: _h, diameter_mm: _d, ...rest } = damageAt(kind, 0.5) as Damage & Record<string, unknown>;
    const asked = (more: object) => [check(DamageSchema, { ...rest, ...more }).length > 0, lacksSection({ ...rest, ...more } as Damage)];
    if (!["break-along", "break-across", "loose-joint"].includes(kind)) return;
    expect(asked({ width_mm: 20 })).toEqual([true, true]);
    expect(asked({ width_mm: 20, height_mm: 30 })).toEqual([false, false]);
    expect(asked({ diameter_mm: 20 })).toEqual([false, false]);
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

describe.each(DAMAGE_KINDS)("the drawing of %s", (kind) => {
  test("shows every length that was typed, true to one scale, and nothing beyond it", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.9, noNaN: true }), (share) => {
        const sketch = sketchOf(damageAt(kind, share));
        const { left, right, bottom, top } = boundsOf(sketch);
        expect([left, right, bottom, top].every(Number.isFinite) && right > left && top > bottom).toBe(true);
        for (const { from, to, label } of sketch.dims) expect(Math.hypot(to[0] - from[0], to[1] - from[1])).toBeCloseTo(Number(label), 1);
      }),
      { numRuns: 30 },
    );
  });
});

describe("what the answers tell", () => {
  const on = substrateRow("gypsum");
  const none = finishRow("none");
  const said = (told: Partial<Parameters<typeof consequences>[0]>, substrate = on, finish = none) =>
    consequences({ service: {}, ...told }, substrate, finish);

  test("a stop stands before what comes first, and that before the rest", () => {
    const lines = said({
      service: { touched: true },
      inspected: { fingertip: "powder" },
      limits: { protected: true },
      earlier_glue: "epoxy",
    });
    expect(lines.map(({ weight }) => weight)).toEqual(["refer", "first", "first", "then"]);
    expect(lines[0]?.because).toBe("ivory or protected species");
  });

  test("an answer taken back takes its line away", () => {
    expect(said({ service: { wet: true } })).toHaveLength(1);
    expect(said({ service: { wet: false } })).toEqual([]);
  });

  test("a finish that must stay names the solvents it fears", () => {
    expect(
      said({ finish_survives: true }, substrateRow("hardwood"), finishRow("shellac"))
        .map(({ text }) => text)
        .join(),
    ).toContain("alcohol");
    expect(said({ finish_survives: true })).toEqual([]);
  });

  test("the measures speak: a long tip wants a core, a short slope its ways, a deep scratch colour", () => {
    const text = (damage: Damage) =>
      said({ damage })
        .map(({ text }) => text)
        .join();
    expect(text({ kind: "tip", base_mm: 8.9, length_mm: 16 })).toContain("1.8 times");
    expect(text({ kind: "tip", base_mm: 12, length_mm: 12 })).toBe("");
    expect(text({ kind: "break-along", slope_mm: 160, width_mm: 20, height_mm: 20 })).toContain("nearly as wood");
    expect(text({ kind: "break-along", slope_mm: 40, width_mm: 20, height_mm: 20 })).toContain("short for a glued scarf");
    expect(text({ kind: "scratch", length_mm: 50, width_mm: 0.4, depth_mm: 0.12, film_um: 80 })).toContain("through the film");
    expect(text({ kind: "scratch", length_mm: 50, width_mm: 0.4, depth_mm: 0.05, film_um: 80 })).toBe("");
  });

  test("the kinds with a turn of their own say it: tension, swelling, whole fibres, a cause that is still there", () => {
    const text = (damage: Damage) =>
      said({ damage })
        .map(({ text }) => text)
        .join();
    const tear = { kind: "tear", length_mm: 60, thickness_mm: 1.5, flap: false } as const;
    expect(text({ ...tear, tension: true })).toContain("Take the tension off");
    expect(text({ ...tear, tension: false })).toBe("");
    const veneer = { length_mm: 60, width_mm: 20, thickness_mm: 0.8 } as const;
    expect(text({ kind: "veneer-lifted", ...veneer, swelling_mm: 1 })).toContain("stands up again");
    expect(text({ kind: "veneer-lost", ...veneer, swelling_mm: 1 })).toContain("back to sound");
    expect(text({ kind: "dent", diameter_mm: 12, depth_mm: 1, broken: false })).toContain("damp heat");
    expect(text({ kind: "dent", diameter_mm: 12, depth_mm: 1, broken: true })).toBe("");
    expect(text({ kind: "eroded", length_mm: 40, width_mm: 30, depth_mm: 2, cause_present: true })).toContain("Stop the cause");
    expect(text({ kind: "stain", length_mm: 40, width_mm: 30, through: true })).toContain("won’t reach it");
    expect(text({ kind: "break-across", width_mm: 20, height_mm: 30, load_N: 100 })).toContain("Join works out the brace");
  });

  test("every earlier glue says how it comes off, and only a real one", () => {
    for (const { glue } of EARLIER_GLUES) {
      const lines = said({ earlier_glue: glue });
      expect(lines).toHaveLength(glue === "none" ? 0 : 1);
      for (const { text, weight } of lines) expect([text.startsWith("Take the old repair off: "), weight]).toEqual([true, "first"]);
    }
  });

  test("only limits that say refer stop the work", () => {
    expect(referrals({ limits: { lead: true } })).toEqual([]);
    expect(referrals({ limits: { carries_person: true, asbestos: true } })).toHaveLength(2);
    expect(referrals({})).toEqual([]);
    for (const { says } of LIMITS) expect(says).toMatch(/^[A-Z].*\.$/);
  });

  test("a finding raises its flag, a sound one none", () => {
    expect(flagsOf({ tap: "dull", drop: "drinks", cheek: "damp" })).toEqual({ hollow: true, damp: true });
    expect(flagsOf()).toEqual({});
  });
});

test("checks are asked where the answer changes something", () => {
  const names = (substrate: Parameters<typeof substrateRow>[0], film: boolean, kind: DamageKind) =>
    checksFor(substrateRow(substrate), film, kind).map(({ check }) => check);
  expect(names("leather", false, "tear")).toEqual(["raking", "flex", "dry-fit"]);
  expect(names("stoneware", false, "chip")).toEqual(["raking", "ring", "twin"]);
  expect(names("terracotta", false, "chip")).toEqual(expect.arrayContaining(["tap"]));
  expect(names("gypsum", false, "eroded")).toEqual(["raking", "tap", "fingertip", "cheek"]);
  for (const { substrate } of SUBSTRATES)
    for (const kind of DAMAGE_KINDS) expect(checksFor(substrateRow(substrate), false, kind).length).toBeGreaterThanOrEqual(1);
  for (const { findings } of CHECK_ROWS) expect(findings.some((finding) => "tells" in finding)).toBe(true);
});

test("every glue of an earlier repair says how it is told and how it comes off", () => {
  const carriers = new Set(FINISHES.flatMap(({ harmed_by }) => [...harmed_by, "none"] as string[]));
  for (const { tell, removed_by, carrier } of EARLIER_GLUES) {
    expect(Math.min(tell.length, removed_by.length)).toBeGreaterThan(10);
    expect(carriers).toContain(carrier);
  }
});
