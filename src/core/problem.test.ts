import { Type } from "@sinclair/typebox";
import { check, problem } from "./problem";
import { above0, from0, instant, name, oneOf, percent, strict, tagged } from "./units/schema";

test("a problem has what RFC 9457 asks for, and a type that can be told apart", () => {
  expect(problem(422, "Something does not fit", "See below.", [{ path: "/a", message: "is missing" }])).toEqual({
    type: "urn:wanderjahr:problem:something-does-not-fit",
    title: "Something does not fit",
    status: 422,
    detail: "See below.",
    errors: [{ path: "/a", message: "is missing" }],
  });
  expect(problem(404, "Not here", "Gone.")).not.toHaveProperty("errors");
});

const Everything = strict({
  length: above0(1000),
  rest: from0(),
  share: percent(),
  at: instant(),
  name: name(),
  way: oneOf(["wet", "dry"] as const),
  many: Type.Array(Type.Integer(), { minItems: 1, maxItems: 2 }),
  kind: Type.Optional(tagged("kind", [strict({ kind: Type.Literal("a"), x: Type.Number() }), strict({ kind: Type.Literal("b") })])),
});
const good = { length: 1, rest: 0, share: 0, at: "2026-10-07T12:00:00+02:00", name: "n", way: "wet", many: [1] };

test("what fits has no errors", () => {
  expect(check(Everything, good)).toEqual([]);
  expect(check(Everything, { ...good, kind: { kind: "a", x: 1 } })).toEqual([]);
});

test.each<[string, object, string, string]>([
  ["zero where above zero is asked", { length: 0 }, "/length", "must be above 0"],
  ["too much", { length: 1001 }, "/length", "must be 1000 or less"],
  ["below zero", { rest: -1 }, "/rest", "must be 0 or more"],
  ["text for a number", { rest: "3" }, "/rest", "must be a number"],
  ["a number that is none", { rest: Number.NaN }, "/rest", "must be a number"],
  ["a time without its offset", { at: "2026-10-07T12:00:00" }, "/at", "must be a time with its offset, as 2026-10-07T12:00:00+02:00"],
  ["nothing for a name", { name: "" }, "/name", "must not be empty"],
  ["a long name", { name: "x".repeat(201) }, "/name", "must have at most 200 characters"],
  ["a word that is not in the list", { way: "moist" }, "/way", "must be one of wet, dry"],
  ["an empty list", { many: [] }, "/many", "must hold at least 1"],
  ["a long list", { many: [1, 2, 3] }, "/many", "must hold at most 2"],
  ["a fraction for a count", { many: [1.5] }, "/many/0", "must be an integer"],
  ["a field nobody knows", { sparkle: 1 }, "/sparkle", "is not a known field"],
  ["a kind nobody knows", { kind: { kind: "z" } }, "/kind", "must have a known “kind”"],
  ["a part of the kind that is missing", { kind: { kind: "a" } }, "/kind/x", "is missing"],
  ["a part of another kind", { kind: { kind: "b", x: 1 } }, "/kind/x", "is not a known field"],
])("%s", (_, over, path, message) => {
  expect(check(Everything, { ...good, ...over })).toEqual([{ path, message }]);
});

test("every field that is wrong is named, each once", () => {
  const errors = check(Everything, { ...good, length: -1, way: "x", name: "" });
  expect(errors.map(({ path }) => path).sort()).toEqual(["/length", "/name", "/way"]);
});

test("nothing at all names what is missing", () => {
  expect(check(Everything, {}).map(({ path }) => path)).toEqual(["/length", "/rest", "/share", "/at", "/name", "/way", "/many"]);
});

test.each([
  ["the year 0", "0000-01-01T00:00:00Z"],
  ["an offset of hours alone", "2026-10-07T12:00:00+02"],
  ["the 30th of February", "2026-02-30T12:00:00Z"],
  ["25 o’clock", "2026-10-07T25:00:00Z"],
])("%s is no time", (_, at) => {
  expect(check(Everything, { ...good, at })).toEqual([{ path: "/at", message: expect.stringContaining("must be a time") }]);
});

test("a list of 16,000 wrong samples is told in a moment, and not all of it", () => {
  const samples = strict({ samples: Type.Array(strict({ at: instant(), temp_C: Type.Number() })) });
  const begun = performance.now();
  const errors = check(samples, { samples: Array.from({ length: 16_000 }, () => ({ at: "yesterday", temp_C: "warm" })) });
  expect(errors.length).toBe(200);
  expect(performance.now() - begun).toBeLessThan(1000);
});
