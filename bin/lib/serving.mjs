import path from "node:path";
import { buildApp } from "./build.mjs";
import { ensurePackages } from "./packages.mjs";
import { freePort, startCluster } from "./postgres.mjs";
import { child, run } from "./run.mjs";
import { ensurePackage } from "./system.mjs";

/** Debian's Chromium, without what tries to reach the network. */
export const CHROMIUM = {
  executablePath: "/usr/bin/chromium",
  args: [
    "--headless",
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
};

/** The built app with the demo world on a scratch database, for as long as `work` takes. */
export async function withDemoApp(root, work) {
  Object.assign(process.env, { NEXT_TELEMETRY_DISABLED: "1", TZ: "Europe/Berlin", SHOP_NAME: "Haldenau Fairground Collection" });
  ensurePackages(root);
  ensurePackage("chromium");
  const folder = path.join(root, ".data", "scratch-pg");
  const before = await startCluster({ folder, firstPort: 54417, databases: [], scratch: true });
  before.drop("scratch_show");
  const cluster = await startCluster({ folder, firstPort: 54417, databases: ["scratch_show"], scratch: true });
  const bin = path.join(root, "node_modules", ".bin");
  process.env.DATABASE_URL = cluster.url("scratch_show");
  const port = await freePort(3411);
  let server;
  try {
    run(path.join(bin, "tsx"), ["bin/prepare.ts", "--demo"], { cwd: root, stdio: "ignore" });
    buildApp(root);
    server = child(path.join(bin, "next"), ["start", "-H", "127.0.0.1", "-p", String(port)], { cwd: root, stdio: "ignore" });
    await answering(`http://127.0.0.1:${port}/api/health`);
    return await work(`http://127.0.0.1:${port}`);
  } finally {
    server?.kill("SIGTERM");
    cluster.stop();
  }
}

/** Wait until something answers at `url`, a minute at most. */
export async function answering(url) {
  for (let tries = 0; tries < 240; tries++) {
    try {
      await fetch(url);
      return;
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 250));
    }
  }
  throw new Error(`nothing answers at ${url}`);
}
