import { freePort } from "../bin/lib/postgres.mjs";
import { child, ended, FEW_ARENAS } from "../bin/lib/run.mjs";
import { answering } from "../bin/lib/serving.mjs";

/** The app, just started on the database that DATABASE_URL names, for as long as `work` takes. */
export async function served<T>(work: (base: string, pid: number) => Promise<T>): Promise<T> {
  const port = await freePort(3611);
  const env = { ...process.env, ...FEW_ARENAS } as NodeJS.ProcessEnv;
  const app = child("node_modules/.bin/next", ["start", "-H", "127.0.0.1", "-p", String(port)], { stdio: "ignore", env });
  const end = ended(app);
  try {
    await answering(`http://127.0.0.1:${port}/api/health`);
    return await work(`http://127.0.0.1:${port}`, app.pid ?? 0);
  } finally {
    app.kill("SIGTERM");
    await end;
  }
}
