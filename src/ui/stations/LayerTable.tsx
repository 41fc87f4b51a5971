"use client";
import type { RunningCure } from "@/core/plan/clocks";
import type { FillPlan } from "@/core/plan/plan";
import { figure } from "@/core/units";
import { useNow, useWall } from "../frame/now";

export interface LayerRow {
  readonly layer: number;
  readonly applied_mm: number;
  readonly cured_mm: number;
  readonly surface_mm: number;
  readonly placed_mm?: number;
  readonly measured_mm?: number;
  readonly grams?: number;
  readonly mixed?: number;
  readonly hardAt?: number;
  readonly next: string;
}

/** Planned and done, a row a layer. A further layer than planned gets a row of its own. */
export function layerRows(fill: FillPlan, cures: readonly RunningCure[], placed: Readonly<Record<number, number>>, measured: Readonly<Record<number, number>>, mixed: ReadonlyArray<{ layer: number; grams: number }>): LayerRow[] {
  const count = Math.max(fill.count, ...cures.map(({ layer }) => layer));
  const last = fill.layers.at(-1);
  return Array.from({ length: count }, (_, i) => {
    const layer = i + 1;
    const planned = fill.layers[i] ?? last;
    const cure = cures.findLast((each) => each.layer === layer);
    const hardAt = cure?.stages.find(({ stage }) => stage === "hard")?.at;
    const grams = mixed.findLast((each) => each.layer === layer)?.grams;
    return {
      layer,
      applied_mm: planned?.applied_mm ?? 0,
      cured_mm: planned?.cured_mm ?? 0,
      surface_mm: planned?.surface_mm ?? 0,
      ...(placed[layer] === undefined ? {} : { placed_mm: placed[layer] }),
      ...(measured[layer] === undefined ? {} : { measured_mm: measured[layer] }),
      ...(grams === undefined ? {} : { grams }),
      ...(cure ? { mixed: cure.start } : {}),
      ...(hardAt === undefined ? {} : { hardAt }),
      next: cure ? (hardAt === undefined ? "does not set here" : "setting or set") : "to come",
    };
  });
}

const dash = "–";

/** The layers as a table; hover or focus lights the layer in the section, and the other way round. */
export function LayerTable({ rows, name, lit, setLit }: { rows: readonly LayerRow[]; name: string; lit: number | undefined; setLit: (layer: number | undefined) => void }) {
  const now = useNow();
  const wall = useWall();
  const upcoming = rows.find(({ mixed }) => mixed === undefined)?.layer;
  return (
    <table className="lst inset">
      <thead>
        <tr>
          <th>Layer</th>
          <th>Thick, plan</th>
          <th>done</th>
          <th>Surface, plan</th>
          <th>measured</th>
          <th>Mass</th>
          <th>Mixed</th>
          <th>Next</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row, i) => (
          // biome-ignore lint/a11y/noNoninteractiveTabindex: focus lights the layer in the drawing
          <tr key={row.layer} tabIndex={0} className={`${row.layer === upcoming ? "now" : ""} ${lit === i ? "lit" : ""}`} onPointerEnter={() => setLit(i)} onPointerLeave={() => setLit(undefined)} onFocus={() => setLit(i)} onBlur={() => setLit(undefined)}>
            <td>
              <b>Layer {row.layer}</b> <span className="sub">{name.toLowerCase()}</span>
            </td>
            <td>{figure(row.applied_mm, 1)} mm</td>
            <td>{row.placed_mm === undefined ? dash : `${figure(row.placed_mm, 1)} mm`}</td>
            <td>{height(row.surface_mm)}</td>
            <td>{row.measured_mm === undefined ? dash : height(row.measured_mm)}</td>
            <td>{row.grams === undefined ? dash : `${figure(row.grams, 2)} g`}</td>
            <td>{row.mixed === undefined ? dash : wall.when(row.mixed, now)}</td>
            <td>{row.hardAt === undefined ? row.next : row.hardAt > now ? `hard ${wall.when(row.hardAt, now)}` : `hard since ${wall.when(row.hardAt, now)}`}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function height(mm: number): string {
  if (Math.abs(mm) < 0.005) return "flush";
  return `${figure(Math.abs(mm), 1)} ${mm < 0 ? "low" : "proud"}`;
}
