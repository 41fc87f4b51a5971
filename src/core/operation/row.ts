import type { ClassName, Grade, MaterialClass, OperationKind, OpFacts, Range, Role, Stage } from "../catalogue";
import type { Amount, Weighed } from "../mix/weigh";
import type { Each, LinkFacts, PlaceFacts, Subjects } from "./subject";

/** What the words of an operation are made of beside its amounts: figures and words that belong to it. */
export type Facts = Readonly<Record<string, string | number | boolean | readonly string[] | undefined>>;

/** How an operation reads. `title` is what, in at most five words. */
export interface Words {
  readonly title: string;
  readonly text: string;
  readonly why: string;
  readonly done_when: string;
}

/** An operation measured, before its words: they are written from this and nothing else. */
export interface Told<F extends Facts = Facts> {
  readonly n?: number;
  readonly of?: number;
  readonly here: readonly PlaceFacts[];
  readonly damages: readonly string[];
  readonly class?: ClassName;
  readonly material?: MaterialClass;
  readonly thickness_mm?: number;
  /** What it is sanded with. */
  readonly grade?: Grade;
  readonly facts: F;
  /** What it takes, weighed; absent = nothing. */
  readonly takes?: Weighed;
}

/** What must be behind: an operation by its name. With nothing else said it is done, and its own wait is over. */
export interface NeedRow<S, N extends string = string> {
  readonly after: N;
  /** Which of several: that of the same number, the one before it, the last, or the one of this number; absent = all. */
  readonly n?: "same" | "before" | "last" | number;
  /** What was laid there has reached the first of these that it has, in the thickness really laid. */
  readonly stage?: readonly Stage[];
  /** It must not have reached this. */
  readonly until?: readonly Stage[];
  /** Reckoned in another thickness than was laid there, mm. */
  readonly thickness?: (subject: S) => number;
  /** The next coat may be laid until the one before has cured through; said so where that is known. */
  readonly recoat?: string;
  /** Minutes that pass, and after which it is too late, where no material tells them. */
  readonly settles?: (subject: S) => Range | { readonly min: number; readonly range: Range } | undefined;
  readonly closes?: (subject: S) => Range | undefined;
  /** Of other damages: the joints that this one closes in, or the breaks of its own part; `part`: of every damage of its part. */
  readonly of?: "inner" | "beside" | "part";
  readonly when?: (subject: S) => boolean;
  readonly because: string;
}

/**
 * An operation of one's hands, as a row: when it is done, for what, what it needs, how much it takes, how long hands take, which clock it
 * starts, and its words. Functions of the subject are pure; words, hands and cautions are of the measured operation alone.
 */
export interface OpRow<E extends Each, F extends Facts, N extends string> {
  readonly kind: OperationKind | ((subject: Subjects[E]) => OperationKind);
  readonly each: E;
  readonly when?: (subject: Subjects[E]) => boolean;
  /** What is done once: for the piece, for what reads alike at one part, there for one fill with its own clock, or for what is stirred of one material. */
  readonly together?: "piece" | "part" | "fill" | "material";
  /** Done just before a cup is stirred: for the places of that cup alone. */
  readonly before_cup?: true;
  /** Facts that keep it apart from its like; absent = all of them. */
  readonly apart?: ReadonlyArray<keyof F & string>;
  /** Of what differs between several, the one with this fact speaks. */
  readonly urgent?: keyof F & string;
  /** The places that it is for; absent = those of its subject. */
  readonly at?: (subject: Subjects[E]) => readonly PlaceFacts[];
  /** What its id says; absent = its name, with its number. */
  readonly stem?: string;
  readonly needs?: ReadonlyArray<N | NeedRow<Subjects[E], N>>;
  /** What it uses: the record carries this link, its role and its material. */
  readonly link?: (subject: Subjects[E]) => LinkFacts | undefined;
  readonly role?: Role | ((subject: Subjects[E]) => Role);
  readonly material?: (subject: Subjects[E]) => MaterialClass | undefined;
  readonly amount?: (subject: Subjects[E]) => Amount;
  /** How thick it is laid at a place, mm. */
  readonly thickness?: (subject: Subjects[E], place: PlaceFacts) => number | undefined;
  readonly starts?: "mixed" | "clamped" | "coated";
  /** What it sands or polishes with: a grade, or an abrasive by its id. */
  readonly grade?: (subject: Subjects[E]) => Grade;
  readonly abrasive?: (subject: Subjects[E]) => string;
  readonly facts?: (subject: Subjects[E]) => F;
  readonly hands: Range | ((op: Told<F>) => Range);
  readonly words: Words | ((op: Told<F>) => Words);
  /** Figures of its words that follow from what it takes, by name. */
  readonly figures?: (op: Told<F>) => Readonly<Record<string, number>>;
  readonly cautions?: readonly string[] | ((op: Told<F>) => readonly string[]);
  readonly uses?: readonly string[] | ((op: Told<F>) => readonly string[]);
  /** Papers that it takes along beside its grade: its words name no other. */
  readonly papers?: readonly Grade[] | ((op: Told<F>) => readonly Grade[]);
  /** Minutes that pass before anything that needs it may start, and what happens meanwhile. */
  readonly wait_min?: Range | ((f: OpFacts) => Range);
  readonly meanwhile?: string;
  /** Rules of Match whose condition it fulfils. */
  readonly meets?: readonly string[];
  /** Found out, or done, once for all: a later round does not ask for it again. */
  readonly lasts?: true;
}

/** A row with its types worked out from what it says: its facts, and the names that it needs. */
export function row<E extends Each, F extends Facts, const N extends string = never>(of: OpRow<E, F, N>): OpRow<E, F, N> {
  return of;
}

/** A row of any table, as the engine handles it: it asks a row only about subjects of its own `each`. */
export interface AnyRow {
  readonly kind: OperationKind | ((subject: never) => OperationKind);
  readonly each: Each;
  readonly when?: (subject: never) => boolean;
  readonly together?: "piece" | "part" | "fill" | "material";
  readonly before_cup?: true;
  readonly apart?: readonly string[];
  readonly urgent?: string;
  readonly at?: (subject: never) => readonly PlaceFacts[];
  readonly stem?: string;
  readonly needs?: ReadonlyArray<string | NeedRow<never>>;
  readonly link?: (subject: never) => LinkFacts | undefined;
  readonly role?: Role | ((subject: never) => Role);
  readonly material?: (subject: never) => MaterialClass | undefined;
  readonly amount?: (subject: never) => Amount;
  readonly thickness?: (subject: never, place: PlaceFacts) => number | undefined;
  readonly starts?: "mixed" | "clamped" | "coated";
  readonly grade?: (subject: never) => Grade;
  readonly abrasive?: (subject: never) => string;
  readonly figures?: (op: Told<never>) => Readonly<Record<string, number>>;
  readonly facts?: (subject: never) => Facts;
  readonly hands: Range | ((op: Told<never>) => Range);
  readonly words: Words | ((op: Told<never>) => Words);
  readonly cautions?: readonly string[] | ((op: Told<never>) => readonly string[]);
  readonly uses?: readonly string[] | ((op: Told<never>) => readonly string[]);
  readonly papers?: readonly Grade[] | ((op: Told<never>) => readonly Grade[]);
  readonly wait_min?: Range | ((f: OpFacts) => Range);
  readonly meanwhile?: string;
  readonly meets?: readonly string[];
  readonly lasts?: true;
}

/** A need that is only an order. */
export const first = <const N extends string>(after: N, because: string) => ({ after, because });
