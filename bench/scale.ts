import path from "node:path";
import { MikroORM } from "@mikro-orm/postgresql";
import { startCluster } from "../bin/lib/postgres.mjs";

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
      const one = await fill(orm, open, closed);
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

/** So many treatments of a chipped jar; every tenth open one has a clock that runs. Answers one that is open. */
async function fill(orm: MikroORM, open: number, closed: number): Promise<string> {
  const run = (sql: string, values: unknown[] = []) => orm.em.fork().execute(sql, values);
  await run("truncate piece, climate_reading, climate_hour, product, batch cascade");
  const survey = {
    kind: "surveyed",
    survey: { damage: { kind: "chip", length_mm: 34, depth_mm: 11, thickness_mm: 6 }, service: {} },
    hands_min: 15,
  };
  const chain = ["filler epoxy-putty", "colour acrylic-paint", "topcoat clear-acrylic"].map((each) => each.split(" "));
  const matched = { kind: "matched", stance: "reversible", hands_min: 10, chain: chain.map(([role, name]) => ({ role, class: name })) };
  await run(
    `insert into piece (id, title, reference, owner_reference, kind, created_at, version)
     select gen_random_uuid(), 'Lemonade jar ' || i, 'HF-' || i, 'Haldenau, stand ' || i % 40, 'vessel', now() - i * interval '1 hour', 1
     from generate_series(1, ?) i`,
    [open + closed],
  );
  await run(
    "insert into part (id, piece_id, name, substrate, finish, position) select gen_random_uuid(), id, 'rim', 'stoneware', 'glaze', 1 from piece",
  );
  await run(
    `insert into treatment (id, piece_id, part_id, title, created_at, closed_at, version)
     select gen_random_uuid(), p.id, a.id, 'rim chip', p.created_at, case when row_number() over (order by p.created_at desc) > ? then p.created_at end, 3
     from piece p join part a on a.piece_id = p.id`,
    [open],
  );
  const start = {
    class: "epoxy-putty",
    thickness_mm: 6,
    climate: { temp_C: 20, rh_pct: 50 },
    parts: [
      { name: "A", planned_g: 1, actual_g: 1 },
      { name: "B", planned_g: 1, actual_g: 1 },
    ],
  };
  const third = {
    kind: "done",
    op: "r1/fill/mix-1/epoxy-putty",
    hands_min: 5,
    start,
    against: { state: "blocked", because: "made ready elsewhere" },
  };
  const noted = { kind: "noted", station: "survey", text: "a hairline beside it" };
  for (const [seq, body, where] of [
    [1, survey, "true"],
    [2, matched, "true"],
    [3, third, "closed_at is null and hashtext(id::text) % 10 = 0"],
    [3, noted, "closed_at is null and hashtext(id::text) % 10 <> 0"],
    [3, { kind: "closed", notes: "", signed_by: "M." }, "closed_at is not null"],
  ] as const)
    await run(
      `insert into log_entry (id, treatment_id, seq, key, at, kind, v, body)
       select gen_random_uuid(), id, ${seq}, 'k' || ${seq}, now() - interval '20 minutes', ?, 2, ?::jsonb from treatment where ${where}`,
      [body.kind, JSON.stringify(body)],
    );
  await run("analyze");
  const [row] = (await run("select id from treatment where closed_at is null limit 1")) as { id: string }[];
  return row?.id ?? "";
}

main().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
