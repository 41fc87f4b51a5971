import { type ChildProcess, spawn } from "node:child_process";
import { createServer } from "node:net";
import { expect, test } from "@playwright/test";

/** The start command as a user types it, on a scratch database; the app is built already. */
function start(port: number, args: readonly string[] = []): { child: ChildProcess; output: () => string } {
  const child = spawn("node", ["bin/start.mjs", ...args], {
    env: { ...process.env, DATABASE_URL: process.env.E2E_EMPTY_URL, PORT: String(port) },
  });
  let text = "";
  for (const stream of [child.stdout, child.stderr])
    stream?.on("data", (chunk: Buffer) => {
      text += chunk;
    });
  return { child, output: () => text };
}

const ended = (child: ChildProcess) => new Promise<number | null>((resolve) => child.once("exit", resolve));

test("it serves at the address that it prints, and Ctrl-C ends it cleanly", async ({ request }) => {
  const { child, output } = start(3331, ["--empty"]);
  await expect.poll(output, { timeout: 40_000 }).toContain("Wanderjahr is at http://127.0.0.1:3331");
  expect((await request.get("http://127.0.0.1:3331/api/health")).status()).toBe(200);
  expect(output()).toContain("Using the database that DATABASE_URL names");
  const end = ended(child);
  child.kill("SIGINT");
  expect(await end).toBe(0);
  await expect(request.get("http://127.0.0.1:3331/api/health")).rejects.toThrow(/ECONNREFUSED/);
});

test("a taken port is said, with what to do", async () => {
  const other = createServer().listen(3332, "127.0.0.1");
  const { child, output } = start(3332);
  expect(await ended(child)).toBe(1);
  expect(output()).toMatch(/Port 3332 is taken.*PORT=3211 npm start/s);
  other.close();
});
