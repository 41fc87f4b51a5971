import { fieldOf, isPassing, send } from "./send";

const answer = (status: number, body: unknown) => Promise.resolve(new Response(JSON.stringify(body), { status }));
const calls: [string, RequestInit][] = [];
const fetched = (reply: () => Promise<Response>) => {
  calls.length = 0;
  globalThis.fetch = ((url: string, init: RequestInit) => {
    calls.push([url, init]);
    return reply();
  }) as typeof fetch;
};
const real = globalThis.fetch;
afterAll(() => {
  globalThis.fetch = real;
});

test("what is saved comes back as the server answers it, sent as JSON, and even when the page is left", async () => {
  fetched(() => answer(201, { id: "7" }));
  expect(await send("POST", "/api/pieces", { title: "Jar" })).toEqual({ ok: true, value: { id: "7" } });
  const [url, init] = calls[0] ?? [];
  expect(url).toBe("/api/pieces");
  expect(init).toMatchObject({ method: "POST", keepalive: true, body: '{"title":"Jar"}', headers: { "content-type": "application/json" } });
});

test("a refusal is the server's problem, word for word", async () => {
  const problem = {
    type: "urn:x",
    title: "Something does not fit",
    status: 422,
    detail: "…",
    errors: [{ path: "/title", message: "is missing" }],
  };
  fetched(() => answer(422, problem));
  const sent = await send("PUT", "/api/pieces/1", {});
  expect(sent).toEqual({ ok: false, problem });
  expect(isPassing(problem)).toBe(false);
});

test("a file goes as it is: its kind is its own, and a large one is not tied to the leaving page", async () => {
  fetched(() => answer(200, {}));
  const file = new Blob(["name,class"], { type: "text/csv" });
  await send("POST", "/api/cabinet/csv", file);
  const init = calls[0]?.[1] ?? {};
  expect(init.body).toBe(file);
  expect(init.keepalive).toBe(false);
  expect(init.headers).toBeUndefined();
});

test.each([
  ["no network", () => Promise.reject(new TypeError("fetch failed"))],
  ["an answer that is no JSON", () => Promise.resolve(new Response("<html>502</html>", { status: 502 }))],
])("%s is told as a problem that may pass, never thrown", async (_, reply) => {
  fetched(reply);
  const sent = await send("DELETE", "/api/pieces/1");
  expect(sent.ok).toBe(false);
  if (sent.ok) return;
  expect(isPassing(sent.problem)).toBe(true);
  expect(sent.problem.detail).toContain("What you typed stays here");
});

test("the database away and what broke at the server are passing too, a collision is not", () => {
  const status = (status: number) => isPassing({ type: "", title: "", status, detail: "" });
  expect([503, 500, 507, 409, 404].map(status)).toEqual([true, true, true, false, false]);
});

test("an error belongs to the field that its pointer ends in", () => {
  expect(fieldOf({ path: "/survey/damage/length_mm", message: "" })).toBe("length_mm");
  expect(fieldOf({ path: "", message: "" })).toBe("");
});
