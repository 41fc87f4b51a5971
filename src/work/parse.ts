import type { Static, TSchema } from "@sinclair/typebox";
import { check } from "@/core/problem";
import { invalid } from "./problems";

/** The one door for what comes from outside: typed, or a problem with an error for each field. */
export function parse<S extends TSchema>(schema: S, value: unknown): Static<S> {
  const errors = check(schema, value);
  if (errors.length > 0) throw invalid(errors);
  return value as Static<S>;
}
