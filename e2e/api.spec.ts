import { expect } from "@playwright/test";
import { newTreatment, test } from "./support";

const chip = { solids: [{ shape: "edgeChip", length: 34, depth: 11, thickness: 6 }] };

test("calculations answer over HTTP as they do in the core", async ({ request }) => {
  const answer = await request.post("/api/calc/volume", { data: chip });
  expect(answer.status()).toBe(200);
  expect((await answer.json()).volume_cm3).toBeCloseTo(1.762, 3);
});

test("refusals are problem documents", async ({ request }) => {
  const refusal = await request.post("/api/calc/volume", {
    data: { solids: [{ shape: "box", length: -1, width: 1, depth: 1 }], sparkle: 1 },
  });
  expect(refusal.status()).toBe(422);
  expect(refusal.headers()["content-type"]).toContain("application/problem+json");
  expect(await refusal.json()).toMatchObject({
    type: expect.any(String),
    title: expect.any(String),
    status: 422,
    detail: expect.any(String),
    errors: expect.arrayContaining([
      { path: "/sparkle", message: "is not a known field" },
      { path: "/solids/0/length", message: "must be above 0" },
    ]),
  });
  expect((await request.post("/api/calc/polish", { data: {} })).status()).toBe(404);
  expect(
    (await request.post("/api/calc/volume", { data: Buffer.from("{"), headers: { "content-type": "application/json" } })).status(),
  ).toBe(400);
  expect((await request.post("/api/calc/volume", { data: "x=1", headers: { "content-type": "text/plain" } })).status()).toBe(415);
  expect((await request.post("/api/calc/volume", { data: { solids: "x".repeat(8_500_000) } })).status()).toBe(413);
});

test("another site's page cannot write here", async ({ request }) => {
  const answer = await request.post("/api/climate", {
    data: { source: "hand", temp_C: 20, rh_pct: 50 },
    headers: { "sec-fetch-site": "cross-site" },
  });
  expect(answer.status()).toBe(403);
});

test("a name that points here from elsewhere is not answered: the app is this machine's own", async ({ request }) => {
  for (const host of ["evil.example", "evil.example:3312", "127.0.0.1.evil.example"]) {
    const answer = await request.get("/api/find?q=jar", { headers: { host } });
    expect([host, answer.status()]).toEqual([host, 403]);
  }
  expect((await request.get("/api/find?q=jar", { headers: { host: "localhost:3312" } })).status()).toBe(200);
});

test("a page is not answered under a stranger's name either, and a stranger's page behind plain http cannot write", async ({ request }) => {
  expect((await request.get("/objects", { headers: { host: "evil.example" } })).status()).toBe(403);
  const climate = { source: "hand", temp_C: 20, rh_pct: 50 };
  const foreign = await request.post("/api/climate", { data: climate, headers: { origin: "http://evil.example" } });
  expect(foreign.status()).toBe(403);
});

test("scripts run only with the mark of their answer; nothing frames the app or guesses a type", async ({ page }) => {
  const answer = await page.goto("/objects");
  const headers = answer?.headers() ?? {};
  const policy = headers["content-security-policy"] ?? "";
  expect(/script-src [^;]*/.exec(policy)?.[0]).not.toContain("unsafe-inline");
  expect(policy).toContain("frame-ancestors 'none'");
  expect(headers).toMatchObject({ "x-content-type-options": "nosniff", "referrer-policy": "same-origin" });
  const ran = await page.evaluate(async () => {
    document.body.insertAdjacentHTML("beforeend", '<img src="/nothing" onerror="window.__slippedIn = true">');
    await new Promise((resolve) => setTimeout(resolve, 500));
    return "__slippedIn" in window;
  });
  expect(ran).toBe(false);
});

test("odd ids, texts and times are refused in words, never by a 500", async ({ page, request }) => {
  const { treatment } = await newTreatment(page);
  const entry = (over: object) => ({
    key: crypto.randomUUID(),
    version: 0,
    body: { kind: "noted", station: "survey", text: "x" },
    ...over,
  });
  const post = async (url: string, data: object) => (await request.post(url, { data })).status();
  for (const id of ["nonsense", "00000000", "%00", "'; drop table", "🦢"])
    expect([id, await post(`/api/treatments/${encodeURIComponent(id)}/log`, entry({}))]).not.toEqual([id, 500]);
  for (const odd of ["a\u0000b", "half \ud800"]) {
    const answer = await request.post("/api/pieces", {
      data: Buffer.from(JSON.stringify({ title: odd })),
      headers: { "content-type": "application/json" },
    });
    expect([answer.status(), (await answer.json()).errors[0].path]).toEqual([422, "/title"]);
  }
  for (const at of ["0000-01-01T00:00:00Z", "2026-10-07T12:00:00+02", "2026-02-30T00:00:00Z"])
    expect([at, await post(`/api/treatments/${treatment}/log`, entry({ at }))]).toEqual([at, 422]);
});

test("a new piece under a treatment id that something else has is refused, and nothing of it is saved", async ({ page, request }) => {
  const { treatment } = await newTreatment(page);
  const id = crypto.randomUUID();
  const answer = await request.post("/api/pieces", {
    data: {
      id,
      treatment_id: treatment,
      title: "Hoop-la ring",
      reference: "T-TAKEN",
      owner_reference: "",
      kind: "other",
      part: { name: "ring", substrate: "hardwood", finish: "none" },
      treatment_title: "crack",
    },
  });
  expect([answer.status(), (await answer.json()).title]).toEqual([409, "Taken already"]);
  expect((await request.get(`/objects/${id}`)).status()).toBe(404);
});

test("a treatment's dossier comes as a file", async ({ page }) => {
  const { treatment } = await newTreatment(page);
  const answer = await page.request.get(`/api/treatments/${treatment}/dossier`);
  expect(answer.headers()["content-disposition"]).toMatch(/attachment; filename=".+\.dossier\.json"/);
  expect((await answer.json()).treatment.id).toBe(treatment);
});

test("pages and routes asked all at once share one pool: nothing is refused for want of a connection", async ({ request }) => {
  const urls = ["/", "/objects", "/cabinet", "/api/health", "/api/find?q=jar", "/api/batches?class=epoxy-putty"];
  for (let turn = 0; turn < 3; turn++) {
    const answers = await Promise.all([...urls, ...urls, ...urls].map((url) => request.get(url)));
    expect(answers.map((answer) => answer.status())).toEqual(answers.map(() => 200));
  }
});
