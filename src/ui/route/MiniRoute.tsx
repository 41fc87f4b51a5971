import { STATIONS, type Station, stationLabel } from "@/core/catalogue";

interface Props {
  readonly marks: Partial<Record<Station, "done" | "skipped" | "unneeded">>;
  readonly here: Station | undefined;
  readonly waiting: boolean;
}

const STEP = 21;

/** The route in 164 × 20: walked heavy, the current station's core green, or blue while it waits. */
export function MiniRoute({ marks, here, waiting }: Props) {
  const now = here ? STATIONS.findIndex(({ station }) => station === here) : STATIONS.length - 1;
  const x = (i: number) => 9 + i * STEP;
  return (
    <svg
      className="mini-route"
      width="168"
      height="22"
      viewBox="0 0 168 22"
      role="img"
      aria-label={here ? `at ${stationLabel(here)}${waiting ? ", waiting" : ""}` : "closed"}
    >
      <path d={`M${x(0)} 9.500H${x(7)}M${x(0)} 12.500H${x(7)}`} stroke="currentColor" strokeWidth="1" />
      {waiting && here && now < 7 && <rect x={x(now)} y="8" width={STEP} height="6" fill="url(#h-wait)" />}
      <path d={`M${x(0)} 11H${x(now)}`} stroke="currentColor" strokeWidth="5" />
      {STATIONS.map(({ station }, i) => {
        if (station === here)
          return (
            <g key={station}>
              <circle cx={x(i)} cy="11" r="7.500" fill="var(--color-panel)" stroke="currentColor" strokeWidth="2.400" />
              <circle cx={x(i)} cy="11" r="4" fill={waiting ? "var(--color-smalt)" : "var(--color-verdigris)"} />
            </g>
          );
        const done = marks[station] === "done";
        return (
          <circle
            key={station}
            cx={x(i)}
            cy="11"
            r={done ? 3.6 : 3.4}
            fill={done ? "currentColor" : "var(--color-panel)"}
            stroke="currentColor"
            strokeWidth="1.6"
          />
        );
      })}
    </svg>
  );
}
