import type { TSchema } from "@sinclair/typebox";
import { Ajv, type ErrorObject, type ValidateFunction } from "ajv";
import addFormats from "ajv-formats";

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

const compiled = new WeakMap<object, ValidateFunction>();

/** What is wrong with `value` under `schema`, field by field in plain words; empty when all is well. */
export function check(schema: TSchema, value: unknown): FieldError[] {
  let validate = compiled.get(schema);
  if (!validate) {
    validate = ajv.compile(schema);
    compiled.set(schema, validate);
  }
  if (validate(value)) return [];
  const errors = (validate.errors ?? []).map(fieldError);
  return errors.filter(({ path, message }, i) => errors.findIndex((e) => e.path === path && e.message === message) === i);
}

/** Where a keyword speaks of a field inside the object that it was found on. */
const PATH_PARAM: Readonly<Record<string, string>> = { required: "missingProperty", additionalProperties: "additionalProperty" };

const SAYINGS: Readonly<Record<string, (params: Record<string, unknown>) => string>> = {
  required: () => "is missing",
  additionalProperties: () => "is not a known field",
  enum: ({ allowedValues }) => `must be one of ${(allowedValues as string[]).join(", ")}`,
  const: ({ allowedValue }) => `must be ${allowedValue}`,
  minimum: ({ limit }) => `must be ${limit} or more`,
  exclusiveMinimum: ({ limit }) => `must be above ${limit}`,
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
