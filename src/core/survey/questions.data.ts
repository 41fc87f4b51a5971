import type { DamageKind, Family, PieceKind } from "../catalogue";
import type { AskedAt } from "./askedAt";
import type { Service } from "./survey.schema";

export interface Question {
  readonly ask: Exclude<keyof Service, "heat_C">;
  readonly text: string;
  /** What a Yes does. */
  readonly yes: string;
  /** Whether it is asked at once; else it is folded, and taken as No until somebody says otherwise. */
  readonly matters: (at: AskedAt) => boolean;
}

const pieces =
  (...kinds: readonly PieceKind[]) =>
  ({ piece }: AskedAt): boolean =>
    kinds.includes(piece);
/** Where something may come apart, or carries what is set on it. */
const HOLDS: readonly DamageKind[] = ["break-along", "break-across", "loose-joint", "crack", "shards", "corner", "hole", "veneer-lifted", "worn-thin"];
const OPENS: readonly DamageKind[] = ["tear", "crack", "break-along", "break-across", "loose-joint", "veneer-lifted"];
const WASHED: readonly Family[] = ["ceramic", "metal", "polymer", "mineral"];

/** The questions whose answers change a material or a step. Asked with Yes and No, no default. */
export const QUESTIONS: readonly Question[] = [
  { ask: "touched", text: "Handled in use", yes: "Weak and soft fills wear off: they rank lower.", matters: () => true },
  { ask: "food", text: "Food or drink touches it", yes: "A repair is decorative: keep food off it.", matters: pieces("vessel", "dish", "other") },
  { ask: "wet", text: "Washed or soaked", yes: "Materials that drink water are refused.", matters: ({ on }) => WASHED.includes(on.family) },
  { ask: "outdoor", text: "Stands outdoors", yes: "Frost and sun rule out what softens.", matters: () => true },
  { ask: "load", text: "Carries a load", yes: "Light adhesives are refused.", matters: ({ kind }) => kind === "" || HOLDS.includes(kind) },
  { ask: "flex", text: "Must flex in use", yes: "Rigid materials are refused: they tear the edge.", matters: ({ on, piece }) => on.family === "skin" || piece === "cover" },
  { ask: "acoustic", text: "Must sound", yes: "Soft joints damp it and are refused.", matters: pieces("instrument") },
  { ask: "skin", text: "In the mouth or on skin", yes: "What stays chemically active is refused.", matters: pieces("vessel", "instrument") },
  { ask: "sprung", text: "Padding or tension pushes it open", yes: "Glue that only holds when clamped for hours needs section by section.", matters: ({ kind, on }) => OPENS.includes(kind as DamageKind) && on.family !== "ceramic" },
];
