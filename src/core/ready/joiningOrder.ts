/** One join: a shard or a group of them, set to another. Shards by number, 0 to n − 1. */
interface OrderedJoin {
  readonly a: readonly number[];
  readonly b: readonly number[];
}

/** Sittings one after the other, each with its joins in their order. */
export type JoiningOrder = ReadonlyArray<readonly OrderedJoin[]>;

type ReadOrder = { readonly ok: true; readonly order: JoiningOrder } | { readonly ok: false; readonly says: string };

/** Shards by the numbers that are pencilled on them, from 1. @example shardNames([0, 1]) // => "1+2" */
export const shardNames = (shards: readonly number[]): string => shards.map((shard) => shard + 1).join("+");

/** A sitting in words. @example sittingText([{ a: [0], b: [1] }]) // => "1 to 2" */
export const sittingText = (joins: readonly OrderedJoin[]): string =>
  joins.map(({ a, b }) => `${shardNames(a)} to ${shardNames(b)}`).join(", then ");

const JOIN = /^([\d+]+) to ([\d+]+)$/;

/**
 * An order as it is typed, a line a sitting: `1 to 2, then 3 to 1+2`. Whatever is named must stand by itself when it is its turn, and at the
 * end one piece stands.
 */
export function readOrder(text: string, count: number): ReadOrder {
  let standing = Array.from({ length: count }, (_, shard) => [shard]);
  const order: OrderedJoin[][] = [];
  for (const line of text.split("\n").map((each) => each.trim())) {
    if (line === "") continue;
    const joins: OrderedJoin[] = [];
    for (const words of line.split(/,\s*(?:then\s+)?/).map((each) => each.trim())) {
      const [, left = "", right = ""] = JOIN.exec(words) ?? [];
      const [a, b] = [left, right].map((names) => standing.find((group) => shardNames(group) === sorted(names)));
      if (!a || !b || a === b) return { ok: false, says: whyNot(words, [left, right], standing) };
      standing = [...standing.filter((group) => group !== a && group !== b), [...a, ...b].sort((x, y) => x - y)];
      joins.push({ a, b });
    }
    order.push(joins);
  }
  if (standing.length > 1) return { ok: false, says: `${standing.map(shardNames).join(" and ")} are not joined yet.` };
  return { ok: true, order };
}

const sorted = (names: string): string =>
  names
    .split("+")
    .map(Number)
    .sort((a, b) => a - b)
    .join("+");

function whyNot(words: string, names: readonly string[], standing: readonly (readonly number[])[]): string {
  if (!JOIN.test(words)) return `“${words}” is read as nothing: write 1+2 to 3, a comma between two joins, a line a sitting.`;
  const strange = names.find((each) => !standing.some((group) => shardNames(group) === sorted(each)));
  return strange
    ? `At “${words}” no ${strange} stands by itself: there are ${standing.map(shardNames).join(", ")}.`
    : `“${words}” joins a piece to itself.`;
}
