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

const json = (schema: unknown, type = "application/json") => ({ content: { [type]: { schema } } });

/** OpenAPI 3.1 of the calculations, from the very schemas that check them. */
export function openApi(): object {
  const paths = Object.entries(CALCULATIONS).map(([name, { title, input, result }]) => [
    `/api/calc/${name}`,
    {
      post: {
        operationId: name,
        summary: title,
        requestBody: { required: true, ...json(input) },
        responses: {
          200: { description: "The answer, unrounded, with basis and warnings", ...json(result) },
          422: { description: "The input does not fit", ...json(PROBLEM, "application/problem+json") },
        },
      },
    },
  ]);
  return {
    openapi: "3.1.0",
    info: {
      title: "Wanderjahr calculations",
      version: "1",
      description: "Units: mm, mm², cm³, g, g/cm³, °C, minutes, % RH, µm. Times ISO 8601 with offset.",
    },
    paths: Object.fromEntries(paths),
  };
}
