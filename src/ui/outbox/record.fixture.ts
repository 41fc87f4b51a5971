import type { Problem } from "@/core/problem";

/** A record that takes entries as the server does: each key once, each only after the version that it names. */
export class FakeRecord {
  readonly logs = new Map<string, string[]>();
  away: number | "cut" | undefined;
  asked = 0;

  answer(url: string, init: RequestInit): Response {
    this.asked += 1;
    if (typeof this.away === "number") return this.problem(this.away);
    if (url === "/api/batches") return this.batch(JSON.parse(String(init.body)));
    const treatment = url.split("/")[3] ?? "";
    const { key, version, body } = JSON.parse(String(init.body));
    const log = this.logs.get(treatment) ?? [];
    const known = log.indexOf(key);
    if (known >= 0) return Response.json({ version: known + 1 }, { status: 201 });
    if (body.text === "bad") return this.problem(422);
    if (version !== log.length) return this.problem(409, { version: log.length, theirs: ["a step"] });
    this.logs.set(treatment, [...log, key]);
    // the entry stands, and the answer is lost on its way
    if (this.away === "cut") throw new TypeError("network");
    return Response.json({ version: log.length + 1 }, { status: 201 });
  }
  /** All logs of a batch grow, or none. */
  private batch({ id, portions }: { id: string; portions: { treatment: string; version: number }[] }): Response {
    const log = (treatment: string) => this.logs.get(treatment) ?? [];
    if (portions.some(({ treatment }) => log(treatment).includes(id))) return Response.json({ id });
    if (portions.some(({ treatment, version }) => version !== log(treatment).length)) return this.problem(409);
    for (const { treatment } of portions) this.logs.set(treatment, [...log(treatment), id]);
    return Response.json({ id }, { status: 201 });
  }
  private problem(status: number, more: Partial<Problem> = {}): Response {
    return Response.json({ type: "", title: "", status, detail: "", ...more }, { status });
  }
}

export const entry = (key: string, treatment = "t", text = key) =>
  ({ treatment, piece: "Jar", key, body: { kind: "noted", station: "survey", text }, options: {} }) as const;
