import { type Problem, problem } from "@/core/problem";
import { invalid, storeProblem, WorkProblem } from "@/work/problems";
import { strangeness } from "../guard";

const JSON_LIMIT = 1024 * 1024;

/** Answer a request with JSON, and every refusal as an RFC 9457 problem. */
export async function answer(request: Request, work: () => Promise<unknown>, status = 200): Promise<Response> {
  try {
    const strange = strangeness(request);
    if (strange) return problemResponse(problem(403, "Not from here", strange));
    const result = await work();
    if (result instanceof Response) return result;
    return Response.json(result ?? {}, { status });
  } catch (error) {
    // whoever asked has gone: nobody reads this
    if (request.signal.aborted) return new Response(null, { status: 499 });
    if (error instanceof WorkProblem) return problemResponse(error.problem);
    const found = storeProblem(error);
    if (found) return problemResponse(found);
    console.error(error);
    return problemResponse(problem(500, "Something broke here", "Nothing was saved. Try again; if it stays, look at the server's log."));
  }
}

/** By status, what goes with it: when to come again; that the rest of a body that is not read is not waited for. */
const HEADERS: Readonly<Record<number, Readonly<Record<string, string>>>> = { 503: { "retry-after": "5" }, 413: { connection: "close" } };

export function problemResponse(body: Problem): Response {
  return Response.json(body, { status: body.status, headers: { "content-type": "application/problem+json", ...HEADERS[body.status] } });
}

/** The body as JSON. @throws {WorkProblem} 413 over `limit` bytes, 415 when it is not sent as JSON, 400 when it is none */
export async function readJson(request: Request, limit = JSON_LIMIT): Promise<unknown> {
  if (!(request.headers.get("content-type") ?? "").includes("json"))
    throw new WorkProblem(problem(415, "Send JSON", "The content type must be application/json."));
  const bytes = await readBytes(request, limit);
  let value: unknown;
  try {
    value = JSON.parse(bytes.toString("utf8"));
  } catch (error) {
    throw new WorkProblem(problem(400, "Not JSON", (error as Error).message));
  }
  const unfit = unfitText(value);
  if (unfit !== undefined) throw invalid([{ path: unfit, message: "holds a character that no record can hold" }]);
  return value;
}

/** Where a text has a NUL or half a character in it, as a JSON pointer; undefined = nowhere. */
function unfitText(value: unknown, path = ""): string | undefined {
  if (typeof value === "string") return value.includes("\0") || !value.isWellFormed() ? path : undefined;
  if (typeof value !== "object" || value === null) return undefined;
  for (const [key, inner] of Object.entries(value)) {
    const found = unfitText(key, path) ?? unfitText(inner, `${path}/${key}`);
    if (found !== undefined) return found;
  }
  return undefined;
}

/** The body's bytes, given up as soon as they exceed `limit`. */
export async function readBytes(request: Request, limit: number): Promise<Buffer> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  for (let chunk = await reader?.read(); chunk && !chunk.done; chunk = await reader?.read()) {
    size += chunk.value.length;
    if (size > limit) {
      await reader?.cancel();
      const allowed = Math.floor(limit / 1024 / 1024);
      throw new WorkProblem(problem(413, "Too large", `More than ${allowed} MB was sent. Nothing was saved.`));
    }
    chunks.push(chunk.value);
  }
  return Buffer.concat(chunks);
}
