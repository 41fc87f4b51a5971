/** Material is coded by hatch and by name. The patterns are defined once a page and used as `url(#h-…)`. */
const STIPPLE =
  "M1.3 2.7a0.63 0.63 0 1 0 1.26 0a0.63 0.63 0 1 0 -1.26 0M1.7 6.0a0.68 0.68 0 1 0 1.36 0a0.68 0.68 0 1 0 -1.36 0M0.7 11.5a1.06 1.06 0 1 0 2.12 0a1.06 1.06 0 1 0 -2.12 0M0.6 15.9a0.50 0.50 0 1 0 1.00 0a0.50 0.50 0 1 0 -1.00 0M1.4 18.3a0.50 0.50 0 1 0 1.00 0a0.50 0.50 0 1 0 -1.00 0M2.6 22.8a0.89 0.89 0 1 0 1.78 0a0.89 0.89 0 1 0 -1.78 0M0.3 27.7a0.87 0.87 0 1 0 1.74 0a0.87 0.87 0 1 0 -1.74 0M4.3 3.3a1.07 1.07 0 1 0 2.14 0a1.07 1.07 0 1 0 -2.14 0M6.4 7.5a1.09 1.09 0 1 0 2.18 0a1.09 1.09 0 1 0 -2.18 0M6.6 10.1a0.46 0.46 0 1 0 0.92 0a0.46 0.46 0 1 0 -0.92 0M5.2 13.8a0.45 0.45 0 1 0 0.90 0a0.45 0.45 0 1 0 -0.90 0M5.7 18.5a0.97 0.97 0 1 0 1.94 0a0.97 0.97 0 1 0 -1.94 0M5.8 24.1a0.62 0.62 0 1 0 1.24 0a0.62 0.62 0 1 0 -1.24 0M6.8 27.1a0.71 0.71 0 1 0 1.42 0a0.71 0.71 0 1 0 -1.42 0M11.0 1.1a0.79 0.79 0 1 0 1.58 0a0.79 0.79 0 1 0 -1.58 0M8.5 7.6a0.90 0.90 0 1 0 1.80 0a0.90 0.90 0 1 0 -1.80 0M10.8 9.4a1.08 1.08 0 1 0 2.16 0a1.08 1.08 0 1 0 -2.16 0M9.1 16.3a0.85 0.85 0 1 0 1.70 0a0.85 0.85 0 1 0 -1.70 0M10.6 18.6a0.61 0.61 0 1 0 1.22 0a0.61 0.61 0 1 0 -1.22 0M9.4 23.7a0.49 0.49 0 1 0 0.98 0a0.49 0.49 0 1 0 -0.98 0M10.6 28.4a0.95 0.95 0 1 0 1.90 0a0.95 0.95 0 1 0 -1.90 0M14.5 0.9a0.53 0.53 0 1 0 1.06 0a0.53 0.53 0 1 0 -1.06 0M15.2 5.4a0.93 0.93 0 1 0 1.86 0a0.93 0.93 0 1 0 -1.86 0M15.0 9.4a1.07 1.07 0 1 0 2.14 0a1.07 1.07 0 1 0 -2.14 0M14.9 16.4a1.12 1.12 0 1 0 2.24 0a1.12 1.12 0 1 0 -2.24 0M15.1 19.1a0.62 0.62 0 1 0 1.24 0a0.62 0.62 0 1 0 -1.24 0M14.9 24.6a0.73 0.73 0 1 0 1.46 0a0.73 0.73 0 1 0 -1.46 0M13.2 27.6a1.07 1.07 0 1 0 2.14 0a1.07 1.07 0 1 0 -2.14 0M18.5 1.7a0.89 0.89 0 1 0 1.78 0a0.89 0.89 0 1 0 -1.78 0M18.9 6.0a0.96 0.96 0 1 0 1.92 0a0.96 0.96 0 1 0 -1.92 0M18.4 9.9a0.67 0.67 0 1 0 1.34 0a0.67 0.67 0 1 0 -1.34 0M19.7 16.4a0.89 0.89 0 1 0 1.78 0a0.89 0.89 0 1 0 -1.78 0M19.7 20.4a0.59 0.59 0 1 0 1.18 0a0.59 0.59 0 1 0 -1.18 0M18.9 22.6a0.80 0.80 0 1 0 1.60 0a0.80 0.80 0 1 0 -1.60 0M18.3 28.6a1.11 1.11 0 1 0 2.22 0a1.11 1.11 0 1 0 -2.22 0M22.7 1.3a0.76 0.76 0 1 0 1.52 0a0.76 0.76 0 1 0 -1.52 0M21.9 6.9a0.82 0.82 0 1 0 1.64 0a0.82 0.82 0 1 0 -1.64 0M22.7 10.7a0.98 0.98 0 1 0 1.96 0a0.98 0.98 0 1 0 -1.96 0M22.7 15.7a0.47 0.47 0 1 0 0.94 0a0.47 0.47 0 1 0 -0.94 0M22.4 19.4a0.59 0.59 0 1 0 1.18 0a0.59 0.59 0 1 0 -1.18 0M23.6 23.0a0.62 0.62 0 1 0 1.24 0a0.62 0.62 0 1 0 -1.24 0M23.5 27.7a0.50 0.50 0 1 0 1.00 0a0.50 0.50 0 1 0 -1.00 0M27.5 3.0a1.09 1.09 0 1 0 2.18 0a1.09 1.09 0 1 0 -2.18 0M27.9 6.9a1.12 1.12 0 1 0 2.24 0a1.12 1.12 0 1 0 -2.24 0M25.7 11.4a0.87 0.87 0 1 0 1.74 0a0.87 0.87 0 1 0 -1.74 0M28.0 16.1a0.48 0.48 0 1 0 0.96 0a0.48 0.48 0 1 0 -0.96 0M26.4 18.1a0.53 0.53 0 1 0 1.06 0a0.53 0.53 0 1 0 -1.06 0M25.8 22.2a0.87 0.87 0 1 0 1.74 0a0.87 0.87 0 1 0 -1.74 0M28.6 27.0a0.54 0.54 0 1 0 1.08 0a0.54 0.54 0 1 0 -1.08 0";
const FIBRES =
  "M4.7 1.4Q4.8 4.3 2.5 6.2 M11.7 1.2Q11.1 4.1 8.5 5.4 M16.5 1.1Q18.2 3.7 17.1 6.5 M25.1 0.2Q26.4 3.0 24.9 5.6 M4.5 8.1Q5.1 11.1 3.1 13.4 M9.8 8.0Q12.3 9.6 12.5 12.6 M15.8 8.0Q18.2 9.2 18.7 11.9 M24.6 8.6Q25.5 11.4 23.7 13.8 M2.5 14.9Q5.0 16.0 5.7 18.7 M8.3 15.8Q11.3 16.2 12.8 18.9 M15.6 15.0Q17.9 16.7 18.0 19.5 M23.1 16.3Q25.8 16.5 27.2 18.7 M2.6 22.0Q4.3 24.0 3.7 26.5 M8.5 22.9Q11.5 23.7 12.6 26.5 M18.5 22.8Q18.6 25.6 16.4 27.4 M26.1 22.2Q25.7 25.3 23.0 26.8";

/** The patterns of all hatches: materials, the wood of the shelf, waiting, and closed hours. */
export function Hatches() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true">
      <defs>
        <pattern id="h-stoneware" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V6M3 0V6" stroke="currentColor" strokeWidth=".9" />
        </pattern>
        <pattern id="h-china" width="11" height="11" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M1.5 0V11M5 0V11" stroke="currentColor" strokeWidth=".8" />
        </pattern>
        <pattern id="h-plaster" width="30" height="30" patternUnits="userSpaceOnUse">
          <path d={STIPPLE} fill="currentColor" />
        </pattern>
        <pattern id="h-wood" width="48" height="14" patternUnits="userSpaceOnUse">
          <path
            d="M0 2.5c8-2 16 2 24 0s16-2 24 0M0 7c8 1.5 16-1.5 24 0s16 1.5 24 0M0 11.5c8-1.5 16 1 24 0s16-1 24 0"
            fill="none"
            stroke="currentColor"
            strokeWidth=".9"
          />
        </pattern>
        <pattern id="h-board" width="20" height="16" patternUnits="userSpaceOnUse">
          <path
            d="M2 3l5-1 1 3-5 1zM11 2l6 2-1 2-6-1zM4 10l4 1-1 3-4-2zM12 9l5-1 1 4-4 1z"
            fill="none"
            stroke="currentColor"
            strokeWidth=".8"
          />
        </pattern>
        <pattern id="h-leather" width="28" height="28" patternUnits="userSpaceOnUse">
          <path d={FIBRES} fill="none" stroke="currentColor" strokeWidth=".8" strokeLinecap="round" />
        </pattern>
        <pattern id="h-metal" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V7M0 0H7" stroke="currentColor" strokeWidth="1" />
        </pattern>
        <pattern id="h-putty" width="5" height="5" patternUnits="userSpaceOnUse">
          <path
            d="M.45 1.2a.75 .75 0 1 0 1.5 0a.75 .75 0 1 0 -1.5 0M2.95 3.7a.75 .75 0 1 0 1.5 0a.75 .75 0 1 0 -1.5 0"
            fill="currentColor"
          />
        </pattern>
        <pattern id="h-adhesive" width="10" height="6" patternUnits="userSpaceOnUse">
          <path d="M0 1.5H6M5 4.5H11M0 4.5H1" stroke="currentColor" strokeWidth=".9" />
        </pattern>
        <pattern id="h-acrylic" width="12" height="7" patternUnits="userSpaceOnUse">
          <path d="M0 5l3-3 3 3 3-3 3 3" fill="none" stroke="currentColor" strokeWidth=".9" />
        </pattern>
        <pattern id="h-polyester" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <path d="M1 0V5.5M5.5 4.5V9M5.5 0V1" stroke="currentColor" strokeWidth="1" />
        </pattern>
        <pattern id="h-lacquer" width="4" height="8" patternUnits="userSpaceOnUse">
          <path d="M1 0V8" stroke="currentColor" strokeWidth=".8" />
        </pattern>
        <pattern id="h-shelf" width="90" height="9" patternUnits="userSpaceOnUse">
          <path
            d="M0 2c15-1 30 1.2 45 0s30-1 45 0M0 4.6c15 .8 30-.8 45 0s30 .8 45 0M0 7.2c15-.8 30 .6 45 0s30-.6 45 0"
            fill="none"
            stroke="currentColor"
            strokeWidth=".8"
          />
        </pattern>
        <pattern id="h-wait" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" fill="var(--color-smalt-wash)" />
          <path d="M1.5 0V6" stroke="var(--color-smalt)" strokeWidth="2.2" />
        </pattern>
        <pattern id="h-night" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <path d="M1 0V6" stroke="var(--color-ash)" strokeWidth="1" />
        </pattern>
        {LAYERED.map(([name, turn]) => (
          <pattern key={name} id={`h-${name}-2`} href={`#h-${name}`} patternTransform={turn} />
        ))}
      </defs>
    </svg>
  );
}

/** A second layer of the same stuff is told from the first: its hatch turned and opened. */
const LAYERED: ReadonlyArray<readonly [hatch: string, turn: string]> = [
  ["putty", "scale(1.9)"],
  ["plaster", "rotate(90) scale(1.5)"],
  ["wood", "rotate(90)"],
  ["board", "rotate(90) scale(1.3)"],
  ["leather", "rotate(90) scale(1.4)"],
  ["metal", "scale(1.8)"],
  ["stoneware", "rotate(-45) scale(1.6)"],
  ["china", "rotate(-45) scale(1.4)"],
  ["adhesive", "rotate(90) scale(1.3)"],
  ["acrylic", "rotate(90) scale(1.4)"],
  ["polyester", "rotate(45) scale(1.5)"],
  ["lacquer", "rotate(90) scale(1.4)"],
];

/** A small framed sample of a hatch, with its name beside it where it is used. */
export function HatchSwatch({ hatch, size = 34 }: { hatch: string; size?: number }) {
  return (
    <svg width={size} height={size * 0.62} className="block flex-none border border-ink bg-panel" aria-hidden="true">
      <rect width="100%" height="100%" fill={`url(#h-${hatch})`} />
    </svg>
  );
}
