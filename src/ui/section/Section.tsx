import type { Hatch } from "@/core/catalogue";
import { type Profile, type SectionFill, section } from "@/core/fill/section";
import { fittingScale, type Point, PX_PER_MM, plain, scaleLabel } from "@/core/units";

export interface LayerTag {
  readonly name: string;
  readonly words: string;
  /** The layer to place now. */
  readonly now?: boolean;
}

interface Props {
  readonly profile: Profile;
  readonly hatch: Hatch;
  readonly substrate: string;
  readonly fill?: SectionFill;
  readonly fillHatch?: Hatch;
  readonly tags?: readonly LayerTag[];
  readonly title: string;
  readonly note?: string;
  readonly width: number;
  readonly height: number;
  /** The layer that the table beside it points at. */
  readonly lit?: number | undefined;
}

/** Room around the drawing for dimensions, in px. */
const ROOM = { left: 64, right: 96, top: 52, bottom: 26 } as const;

/** A true-to-scale cut: substrate hatch, loss, layers, proud line and dimensions. */
export function Section(props: Props) {
  const { profile, hatch, substrate, fill, fillHatch = "putty", tags = [], title, note, width, height, lit } = props;
  const drawing = section(profile, fill);
  const tall = drawing.top - drawing.bottom;
  const scale = fittingScale(drawing.width, tall, width - ROOM.left - ROOM.right, height - ROOM.top - ROOM.bottom);
  const k = scale * PX_PER_MM;
  const midX = ROOM.left + (width - ROOM.left - ROOM.right) / 2;
  const zeroY = ROOM.top + drawing.top * k + (height - ROOM.top - ROOM.bottom - tall * k) * 0.35;
  const at = ([x, y]: Point): [number, number] => [midX + x * k, zeroY - y * k];
  const pair = (point: Point) => {
    const [x, y] = at(point);
    return `${x.toFixed(1)} ${y.toFixed(1)}`;
  };
  const path = (points: readonly Point[], close = true) => `M${points.map(pair).join("L")}${close ? "Z" : ""}`;
  const half = profile.width / 2;
  const reach = drawing.width / 2;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="section block h-auto w-full"
      role="img"
      aria-label={`${title}, scale ${scaleLabel(scale)}, in millimetres`}
    >
      <text x="0" y="16" className="draw-text bold" style={{ fontSize: "var(--text-small)", fontStretch: "100%" }}>
        {title}
      </text>
      <text x="0" y="33" className="draw-text soft">
        {scaleLabel(scale)}, in mm, {note ?? "outer face up"}
      </text>
      <path d={path(drawing.block)} fill="var(--color-panel)" />
      <path d={path(drawing.block)} fill={`url(#h-${hatch})`} stroke="currentColor" strokeWidth="2" strokeLinejoin="round" />
      <path
        d={path(drawing.cavity)}
        fill="var(--color-ground)"
        stroke="currentColor"
        strokeWidth={fill ? 2 : 1.6}
        strokeDasharray={fill ? undefined : "6 4"}
      />
      {drawing.layers.map((layer, i) => (
        <g key={path(layer)}>
          <path d={path(layer)} fill={lit === i ? "#fff" : "var(--color-panel)"} />
          <path
            d={path(layer)}
            fill={`url(#h-${fillHatch})`}
            stroke="currentColor"
            strokeWidth={lit === i ? 3 : 1.4}
            fillOpacity={i % 2 === 0 ? 1 : 0.55}
          />
        </g>
      ))}
      {drawing.proud.length > 1 && (
        <path d={path(drawing.proud, false)} fill="none" stroke="currentColor" strokeWidth="1.6" strokeDasharray="7 4" />
      )}
      <path d={`M${midX - (reach + 0.5) * k} ${zeroY}H${midX + (reach + 0.5) * k}`} className="hairline" strokeDasharray="12 3 2 3" />
      <Across
        y={Math.max(38, zeroY - drawing.top * k - 20)}
        from={midX - half * k}
        to={midX + half * k}
        label={plain(half * 2)}
        edge={zeroY}
      />
      <Down x={midX + reach * k + 16} from={zeroY} to={zeroY + profile.depth * k} label={plain(profile.depth)} />
      {fill && fill.proud_mm > 0 && (
        <text x={midX - reach * k - 8} y={zeroY - Math.max(drawing.top * k, 4) + 3} textAnchor="end" className="draw-text bold">
          {plain(fill.proud_mm)} proud
        </text>
      )}
      <Tags
        tags={tags}
        surfaces={fill?.surfaces ?? []}
        depth={profile.depth}
        x={midX}
        y={(mm) => zeroY - mm * k}
        roomy={half * 2 * k > 240}
        edge={midX - reach * k}
      />
      <text x={midX - reach * k} y={zeroY - drawing.bottom * k + 17} className="draw-text soft">
        {substrate}
      </text>
    </svg>
  );
}

/** A dimension across, with oblique ticks. */
function Across({ y, from, to, label, edge }: { y: number; from: number; to: number; label: string; edge: number }) {
  const middle = (from + to) / 2;
  return (
    <g>
      <path className="hairline" d={`M${from - 6} ${y}H${to + 6}M${from} ${y - 4}V${edge}M${to} ${y - 4}V${edge}`} strokeOpacity=".8" />
      <path d={`M${from - 4} ${y + 4}l8 -8M${to - 4} ${y + 4}l8 -8`} stroke="currentColor" strokeWidth="1.4" />
      <rect x={middle - 19} y={y - 18} width="38" height="15" fill="var(--color-ground)" />
      <text x={middle} y={y - 5} textAnchor="middle" className="draw-text bold">
        {label}
      </text>
    </g>
  );
}

function Down({ x, from, to, label }: { x: number; from: number; to: number; label: string }) {
  const middle = (from + to) / 2;
  return (
    <g>
      <path className="hairline" d={`M${x} ${from - 6}V${to + 6}M${x - 10} ${from}h16M${x - 10} ${to}h16`} />
      <path d={`M${x - 4} ${from + 4}l8 -8M${x - 4} ${to + 4}l8 -8`} stroke="currentColor" strokeWidth="1.4" />
      <rect x={x + 7} y={middle - 9} width={label.length * 7.5 + 8} height="17" fill="var(--color-panel)" />
      <text x={x + 11} y={middle + 4} className="draw-text bold">
        {label}
      </text>
    </g>
  );
}

interface TagsProps {
  readonly tags: readonly LayerTag[];
  readonly surfaces: readonly number[];
  readonly depth: number;
  readonly x: number;
  readonly y: (mm: number) => number;
  readonly roomy: boolean;
  readonly edge: number;
}

const TAG_HEIGHT = 25;

/** A tag in each layer where there is room; else the layers' table says it. */
function Tags({ tags, surfaces, depth, x, y, roomy }: TagsProps) {
  if (!roomy) return null;
  return tags.map((tag, i) => {
    const bottom = surfaces[i - 1] ?? -depth;
    const surface = surfaces[i] ?? 0;
    const tall = y(bottom) - y(surface);
    if (tall < TAG_HEIGHT + 4) return null;
    const words = `${tag.name}  ${tag.words}`;
    const wide = words.length * 6.6 + 22;
    const middle = (y(bottom) + y(surface)) / 2 - tall * 0.08;
    return (
      <g key={tag.name}>
        <rect
          x={x - wide / 2}
          y={middle - TAG_HEIGHT / 2}
          width={wide}
          height={TAG_HEIGHT}
          fill={tag.now ? "var(--color-verdigris)" : "var(--color-panel)"}
          stroke="currentColor"
          strokeWidth="1.3"
        />
        <text
          x={x}
          y={middle + 5}
          textAnchor="middle"
          className="draw-text"
          style={{ fontSize: "var(--text-small)", ...(tag.now ? { fill: "#fff" } : {}) }}
        >
          <tspan style={{ fontWeight: 750, fontStretch: "96%" }}>{tag.name}</tspan> {tag.words}
        </text>
      </g>
    );
  });
}
