"use client";
import Link from "next/link";
import { drillingOf, type Hole } from "@/core/join/drilling";
import { DRILL_SETS } from "@/core/join/drills.data";
import type { SizedBrace } from "@/core/join/sizing";
import { plain } from "@/core/units";
import { Segmented } from "../forms/Segmented";
import type { ToolDrawer } from "./toolDrawer";

const HOLE_LABELS: Readonly<Record<Hole["hole"], string>> = { pilot: "Pilot", hole: "Hole" };

/** Nearest drills of the set one owns, and the card to lay the bit against; nothing where no hole is drilled. */
export function Drilling({ size, treatment, tools }: { size: SizedBrace["size"]; treatment: string; tools: ToolDrawer }) {
  const { drawer, drills, change } = tools;
  const { holes, depth_mm } = drillingOf(size, drills);
  if (holes.length === 0) return null;
  const query = new URLSearchParams({
    depth: plain(depth_mm, 1),
    ...Object.fromEntries(holes.map(({ hole, found }) => [hole, found?.drill.label ?? ""])),
  });
  const without = (label: string) =>
    drawer.missing.includes(label) ? drawer.missing.filter((each) => each !== label) : [...drawer.missing, label];
  return (
    <section aria-label="Drill card" className="pt-3">
      <div className="btn-row justify-between">
        <h3>Drill card</h3>
        <Segmented
          label="Drills in the drawer"
          value={drawer.set}
          options={[
            ["metric", "Metric"],
            ["inch", "Inch fractions"],
          ]}
          onChange={(set) => change({ set, missing: [] })}
        />
      </div>
      {holes.map((hole) => (
        <HoleLine key={hole.hole} {...hole} />
      ))}
      <p>{plain(depth_mm, 1)} mm deep: pilot first, then the size; a backing block where it comes out, a depth stop on the bit.</p>
      <details>
        <summary className="link-btn flex items-center">Which drills lie in the drawer</summary>
        <div className="chips">
          {DRILL_SETS[drawer.set].map(({ label }) => (
            <button
              key={label}
              type="button"
              className="chip"
              aria-pressed={!drawer.missing.includes(label)}
              onClick={() => change({ missing: without(label) })}
            >
              {label}
            </button>
          ))}
        </div>
      </details>
      <Link className="link-btn inline-flex items-center" href={`/treatments/${treatment}/drill-card?${query}`}>
        Print it, A6, with the depth as a bar
      </Link>
    </section>
  );
}

function HoleLine({ hole, wanted_mm, found }: Hole) {
  return (
    <p>
      {HOLE_LABELS[hole]}: wanted {plain(wanted_mm, 1)} mm, nearest <b>{found ? found.drill.label : "none in the drawer"}</b>
      {found && Math.abs(found.off_mm) > 0.05 && `, ${plain(Math.abs(found.off_mm), 2)} mm ${found.off_mm > 0 ? "wider" : "tighter"}`}
    </p>
  );
}
