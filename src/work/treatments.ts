import { type RunningCure, runningCure } from "@/core/plan/clocks";
import { rulingClock } from "@/core/plan/nextAct";
import { type Plan, planOf } from "@/core/plan/plan";
import { readLog, type Treatment } from "@/core/record/treatment";
import { lossOf } from "@/core/survey/loss";
import { em as openEm } from "@/store/orm";
import {
  mapPhotograph,
  type PartRecord,
  type PhotographRecord,
  partsOf,
  photographsOf,
  type TreatmentRecord,
  treatmentRecord,
  treatmentsOfPiece,
} from "@/store/queries";
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
  /** Every damage of the piece, in the order in which they were found. */
  readonly damages: readonly PieceDamage[];
  readonly parts: readonly PartRecord[];
  /** What the condition map is drawn on; absent = a plain outline. */
  readonly map_photograph?: { readonly id: string; readonly caption: string };
  readonly air: Air;
  readonly now: number;
  readonly time_zone: string;
}

/** One damage of a piece, as its condition map shows it. */
export interface PieceDamage {
  readonly id: string;
  readonly title: string;
  readonly part: string;
  readonly size: string;
  readonly closed: boolean;
  readonly mark?: { readonly x: number; readonly y: number };
}

function damageOf({ id, title, part_name: part, log }: TreatmentRecord): PieceDamage {
  const { damage, mark, closed } = readLog(log);
  return { id, title, part, size: damage ? lossOf(damage).size : "", closed: closed !== undefined, ...(mark ? { mark } : {}) };
}

/** @throws {WorkProblem} 404 when there is no such treatment */
export async function treatmentPage(id: string): Promise<TreatmentPage> {
  const now = new Date();
  const em = await openEm();
  const [record, photographs, air] = await Promise.all([treatmentRecord(em, id), photographsOf(em, id), airNow(em, now)]);
  if (!record) throw notFound("This treatment");
  const [all, parts, photograph] = await Promise.all([
    treatmentsOfPiece(em, record.piece_id),
    partsOf(em, record.piece_id),
    mapPhotograph(em, record.piece_id),
  ]);
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
    damages: all.reverse().map(damageOf),
    parts,
    ...(photograph ? { map_photograph: photograph } : {}),
    air,
    now: now.getTime(),
    time_zone: shopTimeZone(),
  };
}
