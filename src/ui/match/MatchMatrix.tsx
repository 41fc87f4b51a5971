import { ROLE_LABELS, type Role, STANCE_LABELS } from "@/core/catalogue";
import type { Facts } from "@/core/match/case";
import { columnsFor, doubtsOf, type Judgement, marksOf, type Reason, reasonsOf } from "@/core/match/judge";
import { counted } from "@/core/units";
import { type TellingColumns, tellingColumns } from "@/core/views/desk/columns";
import { keyOf, ordinal, shared, summary } from "@/core/views/desk/picks";
import { HatchSwatch } from "../signs/Hatches";
import { Dot } from "./Dot";
import { ChooseButton, Reasons } from "./presses";
import { ReasonList } from "./ReasonList";
import { ScoreSum } from "./ScoreSum";

interface MatrixProps {
  readonly role: Role;
  readonly facts: Facts;
  readonly judged: readonly Judgement[];
  readonly chosen: Judgement | undefined;
  /** What a what-if changed, by candidate. */
  readonly changes: ReadonlyMap<string, string>;
  /** Only the facts in which they differ, what is the same for all in one line. */
  readonly few?: boolean;
}

/** A criterion that weighs this much stands out. */
const HEAVY = 4;

/** Candidates as rows, criteria as columns: word first, dot as a third cue, one sentence to sum up, reasons on demand. */
export function MatchMatrix({ role, facts, judged, chosen, changes, few = false }: MatrixProps) {
  const { stance } = facts;
  const telling = tellingColumns(facts, judged);
  const columns = few && judged.length > 1 ? telling.told : columnsFor(facts);
  const common = shared(judged);
  if (judged.length === 0)
    return (
      <p className="py-4 text-read font-semibold leading-[24px]">
        No material here does this: refer the piece, or change what is asked of it in the survey. Each reason stands below.
      </p>
    );
  return (
    <>
      {common.map(({ rule, text }) => (
        <p key={rule} className="pb-1">
          <b>Each of them</b> {text.charAt(0).toLowerCase() + text.slice(1)}
        </p>
      ))}
      <table className="matrix">
        <thead>
          <tr>
            <th style={{ width: 180 }}>
              {counted(judged.length, "candidate")}
              <span className="sub block">for the {ROLE_LABELS[role].toLowerCase()}</span>
            </th>
            {columns.map(({ criterion, label, asks, weight }) => (
              <th key={criterion} className={weight[stance] >= HEAVY ? "heavy" : ""}>
                {label}
                <span className="sub block">{weight[stance] >= HEAVY ? `weight × ${weight[stance]}` : asks(facts)}</span>
              </th>
            ))}
            <th style={{ width: 104 }}>Rank</th>
          </tr>
        </thead>
        <tbody>
          {judged.map((judgement, i) => (
            <CandidateRow
              key={keyOf(judgement)}
              judgement={judgement}
              place={i + 1}
              common={common}
              columns={columns}
              chosen={chosen !== undefined && keyOf(judgement) === keyOf(chosen)}
              change={changes.get(keyOf(judgement))}
            />
          ))}
        </tbody>
      </table>
      {few && judged.length > 1 && <Same {...telling} />}
    </>
  );
}

/** What tells nobody apart, in one line. */
function Same({ same, more }: TellingColumns) {
  return (
    <p className="pt-2">
      {same.length > 0 && (
        <>
          <b>The same for all:</b> {same.map(({ label, word }) => `${label.toLowerCase()} ${word.toLowerCase()}`).join(", ")}.
        </>
      )}{" "}
      {more > 0 && <span className="dim">{counted(more, "fact")} more that differ at Every fact.</span>}
    </p>
  );
}

type Columns = Readonly<ReturnType<typeof columnsFor>>;

interface RowProps {
  readonly columns: Columns;
  readonly common: readonly Reason[];
  readonly judgement: Judgement;
  readonly place: number;
  readonly chosen: boolean;
  readonly change: string | undefined;
}

function CandidateRow({ columns, judgement, common, place, chosen, change }: RowProps) {
  const { row, product, verdict, asked, fired } = judgement;
  const marks = marksOf(judgement);
  const doubts = doubtsOf(judgement);
  return (
    <>
      <tr className={`row-main ${chosen ? "chosen" : ""}`}>
        <td>
          <span className="flex items-center gap-2 pl-1">
            <HatchSwatch hatch={row.hatch} />
            <span className="min-w-0">
              <b className="clamp-3 text-body leading-[18px]">{row.name}</b>
              {product && <span className="sub">in the cabinet</span>}
            </span>
          </span>
        </td>
        {columns.map(({ criterion, label, weight }) => (
          <td key={criterion} className={weight[asked.stance] >= HEAVY ? "heavy" : ""}>
            <span className="cell">
              <Dot degree={marks[criterion].degree} />
              <span>
                <span className="cell-label sub">{label}: </span>
                {marks[criterion].word}
              </span>
            </span>
          </td>
        ))}
        <td>
          {chosen ? (
            <b>
              {ordinal(place)}
              <br />
              Chosen
            </b>
          ) : (
            <ChooseButton role={judgement.role} of={keyOf(judgement)} name={row.name} />
          )}
          {change && <span className="changed">{change}</span>}
        </td>
      </tr>
      <tr className={`sum ${chosen ? "chosen-sum" : ""}`}>
        <td colSpan={columns.length + 2}>
          <Reasons
            count={fired.length}
            verdict={
              <>
                <Verdict fits={verdict === "fits"} text={summary(judgement, common)} />
                {doubts.length > 0 && <span className="dim"> Not certain: {doubts.join(", ")}.</span>}
              </>
            }
          >
            <ReasonList reasons={reasonsOf(judgement)} />
            <ScoreSum judgement={judgement} />
            <p className="sub pb-2 pl-1">
              Weighed for {STANCE_LABELS[asked.stance].toLowerCase()}. Figures of the class: {row.source}. Food: {row.food}.
            </p>
          </Reasons>
        </td>
      </tr>
    </>
  );
}

/** The verdict word, then its reason; a condition begins with the word itself. */
function Verdict({ fits, text }: { fits: boolean; text: string }) {
  const condition = /^Fits if /.test(text);
  return (
    <>
      <b>{fits ? "Fits." : condition ? "Fits if" : "Fits on that condition."}</b> {condition ? text.replace(/^Fits if /, "") : text}
    </>
  );
}
