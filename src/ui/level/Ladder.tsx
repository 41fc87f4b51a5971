import { counted, plain } from "@/core/units";
import type { LevelRung } from "@/core/views/levelling";
import { Sign, SignShape } from "../signs/Sign";

/** Height of a rung that is to come or done, and of the one that is up, px. */
const ROW = 66;
const ROW_NOW = 132;
/** The widest jump between two grains is drawn so wide, px: a ladder with a hole shows it. */
const WIDEST = 56;

interface Laid {
  readonly top: number;
  readonly tall: number;
}

/** Where each rung lies: apart by the logarithm of its grain, never nearer than its words need. */
function laidOut(rungs: readonly LevelRung[]): Laid[] {
  const jumps = rungs.map(({ micron }, i) => (i === 0 ? 0 : Math.abs(Math.log((rungs[i - 1]?.micron ?? micron) / micron))));
  const widest = Math.max(...jumps, 1e-9);
  let at = 0;
  return rungs.map(({ state }, i) => {
    const top = at + (i === 0 ? 0 : ((jumps[i] ?? 0) / widest) * WIDEST - WIDEST / 2 + 8);
    const tall = state === "now" ? ROW_NOW : ROW;
    at = Math.max(at, top) + tall;
    return { top: Math.max(at - tall, 0), tall };
  });
}

/** The ladder, rungs by their grain: grade, grain, what it takes off, the scratch it leaves, how long. */
export function Ladder({ rungs }: { rungs: readonly LevelRung[] }) {
  const laid = laidOut(rungs);
  const last = laid.at(-1);
  const tall = (last?.top ?? 0) + (last?.tall ?? 0);
  const deepest = Math.max(...rungs.map(({ leaves_um }) => leaves_um), 1e-9);
  return (
    <div className="grid grid-cols-[72px_minmax(0,1fr)] pt-2">
      <svg width="64" height={tall} aria-hidden="true">
        <path d={`M4 0V${tall}M10 0V${tall}M46 0V${tall}M52 0V${tall}`} stroke="currentColor" strokeWidth="1.6" />
        {rungs.map(({ op, state }, i) => (
          <rect
            key={op}
            x="4"
            y={(laid[i]?.top ?? 0) + 12}
            width="48"
            height="13"
            fill={state === "done" ? "currentColor" : state === "now" ? "var(--color-verdigris)" : "var(--color-panel)"}
            stroke="currentColor"
            strokeWidth="1.8"
            strokeDasharray={state === "to-come" ? "5 3" : undefined}
          />
        ))}
      </svg>
      <ol aria-label="Rungs: grade, grain in µm, takes off, leaves, minutes of hands" className="relative" style={{ height: tall }}>
        {rungs.map((rung, i) => (
          <li
            key={rung.op}
            data-state={rung.state}
            className="absolute inset-x-0"
            style={laid[i] && { top: laid[i].top, height: laid[i].tall }}
          >
            {rung.state === "now" ? <RungUp rung={rung} deepest={deepest} /> : <RungLine rung={rung} deepest={deepest} />}
          </li>
        ))}
      </ol>
    </div>
  );
}

const um = (value: number): string => (value >= 100 ? `${plain(value / 1000, 2)} mm` : `${plain(value, 1)} µm`);
const minutesOf = ({ minutes }: LevelRung) => `${plain(minutes[0], 0)} to ${plain(minutes[1], 0)} min`;

/** Its grain, what it takes off, and the scratch that it leaves. */
function Facts({ rung: { micron, takes_um, leaves_um, leaves_range_um } }: { rung: LevelRung }) {
  return (
    <>
      <span>grain {plain(micron, 1)} µm</span>
      <span>
        takes <b>{um(takes_um)}</b>
      </span>
      <span title={`${plain(leaves_range_um[0], 1)} to ${plain(leaves_range_um[1], 1)} µm`}>
        leaves <b>{um(leaves_um)}</b>
      </span>
    </>
  );
}

function RungLine({ rung, deepest }: { rung: LevelRung; deepest: number }) {
  return (
    <>
      <p className="flex flex-wrap items-baseline gap-x-4 [font-stretch:82%]">
        <b className="min-w-[60px] text-title leading-[26px] [font-stretch:92%]">{rung.label}</b>
        <Facts rung={rung} />
        <span>{minutesOf(rung)}</span>
        {rung.state === "done" && (
          <span>
            <span className="visually-hidden">done</span>
            <SignShape name="done" size={15} />
          </span>
        )}
      </p>
      <Scratches leaves_um={rung.leaves_um} deepest={deepest} />
      <Found rung={rung} />
    </>
  );
}

/** The rung that is up: read from where one stands. */
function RungUp({ rung, deepest }: { rung: LevelRung; deepest: number }) {
  return (
    <div className="border-2 border-ink bg-white px-3 py-1">
      <div className="flex flex-wrap items-center gap-x-5">
        <b className="text-huge leading-[50px] font-extrabold tracking-[-0.03em] [font-stretch:108%]">{rung.label}</b>
        <b className="text-head [font-stretch:104%]">{minutesOf(rung)}</b>
        <Sign name="go">now</Sign>
      </div>
      <p className="flex flex-wrap gap-x-4 [font-stretch:88%]">
        <Facts rung={rung} />
      </p>
      <Scratches leaves_um={rung.leaves_um} deepest={deepest} />
      <Found rung={rung} />
    </div>
  );
}

/** Widest drawn scratch, px. */
const DEEP = 20;
const TEETH = 26;
const PITCH = 12;

/** The scratch that a rung leaves, as deep beside the others as it is. */
function Scratches({ leaves_um, deepest }: { leaves_um: number; deepest: number }) {
  const deep = Math.max(1, (leaves_um / deepest) * DEEP);
  const teeth = Array.from(
    { length: TEETH },
    (_, i) => `h4l4 ${deep * (0.6 + 0.4 * ((i * 7) % 5) * 0.25)}l4 ${-deep * (0.6 + 0.4 * ((i * 7) % 5) * 0.25)}`,
  );
  return (
    <svg
      viewBox={`0 0 ${TEETH * PITCH} ${DEEP + 2}`}
      height={DEEP + 2}
      className="w-full max-w-[340px]"
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <path d={`M0 1${teeth.join("")}`} fill="none" stroke="currentColor" strokeWidth="1.2" vectorEffect="non-scaling-stroke" />
    </svg>
  );
}

/** What was measured after a rung, and what the drawer has of it. */
function Found({ rung: { micron_range, proud_mm, film_um, sheets, state } }: { rung: LevelRung }) {
  const words = [
    ...(micron_range ? [`grain ${plain(micron_range[0], 0)} to ${plain(micron_range[1], 0)} µm by maker`] : []),
    ...(proud_mm === undefined ? [] : [`measured ${plain(proud_mm, 2)} mm`]),
    ...(sheets && state !== "done"
      ? [`takes ${plain(sheets.takes, 2)} of ${counted(sheets.left, "sheet")}${sheets.takes > sheets.left ? ": get another" : ""}`]
      : []),
    ...(film_um === undefined ? [] : [`film ${plain(film_um, 0)} µm`]),
  ];
  return words.length > 0 ? <p className="sub one-line">{words.join(", ")}</p> : null;
}
