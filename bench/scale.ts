import path from "node:path";
import { MikroORM } from "@mikro-orm/postgresql";
import { startCluster } from "../bin/lib/postgres.mjs";
import { fillShop } from "./fillShop";

const SIZES = [
  { open: 10, closed: 10 },
  { open: 2000, closed: 20_000 },
];
const ROUNDS = 20;
const median = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;

/** What pages ask of the store, with few and with very many treatments; the ratio is what matters. */
async function main(): Promise<void> {
  const cluster = await startCluster({
    folder: path.resolve(".data/scratch-pg"),
    firstPort: 54417,
    databases: ["scratch_scale"],
    scratch: true,
  });
  try {
    process.env.DATABASE_URL = cluster.url("scratch_scale");
    const { config } = await import("../src/store/config");
    const orm = await MikroORM.init(config);
    await orm.getMigrator().up();
    const { closeStore } = await import("../src/store/orm");
    const { health, overview } = await import("../src/work/overview");
    const { listPage } = await import("../src/work/lists");
    const { cabinetPage } = await import("../src/work/cabinet");
    const { find } = await import("../src/work/find");
    const { treatmentPage } = await import("../src/work/treatments");
    const medians = new Map<string, number[]>();
    for (const { open, closed } of SIZES) {
      const one = await fillShop(orm, open, closed);
      const asked: Record<string, () => Promise<unknown>> = {
        Bench: overview,
        "Objects, open": () => listPage({}, new Date()),
        "Objects, by mark": () => listPage({ order: "reference" }, new Date()),
        "Objects, closed": () => listPage({ list: "closed", order: "act" }, new Date()),
        "Cabinet, needs": () => cabinetPage(new Date()),
        "Find or jump": () => find("lemonade jar 7"),
        "A station": () => treatmentPage(one),
        "Health, one query": health,
      };
      const began = performance.now();
      await overview();
      console.log(`${open} open, ${closed} closed: ${((performance.now() - began) / 1000).toFixed(1)} s to work all out once`);
      for (const [name, ask] of Object.entries(asked)) {
        await ask();
        const times: number[] = [];
        for (let round = 0; round < ROUNDS; round++) {
          const from = performance.now();
          await ask();
          times.push(performance.now() - from);
        }
        medians.set(name, [...(medians.get(name) ?? []), median(times)]);
      }
    }
    console.log("\nWhat a page asks of the store (aim: at most twice as much)");
    for (const [name, [few = 1, many = 1]] of medians)
      console.log(`${name.padEnd(18)} ${few.toFixed(1).padStart(7)} ms  ${many.toFixed(1).padStart(7)} ms  ${(many / few).toFixed(2)} ×`);
    await orm.close(true);
    await closeStore();
  } finally {
    cluster.stop();
  }
}

main().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
