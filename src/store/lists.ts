import { type ListName, type ListOrder, MOST_COUNTED } from "@/core/views/listed";
import type { Em } from "./orm";

/** Pieces that were removed are few and have an index of their own; the others need not be looked at. */
export const NOT_REMOVED = "not exists (select 1 from piece gone where gone.id = t.piece_id and gone.deleted_at is not null)";

/** Where a page ended: the order's own value of its last line, and that line. */
export interface Cursor {
  readonly key: string;
  readonly id: string;
}

export interface ListQuestion {
  readonly list: ListName;
  readonly order: ListOrder;
  readonly now: Date;
  /** Words that a mark, a name, an owner or the treatment holds. */
  readonly words?: string;
  /** Materials that those words name. */
  readonly substrates?: readonly string[];
  readonly after?: Cursor;
  readonly limit: number;
}

const OPEN = "t.deleted_at is null and t.closed_at is null";
const CLOSED = "t.deleted_at is null and t.closed_at is not null";

/** What belongs to a list; `h` is there where the list depends on the time. */
const LISTS: Readonly<Record<ListName, { readonly where: string; readonly timed: boolean }>> = {
  open: { where: OPEN, timed: false },
  hands: { where: `${OPEN} and h.touch_at <= ?`, timed: true },
  off: { where: `${OPEN} and h.touch_at > ?`, timed: true },
  closed: { where: CLOSED, timed: false },
};

interface Order {
  readonly key: string;
  /** The treatment, as the index that answers the order has it. */
  readonly id: string;
  /** What a cursor's text is read as. */
  readonly type: string;
  readonly down?: boolean;
  readonly needs?: "piece" | "head";
}

const PROMISED: Order = { key: "coalesce(t.promised, 'infinity'::date)", id: "t.id", type: "?::date" };
const ORDERS: Readonly<Record<ListOrder, Order>> = {
  promised: PROMISED,
  act: { key: "h.touch_at", id: "h.treatment_id", type: "?::timestamptz", needs: "head" },
  reference: { key: "p.reference collate marks", id: "t.id", type: "?::text collate marks", needs: "piece" },
};
/** What is closed has no next act: it stands by when it was closed, the last first. */
const CLOSED_LAST: Order = { key: "t.closed_at", id: "t.id", type: "?::timestamptz", down: true };

/** The lines of one page in order, each with the value that the next page starts from. */
export async function listRows(em: Em, question: ListQuestion): Promise<Array<Cursor>> {
  const { list, order, now, words, substrates = [], after, limit } = question;
  const { where, timed } = LISTS[list];
  const { key, id, type, down, needs } = list === "closed" && order === "act" ? CLOSED_LAST : ORDERS[order];
  const from = [
    "treatment t",
    ...(needs === "piece" ? ["join piece p on p.id = t.piece_id"] : []),
    ...(timed || needs === "head" ? ["join treatment_head h on h.treatment_id = t.id"] : []),
  ].join(" ");
  const values: unknown[] = timed ? [now] : [];
  const wheres = [where, NOT_REMOVED];
  if (words !== undefined) {
    wheres.push(HOLDING);
    const like = likeOf(words);
    values.push(like, like, `{${substrates.join(",")}}`);
  }
  if (after) {
    wheres.push(`(${key}, ${id}) ${down ? "<" : ">"} (${type}, ?::uuid)`);
    values.push(after.key, after.id);
  }
  const way = down ? " desc" : "";
  return em.execute(
    `select t.id, (${key})::text as key from ${from} where ${wheres.join(" and ")} order by ${key}${way}, ${id}${way} limit ?`,
    [...values, limit],
  );
}

/** Words anywhere in the piece, its owner, the treatment, or as the name of its material; each part has an index that answers it. */
const HOLDING = `t.id in (
  select w.id from treatment w join piece q on q.id = w.piece_id where (q.title || ' ' || q.reference || ' ' || q.owner_reference) ilike ?
  union all select w.id from treatment w where w.title ilike ?
  union all select w.id from treatment w join part a on a.id = w.part_id where a.substrate = any(?::text[]))`;

/** Words as they stand, with nothing in them that `like` would read as a sign. */
export const likeOf = (words: string): string => `%${words.replaceAll(/[\\%_]/g, "\\$&")}%`;

/** What lists show of these treatments, and which others their pieces have. */
export async function listItems<T>(
  em: Em,
  ids: readonly string[],
): Promise<Array<{ id: string; item: T; others: Array<{ id: string; title: string }> }>> {
  if (ids.length === 0) return [];
  return em.execute(
    `select h.treatment_id as id, h.item, (select coalesce(json_agg(json_build_object('id', o.id, 'title', o.title) order by o.created_at), '[]')
       from treatment o where o.piece_id = t.piece_id and o.id <> t.id and o.deleted_at is null) as others
     from treatment_head h join treatment t on t.id = h.treatment_id where h.treatment_id = any(?::uuid[])`,
    [`{${ids.join(",")}}`],
  );
}

/** How many stand on each list, one more than `MOST_COUNTED` at most. */
export async function listCounts(em: Em, now: Date): Promise<Readonly<Record<ListName, number>>> {
  const count = ({ where, timed }: (typeof LISTS)[ListName]) =>
    `(select count(*)::int from (select 1 from treatment t ${timed ? "join treatment_head h on h.treatment_id = t.id" : ""}
       where ${where} and ${NOT_REMOVED} limit ${MOST_COUNTED + 1}) c)`;
  const [row] = await em.execute<Array<Record<ListName, number>>>(
    `select ${Object.entries(LISTS)
      .map(([name, list]) => `${count(list)} as ${name}`)
      .join(", ")}`,
    [now, now],
  );
  return row ?? { open: 0, hands: 0, off: 0, closed: 0 };
}

/** Of these treatments, those whose head is missing or behind. */
export async function behind(em: Em, ids: readonly string[], stamp: string): Promise<string[]> {
  const rows = await em.execute<{ id: string }[]>(
    `select t.id from treatment t join piece p on p.id = t.piece_id left join treatment_head h on h.treatment_id = t.id
     where t.id = any(?::uuid[]) and (h.treatment_id is null or h.version <> t.version or h.piece_version <> p.version or h.stamp <> ?)`,
    [`{${ids.join(",")}}`, stamp],
  );
  return rows.map(({ id }) => id);
}
