import { defineConfig } from "@playwright/test";

export const ARGS = [
  "--headless",
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
];

/** The addresses of the app on its scratch databases; bin/test.mjs starts PostgreSQL and sets the URLs. */
export const SERVERS = {
  empty: { port: 3311, database: process.env.E2E_EMPTY_URL },
  demo: { port: 3312, database: process.env.E2E_DEMO_URL },
  /** Reaches its database through a proxy that a test opens and shuts. */
  away: { port: 3313, database: process.env.E2E_AWAY_URL },
} as const;

export const address = (server: keyof typeof SERVERS) => `http://127.0.0.1:${SERVERS[server].port}`;

export default defineConfig({
  testDir: "e2e",
  outputDir: ".data/playwright",
  timeout: 120_000,
  expect: { timeout: 20_000 },
  workers: 2,
  reporter: process.env.E2E_REPORT ? [["list"], ["json", { outputFile: process.env.E2E_REPORT }]] : "list",
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 30_000,
    // told another time by force Chromium crawls: its pages are told by `support.ts`
    launchOptions: { executablePath: "/usr/bin/chromium", args: ARGS, env: { ...(process.env as Record<string, string>), LD_PRELOAD: "" } },
    timezoneId: "Europe/Berlin",
  },
  projects: [
    { name: "journey", testMatch: /journey|keyboard|tools/, use: { baseURL: address("empty") }, fullyParallel: false, workers: 1 },
    {
      name: "demo",
      fullyParallel: true,
      testIgnore: /journey|keyboard|tools|away/,
      use: { baseURL: address("demo") },
    },
    { name: "away", testMatch: /away/, use: { baseURL: address("away") } },
  ],
  webServer: Object.values(SERVERS).map(({ port, database }) => ({
    // a test may pause for longer than a server keeps a quiet connection open
    command: `node_modules/.bin/next start -H 127.0.0.1 -p ${port} --keepAliveTimeout 120000`,
    port,
    env: { ...(process.env as Record<string, string>), DATABASE_URL: database ?? "", NEXT_TELEMETRY_DISABLED: "1", TZ: "Europe/Berlin" },
    stdout: "ignore" as const,
    stderr: "pipe" as const,
  })),
});
