import type { TSchema } from "@sinclair/typebox";
import { Ajv, type ErrorObject, type ValidateFunction } from "ajv";
import addFormats from "ajv-formats";
import { NEXT_TO_NOTHING } from "./units/number";

export interface FieldError {
  /** JSON pointer to the field, e.g. `/parts/0/ratio`; empty for the whole. */
  readonly path: string;
  readonly message: string;
}

/** RFC 9457 problem details. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly errors?: readonly FieldError[];
  /** Of a collision: how far the record has come, and what others wrote, in words. */
  readonly version?: number;
  readonly theirs?: readonly string[];
}

export function problem(status: number, title: string, detail: string, errors?: readonly FieldError[]): Problem {
  const type = `urn:wanderjahr:problem:${title.toLowerCase().replaceAll(/[^a-z]+/g, "-")}`;
  return { type, title, status, detail, ...(errors ? { errors } : {}) };
}

const ajv = new Ajv({
  allErrors: true,
  discriminator: true,
  strictSchema: true,
  strictTypes: false,
  strictRequired: false,
  allowMatchingProperties: true,
});
addFormats.default(ajv, ["date-time", "uuid", "date"]);
const DATE_TIME = /^(\d{4})-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/i;
// the package takes `+02` and the year 0, which neither Date nor a database reads
ajv.addFormat("date-time", (text) => (DATE_TIME.test(text) ? isReal(text) : false));
ajv.addFormat("date", (text) => /^\d{4}-\d\d-\d\d$/.test(text) && isReal(text));

/** A day that the calendar has, in a year that is meant. */
function isReal(text: string): boolean {
  const [year = 0, month = 0, day = 0] = text.slice(0, 10).split("-").map(Number);
  const there = new Date(Date.UTC(year, month - 1, day));
  return year >= 1000 && there.getUTCMonth() === month - 1 && there.getUTCDate() === day && !Number.isNaN(Date.parse(text));
}

const compiled = new WeakMap<object, ValidateFunction>();

/** What is wrong with `value` under `schema`, field by field in plain words; empty when all is well. */
export function check(schema: TSchema, value: unknown): FieldError[] {
  let validate = compiled.get(schema);
  if (!validate) {
    validate = ajv.compile(schema);
    compiled.set(schema, validate);
  }
  if (validate(value)) return [];
  const errors = new Map<string, FieldError>();
  for (const each of validate.errors ?? []) {
    const error = fieldError(each);
    errors.set(`${error.path} ${error.message}`, error);
    if (errors.size >= MOST_ERRORS) break;
  }
  return [...errors.values()];
}

/** More than these nobody reads; the rest shows when they are mended. */
const MOST_ERRORS = 200;

/** Where a keyword speaks of a field inside the object that it was found on. */
const PATH_PARAM: Readonly<Record<string, string>> = { required: "missingProperty", additionalProperties: "additionalProperty" };

const SAYINGS: Readonly<Record<string, (params: Record<string, unknown>) => string>> = {
  required: () => "is missing",
  additionalProperties: () => "is not a known field",
  enum: ({ allowedValues }) => `must be one of ${(allowedValues as string[]).join(", ")}`,
  const: ({ allowedValue }) => `must be ${allowedValue}`,
  minimum: ({ limit }) => `must be ${limit} or more`,
  exclusiveMinimum: ({ limit }) => `must be above ${limit === NEXT_TO_NOTHING ? 0 : limit}`,
  maximum: ({ limit }) => `must be ${limit} or less`,
  exclusiveMaximum: ({ limit }) => `must be below ${limit}`,
  minItems: ({ limit }) => `must hold at least ${limit}`,
  maxItems: ({ limit }) => `must hold at most ${limit}`,
  minLength: ({ limit }) => (limit === 1 ? "must not be empty" : `must have at least ${limit} characters`),
  maxLength: ({ limit }) => `must have at most ${limit} characters`,
  type: ({ type }) => `must be ${Array.isArray(type) ? type.join(" or ") : article(String(type))}`,
  format: ({ format }) => (format === "date-time" ? "must be a time with its offset, as 2026-10-07T12:00:00+02:00" : `must be a ${format}`),
  pattern: () => "is not written as expected",
  oneOf: () => "must give exactly one of its alternatives",
  anyOf: () => "fits none of its alternatives",
  discriminator: ({ tag }) => `must have a known “${tag}”`,
};

function article(type: string): string {
  return `${/^[aeiou]/.test(type) ? "an" : "a"} ${type}`;
}

function fieldError({ keyword, instancePath, params, message }: ErrorObject): FieldError {
  const inner = PATH_PARAM[keyword];
  return {
    path: inner === undefined ? instancePath : `${instancePath}/${params[inner]}`,
    message: SAYINGS[keyword]?.(params) ?? message ?? "is wrong",
  };
}
