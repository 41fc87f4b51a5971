import { createWriteStream } from "node:fs";
import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { pipeline } from "node:stream/promises";
import { type Problem, problem } from "@/core/problem";
import { readable } from "@/work/parse";
import { malformed, storeProblem, WorkProblem } from "@/work/problems";
import { strangeness } from "../guard";

const JSON_LIMIT = 1024 * 1024;

/** Answer a request with JSON, and every refusal as an RFC 9457 problem. */
export async function answer(request: Request, work: () => Promise<unknown>, status = 200): Promise<Response> {
  try {
    const strange = strangeness(request);
    if (strange) return problemResponse(problem(403, "Not from here", strange));
    const url = new URL(request.url);
    readable([unescaped(url.pathname), ...url.searchParams.entries()]);
    const result = await work();
    if (result instanceof Response) return result;
    return Response.json(result ?? {}, { status, headers: PRIVATE });
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

/** A part of the address as it is meant. @throws {WorkProblem} 400 where it is written so that nothing is */
function unescaped(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    throw malformed("Not an address", "A percent sign in the address is followed by no character.");
  }
}

/** What is told of the shop stays with whoever asked. */
export const PRIVATE = { "cache-control": "no-store" } as const;

/** By status, what goes with it: when to come again; that the rest of a body that is not read is not waited for. */
const HEADERS: Readonly<Record<number, Readonly<Record<string, string>>>> = { 503: { "retry-after": "5" }, 413: { connection: "close" } };

export function problemResponse(body: Problem): Response {
  return Response.json(body, {
    status: body.status,
    headers: { "content-type": "application/problem+json", ...PRIVATE, ...HEADERS[body.status] },
  });
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
    throw malformed("Not JSON", (error as Error).message);
  }
  return readable(value);
}

/** The body as a file, for as long as `work` takes: it is never held whole. @throws {WorkProblem} 413 over `limit` bytes */
export async function withFile<T>(request: Request, limit: number, work: (file: string) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(path.join(tmpdir(), "wanderjahr-"));
  const file = path.join(folder, "sent");
  try {
    await pipeline(limited(request, limit), createWriteStream(file));
    return await work(file);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

async function* limited(request: Request, limit: number): AsyncGenerator<Uint8Array> {
  let size = 0;
  for await (const chunk of chunksOf(request)) {
    size += chunk.length;
    if (size > limit) throw tooMuch(limit);
    yield chunk;
  }
}

async function* chunksOf({ body }: Request): AsyncGenerator<Uint8Array> {
  const reader = body?.getReader();
  try {
    for (let chunk = await reader?.read(); chunk && !chunk.done; chunk = await reader?.read()) yield chunk.value;
  } finally {
    await reader?.cancel().catch(() => undefined);
  }
}

const tooMuch = (limit: number) =>
  new WorkProblem(problem(413, "Too large", `More than ${Math.floor(limit / 1024 / 1024)} MB was sent. Nothing was saved.`));

/** The body's bytes, given up as soon as they exceed `limit`. */
export async function readBytes(request: Request, limit: number): Promise<Buffer> {
  const chunks: Uint8Array[] = [];
  for await (const chunk of limited(request, limit)) chunks.push(chunk);
  return Buffer.concat(chunks);
}
