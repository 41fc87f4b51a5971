"use client";
import type { LayerRow } from "@/core/plan/layerRows";
import { figure, inSentence, type Wall } from "@/core/units";
import { useNow, useWall } from "../frame/now";

interface Props {
  readonly rows: readonly LayerRow[];
  readonly name: string;
  /** The layer that is pointed at, here or in the section. */
  readonly lit: number | undefined;
  readonly setLit: (layer: number | undefined) => void;
}

/** The layers as a table; hover or focus lights the layer in the section, and the other way round. */
export function LayerTable({ rows, name, lit, setLit }: Props) {
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
          <tr
            key={row.layer}
            className={`${row.layer === upcoming ? "now" : ""} ${lit === i ? "lit" : ""}`}
            onPointerEnter={() => setLit(i)}
            onPointerLeave={() => setLit(undefined)}
          >
            <td>
              <button
                type="button"
                className="min-h-[32px] font-bold"
                onFocus={() => setLit(i)}
                onBlur={() => setLit(undefined)}
                aria-label={`Show layer ${row.layer} in the section`}
              >
                Layer {row.layer}
              </button>{" "}
              <span className="sub">{inSentence(name)}</span>
            </td>
            <td>{mm(row.applied_mm)}</td>
            <td>{shown(row.placed_mm, mm)}</td>
            <td>{height(row.surface_mm)}</td>
            <td>{shown(row.measured_mm, height)}</td>
            <td>{shown(row.grams, (grams) => `${figure(grams, 2)} g`)}</td>
            <td>{shown(row.mixed, (at) => wall.when(at, now))}</td>
            <td>{nextWords(row, now, wall)}</td>
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

const mm = (value: number) => `${figure(value, 1)} mm`;

/** A figure that may not have been recorded yet. */
function shown(value: number | undefined, format: (value: number) => string): string {
  return value === undefined ? "–" : format(value);
}

function nextWords({ mixed, hard_at }: LayerRow, now: number, wall: Wall): string {
  if (mixed === undefined) return "to come";
  if (hard_at === undefined) return "does not set here";
  return `hard ${hard_at > now ? "" : "since "}${wall.when(hard_at, now)}`;
}
