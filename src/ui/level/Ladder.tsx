import { counted, plain } from "@/core/units";
import type { LevelRung } from "@/core/views/levelling";
import { Sign } from "../signs/Sign";

/** Height of the drawing, and the least between two rungs so that their words stand clear, px. */
const TALL = 64;
const LEAST = 44;

/** Where each rung lies: by the logarithm of its grain, never nearer than its words need. */
function heights(microns: readonly number[]): number[] {
  const widest = Math.max(...microns.slice(1).map((micron, i) => Math.log((microns[i] ?? 1) / micron)), 1e-9);
  let at = 24;
  return microns.map((micron, i) => {
    if (i > 0) at += Math.max(LEAST, (Math.log((microns[i - 1] ?? 1) / micron) / widest) * TALL);
    return at;
  });
}

/** The ladder, rungs by their grain: grade, grain, what it takes off, what it leaves, how long. */
export function Ladder({ rungs }: { rungs: readonly LevelRung[] }) {
  const at = heights(rungs.map(({ micron }) => micron));
  const tall = (at.at(-1) ?? 0) + 30;
  return (
    <div className="ladder">
      <p className="rung-line rung-head">
        <span className="rung-grade">grade</span>
        <span className="rung-figure">grain, µm</span>
        <span className="rung-figure">takes off</span>
        <span className="rung-figure">leaves</span>
        <span className="rung-figure">hands</span>
      </p>
      <svg width="64" height={tall} aria-hidden="true">
        <path d={`M4 0V${tall}M10 0V${tall}M46 0V${tall}M52 0V${tall}`} stroke="currentColor" strokeWidth="1.6" />
        {rungs.map(({ op, state }, i) => (
          <rect
            key={op}
            x="4"
            y={(at[i] ?? 0) - 6}
            width="48"
            height="12"
            fill={state === "done" ? "currentColor" : state === "now" ? "var(--color-verdigris)" : "var(--color-ground)"}
            stroke="currentColor"
            strokeWidth="1.8"
            strokeDasharray={state === "to-come" ? "5 3" : undefined}
          />
        ))}
      </svg>
      <ol aria-label="Rungs: grade, grain in µm, takes off, leaves, minutes of hands" style={{ height: tall }}>
        {rungs.map((rung, i) => (
          <li key={rung.op} data-state={rung.state} style={{ top: (at[i] ?? 0) - 13 }}>
            <RungWords rung={rung} />
          </li>
        ))}
      </ol>
    </div>
  );
}

function RungWords({ rung }: { rung: LevelRung }) {
  const { label, micron, micron_range, takes_um, leaves_um, leaves_range_um, minutes, state, proud_mm, film_um, sheets } = rung;
  const measured = [
    ...(micron_range ? [`grain ${plain(micron_range[0], 0)} to ${plain(micron_range[1], 0)} µm by maker`] : []),
    ...(proud_mm === undefined ? [] : [`measured ${plain(proud_mm, 2)} mm`]),
    ...(sheets && state !== "done"
      ? [`takes ${plain(sheets.takes, 2)} of ${counted(sheets.left, "sheet")}${sheets.takes > sheets.left ? ": get another" : ""}`]
      : []),
    ...(film_um === undefined ? [] : [`film ${plain(film_um, 0)} µm`]),
  ];
  return (
    <>
      <p className="rung-line">
        <b className="rung-grade">{label}</b>
        <span className="rung-figure">{plain(micron, 1)}</span>
        <b className="rung-figure">{um(takes_um)}</b>
        <b className="rung-figure" title={`${plain(leaves_range_um[0], 1)} to ${plain(leaves_range_um[1], 1)} µm`}>
          {um(leaves_um)}
        </b>
        <span className="rung-figure">
          {plain(minutes[0], 0)}–{plain(minutes[1], 0)} min
        </span>
        {state === "done" && <Sign name="done">done</Sign>}
        {state === "now" && <Sign name="go">now</Sign>}
      </p>
      {measured.length > 0 && <p className="sub">{measured.join(", ")}</p>}
    </>
  );
}

const um = (value: number): string => (value >= 100 ? `${plain(value / 1000, 2)} mm` : `${plain(value, 1)} µm`);
