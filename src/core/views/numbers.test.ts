import fc from "fast-check";
import { type ClassName, DAMAGE_KINDS, SUBSTRATES, type Substrate } from "../catalogue";
import { check } from "../problem";
import type { EventBody, LogEntry } from "../record/events.schema";
import { BODY_VERSION } from "../record/events.schema";
import { readLog } from "../record/treatment";
import { type Survey, SurveySchema } from "../survey/survey.schema";
import { fromSchema } from "../units/fromSchema.fixture";
import { actsOf } from "./acts";
import { briefOf } from "./briefOf";
import { closingView } from "./closing";
import { coatSchemes, colourCoats } from "./coats";
import { cutsOf } from "./cut";
import { filmBudgetsOf } from "./filmBudget";
import { finiteRepair } from "./finite";
import { levellingsOf } from "./levelling";
import { needsOf } from "./needs";
import { operationViews } from "./operationView";
import { matched } from "./story.fixture";
import { worked } from "./worked";

const AT = Date.parse("2026-10-07T12:00:00Z");
const AIR = { temp_C: 18, rh_pct: 50 };

const line = (body: EventBody, seq: number): LogEntry => ({
  id: `00000000-0000-4000-8000-${String(seq).padStart(12, "0")}`,
  seq,
  v: BODY_VERSION,
  at: new Date(AT - 7_200_000 + seq * 60_000).toISOString(),
  body,
});

/** Where a figure is none, or words tell of one; undefined = nowhere. */
function noNumber(value: unknown, path = ""): string | undefined {
  if (typeof value === "number") return Number.isNaN(value) || value === Number.NEGATIVE_INFINITY ? path : undefined;
  if (typeof value === "string") return /\b(NaN|Infinity)\b/.test(value) ? `${path}: ${value}` : undefined;
  if (typeof value !== "object" || value === null) return undefined;
  for (const [key, inner] of Object.entries(value instanceof Map ? Object.fromEntries(value) : value)) {
    const found = noNumber(inner, `${path}/${key}`);
    if (found) return found;
  }
  return undefined;
}

const survey = fc
  .constantFrom(...DAMAGE_KINDS)
  .chain((kind) => fromSchema(SurveySchema).filter((made) => (made as Survey).damage.kind === kind));

interface Told {
  readonly survey: Survey;
  readonly substrate: Substrate;
  readonly acts: number;
  readonly start: number;
}
const told: fc.Arbitrary<Told> = fc.record({
  survey: survey as fc.Arbitrary<Survey>,
  substrate: fc.constantFrom(...SUBSTRATES.map((row) => row.substrate)),
  acts: fc.nat(12),
  start: fc.double({ min: 0.001, max: 1000, noNaN: true }),
});

/** Surveyed, matched and worked off from the top; undefined where it is refused, or nothing is to do. */
function walked({ survey: made, substrate, acts, start }: Told) {
  const part = { id: "p", substrate, finish: "none" } as const;
  const work = (log: readonly LogEntry[]) => worked({ kind: "other", part: "p", parts: [part] }, readLog(log), AIR, { constant_C: 18 }, AT);
  const chain = [{ role: "topcoat", class: "clear-acrylic", as: "clear" }];
  let log = [line({ kind: "surveyed", survey: made }, 1), line({ ...matched, chain } as EventBody, 2)];
  let found = work(log);
  for (let i = 0; i < acts && found; i++) {
    const { marks, repair } = found;
    const next = repair.operations.find(({ id }) => !marks.has(id));
    if (!next) break;
    const clock = next.starts && next.class ? { start: { class: next.class as ClassName, thickness_mm: start, climate: AIR } } : {};
    const low = next.kind === "place" ? { surface_mm: -start / 10 } : {};
    log = [...log, line({ kind: "done", op: next.id, hands_min: 5, ...clock, ...low }, log.length + 1)];
    found = work(log);
  }
  return found && { found, treatment: readLog(log) };
}

function attempted(one: Told): ReturnType<typeof walked> {
  try {
    return walked(one);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return undefined;
  }
}

test("whatever is surveyed and done, every page tells it in numbers", () => {
  let looked = 0;
  fc.assert(
    fc.property(told, (one) => {
      fc.pre(check(SurveySchema, one.survey).length === 0);
      const repair = attempted(one);
      if (!repair) return;
      looked += 1;
      const { found, treatment } = repair;
      const open = actsOf(found, AT);
      const pages = {
        brief: briefOf(treatment, found, AT),
        views: operationViews(treatment, found, open, [], AT),
        closing: closingView(treatment, found),
        cuts: cutsOf(found, open),
        levels: levellingsOf(found, open, AIR, AT),
        films: filmBudgetsOf(found),
        coats: [colourCoats(found), coatSchemes(found, AIR)],
        needs: needsOf({ id: "t", piece: "Jar" }, found),
      };
      for (const [name, page] of Object.entries(pages)) expect(noNumber(page, name)).toBeUndefined();
    }),
    { numRuns: Number(process.env.FUZZ_RUNS ?? 80) },
  );
  expect(looked).toBeGreaterThan(20);
});

test("one figure that is none is told with its step, and goes no further", () => {
  const chip: Survey = { damage: { kind: "chip", length_mm: 34, depth_mm: 11, thickness_mm: 6 }, service: {} };
  const repair = walked({ survey: chip, substrate: "stoneware", acts: 0, start: 1 })?.found.repair;
  const [first, ...rest] = repair?.operations ?? [];
  if (!repair || !first) throw new Error("nothing is planned");
  expect(finiteRepair(repair)).toBe(repair);
  const named = (over: Partial<typeof first>) => () => finiteRepair({ ...repair, operations: [{ ...first, ...over }, ...rest] });
  expect(named({ mass_g: Number.NaN })).toThrow(`“${first.text}” comes to no number (mass_g)`);
  expect(named({ hands_min: [1, Number.POSITIVE_INFINITY] })).toThrow("(hands_min)");
  expect(named({ text: "Drill Ø NaN mm" })).toThrow("“Drill Ø NaN mm” comes to no number (words)");
  expect(() => finiteRepair({ ...repair, elapsed_min: [0, Number.NaN] })).toThrow("the repair comes to no number (elapsed_min)");
});
