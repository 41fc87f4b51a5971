import { type ComparedOption, compareOptions } from "@/core/plan/options";
import { jarsOf } from "@/core/plan/stock";
import { em as openEm } from "@/store/orm";
import { cabinet, treatmentRecord } from "@/store/queries";
import { airNow } from "./climate";
import { WaysQuestion } from "./inputs.schema";
import { parse } from "./parse";
import { notFound } from "./problems";

/** Repair, replace or leave for a survey as it is being typed, with the jars and the air of this shop. Nothing is saved. */
export async function waysOf(treatmentId: string, input: unknown, now: Date): Promise<ComparedOption[]> {
  const { survey, stance } = parse(WaysQuestion, input);
  const em = await openEm();
  const [record, products, air] = await Promise.all([treatmentRecord(em, treatmentId), cabinet(em), airNow(em, now)]);
  if (!record) throw notFound("This treatment");
  const shelf = products.length > 0 ? { jars: jarsOf(products, now.getTime()) } : undefined;
  return compareOptions(record, survey, stance, air.temp_C, shelf);
}
