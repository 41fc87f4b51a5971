"use client";
import type { Wall } from "@/core/units";
import type { BriefAct } from "@/core/views/brief";
import { useNow, useWall, useWorkingDay } from "../frame/now";
import type { ShelfItem } from "../shelf/Shelf";
import { dayLine, HEIGHT, type PlacedWindow, WIDTH, type WindowOnLine } from "./dayLineLayout";

/** An act with a window, and where it stands. */
export interface Timed {
  readonly item: ShelfItem;
  readonly act: Pick<BriefAct, "title" | "from" | "until">;
  readonly state: "now" | "closing" | "too-early";
}

const FILLS: Readonly<Record<PlacedWindow["state"], { fill: string; ink: string }>> = {
  now: { fill: "var(--color-verdigris)", ink: "#fff" },
  closing: { fill: "var(--color-orpiment)", ink: "var(--color-boneblack)" },
  "too-early": { fill: "var(--color-panel)", ink: "var(--color-ink)" },
};

/** The windows of today and tomorrow morning to time, the night folded; on narrow screens a list of times. */
export function DayLine({ all }: { all: readonly Timed[] }) {
  const now = useNow(30_000);
  const wall = useWall();
  const windows = all.flatMap(({ item, act, state }): WindowOnLine[] => {
    if (act.from === undefined) return [];
    return [
      {
        name: `${item.piece}, ${act.title.charAt(0).toLowerCase()}${act.title.slice(1)}`,
        from: act.from,
        state,
        ...(act.until === undefined ? {} : { until: act.until }),
      },
    ];
  });
  if (windows.length === 0) return null;
  return (
    <section className="windows" aria-label="Next windows">
      <Drawing windows={windows} now={now} wall={wall} />
      <div className="windows-table">
        <h2 className="col-span-full pt-3">Next windows</h2>
        {[...windows]
          .sort((a, b) => a.from - b.from)
          .map((window) => (
            <p key={window.name} className="grid min-h-[36px] grid-cols-[96px_minmax(0,1fr)] items-baseline border-b border-ash-deep py-1">
              <b className="text-title">{window.from <= now ? "now" : wall.when(window.from, now)}</b>
              <span className="clamp-3">{window.name}</span>
            </p>
          ))}
      </div>
    </section>
  );
}

function Drawing({ windows, now, wall }: { windows: readonly WindowOnLine[]; now: number; wall: Wall }) {
  const day = useWorkingDay();
  const { placed, hours, night, nowX, left } = dayLine(windows, now, wall, day);
  return (
    <svg
      className="day-line"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Next windows: ${placed.map(({ label }) => label).join("; ")}`}
    >
      <text x={nowX + 34} y="17" style={{ fontSize: "var(--text-body)", fontWeight: 650, fontStretch: "104%" }}>
        Next windows
        <tspan dx="10" className="draw-text soft" style={{ fontSize: "var(--text-small)", fontWeight: 400 }}>
          {wall.day(now)}
          {left > 0 ? `, ${left} more later` : ""}
        </tspan>
      </text>
      <rect x="0" y="26" width={WIDTH} height="114" fill="var(--color-panel)" />
      {night && (
        <>
          <rect x={night.from} y="26" width={night.to - night.from} height="114" fill="var(--color-ash)" />
          <text x={(night.from + night.to) / 2} y="161" textAnchor="middle" className="draw-text" style={{ fontSize: "var(--text-small)" }}>
            <tspan style={{ fontWeight: 650 }}>Night</tspan>, folded
          </text>
          <text
            x={Math.max(night.to + 14, nowX + 330)}
            y="17"
            style={{ fontSize: "var(--text-body)", fontWeight: 650, fontStretch: "104%" }}
          >
            {night.tomorrow}
          </text>
        </>
      )}
      <path className="hairline" d={`M0 26H${WIDTH}M0 140H${WIDTH}`} />
      {hours.map(({ x, label }) => (
        <g key={`${label}-${x}`}>
          <path d={`M${x} 26V140`} stroke="var(--color-ash)" />
          <path className="hairline" d={`M${x} 140v6`} />
          <text x={x} y="161" textAnchor="middle" className="draw-text" style={{ fontSize: "var(--text-small)" }}>
            {label}
          </text>
        </g>
      ))}
      {placed.map(({ key, x, width, y, open, state, label, inside, labelX, anchor }) => (
        <g key={key}>
          <path
            d={open ? `M${x} ${y}H${x + width - 10}l10 13l-10 13H${x}Z` : `M${x} ${y}H${x + width}V${y + 26}H${x}Z`}
            fill={FILLS[state].fill}
            stroke="currentColor"
            strokeWidth="1.5"
          />
          <text
            x={labelX}
            y={y + 18}
            textAnchor={anchor}
            style={{ fontSize: "var(--text-body)", fontStretch: "88%", fill: inside ? FILLS[state].ink : "currentColor" }}
          >
            {label}
          </text>
        </g>
      ))}
      <path d={`M${nowX} 26V140`} stroke="currentColor" strokeWidth="2.5" />
      <rect x={nowX - 26} y="1" width="52" height="19" fill="var(--color-boneblack)" />
      <path d={`M${nowX - 7} 20h14l-7 7z`} fill="var(--color-boneblack)" />
      <text x={nowX} y="16" textAnchor="middle" style={{ fontSize: "var(--text-body)", fontWeight: 700, fill: "var(--color-chalk)" }}>
        {wall.time(now)}
      </text>
    </svg>
  );
}
