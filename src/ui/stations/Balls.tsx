import { PX_PER_MM, plain } from "@/core/units";

const WIDEST_PX = 250;
const HATCHES = ["putty", "adhesive", "acrylic"];

/** Each part as a ball of its volume, in true size where it fits: hold yours up to it. */
export function Balls({ parts }: { parts: ReadonlyArray<{ readonly name: string; readonly ball_mm: number }> }) {
  const wide = parts.reduce((sum, { ball_mm }) => sum + ball_mm * PX_PER_MM + 18, 0);
  const scale = Math.min(1, WIDEST_PX / wide);
  const size = Math.max(...parts.map(({ ball_mm }) => ball_mm)) * PX_PER_MM * scale;
  let x = 4;
  return (
    <figure className="mt-2 flex flex-wrap items-center gap-x-3">
      <svg
        width={wide * scale + 8}
        height={size + 10}
        role="img"
        aria-label={parts.map(({ name, ball_mm }) => `${name}: ball of ${plain(ball_mm)} mm`).join(", ")}
      >
        {parts.map(({ name, ball_mm }, i) => {
          const r = (ball_mm * PX_PER_MM * scale) / 2;
          const cx = x + r;
          x += r * 2 + 18 * scale;
          return (
            <g key={name}>
              <circle cx={cx} cy={size / 2 + 5} r={r} fill="var(--color-panel)" />
              <circle
                cx={cx}
                cy={size / 2 + 5}
                r={r}
                fill={`url(#h-${HATCHES[i % HATCHES.length]})`}
                stroke="currentColor"
                strokeWidth="1.6"
              />
            </g>
          );
        })}
      </svg>
      <figcaption className="sub">
        {parts.map(({ name, ball_mm }) => (
          <span key={name} className="block text-[14px] text-ink">
            {name} <b>Ø {plain(ball_mm)} mm</b>
          </span>
        ))}
        {scale === 1 ? "true size at 96 px an inch, hold yours up" : `drawn 1 : ${(1 / scale).toFixed(1)}`}
      </figcaption>
    </figure>
  );
}
