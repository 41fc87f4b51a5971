import { plain } from "@/core/units";
import type { FilmBudget as Film } from "@/core/views/filmBudget";
import { Sideways } from "../frame/Sideways";
import { Sign } from "../signs/Sign";

const BY = { survey: "as surveyed", typical: "as is typical; measure it", new: "the new film alone, over the fill" } as const;
const TALL = 170;
const SLOT = 86;
const LEFT = 40;

/** What is left of the film after each rung, at the flat and at the edge, against the line that is safe. */
export function FilmBudget({ film: { start, safe_um, safe_because, steps, stop } }: { film: Film }) {
  const most = Math.max(...steps.map(({ flat_um }) => flat_um), safe_um) * 1.12;
  const y = (um: number) => TALL + 18 - (Math.max(0, um) / most) * TALL;
  const wide = LEFT + steps.length * SLOT + 10;
  return (
    <section aria-label="Film budget">
      <h2>
        Film budget
        <span className="sub">
          {start.by === "new" ? "" : `${plain(start.um, 0)} ± ${plain(start.sd_um, 0)} µm, `}
          {BY[start.by]}
        </span>
      </h2>
      <Sideways label="Bars of the film">
        <svg viewBox={`0 0 ${wide} ${TALL + 66}`} style={{ width: wide }} role="img" aria-label={wordsOf(steps, safe_um)}>
          {steps.map((step, i) => {
            const x = LEFT + i * SLOT;
            return (
              // a grade may be walked twice: where it stands tells it
              <g key={x}>
                <Bar x={x} wide={44} um={step.flat_um} y={y} hatch="lacquer" done={step.done} />
                <Bar x={x + 48} wide={22} um={step.edge_um} y={y} hatch="lacquer-2" done={step.done} />
                <text x={x} y={TALL + 36} className="draw-text bold">
                  {step.name}
                </text>
                <text x={x} y={TALL + 52} className="draw-text soft">
                  {step.cut ? `${risk(step.flat_pct)} / ${risk(step.edge_pct)}` : "laid"}
                </text>
              </g>
            );
          })}
          <path d={`M${LEFT - 6} ${y(safe_um)}H${wide}`} stroke="var(--color-minium)" strokeWidth="2" />
          {steps.map((step, i) => {
            const x = LEFT + i * SLOT;
            return (
              <g key={x}>
                <BarWords x={x} wide={44} um={step.flat_um} y={y} bold />
                <BarWords x={x + 48} wide={22} um={step.edge_um} y={y} />
              </g>
            );
          })}
          <text x="0" y={y(safe_um) + 4} className="draw-text bold">
            {plain(safe_um, 0)}
          </text>
          <path d={`M${LEFT - 6} ${TALL + 18}H${wide}`} stroke="currentColor" strokeWidth="1.6" />
        </svg>
      </Sideways>
      <p className="sub">
        Wide bars the flat, narrow ones the edge, µm; below each cut, the chance that less than {plain(safe_um, 0)} µm is left, flat / edge:{" "}
        {safe_because}. An edge begins with seven tenths of the film and loses 1.6 times as much.
      </p>
      <Sign name={stop ? "soon" : "done"} wrap>
        {stop ?? "The film bears every cut, at the edge too."}
      </Sign>
    </section>
  );
}

/** Written over the safe line, so that it can be read where both meet. */
function BarWords({ x, wide, um, y, bold = false }: Pick<BarProps, "x" | "wide" | "um" | "y" | "bold">) {
  return (
    <text
      x={x + wide / 2}
      y={y(um) - 4}
      textAnchor="middle"
      className={`draw-text ${bold ? "bold" : ""}`}
      paintOrder="stroke"
      stroke="var(--color-ground)"
      strokeWidth="3"
    >
      {um <= 0 ? "through" : plain(um, 0)}
    </text>
  );
}

interface BarProps {
  readonly x: number;
  readonly wide: number;
  readonly um: number;
  readonly y: (um: number) => number;
  readonly hatch: string;
  readonly done: boolean;
  readonly bold?: boolean;
}

function Bar({ x, wide, um, y, hatch, done }: Omit<BarProps, "bold">) {
  const top = y(um);
  return (
    <>
      <rect x={x} y={top} width={wide} height={Math.max(0, TALL + 18 - top)} fill="var(--color-panel)" />
      <rect
        x={x}
        y={top}
        width={wide}
        height={Math.max(0, TALL + 18 - top)}
        fill={`url(#h-${hatch})`}
        stroke="currentColor"
        strokeWidth={done ? 2.2 : 1.3}
        strokeDasharray={done ? undefined : "5 3"}
      />
    </>
  );
}

const risk = (pct: number): string => (pct < 0.5 ? "0 %" : pct > 99.5 ? "100 %" : `${plain(pct, 0)} %`);

function wordsOf(steps: Film["steps"], safe_um: number): string {
  const each = steps.map(({ name, flat_um, edge_um }) => `${name}: ${plain(flat_um, 0)} µm at the flat, ${plain(edge_um, 0)} at the edge`);
  return `Film left, safe from ${plain(safe_um, 0)} µm on. ${each.join("; ")}.`;
}
