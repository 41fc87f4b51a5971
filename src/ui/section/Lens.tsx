import { plain } from "@/core/units";
import type { Film } from "@/core/views/cut";

const WIDE = 300;
const TALL = 96;
/** A coat is never drawn thinner than a line of its words is high. */
const LEAST_PX = 17;

/** The coats over the fill: too thin for any scale of the section, so in a lens with a height scale of its own. */
export function Lens({ films }: { films: readonly Film[] }) {
  const whole = films.reduce((sum, { um }) => sum + um, 0);
  if (films.length === 0 || whole <= 0) return null;
  const thinnest = Math.min(...films.map(({ um }) => um));
  // one scale for all: it is what makes them comparable
  const k = Math.max(LEAST_PX / thinnest, TALL / whole);
  const tall = Math.min(360, whole * k);
  const scale = tall / whole;
  let top = tall;
  return (
    <figure className="section-lens">
      <figcaption className="sub">
        <b>Coats, in a lens</b>, dry, from below; heights {plain((scale / (96 / 25.4)) * 1000, 0)} : 1, together {plain(whole, 0)} µm
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDE} ${tall + 2}`}
        className="block"
        style={{ width: WIDE, maxWidth: "100%" }}
        role="img"
        aria-label={`${films.length} coats, ${plain(whole, 0)} µm in all`}
      >
        {films.map(({ name, um, hatch, done }, i) => {
          top -= um * scale;
          const y = top + 1;
          return (
            // coats of one material are told apart by their height alone
            <g key={y}>
              <rect x="1" y={y} width="96" height={um * scale} fill="var(--color-panel)" />
              <rect
                x="1"
                y={y}
                width="96"
                height={um * scale}
                fill={`url(#h-${hatch}${i % 2 === 0 ? "" : "-2"})`}
                stroke="currentColor"
                strokeWidth="1.3"
                strokeDasharray={done ? undefined : "5 3"}
              />
              <text x="106" y={y + (um * scale) / 2 + 4} className="draw-text">
                {name} <tspan fontWeight="700">{plain(um, 0)} µm</tspan>
                {done ? ", done" : ""}
              </text>
            </g>
          );
        })}
      </svg>
    </figure>
  );
}
