import { present } from "@/core/units";
import { jarsOf } from "@/core/views/stock";
import { type ComparedWay, compareWays } from "@/core/views/ways";
import { em as openEm } from "@/store/orm";
import { cabinet, treatmentRecord } from "@/store/queries";
import { airNow } from "./climate";
import { WaysQuestion } from "./inputs.schema";
import { parse } from "./parse";
import { notFound } from "./problems";

/** Repair, replace or leave for a survey as it is being typed, with the jars and the air of this shop. Nothing is saved. */
export async function waysOf(treatmentId: string, input: unknown, now: Date): Promise<ComparedWay[]> {
  const { survey, stance, part } = parse(WaysQuestion, input);
  const em = await openEm();
  const [record, products, air] = await Promise.all([treatmentRecord(em, treatmentId), cabinet(em), airNow(em, now)]);
  if (!record) throw notFound("This treatment");
  const on = record.parts.find(({ id }) => id === (part ?? record.part_id)) ?? record.parts[0];
  if (!on) throw notFound("This part");
  const shelf = products.length > 0 ? { jars: jarsOf(products, now.getTime()) } : undefined;
  return compareWays(
    {
      id: "d1",
      piece: record.kind,
      part: on.id,
      substrate: on.substrate,
      finish: on.finish,
      ...present({ finish_to_be: on.finish_to_be }),
      survey,
    },
    stance,
    air,
    shelf,
  );
}
