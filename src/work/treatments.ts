import type { Treatment } from "@/core/record/treatment";
import type { Calendar } from "@/core/schedule/schedule.schema";
import { sizeOf } from "@/core/survey/size";
import { type Act, actsOf } from "@/core/views/acts";
import type { StockProduct } from "@/core/views/stock";
import { calendarOf } from "@/core/views/week/weekPlan";
import type { Worked } from "@/core/views/worked";
import { Treatment as TreatmentRow } from "@/store/entities";
import { em as openEm } from "@/store/orm";
import {
  cabinet,
  mapPhotograph,
  type PartRecord,
  type PhotographRecord,
  photographsOf,
  type TreatmentRecord,
  treatmentRecord,
  treatmentsOfPiece,
} from "@/store/queries";
import { type Air, airNow, climateSince } from "./climate";
import { itemOf } from "./heads";
import { climateOf, type Item } from "./item";
import { notFound } from "./problems";
import { shop } from "./shop";
import { firstClock, readRecord, workOutRecord } from "./working";

/** Everything a station page shows of one treatment. */
export interface TreatmentPage {
  readonly record: TreatmentRecord;
  readonly treatment: Treatment;
  /** The repair as far as damages are settled. */
  readonly worked?: Worked;
  /** Every operation with what may be done now. */
  readonly acts: readonly Act[];
  readonly item: Item;
  readonly photographs: readonly PhotographRecord[];
  /** Every damage of the piece, in the order in which they were found. */
  readonly damages: readonly PieceDamage[];
  readonly parts: readonly PartRecord[];
  /** What the condition map is drawn on; absent = a plain outline. */
  readonly map_photograph?: { readonly id: string; readonly caption: string };
  readonly air: Air;
  /** What stands in the cabinet. */
  readonly products: readonly StockProduct[];
  readonly now: number;
  readonly time_zone: string;
  /** Hours and closed days of the shop. */
  readonly calendar: Calendar;
}

/** One damage of a piece, as its condition map shows it. */
interface PieceDamage {
  readonly treatment: string;
  readonly damage: string;
  readonly title: string;
  readonly part: string;
  readonly size: string;
  readonly closed: boolean;
  readonly mark?: { readonly x: number; readonly y: number };
}

function damagesOf(record: TreatmentRecord): PieceDamage[] {
  const { id: treatment, title, part_name, parts } = record;
  const { damages, closed, first_mark } = readRecord(record).treatment;
  if (damages.length === 0)
    return [{ treatment, damage: "d1", title, part: part_name, size: "", closed: false, ...(first_mark ? { mark: first_mark } : {}) }];
  return damages.map(({ id: damage, survey, mark }, i) => ({
    treatment,
    damage,
    title: survey.body.title ?? (i === 0 ? title : `${title}, ${i + 1}`),
    part: parts.find(({ id }) => id === survey.body.part)?.name ?? part_name,
    size: sizeOf(survey.body.survey.damage),
    closed: closed !== undefined,
    ...(mark ? { mark } : {}),
  }));
}

/** @throws {WorkProblem} 404 when there is no such treatment */
export async function treatmentPage(id: string): Promise<TreatmentPage> {
  const now = new Date();
  const em = await openEm();
  const [record, photographs, air, products] = await Promise.all([
    treatmentRecord(em, id),
    photographsOf(em, id),
    airNow(em, now),
    cabinet(em),
  ]);
  if (!record) throw notFound("This treatment");
  const [all, photograph] = await Promise.all([treatmentsOfPiece(em, record.piece_id), mapPhotograph(em, record.piece_id)]);
  const first = firstClock(readRecord(record).treatment);
  const samples = first === undefined ? [] : await climateSince(em, new Date(first), now);
  const read = workOutRecord(record, air, climateOf(samples, air), now.getTime());
  const { treatment, worked } = read;
  const kept = await shop();
  return {
    record,
    treatment,
    ...(worked ? { worked } : {}),
    acts: worked ? actsOf(worked, now.getTime()) : [],
    item: itemOf(read),
    photographs,
    damages: all.reverse().flatMap(damagesOf),
    parts: record.parts,
    ...(photograph ? { map_photograph: photograph } : {}),
    air,
    products,
    now: now.getTime(),
    time_zone: kept.time_zone,
    calendar: calendarOf(kept),
  };
}

/** The name of the piece that a treatment is of; undefined for none. */
export async function treatmentTitle(id: string): Promise<string | undefined> {
  if (!/^[0-9a-f-]{36}$/.test(id)) return undefined;
  const em = await openEm();
  const row = await em.findOne(TreatmentRow, { id, deletedAt: null }, { populate: ["piece"], fields: ["piece.title"] });
  return row?.piece.title;
}
