import fc from "fast-check";
import { takenInAll } from "../mix/batches";
import type { EventBody } from "../record/events.schema";
import { doseGrams } from "../units";
import { closingView, materialsUsed } from "./closing";
import { AIR, CHOSEN, logOf, see, type Told } from "./story.fixture";

/** One act of the story: whether its minutes were given, whether it was weighed, and how far off, percent. */
interface Said {
  readonly minutes?: number;
  readonly weighed: boolean;
  readonly off_pct: number;
  readonly against: boolean;
}

const said = fc.record({
  minutes: fc.option(fc.integer({ min: 1, max: 90 }), { nil: undefined }),
  weighed: fc.boolean(),
  off_pct: fc.integer({ min: -20, max: 20 }),
  against: fc.boolean(),
}) as fc.Arbitrary<Said>;

/** The plan's first operations done one after the other, ten minutes apart, each as it was said. */
function story(acts: readonly Said[]): { readonly told: readonly Told[]; readonly bodies: ReadonlyArray<EventBody & { kind: "done" }> } {
  const { operations } = see(CHOSEN).worked.repair;
  const bodies = acts.flatMap(({ minutes, weighed, off_pct, against }, i) => {
    const op = operations[i];
    if (!op) return [];
    const parts = op.kind === "mix" ? op.parts : undefined;
    const body: EventBody & { kind: "done" } = {
      kind: "done",
      op: op.id,
      ...(minutes === undefined ? {} : { hands_min: minutes }),
      ...(against ? { against: { state: "too-early", because: `Judged by eye, act ${i}` } } : {}),
      ...(op.starts && op.class
        ? {
            start: {
              class: op.class,
              thickness_mm: op.thickness_mm ?? 1,
              climate: AIR,
              ...(parts
                ? {
                    parts: parts.map(({ name, mass_g }) => ({
                      name,
                      planned_g: mass_g,
                      ...(weighed ? { actual_g: mass_g * (1 + off_pct / 100) } : {}),
                    })),
                  }
                : {}),
            },
          }
        : {}),
    };
    return [body];
  });
  return { bodies, told: [...CHOSEN, ...bodies.map((body, i): Told => [680 - i * 10, body])] };
}

const stories = fc.array(said, { minLength: 1, maxLength: 14 });

test("no figure stands in the record that is not an entry or follows from entries at their own time", () => {
  fc.assert(
    fc.property(stories, (acts) => {
      const { told, bodies } = story(acts);
      const { treatment, worked } = see(told);
      const view = closingView(treatment, worked);
      const given = bodies.flatMap(({ hands_min }) => hands_min ?? []);
      const before = CHOSEN.flatMap(([, body]) => ("hands_min" in body && body.hands_min ? [body.hands_min] : []));
      const sum = (all: readonly number[]) => all.reduce((total, minutes) => total + minutes, 0);
      expect(view.hands.min).toBe(sum([...before, ...given]));
      expect([view.hands.given, view.hands.of]).toEqual([before.length + given.length, before.length + bodies.length]);
      // from the first act to the last, as they were done: the survey to the last press
      expect(view.elapsed_min).toBe(700 - (680 - (bodies.length - 1) * 10));
      expect(sum(view.review.map(({ done }) => done.min))).toBe(view.hands.min);

      const mixes = bodies.filter(({ start }) => start?.parts);
      const used = materialsUsed(treatment, worked).filter(({ planned }) => planned !== "");
      expect(used).toHaveLength(mixes.length);
      for (const [i, { start }] of mixes.entries()) {
        const parts = start?.parts ?? [];
        expect(used[i]?.planned).toBe(parts.map(({ name, planned_g }) => `${name} ${doseGrams(planned_g)}`).join(" : "));
        const weighed = parts.every(({ actual_g }) => actual_g !== undefined);
        expect(used[i]?.weighed).toBe(weighed ? parts.map(({ name, actual_g = 0 }) => `${name} ${doseGrams(actual_g)}`).join(" : ") : "");
        expect(takenInAll(parts)).toBeGreaterThan(0);
      }
    }),
    { numRuns: 25 },
  );
});

test("every deviation is told once, in its own words", () => {
  fc.assert(
    fc.property(stories, (acts) => {
      const { told, bodies } = story(acts);
      const { treatment, worked } = see(told);
      const why = closingView(treatment, worked).review.flatMap((row) => row.why);
      for (const { against } of bodies)
        if (against) expect(why.filter((words) => new RegExp(`${against.because}(?!\\d)`).test(words)).length).toBeLessThanOrEqual(1);
      for (const words of why) expect(bodies.some(({ against }) => against && words.includes(against.because))).toBe(true);
    }),
    { numRuns: 25 },
  );
});

test("an entry that was typed later changes nothing in the record but its place in the log", () => {
  fc.assert(
    fc.property(stories, fc.nat({ max: 13 }), (acts, late) => {
      const { told } = story(acts);
      const at = Math.min(told.length - 1, CHOSEN.length + late);
      const moved = [...told.slice(0, at), ...told.slice(at + 1), ...told.slice(at, at + 1)];
      const [one, other] = [see(told), see(moved)];
      const strip = ({ treatment, worked }: typeof one) => ({
        view: closingView(treatment, worked),
        used: materialsUsed(treatment, worked).map(({ key: _key, ...row }) => row),
      });
      expect(strip(other)).toEqual(strip(one));
      expect(logOf(...moved)).toHaveLength(logOf(...told).length);
    }),
    { numRuns: 25 },
  );
});
