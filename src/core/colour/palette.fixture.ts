import { NM } from "./spectra.data";

const step = (nm: number, at: number, width: number) => 1 / (1 + Math.exp(-(nm - at) / width));
const band = (nm: number, at: number, width: number) => Math.exp(-(((nm - at) / width) ** 2));

/** Made-up pigments of the usual shapes: white, black, earths that rise, blues and greens with a band. */
export function madeUpPalette(count: number): Array<{ name: string; r: number[] }> {
  const shapes: ReadonlyArray<(nm: number, k: number) => number> = [
    (nm, k) => 0.05 + 0.75 * step(nm, 480 + 6 * k, 14 + (k % 5)),
    (nm, k) => 0.04 + 0.55 * band(nm, 440 + 3 * k, 40 + (k % 7)),
    (nm, k) => 0.04 + 0.4 * band(nm, 520 + 2 * k, 45),
    (nm, k) => 0.06 + 0.3 * step(nm, 560 + 2 * k, 40),
  ];
  const rest = Array.from({ length: Math.max(0, count - 2) }, (_, k) => ({
    name: `pigment ${String(k + 1).padStart(2, "0")}`,
    r: NM.map((nm) => shapes[k % shapes.length]?.(nm, k) ?? 0.5),
  }));
  return [{ name: "white", r: NM.map((nm) => 0.9 + 0.05 * step(nm, 420, 10)) }, { name: "black", r: NM.map(() => 0.035) }, ...rest].slice(
    0,
    count,
  );
}
