import { type FieldErrors, type FieldValues, type Resolver, set } from "react-hook-form";

/** What is wrong, by the path of its field: `parts.0.name`. */
export type Errors = Readonly<Partial<Record<string, string>>>;

/** What was typed, read as it is sent; or what is wrong with it. */
export type Read<Value> = { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly errors: Errors };

/** The one resolver: a form's own reader answers with the value that is sent, or with words for each field. */
export function resolverOf<Form extends FieldValues, Value>(read: (typed: Form) => Read<Value>): Resolver<Form, unknown, Value> {
  return (typed) => {
    const found = read(typed);
    if (found.ok) return { values: found.value, errors: {} };
    const errors: FieldErrors<Form> = {};
    for (const [path, message] of Object.entries(found.errors)) set(errors, path, { type: "read", message });
    return { values: {}, errors };
  };
}

/** The errors of a form by path; those of a list of fields stand at the list. */
export function messagesOf(errors: object, at = ""): Errors {
  return Object.fromEntries(
    Object.entries(errors).flatMap(([key, error]: [string, unknown]): Array<[string, string]> => {
      if (typeof error !== "object" || error === null || key === "ref") return [];
      if ("message" in error && typeof error.message === "string") return [[at + key, error.message]];
      return Object.entries(messagesOf(error, `${at}${key}.`)) as Array<[string, string]>;
    }),
  );
}

/** A path of a problem as a form has it: `/parts/0/name` is `parts.0.name`. */
export const formPath = (pointer: string): string => pointer.slice(1).replaceAll("/", ".");
