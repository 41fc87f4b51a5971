import { gradeLabel } from "@/core/catalogue";
import { P_SERIES } from "@/core/level/ladder";
import type { WalkStep } from "@/core/level/walk";
import { figure } from "@/core/units";
import { SignShape } from "../signs/Sign";

const WIDTH = 400;
const RAIL = { left: 118, right: 206 } as const;
const LEAST = 40;
const TOP = 30;

/** The ladder as drawn: rung height is log grain size, unused grades between stay as dashed rungs. */
export function GritLadder({ steps }: { steps: readonly WalkStep[] }) {
  const placed = place(steps);
  const height = (placed.at(-1)?.y ?? TOP) + 34;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="mt-2 block h-auto w-full max-w-[420px]"
      role="img"
      aria-label={`Grit ladder: ${steps.map(({ grade, state }) => `${gradeLabel(grade)} ${STATE_WORDS[state]}`).join(", ")}`}
    >
      <path
        d={`M${RAIL.left} 4V${height - 6}M${RAIL.left + 7} 4V${height - 6}M${RAIL.right - 7} 4V${height - 6}M${RAIL.right} 4V${height - 6}`}
        className="hairline"
        strokeWidth="1.4"
      />
      {placed.map(({ step, y, unused, key }, i) => (
        <g key={key}>
          {step.state === "now" && (
            <rect x="1" y={y - 17} width={WIDTH - 2} height="34" fill="var(--color-panel)" stroke="currentColor" strokeWidth="2" />
          )}
          <Rung y={y} state={step.state} />
          <text x="10" y={y + 7} style={{ fontSize: 20, fontWeight: step.state === "now" ? 800 : 700 }} fill="currentColor">
            {gradeLabel(step.grade)}
          </text>
          <text x="108" y={y + 5} textAnchor="end" className="draw-text">
            {figure(step.micron, 1)}
          </text>
          <text x="252" y={y + 5} className="draw-text" style={{ fontSize: 14, fontWeight: step.state === "now" ? 750 : 400 }}>
            {STATE_WORDS[step.state]}
          </text>
          {i > 0 && step.micron < (placed[i - 1]?.step.micron ?? 0) && (
            <text x={WIDTH - 8} y={y + 5} textAnchor="end" className="draw-text soft">
              ÷ {figure((placed[i - 1]?.step.micron ?? 0) / step.micron, 2)}
            </text>
          )}
          {i > 0 && step.micron >= (placed[i - 1]?.step.micron ?? 0) && (
            <text x={WIDTH - 8} y={y + 5} textAnchor="end" className="draw-text bold">
              went back
            </text>
          )}
          <g transform={`translate(230 ${y - 7})`} color={step.state === "now" ? "var(--color-verdigris)" : undefined}>
            <SignShape name={step.state === "now" ? "go" : step.state} size={14} />
          </g>
          {unused.map(({ label, y: between }) => (
            <g key={label}>
              <path d={`M${RAIL.left + 7} ${between}H${RAIL.right - 7}`} className="hairline" strokeDasharray="4 3" strokeOpacity=".6" />
              <text x="10" y={between + 4} className="draw-text soft">
                {label}
              </text>
            </g>
          ))}
        </g>
      ))}
    </svg>
  );
}

const STATE_WORDS: Readonly<Record<WalkStep["state"], string>> = { done: "done", now: "now", "to-come": "to come" };

function Rung({ y, state }: { y: number; state: WalkStep["state"] }) {
  const fill = state === "done" ? "currentColor" : state === "now" ? "var(--color-verdigris)" : "var(--color-panel)";
  return <rect x={RAIL.left} y={y - 5} width={RAIL.right - RAIL.left} height="10" fill={fill} stroke="currentColor" strokeWidth="1.4" />;
}

interface Placed {
  readonly key: string;
  readonly step: WalkStep;
  readonly y: number;
  readonly unused: ReadonlyArray<{ readonly label: string; readonly y: number }>;
}

/** Rungs down the page by how far the grain falls, never closer than a line; a step back starts a new flight. */
function place(steps: readonly WalkStep[]): Placed[] {
  let y = TOP;
  return steps.map((step, i) => {
    const before = steps[i - 1];
    const ratio = before ? before.micron / step.micron : 1;
    const from = y;
    if (before) y += ratio > 1 ? Math.max(LEAST, Math.log(ratio) * 118) : LEAST + 10;
    const skipped = before && ratio > 1 ? P_SERIES.filter(({ micron }) => micron < before.micron && micron > step.micron) : [];
    const unused =
      skipped.length <= 2 && y - from >= 46
        ? skipped.map((rung) => ({
            label: gradeLabel(rung),
            y: from + ((y - from) * Math.log((before?.micron ?? 1) / rung.micron)) / Math.log(ratio),
          }))
        : [];
    return { key: `${i}-${gradeLabel(step.grade)}`, step, y, unused: unused.filter(({ y: at }) => at - from > 22 && y - at > 22) };
  });
}
