import { readFileSync } from "node:fs";
import { CALCULATIONS, type CalcName, calc } from "../src/core/calc";
import { madeUpPalette } from "../src/core/colour/palette.fixture";

const START = "2026-10-07T12:00:00+02:00";
const night = Array.from({ length: 200 }, (_, i) => ({
  at: new Date(Date.parse(START) + i * 3_600_000).toISOString(),
  temp_C: 18 + 3 * Math.sin(i / 4),
}));

/** A question of each calculation as large as the app asks it. */
const QUESTIONS: Record<CalcName, object> = {
  volume: { solids: Array.from({ length: 20 }, () => ({ shape: "edgeChip", length: 34, depth: 11, thickness: 6 })) },
  mix: {
    need_cm3: 3,
    waste_pct: 35,
    parts: [
      { name: "A", ratio: 1, density: 1.6 },
      { name: "B", ratio: 1, density: 1.6 },
    ],
    ratio_by: "volume",
    scale_step_g: 0.01,
    pot_life_min: 5,
    apply_cm3_per_min: 0.5,
  },
  rescue: {
    parts: [
      { name: "A", ratio: 100, poured_g: 10 },
      { name: "B", ratio: 40, poured_g: 5 },
    ],
    tolerance_pct: 5,
  },
  layers: { depth_mm: 11, max_layer_mm: 8, shrinkage_pct: 0.7, proud_mm: 0.4 },
  cure: {
    stages: ["working", "firm", "stiff", "hard", "full"].map((name, i) => ({ name, minutes: 35 * 3 ** i })),
    reference_C: 23,
    model: { kind: "arrhenius", ea_kJ_mol: 55 },
    min_C: 10,
    start: START,
    climate: { samples: night },
  },
  // a drawer of two hundred sheets, many of one grain
  calibrate: { observations: [{ predicted_min: 100, seen_min: 140, sense: "soft" }] },
  ladder: {
    from: { system: "P", grade: 60 },
    to: { system: "P", grade: 2500 },
    stock: Array.from({ length: 200 }, (_, i) => ({ system: "micron", grade: 270 * 0.983 ** i })),
  },
  match: {
    substrate: "stoneware",
    finish: "glaze",
    damage: { kind: "chip", depth_mm: 6 },
    service: { wet: true, food: true },
    stance: "reversible",
  },
  film: {
    existing_um: 120,
    coats: [{ wet_um: 100, solids_pct: 40, count: 4 }],
    cuts: [{ um: 6, sd_um: 2 }],
    safe_um: 60,
    scratch: { depth_um: 90, mode: "spray", coat_um: 10, cut_um: 6 },
  },
  deltaE: { a: { L: 50, a: 2.5, b: 0 }, b: { L: 50, a: 0, b: -2.5 } },
  colour: { pigments: madeUpPalette(30), target: { lab: { L: 55, a: 20, b: 25 } }, most: 6 },
  tint: {
    base: { r: new Array(31).fill(0.6) },
    colorant: { name: "brown", absorbance_per_um: new Array(31).fill(0.01) },
    film_um: 20,
    coats: 4,
    target: { lab: { L: 60, a: 0, b: 0 } },
  },
  schedule: {
    calendar: { days: [1, 2, 3, 4, 5], from: "08:00", to: "17:00", timezone: "Europe/Berlin" },
    start: START,
    tasks: Array.from({ length: 12 }, (_, i) => ({ id: `t${i}`, object: "jar", hands_min: 10 + i, wait_min: 30 * (i % 4) })),
    links: Array.from({ length: 9 }, (_, i) => ({ from: `t${i}`, to: `t${i + 3}`, min_min: 20 })),
  },
  // the largest of the kept jobs: three damages worked together
  plan: JSON.parse(readFileSync("docs/jobs/12-jester-figure.json", "utf8")),
  brace: { joint: "break-across", section: { width_mm: 32, height_mm: 44 }, load_N: 250, lever_mm: 180, material: "hardwood" },
};
const ROUNDS = 100;
/** Searches run in a worker; all else within a key press. */
const AIMS_MS: Partial<Record<CalcName, number>> = { colour: 300, schedule: 300, tint: 16, plan: 16 };
const aimOf = (name: CalcName) => AIMS_MS[name] ?? 2;

/** Each through the same door as API and command line, checks included. */
for (const name of Object.keys(CALCULATIONS) as CalcName[]) {
  const times = Array.from({ length: ROUNDS }, () => {
    const began = performance.now();
    const outcome = calc(name, QUESTIONS[name]);
    if (!outcome.ok) throw new Error(`${name}: ${outcome.problem.detail}`);
    return performance.now() - began;
  }).sort((a, b) => a - b);
  const [median, p95] = [times[ROUNDS / 2] ?? 0, times[Math.floor(ROUNDS * 0.95)] ?? 0];
  console.log(
    `${name.padEnd(8)} median ${median.toFixed(3)} ms  p95 ${p95.toFixed(3)} ms  ${(median / aimOf(name)).toFixed(2)} of the aim of ${aimOf(name)} ms`,
  );
}
