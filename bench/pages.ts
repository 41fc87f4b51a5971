import path from "node:path";
import { MikroORM } from "@mikro-orm/postgresql";
import { buildApp } from "../bin/lib/build.mjs";
import { startCluster } from "../bin/lib/postgres.mjs";
import { fillShop } from "./fillShop";
import { served } from "./served";

const SIZES = [
  { open: 6, closed: 3 },
  { open: 2000, closed: 5009 },
];
const ROUNDS = 25;
const AIM_RATIO = 2;
const AIM_KB = 300;
const median = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;

/** Whole pages, as they are served, in a shop of nine treatments and in one of seven thousand. */
async function main(): Promise<void> {
  const cluster = await startCluster({
    folder: path.resolve(".data/scratch-pg"),
    firstPort: 54417,
    databases: ["scratch_pages"],
    scratch: true,
  });
  process.env.DATABASE_URL = cluster.url("scratch_pages");
  buildApp(process.cwd());
  const found = new Map<string, { ms: number; kB: number }[]>();
  try {
    const { config } = await import("../src/store/config");
    const orm = await MikroORM.init(config);
    await orm.getMigrator().up();
    for (const { open, closed } of SIZES) {
      const one = await fillShop(orm, open, closed);
      await served(async (base) => {
        for (const [name, url] of Object.entries(pagesOf(one))) {
          const measured = await measure(base + url);
          found.set(name, [...(found.get(name) ?? []), measured]);
        }
      });
    }
    await orm.close(true);
  } finally {
    cluster.stop();
  }
  console.log(
    `\nWhole pages with ${SIZES.map(({ open, closed }) => open + closed).join(" and with ")} treatments (aim: at most ${AIM_RATIO} times, under ${AIM_KB} kB)`,
  );
  for (const [name, [few = { ms: 1, kB: 0 }, many = { ms: 1, kB: 0 }]] of found)
    console.log(
      `${name.padEnd(18)} ${few.ms.toFixed(1).padStart(7)} ms ${many.ms.toFixed(1).padStart(7)} ms  ${(many.ms / few.ms).toFixed(2)} ×   ${few.kB.toFixed(0)} kB, ${many.kB.toFixed(0)} kB`,
    );
}

const pagesOf = (treatment: string) => ({
  "bare page": "/bare",
  Bench: "/",
  "Objects, open": "/objects",
  "Objects, closed": "/objects?list=closed&order=act",
  Cabinet: "/cabinet",
  "A station": `/treatments/${treatment}/fill`,
  Survey: `/treatments/${treatment}/survey`,
  Shop: "/shop",
});

async function measure(url: string): Promise<{ ms: number; kB: number }> {
  const times: number[] = [];
  let kB = 0;
  for (let round = -5; round < ROUNDS; round++) {
    const from = performance.now();
    kB = (await (await fetch(url)).arrayBuffer()).byteLength / 1000;
    if (round >= 0) times.push(performance.now() - from);
  }
  return { ms: median(times), kB };
}

main().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
