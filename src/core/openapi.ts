import { CALCULATIONS } from "./calc";

const PROBLEM = {
  type: "object",
  required: ["type", "title", "status", "detail"],
  properties: {
    type: { type: "string" },
    title: { type: "string" },
    status: { type: "integer" },
    detail: { type: "string" },
    errors: { type: "array", items: { type: "object", properties: { path: { type: "string" }, message: { type: "string" } } } },
  },
};

/** A schema as JSON content. */
export const json = (schema: unknown, type = "application/json") => ({ content: { [type]: { schema } } });

/** A refusal, whatever route it comes from. */
export const PROBLEM_ANSWER = { description: "Refused, with the reason", ...json(PROBLEM, "application/problem+json") };

/** The paths of the calculations, from the very schemas that check them. */
export function calcPaths(): Record<string, Record<string, object>> {
  return Object.fromEntries(
    Object.entries(CALCULATIONS).map(([name, { title, input, result }]) => [
      `/api/calc/${name}`,
      {
        post: {
          operationId: name,
          summary: title,
          requestBody: { required: true, ...json(input) },
          responses: { 200: { description: "The answer, unrounded, with basis and warnings", ...json(result) }, default: PROBLEM_ANSWER },
        },
      },
    ]),
  );
}
