import { type RunningCure, runningCure } from "@/core/plan/clocks";
import { rulingClock } from "@/core/plan/nextAct";
import { type Plan, planOf } from "@/core/plan/plan";
import { readLog, type Treatment } from "@/core/record/treatment";
import { em as openEm } from "@/store/orm";
import { type PhotographRecord, photographsOf, type TreatmentRecord, treatmentRecord } from "@/store/queries";
import { type Air, airNow, climateSince } from "./climate";
import { type Item, itemOf, shopTimeZone } from "./overview";
import { notFound } from "./problems";

/** Everything a station page shows of one treatment. */
export interface TreatmentPage {
  readonly record: TreatmentRecord;
  readonly treatment: Treatment;
  readonly plan?: Plan;
  readonly item: Item;
  /** Every clock of the treatment with its times, oldest first. */
  readonly cures: readonly RunningCure[];
  readonly photographs: readonly PhotographRecord[];
  readonly air: Air;
  readonly now: number;
  readonly time_zone: string;
}

/** @throws {WorkProblem} 404 when there is no such treatment */
export async function treatmentPage(id: string): Promise<TreatmentPage> {
  const now = new Date();
  const em = await openEm();
  const [record, photographs, air] = await Promise.all([treatmentRecord(em, id), photographsOf(em, id), airNow(em, now)]);
  if (!record) throw notFound("This treatment");
  const treatment = readLog(record.log);
  const plan = planOf(record, treatment);
  const first = treatment.clocks[0];
  const samples = first ? await climateSince(em, new Date(first.at), now) : [];
  const cures = treatment.clocks.map((clock) => runningCure(clock, { samples }));
  const ruling = rulingClock(treatment);
  return {
    record,
    treatment,
    ...(plan ? { plan } : {}),
    item: itemOf(
      record,
      treatment,
      plan,
      cures.find(({ entry }) => entry === ruling?.id),
    ),
    cures,
    photographs,
    air,
    now: now.getTime(),
    time_zone: shopTimeZone(),
  };
}
