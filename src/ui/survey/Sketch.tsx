import type { Hatch } from "@/core/catalogue";
import { boundsOf, type Dim, type Sketch as Drawing } from "@/core/survey/sketch";
import { fittingScale, type Point, PX_PER_MM, scaleLabel } from "@/core/units";

interface Props {
  readonly drawing: Drawing;
  readonly hatch: Hatch;
  /** What stands below the drawing: what is hatched, what is dashed. */
  readonly legend: string;
  readonly width: number;
  readonly height: number;
}

/** Room around the drawing for dimensions, in px. */
const ROOM = { left: 24, right: 62, top: 58, bottom: 34 } as const;

/** A drawing from numbers alone, redrawn on every keystroke, true to its stated scale. */
export function Sketch({ drawing, hatch, legend, width, height }: Props) {
  const { left, right, bottom, top } = boundsOf(drawing);
  const [roomX, roomY] = [width - ROOM.left - ROOM.right, height - ROOM.top - ROOM.bottom];
  const scale = fittingScale(right - left, top - bottom, roomX, roomY);
  const k = scale * PX_PER_MM;
  const x0 = ROOM.left + (roomX - (right - left) * k) / 2;
  const y0 = ROOM.top + (roomY - (top - bottom) * k) / 2;
  const at = ([x, y]: Point): [number, number] => [x0 + (x - left) * k, y0 + (top - y) * k];
  const path = (points: readonly Point[], close: boolean) =>
    `M${points
      .map((point) =>
        at(point)
          .map((n) => n.toFixed(1))
          .join(" "),
      )
      .join("L")}${close ? "Z" : ""}`;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="section block h-auto w-full"
      style={{ maxWidth: width }}
      role="img"
      aria-label={inWords(drawing, scale)}
    >
      <text x="0" y="16" className="draw-text soft">
        drawn from your numbers, {scaleLabel(scale)}, in mm: {drawing.view}
      </text>
      {drawing.solid.map((points) => (
        <g key={path(points, true)}>
          <path d={path(points, true)} fill="var(--color-panel)" />
          <path d={path(points, true)} fill={`url(#h-${hatch})`} stroke="currentColor" strokeWidth="2" strokeLinejoin="round" />
        </g>
      ))}
      {drawing.missing.map((points) => (
        <path
          key={path(points, true)}
          d={path(points, true)}
          fill="var(--color-ground)"
          stroke="currentColor"
          strokeWidth="1.8"
          strokeDasharray="6 4"
          strokeLinejoin="round"
        />
      ))}
      {drawing.lines.map((points) => (
        <path key={path(points, false)} d={path(points, false)} fill="none" stroke="currentColor" strokeWidth="1.6" />
      ))}
      {drawing.dims.map((dim) => (
        <Dimension key={`${dim.label} ${dim.from.join()} ${dim.to.join()}`} dim={dim} at={at} />
      ))}
      <text x="0" y={height - 6} className="draw-text soft">
        {legend}
      </text>
    </svg>
  );
}

function inWords({ view, dims }: Drawing, scale: number): string {
  return `Drawing, ${view}, scale ${scaleLabel(scale)}; ${dims.map(({ label }) => `${label} mm`).join(", ")}`;
}

const AWAY = 20;

/** A dimension line with oblique ticks, beside what it measures. */
function Dimension({ dim, at }: { dim: Dim; at: (point: Point) => [number, number] }) {
  const [[x1, y1], [x2, y2]] = [at(dim.from), at(dim.to)];
  const shift: readonly [number, number] = dim.beside === "right" ? [AWAY, 0] : [0, dim.beside === "above" ? -AWAY : AWAY];
  const [ax, ay, bx, by] = [x1 + shift[0], y1 + shift[1], x2 + shift[0], y2 + shift[1]];
  const [mx, my] = [(ax + bx) / 2, (ay + by) / 2];
  const wide = dim.label.length * 7 + 8;
  const textX = dim.beside === "right" ? mx + 6 : mx - wide / 2;
  const textY = dim.beside === "right" ? my + 5 : my + (dim.beside === "above" ? -6 : 16);
  return (
    <g>
      <path className="hairline" d={`M${ax} ${ay}L${bx} ${by}M${x1} ${y1}L${ax} ${ay}M${x2} ${y2}L${bx} ${by}`} strokeOpacity=".85" />
      <path d={`M${ax - 4} ${ay + 4}l8 -8M${bx - 4} ${by + 4}l8 -8`} stroke="currentColor" strokeWidth="1.4" />
      <rect x={textX} y={textY - 12} width={wide} height="15" fill="var(--color-ground)" />
      <text x={textX + 4} y={textY} className="draw-text bold">
        {dim.label}
      </text>
    </g>
  );
}
