import { earlierGlueRow, STANCE_LABELS } from "@/core/catalogue";
import type { WorkedDamage } from "@/core/plan/damageContext";
import { type DamageRecord, type Entry, materialTaken, type Treatment } from "@/core/record/treatment";
import { CHECK_ROWS } from "@/core/survey/inspection.data";
import { DAMAGE_LABELS } from "@/core/survey/measures.data";
import { sizeOf } from "@/core/survey/size";
import type { Survey } from "@/core/survey/survey.schema";
import { formatMinutes, type Wall } from "@/core/units";
import type { ClosingView, UsedRow } from "@/core/views/closing";
import { entryWords } from "@/core/views/entryWords";
import { spotsOf } from "@/core/views/rounds";
import { PrintBar } from "../paper/PrintBar";
import type { PhotographView } from "../stations/Photographs";
import { ReviewTable } from "../stations/ReviewTable";
import { ConditionMap, type DamageMark } from "../survey/ConditionMap";
import { OwnerPage, type RecordHead } from "./OwnerPage";
import "./record.css";

interface Props {
  readonly record: RecordHead;
  readonly treatment: Treatment;
  /** Its entries as they are told: in the order in which things were done. */
  readonly entries: readonly Entry[];
  /** Every damage of the piece, for the condition map. */
  readonly damages: readonly DamageMark[];
  readonly mapPhotograph?: { readonly id: string; readonly caption: string };
  readonly photographs: readonly PhotographView[];
  readonly closing?: ClosingView;
  /** Each damage as it was planned. */
  readonly worked: readonly WorkedDamage[];
  /** Operations in their own words, by id. */
  readonly names: ReadonlyMap<string, string>;
  readonly used: readonly UsedRow[];
  readonly wall: Wall;
  readonly now: number;
}

const MOMENTS = { before: "Before", during: "During", after: "After" } as const;

/** The treatment record on A4: what was found, chosen, used and done, with photographs, for owner and next restorer. */
export function RecordSheet({
  record,
  treatment,
  entries,
  damages,
  mapPhotograph,
  photographs,
  closing,
  worked,
  names,
  used,
  wall,
  now,
}: Props) {
  const stamp = (at: string) => wall.stamp(Date.parse(at));
  return (
    <main className="sheet">
      <PrintBar links={[[`/treatments/${record.id}/close`, "Back to Close"]]} />
      <header>
        <p className="sheet-kind">Treatment record</p>
        <h1>
          {record.piece_title}, {record.title}
        </h1>
        <p>
          {record.reference}
          {record.owner_reference && ` · owner’s reference ${record.owner_reference}`}
        </p>
      </header>
      <OwnerPage treatment={treatment} record={record} worked={worked} used={used} closing={closing} wall={wall} now={now} />
      <h2 className="sheet-bench">From the bench</h2>
      <dl className="sheet-facts">
        {treatment.damages.map((damage, i) => (
          <DamageFacts
            key={damage.id}
            damage={damage}
            name={treatment.damages.length > 1 ? `Damage ${i + 1}` : "Damage"}
            worked={worked.find(({ id }) => id === damage.id)}
          />
        ))}
        {closing && (
          <Fact name="Time">
            {closing.hands.given === 0 ? "Hands: nobody timed them" : `${formatMinutes(closing.hands.min)} hands on`}
            {closing.hands.given > 0 &&
              closing.hands.given < closing.hands.of &&
              ` in ${closing.hands.given} of ${closing.hands.of} acts, the others not recorded`}
            , {formatMinutes(closing.elapsed_min)} from first to last act; planned {formatMinutes(closing.planned_min[0])} to{" "}
            {formatMinutes(closing.planned_min[1])} hands on
          </Fact>
        )}
      </dl>
      {closing?.closed?.notes && <p className="sheet-notes">{closing.closed.notes}</p>}
      <div className="sheet-map">
        <ConditionMap
          kind={record.kind}
          treatment={record.id}
          damages={damages}
          spots={spotsOf(treatment)}
          {...(mapPhotograph ? { photograph: mapPhotograph } : {})}
        />
      </div>
      {photographs.length > 0 && (
        <section className="sheet-photos" aria-label="Photographs">
          {photographs.map(({ id, moment, caption, taken_at }) => (
            <figure key={id}>
              <img src={`/api/photographs/${id}`} alt={`${MOMENTS[moment]}: ${caption}`} />
              <figcaption>
                <b>{MOMENTS[moment]}</b>, {stamp(taken_at)}
                {caption && `, ${caption}`}
              </figcaption>
            </figure>
          ))}
        </section>
      )}
      {closing && (
        <section>
          <ReviewTable review={closing.review} reasons={false} />
        </section>
      )}
      {used.length > 0 && <Used used={used} stamp={stamp} />}
      <section>
        <h2>Log</h2>
        <table className="lst">
          <tbody>
            {entries.map(({ id, at, by, body }) => (
              <tr key={id}>
                <td style={{ width: 130 }}>
                  {stamp(at)}
                  {by && `, ${by}`}
                </td>
                <td className="wrap-anywhere">{entryWords(body, names)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <footer className="sheet-foot">
        Times and strengths are predictions from typical figures of each class of material. Safety data sheets, local codes and licensed
        practice prevail.
      </footer>
    </main>
  );
}

/** A damage with what was found, how it is met and why, and with which materials. */
function DamageFacts({
  damage: { survey: surveyed, choice },
  name,
  worked,
}: {
  damage: DamageRecord;
  name: string;
  worked: WorkedDamage | undefined;
}) {
  const { survey, way, title } = surveyed.body;
  return (
    <>
      <Fact name={name}>
        {title && <b>{title}: </b>}
        {DAMAGE_LABELS[survey.damage.kind]}, {sizeOf(survey.damage)}
        {survey.found && `. ${survey.found}`}
      </Fact>
      <Inspected survey={survey} />
      {worked && (
        <Fact name="Way">
          {worked.way.label}
          {way ? `: ${way.reason}` : worked.because ? `: ${worked.because}` : ""}
        </Fact>
      )}
      {choice && (
        <Fact name="Materials">
          {choice.body.chain
            .map((link) => `${materialTaken(link).name}${link.because ? ` (against the rules: ${link.because})` : ""}`)
            .join(" → ")}{" "}
          ({STANCE_LABELS[choice.body.stance].toLowerCase()}
          {choice.body.reason && `; done here because: ${choice.body.reason}`})
        </Fact>
      )}
    </>
  );
}

function Fact({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </>
  );
}

function Used({ used, stamp }: { used: readonly UsedRow[]; stamp: (at: string) => string }) {
  return (
    <section>
      <h2>Materials used</h2>
      <table className="lst">
        <thead>
          <tr>
            <th>Material</th>
            <th>For</th>
            <th>When</th>
            <th>Weighed</th>
            <th>Planned</th>
            <th>Lot</th>
            <th>Climate</th>
          </tr>
        </thead>
        <tbody>
          {used.map((row) => (
            <tr key={row.key}>
              <td>{row.material}</td>
              <td>{row.what}</td>
              <td>{stamp(row.at)}</td>
              <td>{row.weighed || "not weighed"}</td>
              <td>{row.planned || "–"}</td>
              <td>{row.lot || "–"}</td>
              <td>{row.climate}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** What was looked at and what it showed, and what had been glued before. */
function Inspected({ survey }: { survey: Survey }) {
  const found = CHECK_ROWS.flatMap(({ check, label, findings }) => {
    const finding = findings.find((each) => each.finding === survey.inspected?.[check]);
    return finding ? [`${label.toLowerCase()}: ${finding.word}`] : [];
  });
  const glue =
    survey.earlier_glue && survey.earlier_glue !== "none"
      ? [`earlier glue: ${earlierGlueRow(survey.earlier_glue).label.toLowerCase()}`]
      : [];
  const all = [...found, ...glue];
  return all.length === 0 ? null : <Fact name="Inspected">{all.join("; ")}</Fact>;
}
