import type { Stage } from "../catalogue";

/** What started the clock. */
export type StartKind = "mixed" | "clamped" | "coated";

export type ActName = "place" | "trim" | "next-layer" | "seat" | "unclamp" | "next-coat";

/** A window in which hands are wanted: from one stage (or the start) until another (or open end). */
export interface WindowRow {
  readonly act: ActName;
  readonly of: StartKind;
  readonly opens: Stage | "start";
  readonly closes?: Stage;
  /** On a plate: "Trim now". */
  readonly word: string;
  /** In a sentence: "trim 14:10 to 14:25". */
  readonly verb: string;
  readonly missed: string;
}

export const WINDOWS: readonly WindowRow[] = [
  { act: "place", of: "mixed", opens: "start", closes: "working", word: "Place now", verb: "place", missed: "It stopped being workable: throw the rest away, don't thin it." },
  { act: "trim", of: "mixed", opens: "firm", closes: "stiff", word: "Trim now", verb: "trim", missed: "Too stiff to trim: file it when hard." },
  { act: "next-layer", of: "mixed", opens: "hard", word: "Ready to go on", verb: "go on", missed: "" },
  { act: "seat", of: "clamped", opens: "start", closes: "working", word: "Seat now", verb: "seat", missed: "It grabbed: don't shift it any more." },
  { act: "unclamp", of: "clamped", opens: "handle", word: "Clamps off", verb: "clamps off", missed: "" },
  { act: "next-coat", of: "coated", opens: "recoat", word: "Ready for coat", verb: "next coat", missed: "" },
];
