/** How a coat looks where it does not look right, and what to change in the next one. Trade practice. */
export const COAT_DEFECTS = [
  { defect: "too-light", label: "Too light", next: "One coat more of the same; where one more overshoots, half its strength." },
  { defect: "too-dark", label: "Too dark", next: "Stop tinting: the next coats are clear. What is locked under clear can be rubbed back; what is not is wiped off with its own thinner." },
  { defect: "too-red", label: "Too red", next: "A trace of green in the next coat mutes it; weigh it as drops, a third at a time." },
  { defect: "too-yellow", label: "Too yellow", next: "A trace of violet in the next coat mutes it; try it on a swatch of this coat first." },
  { defect: "patchy", label: "Patchy", next: "A mist coat crosswise; if it drinks unevenly, a thin clear coat before the next tint." },
  { defect: "orange-peel", label: "Orange peel", next: "Let it dry through, level it fine, then mist coats with a little more thinner." },
  { defect: "runs", label: "Runs", next: "Let it dry hard, slice the run with a blade, level it; then less at once, the piece laid flat." },
  { defect: "dust", label: "Dust", next: "Let it dry, take the nibs down fine, wipe with a tack cloth; damp the floor before the next." },
  { defect: "bloom", label: "Bloom", next: "Wait for drier air; a mist of its own solvent often takes it away. Then a slower thinner." },
  { defect: "crazed", label: "Crazed", next: "No coat hides it: let it dry, level past the cracks, then thin coats, each dry before the next." },
  { defect: "still-tacky", label: "Still tacky", next: "No coat over it: warm and dry air across it; what never dries comes off." },
] as const;
export type CoatDefect = (typeof COAT_DEFECTS)[number]["defect"];
