import { NOT_REMOVED } from "./lists";
import type { Em } from "./orm";

/** What is kept of a treatment for lists: derived from its log, and never more than a copy. */
export interface HeadRow {
  readonly treatment_id: string;
  readonly version: number;
  readonly piece_version: number;
  readonly stamp: string;
  readonly at: string;
  readonly temp_c: number;
  readonly runs: boolean;
  readonly timed: boolean;
  /** From when it may be touched; `-infinity` = at once, null = it is closed. */
  readonly touch_at: string | null;
  readonly mixes: readonly string[];
  readonly needs: readonly unknown[];
  readonly item: object;
  /** What is still to do, as blocks of hands and what lies between them. */
  readonly blocks: object;
}

const OPEN_HEADS = `from treatment t left join treatment_head h on h.treatment_id = t.id where t.deleted_at is null and t.closed_at is null and ${NOT_REMOVED}`;

/** A treatment whose head is behind, and the mark of the writing that made it so. */
export interface Due {
  readonly id: string;
  readonly mark: string;
}

/** Treatments that were written to, or whose piece was, since their heads were kept. */
export async function dueTreatments(em: Em): Promise<Due[]> {
  return em.execute(
    `select d.treatment_id as id, d.mark::text from treatment_due d join treatment t on t.id = d.treatment_id
     where t.closed_at is null and t.deleted_at is null`,
  );
}

/** These were worked out anew; what was written meanwhile has another mark, and stays due. */
export async function settleDue(em: Em, settled: readonly Due[]): Promise<void> {
  await em.execute(
    `delete from treatment_due d using (
       select d.treatment_id from treatment_due d join json_to_recordset(?::json) as s(id uuid, mark bigint)
         on s.id = d.treatment_id and s.mark = d.mark order by d.treatment_id for update of d) s
     where s.treatment_id = d.treatment_id`,
    [JSON.stringify(settled)],
  );
}

/** Open treatments whose head is missing, of another build, a day old or of another air; clocks that run follow the air from minute to minute. */
export async function driftedTreatments(
  em: Em,
  { stamp, now, temp_C }: { readonly stamp: string; readonly now: Date; readonly temp_C: number },
): Promise<string[]> {
  const rows = await em.execute<{ id: string }[]>(
    `select t.id ${OPEN_HEADS} and (h.treatment_id is null or h.stamp <> ?
       or (h.runs and (h.at < ?::timestamptz - interval '1 minute' or abs(h.temp_c - ?) > 0.2))
       or h.at < ?::timestamptz - interval '1 day' or abs(h.temp_c - ?) > 3)`,
    [stamp, now, temp_C, now, temp_C],
  );
  return rows.map(({ id }) => id);
}

/** Keep heads, in the order of their treatments as everyone who holds several; one of a later version stays, and its needs with it. */
export async function keepHeads(em: Em, heads: readonly HeadRow[]): Promise<void> {
  if (heads.length === 0) return;
  await em.transactional(async (tx) => {
    const kept = await putHeads(tx, heads);
    await putNeeds(
      tx,
      heads.filter(({ treatment_id }) => kept.has(treatment_id)),
    );
  });
}

/** What these treatments will still take, in place of what was known. */
async function putNeeds(tx: Em, heads: readonly HeadRow[]): Promise<void> {
  const ids = heads.map(({ treatment_id }) => treatment_id).sort();
  await tx.execute("delete from treatment_need where treatment_id = any(?::uuid[])", [`{${ids.join(",")}}`]);
  const lines = heads.flatMap(({ treatment_id, needs }) => needs.map((need, nth) => ({ treatment_id, nth, need })));
  await tx.execute(
    `insert into treatment_need (treatment_id, nth, class, product, grams, began, need)
     select n.treatment_id, n.nth, n.need ->> 'class', coalesce(n.need ->> 'product', ''), (n.need ->> 'grams')::float8, t.created_at, n.need
     from json_to_recordset(?::json) as n(treatment_id uuid, nth int, need jsonb) join treatment t on t.id = n.treatment_id
     where t.closed_at is null and t.deleted_at is null order by 1, 2`,
    [JSON.stringify(lines)],
  );
}

async function putHeads(tx: Em, heads: readonly HeadRow[]): Promise<ReadonlySet<string>> {
  const columns = "treatment_id, version, piece_version, stamp, at, temp_c, runs, timed, touch_at, mixes, item, blocks";
  const rows = await tx.execute<{ treatment_id: string }[]>(
    `insert into treatment_head (${columns})
     select ${columns} from json_to_recordset(?::json) as h(treatment_id uuid, version int, piece_version int, stamp text, at timestamptz,
       temp_c float8, runs boolean, timed boolean, touch_at timestamptz, mixes jsonb, item jsonb, blocks jsonb)
     where exists (select 1 from treatment t where t.id = h.treatment_id) order by treatment_id
     on conflict (treatment_id) do update set (${columns}) = (excluded.treatment_id, excluded.version, excluded.piece_version, excluded.stamp,
       excluded.at, excluded.temp_c, excluded.runs, excluded.timed, excluded.touch_at, excluded.mixes, excluded.item, excluded.blocks)
     where excluded.version >= treatment_head.version returning treatment_id`,
    [JSON.stringify(heads)],
  );
  return new Set(rows.map(({ treatment_id }) => treatment_id));
}

/** All heads are due: each is worked out again before it is shown. None is taken away, so that nobody waits for whoever keeps one. */
export async function forgetHeads(em: Em): Promise<void> {
  await em.execute(
    `insert into treatment_due select id from treatment where closed_at is null order by id
     on conflict (treatment_id) do update set mark = nextval('treatment_due_mark')`,
  );
}

/** Open treatments as Bench shows them: what is timed first, then by what is promised. */
export async function openItemRows<T>(em: Em, most: number): Promise<T[]> {
  const open = (timed: boolean) =>
    `(select h.item, ${timed ? 0 : 1} as rank, coalesce(t.promised, 'infinity'::date) as due, t.id from treatment t join treatment_head h on h.treatment_id = t.id
      where t.deleted_at is null and t.closed_at is null and ${NOT_REMOVED} and ${timed ? "h.timed" : "not h.timed"} order by 3, 4 limit ?)`;
  const rows = await em.execute<{ item: T }[]>(
    `select item from (${open(true)} union all ${open(false)}) each order by rank, due, id limit ?`,
    [most, most, most],
  );
  return rows.map(({ item }) => item);
}

/** Open treatments with what is still to do at them, those that are promised soonest first. */
export async function openBlocks<T>(em: Em, most: number): Promise<T[]> {
  const rows = await em.execute<{ planned: T }[]>(
    `select h.blocks || jsonb_build_object('treatment', t.id, 'piece', p.title, 'title', t.title, 'kind', p.kind, 'promised', t.promised) as planned
     from treatment t join treatment_head h on h.treatment_id = t.id join piece p on p.id = t.piece_id
     where t.deleted_at is null and t.closed_at is null and p.deleted_at is null order by coalesce(t.promised, 'infinity'::date), t.id limit ?`,
    [most],
  );
  return rows.map(({ planned }) => planned);
}

/**
 * What open treatments will still take: of each class or product the needs of the treatments that began first, one by one, and those of
 * all `others` as one sum.
 */
export async function openNeeds<T>(em: Em, most: number): Promise<Array<{ need: T; others: number; grams: number }>> {
  const live = `from treatment_need n join treatment t on t.id = n.treatment_id where ${NOT_REMOVED}`;
  return em.execute(
    `with stuff as (select n.class, n.product, count(*)::int as alike, sum(n.grams) as grams ${live} group by 1, 2),
     first as (
       select s.class, s.product, s.alike, s.grams as whole, n.need, n.grams,
         row_number() over (partition by s.class, s.product order by n.began, n.treatment_id, n.nth) as place
       from stuff s cross join lateral (
         select n.need, n.grams, n.began, n.treatment_id, n.nth ${live} and n.class = s.class and n.product = s.product
         order by n.began, n.treatment_id, n.nth limit ?) n)
     select need, 0 as others, grams from first where place <= ?
     union all
     select need, alike - ?, whole - (select sum(b.grams) from first b
         where b.class = first.class and b.product = first.product and b.place <= ?)
     from first where place = ?`,
    [most + 1, most, most, most, most + 1],
  );
}
