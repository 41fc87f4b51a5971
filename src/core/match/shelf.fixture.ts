import { CLASS_ROWS, FIGURE_ROWS, type Figures } from "../catalogue";
import type { Jar } from "./case";

/** A small generator of the same numbers each time (mulberry32). */
function dice(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** Made-up jars over the whole catalogue, each with one figure of its own a little beside its class. */
export function jars(count: number, seed = 7): Jar[] {
  const roll = dice(seed);
  return Array.from({ length: count }, (_, i) => {
    const row = CLASS_ROWS[Math.floor(roll() * CLASS_ROWS.length)] ?? CLASS_ROWS[0];
    if (!row) throw new Error("the catalogue is empty");
    const figure = FIGURE_ROWS[Math.floor(roll() * FIGURE_ROWS.length)];
    const published = figure?.of(row);
    const shift = 0.9 + roll() * 0.2;
    const figures: Figures = figure && published ? { [figure.figure]: [published[0] * shift, published[1] * shift] } : {};
    return {
      id: `00000000-0000-4000-8000-${String(i).padStart(12, "0")}`,
      name: `${row.name} no. ${i}`,
      class: row.class,
      figures,
      left_g: Math.round(roll() * 900),
      ...(roll() < 0.5 ? { days_left: Math.round(roll() * 500 - 40) } : {}),
    };
  });
}
