import { type Static, Type } from "@sinclair/typebox";
import { SUBSTRATES } from "@/core/catalogue";
import { oneOf, strict } from "@/core/units/schema";
import { LISTS, type ListName, type ListOrder, ORDERS } from "@/core/views/listed";
import { type Cursor, listCounts, listItems, listRows } from "@/store/lists";
import { em as openEm } from "@/store/orm";
import { airNow } from "./climate";
import { refreshOpen, refreshThese } from "./heads";
import type { Item } from "./item";
import { parse } from "./parse";
import { invalid } from "./problems";

/** Which page of which list is asked for. */
export const ListInput = strict({
  list: Type.Optional(oneOf([...LISTS])),
  order: Type.Optional(oneOf([...ORDERS])),
  words: Type.Optional(Type.String({ maxLength: 200 })),
  /** The `next` of the page before. */
  after: Type.Optional(Type.String({ maxLength: 300 })),
});

interface ListedItem extends Item {
  /** Other treatments of the same piece. */
  readonly others: ReadonlyArray<{ readonly id: string; readonly title: string }>;
}

export interface ListPage {
  readonly list: ListName;
  readonly order: ListOrder;
  readonly words: string;
  readonly items: readonly ListedItem[];
  /** What the next page is asked with; absent = this is the last one. */
  readonly next?: string;
  /** How many stand on each list, 1001 = more than a thousand. */
  readonly counts: Readonly<Record<ListName, number>>;
}

const PAGE = 30;

/** A page of Objects: filtered, in order and cut in the database. @throws {WorkProblem} 422 at a field */
export async function listPage(input: unknown, now: Date): Promise<ListPage> {
  const { list = "open", order = "promised", words = "", after } = parse(ListInput, input);
  const cursor = after ? { after: cursorOf(after, ORDER_KEYS[list === "closed" && order === "act" ? "closed" : order]) } : {};
  const em = await openEm();
  const air = await airNow(em, now);
  await refreshOpen(em, now, air);
  const asked = words.trim();
  const [rows, counts] = await Promise.all([
    listRows(em, { list, order, now, ...holding(asked), ...cursor, limit: PAGE + 1 }),
    listCounts(em, now),
  ]);
  const page = rows.slice(0, PAGE);
  const ids = page.map(({ id }) => id);
  await refreshThese(em, ids, now, air);
  const found = new Map((await listItems<Item>(em, ids)).map(({ id, item, others }) => [id, { ...item, others }]));
  const last = rows.length > PAGE ? page.at(-1) : undefined;
  return {
    list,
    order,
    words: asked,
    items: ids.flatMap((id) => found.get(id) ?? []),
    ...(last ? { next: Buffer.from(JSON.stringify([last.key, last.id])).toString("base64url") } : {}),
    counts,
  };
}

/** A material is found by any part of its name. */
function holding(words: string) {
  if (words === "") return {};
  const named = SUBSTRATES.filter(({ label }) => label.toLowerCase().includes(words.toLowerCase()));
  return { words, substrates: named.map(({ substrate }) => substrate) };
}

const CursorShape = Type.Tuple([Type.String({ maxLength: 200 }), Type.String({ format: "uuid" })]);

/** What the key of a line is in each order: a date, a time, or the text itself. */
const ORDER_KEYS: Readonly<Record<ListOrder | "closed", RegExp>> = {
  promised: /^(infinity|\d{4,}-\d\d-\d\d)$/,
  act: /^(-?infinity|\d{4,}-\d\d-\d\d \d\d:\d\d:\d\d(\.\d+)?[+-]\d\d(:\d\d)?)$/,
  closed: /^\d{4,}-\d\d-\d\d \d\d:\d\d:\d\d(\.\d+)?[+-]\d\d(:\d\d)?$/,
  reference: /^/,
};

function cursorOf(after: string, keys: RegExp): Cursor {
  const wrong = invalid([{ path: "/after", message: "is not what the page before gave as its next" }]);
  let read: unknown;
  try {
    read = JSON.parse(Buffer.from(after, "base64url").toString("utf8"));
  } catch {
    throw wrong;
  }
  try {
    const [key, id]: Static<typeof CursorShape> = parse(CursorShape, read);
    if (!keys.test(key)) throw wrong;
    return { key, id };
  } catch {
    throw wrong;
  }
}
