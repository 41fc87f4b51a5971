import { type Label, LINE_PX, type Line, type Point, type Scene, type Shape, type Sheet, scaleLabel, sheetOf, TAG_PX } from "@/core/units";
import type { Cut } from "@/core/views/cut";

interface Props {
  readonly cut: Pick<Cut, "title" | "note" | "scene" | "layers" | "words">;
  readonly width: number;
  readonly tallest: number;
  /** The layer that is pointed at, here or in the list beside. */
  readonly lit?: number | undefined;
  readonly light?: (layer: number | undefined) => void;
}

/** Widest character of the condensed face at the size of the drawings, px; measured, and held by a test in the browser. */
const CHAR_PX = 6.2;

/** A cut, true to scale: ground, loss, layers, what is let in, lines of heights, dimensions that never overlap. */
export function Section({ cut, width, tallest, lit, light }: Props) {
  const { title, note, scene, layers, words } = cut;
  const sheet = sheetOf(scene, width, tallest, CHAR_PX);
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing whose layers can be reached is a group, never a fieldset
    <svg
      xmlns="http://www.w3.org/2000/svg"
      viewBox={`0 0 ${sheet.width} ${sheet.height}`}
      className="section block h-auto w-full"
      role="group"
      aria-label={`${title}, scale ${scaleLabel(sheet.scale)}, in millimetres`}
    >
      <desc>{words}</desc>
      <text x="0" y="16" className="draw-text bold">
        {title}
      </text>
      <text x="0" y="33" className="draw-text soft">
        {scaleLabel(sheet.scale)}, in mm, {note}
      </text>
      {scene.shapes.map((shape, i) => {
        const layer = shape.layer === undefined ? undefined : layers[shape.layer];
        return (
          <ShapeMark
            // biome-ignore lint/suspicious/noArrayIndexKey: shapes of a drawing have no other name
            key={i}
            shape={shape}
            d={pathOf(shape.points, sheet, true)}
            planned={layer?.state === "planned"}
            lit={shape.layer !== undefined && shape.layer === lit}
            name={layer && `${layer.name}, ${layer.material}, ${layer.state}`}
            light={light}
          />
        );
      })}
      {scene.lines.map((line) => (
        <LineMark key={`${line.kind} ${line.points[0]} ${line.points.length}`} line={line} d={pathOf(line.points, sheet, false)} />
      ))}
      <Leaders sheet={sheet} />
      <Spans sheet={sheet} />
      {sheet.notes.map(({ label }) => (
        <Words key={`${label.bold} ${label.x} ${label.y}`} label={label} />
      ))}
      {sheet.tags.map(({ layer, label }) => (
        <Tag key={layer} label={label} now={layers[layer]?.state === "now"} />
      ))}
    </svg>
  );
}

function pathOf(points: readonly Point[], { x0, y0, k }: Pick<Sheet, "x0" | "y0" | "k">, close: boolean): string {
  const each = points.map(([x, y]) => `${(x0 + x * k).toFixed(1)} ${(y0 - y * k).toFixed(1)}`);
  return `M${each.join("L")}${close ? "Z" : ""}`;
}

/** Fill and outline of each kind of shape: what is solid is there, what is dashed is planned. */
const DRAWN: Readonly<Record<Shape["kind"], { readonly fill: string; readonly stroke: number }>> = {
  ground: { fill: "var(--color-panel)", stroke: 2 },
  loss: { fill: "var(--color-ground)", stroke: 2 },
  layer: { fill: "var(--color-panel)", stroke: 1.4 },
  glue: { fill: "var(--color-panel)", stroke: 1.2 },
  slot: { fill: "var(--color-panel)", stroke: 1.2 },
  core: { fill: "#fff", stroke: 2.6 },
  board: { fill: "#fff", stroke: 2 },
  patch: { fill: "#fff", stroke: 2 },
};

interface ShapeProps {
  readonly shape: Shape;
  readonly d: string;
  readonly planned: boolean;
  readonly lit: boolean;
  readonly name: string | undefined;
  readonly light: Props["light"];
}

function ShapeMark({ shape: { kind, hatch, layer }, d, planned, lit, name, light }: ShapeProps) {
  const { fill, stroke } = DRAWN[kind];
  const drawn = (
    <>
      <path d={d} fill={lit ? "#fff" : fill} />
      <path
        d={d}
        fill={hatch ? `url(#h-${hatch})` : "none"}
        fillOpacity={planned ? 0.55 : 1}
        stroke="currentColor"
        strokeWidth={lit ? 3.4 : stroke}
        strokeLinejoin="round"
        strokeDasharray={planned ? "6 4" : undefined}
      />
    </>
  );
  if (layer === undefined || !light) return <g data-shape={kind}>{drawn}</g>;
  return (
    // biome-ignore lint/a11y/useSemanticElements: a layer of a drawing can't be an HTML button
    <g
      data-shape={kind}
      role="button"
      tabIndex={0}
      aria-label={name}
      aria-pressed={lit}
      className="section-layer"
      onMouseEnter={() => light(layer)}
      onMouseLeave={() => light(undefined)}
      onFocus={() => light(layer)}
      onBlur={() => light(undefined)}
    >
      {drawn}
    </g>
  );
}

const LINES: Readonly<Record<Line["kind"], { readonly width: number; readonly dash?: string }>> = {
  proud: { width: 1.8, dash: "7 4" },
  level: { width: 1.1, dash: "12 3 2 3" },
  shrink: { width: 1.6, dash: "1.5 4" },
  centre: { width: 1, dash: "10 3 2 3" },
  barrier: { width: 3.4 },
};

function LineMark({ line: { kind }, d }: { line: Line; d: string }) {
  const { width, dash } = LINES[kind];
  return <path d={d} data-line={kind} fill="none" stroke="currentColor" strokeWidth={width} strokeDasharray={dash} pointerEvents="none" />;
}

/** Dimensions: hairlines with oblique ticks; a label that had to give way is led to its place. */
function Spans({ sheet }: { sheet: Sheet }) {
  return sheet.spans.map(({ upright, at, from, to, edge, label }) => {
    const middle = (from + to) / 2;
    const tall = Math.abs(to - from) < 10 ? 2 : 4;
    const tick = (v: number) =>
      upright ? `M${at - tall} ${v + tall}l${2 * tall} ${-2 * tall}` : `M${v - tall} ${at + tall}l${2 * tall} ${-2 * tall}`;
    const line = upright
      ? `M${at} ${from}V${to}M${edge} ${from}H${at}M${edge} ${to}H${at}`
      : `M${from} ${at}H${to}M${from} ${edge}V${at}M${to} ${edge}V${at}`;
    const led =
      upright && Math.abs(label.y - middle) > 2
        ? `M${at} ${middle}L${label.x - Math.sign(label.x - at) * (label.wide / 2)} ${label.y}`
        : "";
    return (
      <g key={`${label.words} ${at} ${from} ${to}`}>
        <path className="hairline" strokeOpacity=".75" d={`${line}${led}`} />
        <path d={`${tick(from)}${tick(to)}`} stroke="currentColor" strokeWidth="1.4" />
        <Words label={label} />
      </g>
    );
  });
}

function Words({ label: { words, bold = "", x, y, wide } }: { label: Label }) {
  return (
    <g data-label={`${bold}${words}`}>
      <rect x={x - wide / 2} y={y - LINE_PX / 2} width={wide} height={LINE_PX} fill="var(--color-ground)" fillOpacity=".86" />
      <text x={bold ? x - wide / 2 + 2 : x} y={y + 4} textAnchor={bold ? "start" : "middle"} className={`draw-text ${bold ? "" : "bold"}`}>
        {bold && <tspan fontWeight="700">{bold}</tspan>}
        {words}
      </text>
    </g>
  );
}

/** Strokes from words to what they speak of, under all words. */
function Leaders({ sheet }: { sheet: Sheet }) {
  return sheet.notes.map(({ from: [x, y], label }) => {
    const left = label.x - label.wide / 2;
    return (
      <g key={`${label.bold} ${x} ${y}`}>
        <circle cx={x} cy={y} r="2.5" fill="currentColor" />
        <path className="hairline" d={`M${x} ${y}L${Math.max(left + 4, Math.min(x, left + label.wide))} ${label.y - LINE_PX / 2}`} />
      </g>
    );
  });
}

function Tag({ label: { bold, words, x, y, wide }, now }: { label: Label; now: boolean }) {
  return (
    <g pointerEvents="none" data-label={`${bold} ${words}`}>
      <rect
        x={x - wide / 2}
        y={y - TAG_PX / 2}
        width={wide}
        height={TAG_PX}
        fill={now ? "var(--color-verdigris)" : "var(--color-panel)"}
        stroke="currentColor"
        strokeWidth="1.3"
      />
      <text x={x} y={y + 5} textAnchor="middle" className="draw-text" style={now ? { fill: "#fff" } : undefined}>
        <tspan fontWeight="700">{bold}</tspan> {words}
      </text>
    </g>
  );
}

/** What the lines of a scene mean, for its legend. */
export const lineWords = ({ shrink_drawn = 1 }: Pick<Scene, "shrink_drawn">): Readonly<Record<Line["kind"], string>> => ({
  proud: "as laid",
  level: "old surface, where it is levelled to",
  shrink: shrink_drawn > 1 ? `where it sinks to, drawn × ${shrink_drawn}` : "where it sinks to",
  centre: "axis",
  barrier: "coat on the break",
});
export const lineDash = (kind: Line["kind"]) => LINES[kind];
