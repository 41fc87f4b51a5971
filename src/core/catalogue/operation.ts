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
  readonly loaded: boolean;
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

/** Modelled in its place, taken off, and glued in once it is hard. */
export const isSetNext = ({ way }: Pick<OpFacts, "way">): boolean => way === "set-next";
