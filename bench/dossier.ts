import { createReadStream, createWriteStream, mkdtempSync, readFileSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { MikroORM } from "@mikro-orm/postgresql";
import sharp from "sharp";
import { buildApp } from "../bin/lib/build.mjs";
import { startCluster } from "../bin/lib/postgres.mjs";
import { served } from "./served";

const COUNTS = [1, 60];
/** Sides of a picture of noise that is just under the twelve megabytes that one may have, px. */
const SIDE = 1980;
const AIM_MB = 400;

/** Memory that a dossier takes on its way out and in, by how many photographs it has: it must not grow with them. */
async function main(): Promise<void> {
  const cluster = await startCluster({
    folder: path.resolve(".data/scratch-pg"),
    firstPort: 54417,
    databases: ["scratch_dossier"],
    scratch: true,
  });
  const folder = mkdtempSync(path.join(tmpdir(), "dossier-"));
  try {
    process.env.DATABASE_URL = cluster.url("scratch_dossier");
    const { config } = await import("../src/store/config");
    const orm = await MikroORM.init(config);
    await orm.getMigrator().up();
    await orm.close(true);
    const { closeStore, em } = await import("../src/store/orm");
    const { createPiece } = await import("../src/work/pieces");
    const { addPhotograph } = await import("../src/work/photographs");
    buildApp(process.cwd());
    const bytes = await noise();
    const peaks: Record<string, number[]> = { out: [], in: [] };
    for (const count of COUNTS) {
      const store = await em();
      await store.execute("truncate piece cascade");
      const ids = { id: crypto.randomUUID(), treatment_id: crypto.randomUUID() };
      const part = { name: "rim", substrate: "stoneware", finish: "glaze" };
      await createPiece(
        { ...ids, title: "Jar", reference: "B-1", owner_reference: "", kind: "vessel", part, treatment_title: "rim" },
        new Date(),
      );
      for (let i = 0; i < count; i++)
        await addPhotograph(ids.treatment_id, { id: crypto.randomUUID(), moment: "before", caption: "", bytes }, new Date());
      const file = path.join(folder, "one.zip");
      const out = await peakOf(async (base) => {
        const answer = await fetch(`${base}/api/treatments/${ids.treatment_id}/dossier.zip`);
        await pipeline(Readable.fromWeb(answer.body as never), createWriteStream(file));
      });
      await store.execute("truncate piece cascade");
      const into = await peakOf(async (base) => {
        const headers = { "content-type": "application/zip" };
        const body = Readable.toWeb(createReadStream(file)) as never;
        const answer = await fetch(`${base}/api/dossiers/zip`, { method: "POST", headers, body, duplex: "half" } as RequestInit);
        if (answer.status !== 201) throw new Error(`it was answered with ${answer.status}: ${await answer.text()}`);
      });
      peaks.out?.push(out);
      peaks.in?.push(into);
      console.log(
        `${String(count).padStart(3)} photographs, ${(statSync(file).size / 1e6).toFixed(0)} MB: out ${out.toFixed(0)} MB, in ${into.toFixed(0)} MB`,
      );
    }
    for (const [way, [few = 1, many = 1]] of Object.entries(peaks))
      console.log(`dossier ${way}: ${(many / few).toFixed(2)} × the memory of one photograph (aim: under ${AIM_MB} MB)`);
    if (Object.values(peaks).some((all) => all.some((peak) => peak > AIM_MB))) process.exitCode = 1;
    await closeStore();
  } finally {
    rmSync(folder, { recursive: true });
    cluster.stop();
  }
}

/** The most memory that an app that was just started holds while something is done, MB, as the system counts it. */
function peakOf(work: (base: string) => Promise<void>): Promise<number> {
  return served(async (base, pid) => {
    await work(base);
    const [, kB = "0"] = /VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8")) ?? [];
    return Number(kB) / 1000;
  });
}

function noise(): Promise<Buffer> {
  const raw = Buffer.alloc(SIDE * SIDE * 3);
  for (let i = 0, state = 1; i < raw.length; i++) {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    raw[i] = state >>> 24;
  }
  return sharp(raw, { raw: { width: SIDE, height: SIDE, channels: 3 } })
    .png({ compressionLevel: 1 })
    .toBuffer();
}

main().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
