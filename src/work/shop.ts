import { cache } from "react";
import { type Grade, sameGrade } from "@/core/catalogue";
import { freshShop } from "@/core/shop/shop";
import { type Shop, shopErrors } from "@/core/shop/shop.schema";
import { forgetHeads } from "@/store/heads";
import { type Em, em as openEm } from "@/store/orm";
import { keepShop, shopRow } from "@/store/queries";
import { ShopEdit } from "./inputs.schema";
import { parse } from "./parse";
import { collided, invalid } from "./problems";

export interface ShopPage extends Shop {
  readonly version: number;
}

/**
 * The shop as it is kept, else as the machine that serves would have it. A transaction asks on its own connection: were each to take a
 * second one, a few writers at once would wait for one another's for ever.
 */
export async function shopIn(em: Em): Promise<ShopPage> {
  const row = await shopRow(em);
  const fresh = freshShop(process.env.SHOP_NAME ?? "", Intl.DateTimeFormat().resolvedOptions().timeZone);
  return row ? { ...fresh, ...(row.data as Shop), version: row.version } : { ...fresh, version: 0 };
}

/** The same for a page; read once a request. */
export const shop = cache(async (): Promise<ShopPage> => shopIn(await openEm()));

/**
 * So many sheets of a grade into the drawer, or out of it; never below none. Answers by how much it changed, 0 where nobody counts them.
 * Where a grade runs out, or is there again, every ladder may be built otherwise.
 */
export async function changePaper(tx: Em, grade: Grade, sheets: number): Promise<number> {
  const row = await shopRow(tx, { hold: true });
  const papers = (row?.data as Shop | undefined)?.papers ?? [];
  const paper = papers.find((each) => sameGrade(each as Grade, grade));
  if (!row || paper?.sheets === undefined) return 0;
  const left = Math.max(0, paper.sheets + sheets);
  const data = { ...(row.data as Shop), papers: papers.map((each) => (each === paper ? { ...each, sheets: left } : each)) };
  await keepShop(tx, row.version, data);
  if (left === 0 || paper.sheets === 0) await forgetHeads(tx);
  return left - paper.sheets;
}

/** Keep what holds for the shop. @throws {WorkProblem} 409 when it was changed since it was read; 422 at the field that is wrong */
export async function saveShop(input: unknown): Promise<{ version: number }> {
  const { version, ...rest } = parse(ShopEdit, input);
  const kept = { ...rest, name: rest.name.trim(), people: rest.people.map((name) => name.trim()), time_zone: rest.time_zone.trim() };
  const wrong = Object.entries(shopErrors(kept)).map(([field, message]) => ({ path: `/${field}`, message }));
  if (wrong.length > 0) throw invalid(wrong);
  const em = await openEm();
  return em.transactional(async (tx) => {
    if (!(await keepShop(tx, version, kept))) throw collided("The shop was changed in another window since you opened it.");
    // the scale's step stands in what is weighed
    await forgetHeads(tx);
    return { version: version + 1 };
  });
}
