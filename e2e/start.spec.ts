import { type ChildProcess, spawn, spawnSync } from "node:child_process";
import { chmodSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import path from "node:path";
import { expect } from "@playwright/test";
import { test } from "./support";

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

test.describe("a database of its own, in a folder that nothing else uses", () => {
  // one after the other: a port that one has just left the other would take
  test.describe.configure({ mode: "default" });
  let folder = "";
  test.beforeEach(() => {
    folder = mkdtempSync("/tmp/wanderjahr-start-");
    chmodSync(folder, 0o755);
  });
  test.afterEach(() => {
    spawnSync("node", ["--input-type=module", "-e", `${IMPORTS} const c = await open(); c.stop();`], {
      env: { ...process.env, FOLDER: folder },
    });
    rmSync(folder, { recursive: true, force: true });
  });

  const IMPORTS = `
    import { alone } from "./bin/lib/alone.mjs"; import { startCluster } from "./bin/lib/postgres.mjs";
    const folder = process.env.FOLDER;
    const open = () => alone(folder, () => startCluster({ folder: folder + "/pg", firstPort: 54817, databases: ["one"], scratch: true }));`;
  /** Starts, tells where it is, and stays until its input ends. */
  const stays = () => {
    const code = `${IMPORTS} const c = await open(); console.log(c.url("one")); for await (const _ of process.stdin); c.stop(); console.log("stopped");`;
    const child = spawn("node", ["--input-type=module", "-e", code], { env: { ...process.env, FOLDER: folder } });
    let text = "";
    for (const stream of [child.stdout, child.stderr])
      stream.on("data", (chunk: Buffer) => {
        text += chunk;
      });
    const end = () => {
      child.stdin.end();
      return ended(child);
    };
    return { child, output: () => text, end };
  };
  const URL_OF = /postgresql:\/\/wanderjahr@127\.0\.0\.1:\d+\/one/;
  const serves = (output: string) =>
    spawnSync("node", [
      "-e",
      'new (require("pg").Client)(process.argv[1]).connect().then(() => process.exit(0), () => process.exit(1))',
      URL_OF.exec(output)?.[0] ?? "",
    ]).status === 0;

  test("two first starts on one database take turns, share it, and it stays until the last of them ends", async () => {
    const [one, two] = [stays(), stays()];
    for (const each of [one, two]) await expect.poll(each.output, { timeout: 60_000 }).toMatch(URL_OF);
    expect(URL_OF.exec(one.output())?.[0]).toBe(URL_OF.exec(two.output())?.[0]);
    expect(one.output() + two.output()).toContain("waiting for it");
    await one.end();
    expect(serves(two.output())).toBe(true);
    await two.end();
    expect(serves(two.output())).toBe(false);
  });

  test("after a crash: a file that names a process which is another program by now is taken away, and said; one left by a killed start too", async () => {
    const before = stays();
    await expect.poll(before.output, { timeout: 60_000 }).toMatch(URL_OF);
    const home = /data is in (\S+?)\.$/m.exec(before.output())?.[1] ?? path.join(folder, "pg");
    const file = path.join(home, "data", "postmaster.pid");
    process.kill(Number.parseInt(readFileSync(file, "utf8"), 10), "SIGKILL");
    before.child.kill("SIGKILL");
    await expect.poll(() => serves(before.output())).toBe(false);
    const lines = readFileSync(file, "utf8").split("\n");
    writeFileSync(file, [String(process.pid), ...lines.slice(1)].join("\n"));
    writeFileSync(path.join(folder, "starting"), "999999 1");
    const after = stays();
    await expect.poll(after.output, { timeout: 60_000 }).toMatch(URL_OF);
    expect(after.output()).toMatch(/was not stopped properly; process \d+, which it ran as, is \S+ now\. It starts anew\./);
    expect(serves(after.output())).toBe(true);
    await after.end();
  });
});
