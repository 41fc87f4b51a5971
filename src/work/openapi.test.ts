import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { ROUTES } from "./openapi";

const API = path.join(__dirname, "../app/api");

/** Every route of the app as its files have them. */
const served = readdirSync(API, { recursive: true, encoding: "utf8" })
  .filter((file) => file.endsWith("route.ts") && !/openapi|calc/.test(file))
  .flatMap((file) => {
    const methods = [...readFileSync(path.join(API, file), "utf8").matchAll(/^export const (GET|POST|PUT|DELETE)\b/gm)];
    const url = `/api/${path.dirname(file)}`.replaceAll(/\[(\w+)\]/g, "{$1}");
    return methods.map(([, method]) => `${method?.toLowerCase()} ${url}`);
  });

test("every route that is served is described, and none that is not", () => {
  expect(served.length).toBeGreaterThan(20);
  expect(ROUTES.map(({ method, path: url }) => `${method} ${url}`).sort()).toEqual(served.sort());
  expect(new Set(ROUTES.map(({ id }) => id)).size).toBe(ROUTES.length);
});
