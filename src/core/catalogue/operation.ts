import type { MaterialClass } from "./classes";
import type { Range } from "./materialClass";
import type { Station } from "./stations.data";
import type { StepFacts } from "./step";

/** Kinds of operation, in the contract's words. */
export const OPERATION_KINDS = [
  "look",
  "test",
  "photograph",
  "take-apart",
  "remove",
  "clean",
  "dry",
  "damp",
  "trim",
  "cut",
  "consolidate",
  "key",
  "mask",
  "unmask",
  "release",
  "clean-release",
  "form",
  "demould",
  "drill",
  "dry-run",
  "mix",
  "bond",
  "clamp",
  "unclamp",
  "brace",
  "back",
  "place",
  "pour",
  "carve",
  "texture",
  "file",
  "grit",
  "compound",
  "prime",
  "tint",
  "colour",
  "coat",
  "wait",
  "check",
  "finish",
  "sign",
] as const;
export type OperationKind = (typeof OPERATION_KINDS)[number];

/** What decides whether an operation belongs to a damage that is met in one way. */
export interface OpFacts extends StepFacts {
  /** Prefix of the damage: "d1". */
  readonly id: string;
  readonly way: string;
  readonly kinds: ReadonlySet<string>;
  readonly measures: Readonly<Record<string, unknown>>;
  readonly sprung: boolean;
  readonly outdoor: boolean;
  readonly acoustic: boolean;
  readonly flex: boolean;
  readonly food: boolean;
  /** Old paint from before 1980 is suspected, or the surface is painted. */
  readonly lead: boolean;
  readonly temp_C: number;
  /** A place is open behind and is dammed; a core stands in it. */
  readonly open_behind: boolean;
  /** Names of the places that are filled and seen. */
  readonly fills: readonly string[];
}

/** What must be done before, by the name of its row; `wait_min` minutes, low to high, must have passed since. */
export type RowNeeds = readonly string[];

/** An operation of one's hands that follows from survey, way and chain. A new one is a new row. */
export interface OpRow {
  readonly op: string;
  readonly kind: OperationKind;
  readonly station: Station;
  /** Done once for the piece, or once for each damage. */
  readonly of: "piece" | "damage";
  /** Names of places that it is for; absent = all of the damage. */
  readonly at?: (name: string, kind: string) => boolean;
  readonly text: string | ((f: OpFacts) => string);
  readonly why: string | ((f: OpFacts) => string);
  readonly done_when: string | ((f: OpFacts) => string);
  readonly hands_min: Range | ((f: OpFacts) => Range);
  /** What passes before anything that needs it may start, minutes low to high. */
  readonly wait_min?: Range | ((f: OpFacts) => Range);
  /** What happens meanwhile, said with the wait. */
  readonly meanwhile?: string;
  /** A material that is laid here and dries: the wait is its stage. */
  readonly dries?: (f: OpFacts) => MaterialClass | undefined;
  readonly cautions?: readonly string[] | ((f: OpFacts) => readonly string[]);
  readonly needs?: RowNeeds;
  /** Rules of Match whose condition it fulfils. */
  readonly meets?: readonly string[];
  readonly uses?: readonly string[];
  readonly when: (f: OpFacts) => boolean;
}
