import type { Facts } from "../../match/case";
import { columnsFor, type Judgement, marksOf } from "../../match/judge";

type Column = ReturnType<typeof columnsFor>[number];

export interface TellingColumns {
  /** Facts in which the candidates differ, as many as fit, in the order of the table. */
  readonly told: readonly Column[];
  /** Facts that are the same for all, each with its word. */
  readonly same: ReadonlyArray<{ readonly label: string; readonly word: string }>;
  /** How many more facts differ than are told. */
  readonly more: number;
}

/** More columns than these nobody compares at a glance. */
const MOST = 5;

/**
 * The facts that tell candidates apart: those in which they differ, what weighs most for this stance first. What all share is one line.
 * @example tellingColumns(facts, [one]) // { told: [], same: every fact, more: 0 }
 */
export function tellingColumns(facts: Facts, judged: readonly Judgement[]): TellingColumns {
  const marks = judged.map(marksOf);
  const words = (column: Column) => new Set(marks.map((each) => each[column.criterion].word));
  const columns = columnsFor(facts);
  const differing = columns.filter((column) => words(column).size > 1);
  const weighed = [...differing].sort((a, b) => b.weight[facts.stance] - a.weight[facts.stance] || words(b).size - words(a).size);
  const told = new Set(weighed.slice(0, MOST).map(({ criterion }) => criterion));
  return {
    told: columns.filter(({ criterion }) => told.has(criterion)),
    same: columns
      .filter((column) => words(column).size === 1)
      .map(({ label, criterion }) => ({ label, word: marks[0]?.[criterion].word ?? "" })),
    more: differing.length - told.size,
  };
}
