import type { ClassRow } from "./materialClass";

const noLink = {
  roles: [], needs_pores: false, gap_mm: [0, 0], shrinkage_pct: [0, 0], hardness: 1, strength: "light", outdoor: false, takes_stain: false,
} as const;
const lifts_off = (minutes: readonly [number, number]) =>
  ({ reference_C: 20, ea_kJ_mol: 0, min_C: 5, at_mm: 0.1, by: "reaction", stages: [{ stage: "working", minutes: [0.5, 5] }, { stage: "full", minutes }] }) as const;
const ready = (density: number, cue: string) => ({ parts: [{ name: "ready to use", ratio: 1, density }], ratio_by: "mass", cue }) as const;
const ALL = { ceramic: "firm", mineral: "firm", wood: "firm", board: "firm", metal: "firm", polymer: "firm", bone: "firm", paper: "firm", skin: "firm" } as const;

/** What keeps a material off a mould, a caul or the surface beside the loss. No link of a chain: it comes off again. */
export const RELEASES = [
  {
    class: "parting-film", group: "release", name: "Parting film", hatch: "lacquer", ...noLink, bonds: ALL,
    density: [0.9, 0.95], price_eur_kg: [5, 20], food: "keep food off it", max_layer_mm: 0.1, rigidity: "flexible", service_C: [60, 80], water: "stands",
    reversible: { grade: "easy", by: "lifts off" }, carrier: "none", mix: ready(0.92, "Stretched flat: a fold prints."), cure: lifts_off([1, 5]),
    hazards: [], shelf_months: [600, 600], source: "typical data sheets of polyethylene film",
  },
  {
    class: "petroleum-jelly", group: "release", name: "Petroleum jelly", hatch: "putty", ...noLink, bonds: ALL,
    density: [0.82, 0.88], price_eur_kg: [6, 20], food: "keep food off it", max_layer_mm: 0.1, rigidity: "flexible", service_C: [35, 45], water: "stands",
    reversible: { grade: "effort", by: "white spirit, then detergent, twice" }, carrier: "hydrocarbon", mix: ready(0.85, "Wiped to a breath: a thick coat prints."), cure: lifts_off([1, 5]),
    hazards: [], shelf_months: [36, 60], source: "typical data sheets; Buys and Oakley 1993 (moulds)",
  },
  {
    class: "release-wax", group: "release", name: "Release wax", hatch: "putty", ...noLink, bonds: { ...ALL, skin: "fair" },
    density: [0.8, 0.95], price_eur_kg: [20, 60], food: "keep food off it", max_layer_mm: 0.02, rigidity: "flexible", service_C: [50, 80], water: "stands",
    reversible: { grade: "effort", by: "white spirit swabs until one stays clean" }, carrier: "hydrocarbon", mix: ready(0.85, "Three thin coats, each buffed."), cure: lifts_off([30, 60]),
    hazards: ["vapour"], shelf_months: [24, 60], source: "typical data sheets of mould release waxes",
  },
  {
    class: "soap-release", group: "release", name: "Potassium soap", hatch: "acrylic", ...noLink, bonds: { mineral: "firm", ceramic: "firm", wood: "fair" },
    density: [1.0, 1.05], price_eur_kg: [5, 15], food: "keep food off it", max_layer_mm: 0.02, rigidity: "flexible", service_C: [40, 60], water: "no",
    reversible: { grade: "easy", by: "clean water" }, carrier: "water", mix: ready(1.02, "Foam brushed off, a sheen stays."), cure: lifts_off([10, 20]),
    hazards: [], shelf_months: [24, 60], source: "trade practice of plaster workshops, a rule of thumb",
  },
  {
    class: "release-alcohol", group: "release", name: "Polyvinyl alcohol film", hatch: "lacquer", ...noLink, bonds: { ceramic: "firm", metal: "firm", polymer: "firm", mineral: "fair", wood: "fair" },
    density: [0.9, 1.0], price_eur_kg: [15, 35], food: "keep food off it", max_layer_mm: 0.03, rigidity: "flexible", service_C: [50, 70], water: "no",
    reversible: { grade: "easy", by: "peels, the rest with water" }, carrier: "alcohol", mix: ready(0.95, "One wet coat without bubbles."), cure: lifts_off([20, 40]),
    hazards: ["vapour"], shelf_months: [18, 36], source: "typical data sheets of PVAL release films",
  },
  {
    class: "masking-latex", group: "release", name: "Masking latex", hatch: "adhesive", ...noLink, bonds: { ceramic: "firm", metal: "firm", polymer: "firm", wood: "fair", skin: "fair" },
    density: [0.94, 1.0], price_eur_kg: [12, 35], food: "keep food off it", max_layer_mm: 1, rigidity: "flexible", service_C: [50, 70], water: "splash",
    reversible: { grade: "easy", by: "peels off when it is clear" }, carrier: "water", mix: ready(0.96, "A heavy coat, fully dry, or it will not peel."), cure: lifts_off([120, 360]),
    hazards: [], shelf_months: [12, 24], source: "typical data sheets of natural rubber latex (ammonia tarnishes copper alloys)",
  },
  {
    class: "low-tack-tape", group: "release", name: "Low-tack tape", hatch: "lacquer", ...noLink, bonds: { ...ALL, skin: "fair", paper: "fair" },
    density: [0.9, 1.0], price_eur_kg: [10, 40], food: "keep food off it", max_layer_mm: 0.1, rigidity: "flexible", service_C: [50, 70], water: "splash",
    reversible: { grade: "easy", by: "pull back flat, within a day" }, carrier: "none", mix: ready(0.95, "Edge rubbed down; off before the fill is hard."), cure: lifts_off([1, 5]),
    hazards: [], shelf_months: [24, 60], source: "typical data sheets of washi masking tapes",
  },
] as const satisfies readonly ClassRow[];
