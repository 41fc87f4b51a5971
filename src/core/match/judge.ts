import { CLASS_ROWS, type MaterialClass, materialOf, type Role } from "../catalogue";
import type { Case, Facts, Jar } from "./case";
import { CRITERIA, type Criterion, type CriterionRow } from "./criteria.data";
import { type Effect, RULES, type Rule } from "./rules";
import { TRADE } from "./rules/rule";

export type Verdict = "fits" | "fits-if" | "refused";

export interface Reason {
  readonly rule: string;
  readonly effect: Effect;
  readonly text: string;
  readonly or?: string;
  readonly source: string;
  /** Why the verdict is not certain; absent = published figures agree. */
  readonly unsure?: string;
}

export interface Mark {
  /** 1 full, ½ half, 0 empty. */
  readonly degree: number;
  readonly word: string;
  readonly note: string;
}

/** One material in one role, with every rule that spoke. Words are made only where they are shown: `reasonsOf`, `marksOf`. */
export interface Judgement {
  readonly row: MaterialClass;
  readonly role: Role;
  readonly product?: Jar;
  readonly verdict: Verdict;
  /** 0 to 100: the weighted mean of the marks. */
  readonly score: number;
  readonly fired: readonly Rule[];
  readonly asked: Case;
}

const DEGREE: Readonly<Record<Effect, number>> = { refuse: 0, against: 0, if: 0.5, fair: 0.5, note: 1, for: 1 };
/** Which rule names the cell when several spoke, and stands first among the reasons. */
const LOUDEST: readonly Effect[] = ["refuse", "if", "against", "fair", "for", "note"];
const COLUMNS: ReadonlyArray<CriterionRow & { readonly criterion: Criterion }> = CRITERIA;

/** The rules that look at a role, once and for all. */
const rulesFor = memo((role: Role) => RULES.filter(({ roles }) => roles === undefined || roles.includes(role)));

function memo<K, V>(make: (key: K) => V): (key: K) => V {
  const known = new Map<K, V>();
  return (key) => {
    const value = known.get(key) ?? make(key);
    known.set(key, value);
    return value;
  };
}

/** Every class that could serve in `role`, in catalogue order, then the shop's own products in theirs. */
export function judgeRole(facts: Facts, role: Role): Judgement[] {
  const classes = CLASS_ROWS.filter((row) => row.roles.includes(role)).map((row) => judge({ ...facts, row, role }));
  const able = new Set(classes.map(({ row }) => row.class));
  const own = (facts.shelf?.jars ?? [])
    .filter((jar) => able.has(jar.class))
    .map((product) => judge({ ...facts, row: rowOf(product), role, product }));
  return [...classes, ...own];
}

const rows = new WeakMap<Jar, MaterialClass>();

/** A jar's figures do not change while it is judged in several roles and again for a what-if. */
function rowOf(jar: Jar): MaterialClass {
  const row = rows.get(jar) ?? materialOf(jar.class, jar);
  rows.set(jar, row);
  return row;
}

export function judge(asked: Case): Judgement {
  const fired = rulesFor(asked.role).filter(({ when }) => when(asked));
  const { row, role, product } = asked;
  return { row, role, ...(product ? { product } : {}), verdict: verdictOf(fired), score: scoreOf(asked, fired), fired, asked };
}

/** What each word weighs where scores are equal. */
const FITNESS: Readonly<Record<Effect, number>> = { refuse: -4, against: -2, if: -1.5, fair: -1, note: 0, for: 1 };
const STRENGTH = { light: 0, medium: 0.5, strong: 1 } as const;

/** How well it fits beyond its score: what speaks for and against, how firmly it holds and how strong it is. */
function fitness({ fired, row, asked }: Judgement): number {
  const words = fired.reduce((sum, { effect }) => sum + FITNESS[effect], 0);
  return words + (row.bonds[asked.on.family] === "firm" ? 1 : 0) + STRENGTH[row.strength] * (asked.stance === "service" ? 1 : 0.5);
}

/** Best first: by score, then by fitness, then by name, never by the order of rows. */
export function byFitness(a: Judgement, b: Judgement): number {
  return (
    b.score - a.score ||
    fitness(b) - fitness(a) ||
    a.row.class.localeCompare(b.row.class, "en") ||
    (a.product?.id ?? "").localeCompare(b.product?.id ?? "", "en")
  );
}

function verdictOf(fired: readonly Rule[]): Verdict {
  if (fired.some(({ effect }) => effect === "refuse")) return "refused";
  return fired.some(({ effect }) => effect === "if") ? "fits-if" : "fits";
}

/** Everything that was said for and against, the loudest first. */
export function reasonsOf({ fired, asked }: Pick<Judgement, "fired" | "asked">): Reason[] {
  return [...fired].sort((a, b) => LOUDEST.indexOf(a.effect) - LOUDEST.indexOf(b.effect)).map((rule) => reasonOf(asked, rule));
}

function reasonOf(c: Case, { id, effect, says, or, source, figures_differ }: Rule): Reason {
  const unsure = figures_differ ? "published figures disagree here" : source.includes(TRADE) ? "a rule of thumb" : undefined;
  return {
    rule: id,
    effect,
    text: text(says, c),
    source,
    ...(or === undefined ? {} : { or }),
    ...(unsure === undefined ? {} : { unsure }),
  };
}

/** What keeps a verdict from being certain, in words; empty where figures and handbooks agree. */
export function doubtsOf(judgement: Pick<Judgement, "fired" | "asked">): string[] {
  const reasons = reasonsOf(judgement);
  const refusals = reasons.filter(({ effect }) => effect === "refuse");
  const deciding = refusals.length > 0 ? refusals : reasons.filter(({ effect }) => effect === "if");
  return [...new Set(deciding.flatMap(({ unsure }) => unsure ?? []))];
}

function text(source: string | ((c: Case) => string), c: Case): string {
  return typeof source === "string" ? source : source(c);
}

/** The criteria that are weighed: those of the shelf only where a cabinet is known. */
export function columnsFor({ shelf }: Pick<Facts, "shelf">) {
  return COLUMNS.filter(({ criterion }) => criterion !== "shelf" || shelf !== undefined);
}

/** The cells of a candidate's row. */
export function marksOf({ fired, asked }: Pick<Judgement, "fired" | "asked">): Readonly<Record<Criterion, Mark>> {
  const marks = COLUMNS.map((column) => {
    const spoke = fired.filter(({ looks_at }) => looks_at === column.criterion);
    const [calmWord, calmNote] = column.calm(asked);
    const loudest = LOUDEST.slice(0, -1).flatMap((effect) => spoke.filter((rule) => rule.effect === effect))[0];
    return [column.criterion, { degree: degreeOf(spoke), word: loudest ? text(loudest.word, asked) : calmWord, note: calmNote }];
  });
  return Object.fromEntries(marks);
}

function degreeOf(spoke: readonly Rule[]): number {
  return spoke.reduce((least, { effect }) => Math.min(least, DEGREE[effect]), 1);
}

/** One addend of a score: the criterion's weight, and how much of it was reached. */
export interface Term {
  readonly criterion: Criterion;
  readonly label: string;
  readonly weight: number;
  readonly points: number;
}

/** The score as the sum that it is. */
export function termsOf({ fired, asked }: Pick<Judgement, "fired" | "asked">): Term[] {
  return columnsFor(asked).map(({ criterion, label, weight }) => ({
    criterion,
    label,
    weight: weight[asked.stance],
    points: weight[asked.stance] * degreeOf(fired.filter(({ looks_at }) => looks_at === criterion)),
  }));
}

function scoreOf(asked: Case, fired: readonly Rule[]): number {
  const least = new Map<Criterion, number>();
  for (const { looks_at, effect } of fired) least.set(looks_at, Math.min(least.get(looks_at) ?? 1, DEGREE[effect]));
  let sum = 0;
  let whole = 0;
  for (const { criterion, weight } of COLUMNS) {
    if (criterion === "shelf" && asked.shelf === undefined) continue;
    sum += weight[asked.stance] * (least.get(criterion) ?? 1);
    whole += weight[asked.stance];
  }
  return (sum / whole) * 100;
}
