import type { Static, TSchema } from "@sinclair/typebox";
import { check } from "@/core/problem";
import { invalid, malformed } from "./problems";

/** The one door for what comes from outside: typed, or a problem with an error for each field. */
export function parse<S extends TSchema>(schema: S, value: unknown): Static<S> {
  const errors = check(schema, readable(value));
  if (errors.length > 0) throw invalid(errors);
  return value as Static<S>;
}

/** What comes from outside is never nested deeper: forms and dossiers are a handful deep. */
const MOST_DEEP = 100;

/** The value, where every text in it can be kept. @throws {WorkProblem} 422 at a text with a NUL or half a character, 400 nested too deeply */
export function readable<T>(value: T): T {
  const left: Array<{ readonly value: unknown; readonly path: string; readonly deep: number }> = [{ value, path: "", deep: 0 }];
  for (let one = left.pop(); one; one = left.pop()) {
    const { value: inner, path, deep } = one;
    if (deep > MOST_DEEP) throw malformed("Nested too deeply", `More than ${MOST_DEEP} brackets stand in one another.`);
    if (typeof inner === "string" && !isFit(inner)) throw invalid([{ path, message: "holds a character that no record can hold" }]);
    if (typeof inner !== "object" || inner === null) continue;
    for (const [key, each] of Object.entries(inner)) {
      if (!isFit(key)) throw invalid([{ path, message: "holds a character that no record can hold" }]);
      left.push({ value: each, path: `${path}/${key}`, deep: deep + 1 });
    }
  }
  return value;
}

const isFit = (text: string): boolean => !text.includes("\0") && text.isWellFormed();
