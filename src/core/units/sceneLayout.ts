import { fittingScale, PX_PER_MM } from "./drawing";
import { type Bounds, boundsOf, type Note, type Scene, type Span } from "./scene";

/** A line of words on the sheet, px; `x`, `y` are its middle. */
export interface Label {
  readonly words: string;
  readonly bold?: string;
  readonly x: number;
  readonly y: number;
  readonly wide: number;
}

/** A dimension laid out: its line, where it meets the drawing, its label, and a stroke to a label that had to give way. */
interface LaidSpan {
  readonly upright: boolean;
  /** Where the line runs: x of an upright one, y of a level one. */
  readonly at: number;
  readonly from: number;
  readonly to: number;
  /** Where the hairlines from the drawing begin. */
  readonly edge: number;
  readonly label: Label;
}

interface LaidNote {
  readonly from: readonly [number, number];
  readonly label: Label;
}

/** A drawing on its sheet: everything in px. */
export interface Sheet {
  readonly width: number;
  readonly height: number;
  readonly scale: number;
  /** px of one mm. */
  readonly k: number;
  /** Where the origin lies. */
  readonly x0: number;
  readonly y0: number;
  readonly spans: readonly LaidSpan[];
  readonly notes: readonly LaidNote[];
  /** A tag inside each layer that has room for it. */
  readonly tags: ReadonlyArray<{ readonly layer: number; readonly label: Label }>;
}

/** Height of a line of words, and the room that a row of dimensions takes, px. */
export const LINE_PX = 17;
const ROW_PX = 24;
const GAP_PX = 8;
const TITLE_PX = 42;
const textWidth = (words: string, char_px: number): number => Math.ceil(words.length * char_px) + 4;

/**
 * Lays a scene out on a sheet so wide: the largest scale that fits, dimensions in rows and columns beside it, words on leaders below.
 * No two labels overlap: those that would, give way along their own row; leaders that find no room open another line.
 * `char_px`: the widest character of the face that it is lettered in, px.
 */
export function sheetOf(scene: Scene, width: number, tallest: number, char_px: number): Sheet {
  const bounds = boundsOf(scene);
  const side = (of: Span["side"]) => scene.spans.filter((span) => span.side === of);
  const columns = (of: "left" | "right") => columnsOf(side(of), char_px);
  const room = {
    left: columns("left").at(-1)?.end ?? GAP_PX,
    right: columns("right").at(-1)?.end ?? GAP_PX,
    top: TITLE_PX + rowsOf(side("top")) * ROW_PX,
    bottom: rowsOf(side("bottom")) * ROW_PX + GAP_PX,
  };
  const [wide, tall] = [bounds.right - bounds.left, bounds.top - bounds.bottom];
  const scale = fittingScale(wide, tall, width - room.left - room.right, tallest);
  const k = scale * PX_PER_MM;
  const x0 = room.left + (width - room.left - room.right - wide * k) / 2 - bounds.left * k;
  const y0 = room.top + bounds.top * k;
  const on: On = { bounds, k, x0, y0, width, char_px, above: room.top - GAP_PX, below: 0 };
  const beside = (["left", "right"] as const).flatMap((of) => laidSide(of, side(of), on));
  // rows below stand clear of labels that gave way downwards
  const below = Math.max(y0 - bounds.bottom * k, ...beside.map(({ label }) => label.y + LINE_PX / 2 - GAP_PX));
  const spans = [...beside, ...(["top", "bottom"] as const).flatMap((of) => laidSide(of, side(of), { ...on, below }))];
  const lowest = Math.max(y0 - bounds.bottom * k + room.bottom, ...spans.map(({ label }) => label.y + LINE_PX));
  const notes = laidNotes(scene.notes, on, lowest);
  const height = Math.max(lowest, ...notes.map(({ label }) => label.y + LINE_PX)) + GAP_PX;
  return { width, height, scale, k, x0, y0, spans, notes, tags: laidTags(scene, on) };
}

/** A tag is a framed line of words. */
export const TAG_PX = 25;

/** Tags stand in the middle of their own layers, so that none meets another. */
function laidTags({ shapes, tags = [] }: Scene, { k, x0, y0, char_px }: On): Sheet["tags"] {
  return tags.flatMap(({ layer, bold, words }) => {
    const shape = shapes.find((each) => each.layer === layer);
    if (!shape) return [];
    const { left, right, bottom, top } = boundsOf({ shapes: [shape], lines: [] });
    const wide = textWidth(`${bold}  ${words}`, char_px) + 16;
    if ((top - bottom) * k < TAG_PX + 4 || (right - left) * k * TAG_SHARE < wide) return [];
    return [{ layer, label: { bold, words, x: x0 + ((left + right) / 2) * k, y: y0 - (top - (top - bottom) * TAG_AT) * k, wide } }];
  });
}
/** A layer narrows downwards: a tag keeps to this share of its width, and stands somewhat above its middle. */
const TAG_SHARE = 0.75;
const TAG_AT = 0.45;

interface On {
  readonly bounds: Bounds;
  readonly k: number;
  readonly x0: number;
  readonly y0: number;
  readonly width: number;
  readonly char_px: number;
  /** Labels beside the drawing stand under this, and rows of dimensions below it under that, px. */
  readonly above: number;
  readonly below: number;
}

const rowsOf = (spans: readonly Span[]): number => Math.max(-1, ...spans.map(({ row }) => row)) + 1;

/** Columns of upright dimensions with how far from the drawing each lies and ends, px. */
function columnsOf(spans: readonly Span[], char_px: number): ReadonlyArray<{ readonly at: number; readonly end: number }> {
  const columns: Array<{ at: number; end: number }> = [];
  for (let row = 0; row < rowsOf(spans); row++) {
    const widest = Math.max(0, ...spans.filter((span) => span.row === row).map(({ label }) => textWidth(label, char_px)));
    const at = (columns.at(-1)?.end ?? GAP_PX) + GAP_PX;
    columns.push({ at, end: at + GAP_PX + widest });
  }
  return columns;
}

function laidSide(side: Span["side"], spans: readonly Span[], on: On): LaidSpan[] {
  const rows = Array.from({ length: rowsOf(spans) }, (_, row) => spans.filter((span) => span.row === row));
  return rows.flatMap((row, i) => (side === "left" || side === "right" ? upright(side, row, i, spans, on) : level(side, row, i, on)));
}

function upright(
  side: "left" | "right",
  row: readonly Span[],
  i: number,
  all: readonly Span[],
  { bounds, k, x0, y0, char_px, above }: On,
): LaidSpan[] {
  const out = side === "right" ? 1 : -1;
  const edge = x0 + (side === "right" ? bounds.right : bounds.left) * k;
  const at = edge + out * (columnsOf(all, char_px)[i]?.at ?? 0);
  const middles = spread(
    row.map(({ from, to }) => ({ middle: y0 - ((from + to) / 2) * k, size: LINE_PX })),
    above,
  );
  return row.map(({ from, to, label }, j) => {
    const wide = textWidth(label, char_px);
    return {
      upright: true,
      at,
      from: y0 - from * k,
      to: y0 - to * k,
      edge,
      label: { words: label, x: at + out * (GAP_PX + wide / 2), y: middles[j] ?? 0, wide },
    };
  });
}

function level(side: "top" | "bottom", row: readonly Span[], i: number, { bounds, k, x0, y0, width, char_px, below }: On): LaidSpan[] {
  const edge = y0 - (side === "top" ? bounds.top : bounds.bottom) * k;
  const at = side === "top" ? edge - GAP_PX - i * ROW_PX : below + GAP_PX + (i + 1) * ROW_PX - LINE_PX / 2;
  const middles = spread(
    row.map(({ from, to, label }) => ({ middle: x0 + ((from + to) / 2) * k, size: textWidth(label, char_px) })),
    0,
    width,
  );
  return row.map(({ from, to, label }, j) => ({
    upright: false,
    at,
    from: x0 + from * k,
    to: x0 + to * k,
    edge,
    label: { words: label, x: middles[j] ?? 0, y: at - LINE_PX / 2 - 2, wide: textWidth(label, char_px) },
  }));
}

/**
 * Middles as near to where they were wanted as can be, none nearer to the next than their sizes ask and none before `from`: those that
 * touch move as one block to the mean of what its members want (pool adjacent violators, the least squares solution). What runs over `to`
 * is pushed back; where all together are wider, the last ones overlap no other but stand past `from`.
 * @example spread([{ middle: 0, size: 10 }, { middle: 1, size: 10 }], 0) // => [5, 15]
 */
export function spread(wanted: ReadonlyArray<{ readonly middle: number; readonly size: number }>, from: number, to = Infinity): number[] {
  const order = wanted.map((_, i) => i).sort((a, b) => (wanted[a]?.middle ?? 0) - (wanted[b]?.middle ?? 0));
  const blocks: Array<{ members: number[]; start: number; size: number; sum: number }> = [];
  for (const i of order) {
    const { middle, size } = wanted[i] as { middle: number; size: number };
    let block = { members: [i], start: middle - size / 2, size, sum: middle - size / 2 };
    let before = blocks.at(-1);
    while (before && before.start + before.size > block.start) {
      blocks.pop();
      const members = [...before.members, ...block.members];
      const sum = before.sum + block.sum - before.size * block.members.length;
      block = { members, size: before.size + block.size, sum, start: Math.max(from, sum / members.length) };
      before = blocks.at(-1);
    }
    blocks.push({ ...block, start: Math.max(from, block.start) });
  }
  const middles: number[] = [];
  let end = to;
  for (const { members, start, size: whole } of [...blocks].reverse()) {
    let at = Math.min(start, end - whole);
    end = at;
    for (const i of members) {
      const size = wanted[i]?.size ?? 0;
      middles[i] = at + size / 2;
      at += size;
    }
  }
  return middles;
}

/** Words on leaders, below, each in the first line that has room for it near its point. */
function laidNotes(notes: readonly Note[], { k, x0, y0, width, char_px }: On, top: number): LaidNote[] {
  const lines: number[] = [];
  return [...notes]
    .sort((a, b) => a.at[0] - b.at[0])
    .map(({ at: [x, y], bold, words }): LaidNote => {
      const wide = Math.min(width, textWidth(`${bold}${words}`, char_px));
      const from = [x0 + x * k, y0 - y * k] as const;
      const wanted = Math.min(Math.max(0, from[0]), width - wide);
      const free = lines.findIndex((end) => end <= wanted);
      const line = free >= 0 ? free : lines.length;
      lines[line] = wanted + wide + GAP_PX;
      return { from, label: { bold, words, x: wanted + wide / 2, y: top + GAP_PX + line * (LINE_PX + 2) + LINE_PX / 2, wide } };
    });
}
