import fc from "fast-check";
import { fromSchema } from "../src/core/units/fromSchema.fixture";

/** As much of the description of the app as is asked for here. */
interface Operation {
  readonly parameters?: ReadonlyArray<{ readonly name: string; readonly in: string; readonly schema: object }>;
  readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema?: object }>> };
}
interface Description {
  readonly paths: Readonly<Record<string, Readonly<Record<string, Operation>>>>;
}

const METHODS = ["get", "post", "put", "delete"];
/** An answer that takes longer has been waited for in vain, ms. */
const PATIENCE_MS = 15_000;
/** What no address, search or text should be able to break. */
const HOSTILE = [
  "%FF",
  "%zz",
  "%00",
  "%",
  "..%2f..%2f",
  "%E2%82",
  "’; drop table piece",
  "\u202e",
  "null",
  "NaN",
  "-1",
  "1e400",
  "x".repeat(3000),
];
const BODIES = [
  "",
  "{",
  "null",
  "[]",
  '"text"',
  "1e400",
  `${"[".repeat(8000)}${"]".repeat(8000)}`,
  '{"a":"\\u0000"}',
  '{"a":"\\ud800"}',
  '{"__proto__":{}}',
];
/** Answers that say something: done, here, refused in words, or come again later. */
const isExplained = (status: number) => status < 500 || status === 503 || status === 507;

/**
 * Requests over every route of the description, out of its schemas and out of hostile texts. Prints what was answered; true where nothing
 * was a 5xx that nobody explains, nothing hung, and the app still answers at the end.
 */
async function main(): Promise<void> {
  const [base = "", count = "2000", seed = "1"] = process.argv.slice(2);
  const { paths } = (await (await fetch(`${base}/api/openapi.json`)).json()) as Description;
  const routes = Object.entries(paths).flatMap(([path, methods]) =>
    METHODS.flatMap((method) => (methods[method] ? [{ path, method, operation: methods[method] }] : [])),
  );
  const ids = await known(base);
  const statuses = new Map<number, number>();
  const wrong: string[] = [];
  const each = Math.ceil(Number(count) / routes.length);
  for (const { path, method, operation } of routes)
    for (const { url, init } of fc.sample(requests(path, method, operation, ids), { numRuns: each, seed: Number(seed) })) {
      const status = await asked(base + url, init);
      statuses.set(status, (statuses.get(status) ?? 0) + 1);
      if (!isExplained(status)) wrong.push(`${method} ${url.slice(0, 160)} ${String(init.body ?? "").slice(0, 300)}: ${status}`);
    }
  const alive = (await asked(`${base}/api/health`, {})) === 200;
  const told = [...statuses].sort(([a], [b]) => a - b).map(([status, times]) => `${status}: ${times}`);
  console.log(`${"odd requests".padEnd(22)} ${each * routes.length} over ${routes.length} routes; answers ${told.join(", ")}`);
  for (const line of wrong.slice(0, 20)) console.log(`  ${line}`);
  process.exitCode = wrong.length === 0 && alive ? 0 : 1;
}

/** Ids that are there, so that some requests get further than the door. */
async function known(base: string): Promise<string[]> {
  const { items } = (await (await fetch(`${base}/api/objects`)).json()) as { items: ReadonlyArray<{ id: string; piece_id: string }> };
  return items.slice(0, 5).flatMap(({ id, piece_id }) => [id, piece_id]);
}

function requests(path: string, method: string, { parameters = [], requestBody }: Operation, ids: readonly string[]) {
  const part = fc.oneof(fc.constantFrom(...(ids.length > 0 ? ids : ["none"])), fc.constantFrom(...HOSTILE), fc.uuid());
  const names = [...path.matchAll(/\{(\w+)\}/g)].map(([, name = ""]) => name);
  const query = fc.record(
    Object.fromEntries(
      parameters
        .filter((each) => each.in === "query")
        .map(({ name, schema }) => [name, fc.oneof(fromSchema(schema), fc.constantFrom(...HOSTILE))]),
    ),
    { requiredKeys: [] },
  );
  const [[type, content] = ["application/json", {}]] = Object.entries(requestBody?.content ?? {});
  const schema = content?.schema;
  const body = fc.oneof(
    fc.constantFrom(...BODIES),
    ...(schema && type.includes("json")
      ? [fromSchema(schema).map((value) => JSON.stringify(value)), fromSchema(schema).map((value) => JSON.stringify(value))]
      : []),
  );
  return fc.record({ parts: fc.tuple(...names.map(() => part)), query, body }).map(({ parts, query: asked, body: sent }) => {
    const filled = names.reduce((url, name, i) => url.replace(`{${name}}`, String(parts[i])), path);
    const told = Object.entries(asked).map(
      ([name, value]) => `${name}=${HOSTILE.includes(String(value)) ? value : encodeURIComponent(String(value))}`,
    );
    const init = method === "get" ? { method } : { method, body: sent, headers: { "content-type": type } };
    return { url: `${filled}${told.length > 0 ? `?${told.join("&")}` : ""}`, init: init as RequestInit };
  });
}

/** The status of an answer; 0 = none came, 599 = none came in time. */
async function asked(url: string, init: RequestInit): Promise<number> {
  try {
    const answer = await fetch(url, { ...init, redirect: "manual", signal: AbortSignal.timeout(PATIENCE_MS) });
    await answer.arrayBuffer();
    return answer.status;
  } catch (error) {
    return (error as Error).name === "TimeoutError" ? 599 : 400;
  }
}

main().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
