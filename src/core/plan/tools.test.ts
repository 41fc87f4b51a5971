import fc from "fast-check";
import { ABRASIVE_SYSTEMS, type Grade, grainOf } from "../catalogue";
import { OVER_GLAZE } from "../level/beside";
import { stocked } from "../level/stocked";
import { JOB_FILES, jobInput, jobOf } from "./jobs.fixture";
import type { PlanInput } from "./plan.schema";

const P = (grade: number): Grade => ({ system: "P", grade });
const withTools = (number: number, tools: PlanInput["tools"]) => jobOf({ ...jobInput(number), tools });
const grits = (found: ReturnType<typeof jobOf>) => found.all("/level/grit").map(({ text }) => text);
const counter = JOB_FILES.findIndex((file) => file.includes("lemonade-jar")) + 1;
const plain = grits(jobOf(jobInput(counter)));

describe("a ladder is built of what lies in the drawer", () => {
  test("with every grade there the plan is the same as where nothing is known of the drawer", () => {
    const all = ABRASIVE_SYSTEMS.P.grades.map(([grade]) => P(grade));
    expect(grits(withTools(counter, { grits: [...all, OVER_GLAZE] }))).toEqual(plain);
  });

  test("only grades of the drawer are walked; one that is needed and not there is said at its step", () => {
    const found = grits(withTools(counter, { grits: [P(120), P(240), P(400), P(800)] }));
    const has = (text: string) => /P(120|240|400|800)\b/.test(text.slice(0, 16));
    for (const text of found) expect([text, has(text) !== /none in the drawer: get a sheet/.test(text)]).toEqual([text, true]);
    expect(found.some((text) => /none in the drawer/.test(text))).toBe(true);
  });

  test("where a step of the drawer is too wide, what has to be got between is a step of its own", () => {
    const found = grits(withTools(counter, { grits: [P(120), P(240), P(600), OVER_GLAZE] })).filter((text) => !text.includes("cloth"));
    const grains = found.map((text) => grainOf(P(Number(/P(\d+)/.exec(text)?.[1]))) ?? 0);
    for (const [i, grain] of grains.slice(1).entries()) expect((grains[i] ?? 0) / grain).toBeLessThanOrEqual(1.8 + 1e-9);
    expect(found.filter((text) => /none in the drawer/.test(text)).map((text) => /P\d+/.exec(text)?.[0])).toEqual(["P180", "P360"]);
  });

  test("a grade may be written as it stands on the sheet; one that nobody makes is refused", () => {
    const written = grits(
      withTools(counter, {
        grits: [
          { system: "P", grade: "P120" },
          { system: "P", grade: "240" },
        ],
      }),
    );
    expect(written).toEqual(grits(withTools(counter, { grits: [P(120), P(240)] })));
    expect(() => withTools(counter, { grits: [P(233)] })).toThrow(/P grade 233 does not exist/);
  });

  const grades = fc.constantFrom(...ABRASIVE_SYSTEMS.P.grades.map(([grade]) => P(grade)));
  test("what stands in for a grade is within one step of it, at the end never coarser, and the grade itself where it is there", () => {
    fc.assert(
      fc.property(grades, fc.array(grades, { maxLength: 8 }), fc.boolean(), (wanted, drawer, end) => {
        const found = stocked(wanted, drawer, end);
        const ratio = (grainOf(found) ?? 0) / (grainOf(wanted) ?? 1);
        expect(ratio <= 1.8 + 1e-9 && ratio >= 1 / 1.8 - 1e-9).toBe(true);
        if (end) expect(ratio).toBeLessThanOrEqual(1);
        expect(stocked(wanted, [...drawer, wanted], end)).toEqual(wanted);
      }),
    );
  });
});

describe("holes are drilled with the drills that are there", () => {
  const pinned = JOB_FILES.findIndex((file) => file.includes("wagon-step-rung")) + 1;
  const drilled = (drills?: number[]) => {
    const found = withTools(pinned, drills ? { drills } : {});
    return found.operations.filter(({ kind }) => kind === "drill").map(({ text }) => text);
  };

  test("the very size needs no word; the nearest is named; where none comes near it is said", () => {
    const [text = ""] = drilled();
    const wanted = Number(/Ø ([\d.]+) mm/.exec(text)?.[1]);
    expect(wanted).toBeGreaterThan(0);
    const pilot = Number(/pilot ([\d.]+) mm/.exec(text)?.[1] ?? wanted);
    expect(drilled([wanted, pilot])[0]).toBe(text);
    expect(drilled([wanted + 0.3, pilot])[0]).toContain(`nearest in the drawer: ${Math.round((wanted + 0.3) * 100) / 100} mm`);
    expect(drilled([40])[0]).toContain("no drill in the drawer comes near");
  });
});
