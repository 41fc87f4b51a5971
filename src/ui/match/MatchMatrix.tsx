"use client";
import { useState } from "react";
import { type ClassName, ROLE_LABELS, type Role, STANCE_LABELS, type Stance } from "@/core/catalogue";
import { factsOf } from "@/core/match/case";
import { CRITERIA, type CriterionRow } from "@/core/match/criteria.data";
import type { Judgement } from "@/core/match/judge";
import type { MatchInput } from "@/core/match/match.schema";
import { HatchSwatch } from "../signs/Hatches";
import { Dot } from "./Dot";

interface MatrixProps {
  readonly role: Role;
  readonly stance: Stance;
  readonly input: Omit<MatchInput, "stance">;
  readonly judged: readonly Judgement[];
  readonly chosen: ClassName | undefined;
  readonly choose: (name: ClassName) => void;
}

/** Candidates as rows, criteria as columns: word first, dot as a third cue, one sentence to sum up, reasons on demand. */
export function MatchMatrix({ role, stance, input, judged, chosen, choose }: MatrixProps) {
  const facts = factsOf({ ...input, stance });
  const columns: readonly CriterionRow[] = CRITERIA;
  if (judged.length === 0)
    return (
      <p className="py-4 text-[17px] font-semibold leading-[24px]">
        No material here does this: refer the piece, or change what is asked of it in the survey. Each reason stands below.
      </p>
    );
  return (
    <table className="matrix">
      <thead>
        <tr>
          <th style={{ width: 190 }}>
            {judged.length} {judged.length === 1 ? "candidate" : "candidates"}
            <span className="sub block">for the {ROLE_LABELS[role].toLowerCase()}</span>
          </th>
          {columns.map(({ criterion, label, asks, weight }) => (
            <th key={criterion} className={weight[stance] >= 4 ? "heavy" : ""}>
              {label}
              <span className="sub block">{weight[stance] >= 4 ? `weight × ${weight[stance]}` : asks(facts)}</span>
            </th>
          ))}
          <th style={{ width: 106 }}>Rank</th>
        </tr>
      </thead>
      <tbody>
        {judged.map((judgement, i) => (
          <CandidateRow
            key={judgement.row.class}
            judgement={judgement}
            place={i + 1}
            stance={stance}
            chosen={judgement.row.class === chosen}
            choose={() => choose(judgement.row.class)}
          />
        ))}
      </tbody>
    </table>
  );
}

const PLACES = ["1st", "2nd", "3rd"];

function CandidateRow({
  judgement,
  place,
  stance,
  chosen,
  choose,
}: {
  judgement: Judgement;
  place: number;
  stance: Stance;
  chosen: boolean;
  choose: () => void;
}) {
  const [open, setOpen] = useState(false);
  const { row, marks, verdict, reasons, score } = judgement;
  const columns: ReadonlyArray<CriterionRow & { criterion: keyof typeof marks }> = CRITERIA;
  return (
    <>
      <tr className={`row-main ${chosen ? "chosen" : ""}`}>
        <td>
          <span className="flex items-center gap-2 pl-1">
            <HatchSwatch hatch={row.hatch} />
            <b className="text-[15px] leading-[18px]">{row.name}</b>
          </span>
        </td>
        {columns.map(({ criterion, label, weight }) => (
          <td key={criterion} className={weight[stance] >= 4 ? "heavy" : ""}>
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
              {PLACES[place - 1] ?? `${place}th`}
              <br />
              Chosen
            </b>
          ) : (
            <button type="button" className="btn small w-full" onClick={choose} aria-label={`Choose ${row.name}`}>
              Choose
            </button>
          )}
        </td>
      </tr>
      <tr className={`sum ${chosen ? "chosen-sum" : ""}`}>
        <td colSpan={columns.length + 2}>
          <button type="button" className="why" aria-expanded={open} onClick={() => setOpen(!open)}>
            <b>{verdict === "fits" ? "Fits." : "Fits if"}</b> {summary(judgement)}{" "}
            <u>{open ? "Hide the reasons" : `All reasons (${reasons.length})`}</u>
          </button>
          {open && (
            <ul className="pb-2 pl-1">
              {reasons.map(({ rule, text, source }) => (
                <li key={rule} className="leading-[20px]">
                  {text}{" "}
                  <span className="sub">
                    Rule {rule}; {source}.
                  </span>
                </li>
              ))}
              <li className="leading-[20px]">
                Score {score.toFixed(0)} of 100: the marks above, weighted for {STANCE_LABELS[stance].toLowerCase()}.{" "}
                <span className="sub">Figures of the class: {row.source}.</span>
              </li>
            </ul>
          )}
        </td>
      </tr>
    </>
  );
}

/** One sentence: the condition that counts most, else what speaks for it. */
function summary({ reasons, verdict, row, marks }: Judgement): string {
  const condition = reasons.find(({ effect }) => effect === "if");
  if (verdict === "fits-if" && condition) return condition.text.replace(/^Fits if /, "");
  const weak = reasons.find(({ effect }) => effect === "against" || effect === "fair");
  return weak
    ? weak.text
    : `${marks.bond.word} bond; ${row.reversible.grade === "easy" ? `comes out again with ${row.reversible.by}` : row.reversible.by}.`;
}
