import type { Service } from "./survey.schema";

/** The questions whose answers change a material or a step. Asked with Yes and No, no default. */
export const QUESTIONS: ReadonlyArray<{ readonly ask: Exclude<keyof Service, "heat_C">; readonly text: string; readonly yes: string }> = [
  { ask: "touched", text: "Handled in use", yes: "Weak and soft fills wear off: they rank lower." },
  { ask: "food", text: "Food or drink touches it", yes: "A repair is decorative: keep food off it." },
  { ask: "wet", text: "Washed or soaked", yes: "Materials that drink water are refused." },
  { ask: "outdoor", text: "Stands outdoors", yes: "Frost and sun rule out what softens." },
  { ask: "load", text: "Carries a load", yes: "Light adhesives are refused." },
  { ask: "flex", text: "Must flex in use", yes: "Rigid materials are refused: they tear the edge." },
  { ask: "acoustic", text: "Must sound", yes: "Soft joints damp it and are refused." },
  { ask: "skin", text: "In the mouth or on skin", yes: "What stays chemically active is refused." },
  { ask: "sprung", text: "Padding or tension pushes it open", yes: "Glue that only holds when clamped for hours needs section by section." },
];
