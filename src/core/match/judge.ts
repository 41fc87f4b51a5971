import { CLASS_ROWS, type MaterialClass, type Role } from "../catalogue";
import type { Case, Facts } from "./case";
import { CRITERIA, type Criterion, type CriterionRow } from "./criteria.data";
import { type Effect, RULES, type Rule } from "./rules.data";

export type Verdict = "fits" | "fits-if" | "refused";

export interface Reason {
  readonly rule: string;
  readonly effect: Effect;
  readonly text: string;
  readonly or?: string;
  readonly source: string;
}

export interface Mark {
  /** 1 full, ½ half, 0 empty. */
  readonly degree: number;
  readonly word: string;
  readonly note: string;
}

/** One class in one role, with every rule that spoke. */
export interface Judgement {
  readonly row: MaterialClass;
  readonly role: Role;
  readonly verdict: Verdict;
  readonly reasons: readonly Reason[];
  readonly marks: Readonly<Record<Criterion, Mark>>;
  /** 0 to 100: the weighted mean of the marks. */
  readonly score: number;
}

const DEGREE: Readonly<Record<Effect, number>> = { refuse: 0, against: 0, if: 0.5, fair: 0.5, for: 1 };
/** Which rule names the cell when several spoke. */
const LOUDEST: readonly Effect[] = ["refuse", "if", "against", "fair", "for"];

/** Every class that could serve in `role`, in catalogue order. */
export function judgeRole(facts: Facts, role: Role): Judgement[] {
  return CLASS_ROWS.filter((row) => row.roles.includes(role)).map((row) => judge({ ...facts, row, role }));
}

export function judge(c: Case): Judgement {
  const fired = RULES.filter(({ roles, when }) => (roles === undefined || roles.includes(c.role)) && when(c));
  const marks = marksOf(c, fired);
  return {
    row: c.row,
    role: c.role,
    verdict: verdictOf(fired.map(({ effect }) => effect)),
    reasons: [...fired].sort((a, b) => LOUDEST.indexOf(a.effect) - LOUDEST.indexOf(b.effect)).map((rule) => reasonOf(c, rule)),
    marks,
    score: scoreOf(c, marks),
  };
}

function verdictOf(effects: readonly Effect[]): Verdict {
  if (effects.includes("refuse")) return "refused";
  return effects.includes("if") ? "fits-if" : "fits";
}

function reasonOf(c: Case, { id, effect, says, or, source }: Rule): Reason {
  return { rule: id, effect, text: text(says, c), source, ...(or === undefined ? {} : { or }) };
}

function text(source: string | ((c: Case) => string), c: Case): string {
  return typeof source === "string" ? source : source(c);
}

function marksOf(c: Case, fired: readonly Rule[]): Record<Criterion, Mark> {
  const marks = CRITERIA.map((criterion: CriterionRow & { criterion: Criterion }) => {
    const spoke = fired.filter(({ looks_at }) => looks_at === criterion.criterion);
    const [calmWord, calmNote] = criterion.calm(c);
    const loudest = LOUDEST.flatMap((effect) => spoke.filter((rule) => rule.effect === effect))[0];
    const degree = Math.min(1, ...spoke.map(({ effect }) => DEGREE[effect]));
    return [criterion.criterion, { degree, word: loudest ? text(loudest.word, c) : calmWord, note: calmNote }];
  });
  return Object.fromEntries(marks);
}

function scoreOf({ stance }: Case, marks: Record<Criterion, Mark>): number {
  let sum = 0;
  let whole = 0;
  for (const { criterion, weight } of CRITERIA) {
    sum += weight[stance] * marks[criterion].degree;
    whole += weight[stance];
  }
  return (sum / whole) * 100;
}
