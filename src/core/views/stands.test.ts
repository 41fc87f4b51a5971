import fc from "fast-check";
import { check } from "../problem";
import { BODY_VERSION, EventBody, type LogEntry } from "../record/events.schema";
import { readLog } from "../record/treatment";
import { fromSchema } from "../units/fromSchema.fixture";
import { admit } from "./admit";
import { briefOf } from "./briefOf";
import { troubleOf, unplannable } from "./stands";
import { matched, surveyed } from "./story.fixture";
import { worked } from "./worked";

const AT = Date.parse("2026-10-07T12:00:00Z");
const PART = { id: "7f1c3f0e-0000-4000-8000-000000000001", substrate: "stoneware", finish: "glaze" } as const;
const PIECE = { kind: "vessel", part: PART.id, parts: [PART] } as const;

const work = (treatment: ReturnType<typeof readLog>) => {
  const found = worked(PIECE, treatment, { temp_C: 18, rh_pct: 50 }, { constant_C: 18 }, AT);
  briefOf(treatment, found, AT);
  return found;
};

let ids = 0;
function line(body: EventBody, seq: number, corrects?: string): LogEntry {
  ids += 1;
  const id = `00000000-0000-4000-8000-${String(ids).padStart(12, "0")}`;
  return { id, seq, v: BODY_VERSION, at: new Date(AT - 3_600_000 + seq * 1000).toISOString(), body, ...(corrects ? { corrects } : {}) };
}
const begun = () => [surveyed(), matched].map((body, i) => line(body, i + 1));

/** As the record takes it: admitted by its plan, and plannable with it. */
function taken(log: readonly LogEntry[], entry: LogEntry): boolean {
  const treatment = readLog(log);
  const admitted = admit({ treatment, worked: work(treatment), at: AT }, entry.body) === undefined;
  return admitted && unplannable(log, entry, work) === undefined;
}

/** An entry of any kind that speaks of this treatment, now and then. */
const body = fromSchema(EventBody).map((made) => {
  const { damage: _damage, part: _part, ...rest } = made as Record<string, unknown>;
  return {
    ...rest,
    ...("op" in rest ? { op: "r1/fill/mix-1/epoxy-putty" } : {}),
    ...("places" in rest ? { places: ["d1/void"] } : {}),
  } as EventBody;
});

test("whatever entries are valid and taken, the treatment can be worked out, and can still be noted on", () => {
  fc.assert(
    fc.property(fc.array(body, { minLength: 1, maxLength: 5 }), (bodies) => {
      let log: LogEntry[] = begun();
      for (const each of bodies.filter((made) => check(EventBody, made).length === 0)) {
        const entry = line(each, log.length + 1);
        if (taken(log, entry)) log = [...log, entry];
      }
      expect(troubleOf(log, work)).toBeUndefined();
      expect(taken(log, line({ kind: "noted", station: "survey", text: "still here" }, log.length + 1))).toBe(true);
    }),
    { numRuns: 150 },
  );
});

const strange = { ...surveyed(), way: { way: "wishing", reason: "it would be nice" } } as EventBody;

test("a way that is none is refused at its field", () => {
  const asked = { treatment: readLog(begun()), worked: undefined, at: AT };
  expect(admit(asked, strange)).toEqual({ path: "/body/way/way", message: expect.stringContaining("“wishing” is no way to meet") });
});

describe("a treatment whose log is broken already", () => {
  const broken = () => [...begun(), line(strange, 3), line({ kind: "noted", station: "survey", text: "later" }, 4)];

  test("says which entry it is", () => {
    expect(troubleOf(broken(), work)).toMatchObject({ seq: 3, message: expect.stringContaining("wishing") });
  });

  test("can still be noted on, and the entry corrected or taken back; more work waits, and is told for what", () => {
    const log = broken();
    const culprit = log[2]?.id ?? "";
    const asked = (next: EventBody, corrects?: string) => unplannable(log, line(next, 5, corrects), work);
    expect(asked({ kind: "noted", station: "fill", text: "odd" })).toBeUndefined();
    expect(asked({ kind: "withdrawn" }, culprit)).toBeUndefined();
    expect(asked(surveyed(), culprit)).toBeUndefined();
    expect(asked(surveyed())).toBeUndefined();
    expect(asked({ kind: "skipped", op: "r1/fill/dam/d1", reason: "none" })?.message).toMatch(
      /since entry 3, .*Correct that entry or take it back first/,
    );
  });
});
