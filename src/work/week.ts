import type { ScheduleResult } from "@/core/schedule/schedule.schema";
import type { Shop } from "@/core/shop/shop.schema";
import { type ToBuy, toBuy } from "@/core/views/week/toBuy";
import { type Planned, type WeekPlan, weekPlan, weekQuestion } from "@/core/views/week/weekPlan";
import { writeToBuyCsv } from "@/formats/toBuyCsv";
import { openBlocks } from "@/store/heads";
import { em as openEm } from "@/store/orm";
import { cabinet } from "@/store/queries";
import { calcInThread } from "./calcThread";
import { airNow } from "./climate";
import { refreshOpen } from "./heads";
import { shop } from "./shop";

/** So many open treatments are looked at; as many of them as fit are planned. */
const MOST_TREATMENTS = 500;
/** A plan may take so long, ms. */
const PLAN_LIMIT_MS = 8000;

export interface Week {
  readonly plan: WeekPlan;
  readonly shop: Shop;
  readonly to_buy: readonly ToBuy[];
  /** Why there is no plan now; empty = there is. */
  readonly trouble: string;
}

/** What has to be bought, as CSV. */
export const toBuyCsv = async (): Promise<string> => writeToBuyCsv((await week()).to_buy);

/** The plan of all open treatments as things stand now, worked out aside, and what has to be bought for it. */
export async function week(): Promise<Week> {
  const now = new Date();
  const em = await openEm();
  const [air, kept, products] = await Promise.all([airNow(em, now), shop(), cabinet(em)]);
  await refreshOpen(em, now, air);
  const open = await openBlocks<Planned>(em, MOST_TREATMENTS);
  const question = weekQuestion(open, kept, kept.people.length, now.getTime());
  const answer = question.input && (await calcInThread("schedule", question.input, PLAN_LIMIT_MS));
  const plan = weekPlan(question, answer?.ok ? (answer.result as ScheduleResult) : undefined);
  return { plan, shop: kept, to_buy: toBuy(plan, products), trouble: answer?.ok === false ? answer.problem.detail : "" };
}
