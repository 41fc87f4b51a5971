import { type Finish, finishRow, type PieceKind, type Substrate, substrateRow } from "@/core/catalogue";
import type { WorkedDamage } from "@/core/plan/damageContext";
import type { Treatment } from "@/core/record/treatment";
import { DAMAGE_LABELS } from "@/core/survey/measures.data";
import { sizeOf } from "@/core/survey/size";
import { inSentence, type Wall } from "@/core/units";
import type { ClosingView, UsedRow } from "@/core/views/closing";
import { ownerWhen } from "@/core/views/ownerCard";

/** The piece and the part that a record is of. */
export interface RecordHead {
  readonly id: string;
  readonly title: string;
  readonly piece_title: string;
  readonly reference: string;
  readonly owner_reference: string;
  readonly kind: PieceKind;
  readonly part_name: string;
  readonly substrate: Substrate;
  readonly finish: Finish;
}

interface Props {
  readonly treatment: Treatment;
  readonly record: RecordHead;
  readonly worked: readonly WorkedDamage[];
  readonly used: readonly UsedRow[];
  readonly closing: ClosingView | undefined;
  readonly wall: Wall;
  readonly now: number;
}

/** The first page, for the owner: what was wrong, what was done, what may be done with it and from when, who signed. */
export function OwnerPage({ treatment, record, worked, used, closing, wall, now }: Props) {
  const several = treatment.damages.length > 1;
  const materials = [...new Set(used.map(({ material }) => inSentence(material)))];
  return (
    <div className="sheet-owner">
      <section>
        <h2>What was wrong</h2>
        <p>
          {capital(record.part_name)}, {substrateRow(record.substrate).label.toLowerCase()}, {finishRow(record.finish).label.toLowerCase()}.
        </p>
        <ul>
          {treatment.damages.map(({ id, survey: { body } }, i) => (
            <li key={id} className="wrap-anywhere">
              {several && <b>{i + 1}. </b>}
              {body.title && <b>{body.title}: </b>}
              {DAMAGE_LABELS[body.survey.damage.kind]}, {sizeOf(body.survey.damage)}
            </li>
          ))}
        </ul>
      </section>
      <section>
        <h2>{closing?.closed ? "What was done" : "What is done"}</h2>
        <ul>
          {worked.map(({ id, way }, i) => (
            <li key={id}>
              {several && <b>{i + 1}. </b>}
              <b>{way.label}.</b> {way.how}
            </li>
          ))}
        </ul>
        {materials.length > 0 && <p>With {materials.join(", ")}.</p>}
      </section>
      {closing && (
        <section>
          <h2>What the owner may do, and from when</h2>
          <ul>
            {closing.owner.map(({ when, act }) => (
              <li key={act}>
                <b>{ownerWhen(when, closing.full_at, wall)}:</b> {act}
              </li>
            ))}
          </ul>
        </section>
      )}
      <p className="sheet-state">
        {closing?.closed
          ? `closed ${wall.stamp(Date.parse(closing.closed.at))}, signed ${closing.closed.signed_by}`
          : `open, printed ${wall.stamp(now)}`}
      </p>
    </div>
  );
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
