import type { MikroORM } from "@mikro-orm/postgresql";

/** So many treatments of a chipped jar; every tenth open one has a clock that runs. Answers one that is open. */
export async function fillShop(orm: MikroORM, open: number, closed: number): Promise<string> {
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
