import { parse } from "csv-parse/sync";
import { stringify } from "csv-stringify/sync";
import { CLASS_ROWS, type ClassName, FIGURE_ROWS, type Figure, type Figures, figureErrors } from "@/core/catalogue";
import type { StockProduct } from "@/core/views/stock";

/** One line: a lot, with the product that it belongs to. */
export interface CabinetLine {
  readonly line: number;
  readonly name: string;
  readonly class: ClassName;
  readonly figures: Figures;
  readonly lot: {
    readonly label: string;
    readonly size_g: number;
    readonly left_g: number;
    readonly opened?: string;
    readonly expires?: string;
    readonly price_eur?: number;
  };
}

export interface LineError {
  readonly line: number;
  readonly column: string;
  readonly message: string;
}

export interface ReadCabinet {
  readonly lines: readonly CabinetLine[];
  readonly errors: readonly LineError[];
}

const LOT_COLUMNS = ["name", "class", "lot", "size_g", "left_g", "opened", "expires", "price_eur"] as const;
const COLUMNS: readonly string[] = [...LOT_COLUMNS, ...FIGURE_ROWS.map(({ figure }) => figure)];
const NEEDED = ["name", "class", "size_g"] as const;
const MAX_LINES = 10_000;
const MAX_COLUMNS = 100;

type Row = Readonly<Record<string, string>>;

/**
 * Read a cabinet from CSV (RFC 4180; `;` or tab in place of the comma is understood, and a byte order mark). One line is one lot.
 * A figure is `35` or `30-40`. Every line that is wrong is named with its column; lines that are right are given too.
 */
export function readCabinetCsv(text: string): ReadCabinet {
  const width = headOf(text).split(delimiterOf(text)).length;
  if (width > MAX_COLUMNS)
    return {
      lines: [],
      errors: [{ line: 1, column: "", message: `${width} columns are more than a cabinet has: at most ${MAX_COLUMNS}.` }],
    };
  let records: { record: Row; info: { lines: number } }[];
  try {
    records = parse(text, {
      bom: true,
      columns: (head: string[]) => head.map(columnNamed),
      delimiter: delimiterOf(text),
      info: true,
      skip_empty_lines: true,
      trim: true,
    }) as unknown as typeof records;
  } catch (error) {
    const { lines = 1, message } = error as Error & { lines?: number };
    return { lines: [], errors: [{ line: lines, column: "", message: `This is not CSV: ${message}` }] };
  }
  const head = records[0] ? Object.keys(records[0].record) : [];
  const missing = NEEDED.filter((column) => !head.includes(column));
  const unknown = head.filter((column) => !COLUMNS.includes(column));
  if (records.length === 0) return { lines: [], errors: [{ line: 1, column: "", message: "There is no line below the head." }] };
  if (records.length > MAX_LINES) return { lines: [], errors: [{ line: 1, column: "", message: `More than ${MAX_LINES} lines.` }] };
  if (missing.length + unknown.length > 0)
    return {
      lines: [],
      errors: [
        ...missing.map((column) => ({ line: 1, column, message: "This column is missing." })),
        ...unknown.map((column) => ({ line: 1, column, message: `This column is not known; known are ${COLUMNS.join(", ")}.` })),
      ],
    };
  const read = records.map(({ record, info }) => readLine(record, info.lines));
  return {
    lines: read.flatMap(({ line }) => line ?? []),
    errors: [...read.flatMap(({ errors }) => errors), ...twice(read.flatMap(({ line }) => line ?? []))],
  };
}

/** A head as it is known, however it is written; an unknown one as it stands. */
function columnNamed(cell: string): string {
  const wanted = cell.trim().toLowerCase();
  return COLUMNS.find((column) => column.toLowerCase() === wanted) ?? wanted;
}

const headOf = (text: string): string => text.slice(0, text.search(/[\r\n]|$/));

function delimiterOf(text: string): string {
  const head = headOf(text);
  return [",", ";", "\t"].reduce((best, each) => (head.split(each).length > head.split(best).length ? each : best), ",");
}

function readLine(row: Row, line: number): { line?: CabinetLine; errors: LineError[] } {
  const errors: LineError[] = [];
  const fail = (column: string, message: string) => errors.push({ line, column, message });
  const cell = (column: "name" | "class" | "lot") => unsafe(row[column] ?? "");
  const name = cell("name");
  if (name === "" || name.length > 200) fail("name", "Give it a name of at most 200 letters.");
  const material = classNamed(cell("class"));
  if (!material) fail("class", `“${row.class}” is no class of the catalogue.`);
  const size_g = number(row.size_g, "size_g", fail) ?? 0;
  const left_g = number(row.left_g, "left_g", fail) ?? size_g;
  const price_eur = number(row.price_eur, "price_eur", fail);
  if (size_g <= 0) fail("size_g", "Enter the grams that were in it when it was full.");
  const dates = { opened: date(row.opened, "opened", fail), expires: date(row.expires, "expires", fail) };
  const figures = readFigures(row, material, fail);
  if (errors.length > 0 || !material) return { errors };
  return {
    errors,
    line: {
      line,
      name,
      class: material,
      figures,
      lot: {
        label: cell("lot") || "1",
        size_g,
        left_g,
        ...(dates.opened ? { opened: dates.opened } : {}),
        ...(dates.expires ? { expires: dates.expires } : {}),
        ...(price_eur === undefined ? {} : { price_eur }),
      },
    },
  };
}

type Fail = (column: string, message: string) => void;

/** A class by its name in the catalogue, or as the screen calls it. */
function classNamed(text: string): ClassName | undefined {
  const wanted = text.toLowerCase();
  return CLASS_ROWS.find((row) => row.class === wanted || row.name.toLowerCase() === wanted)?.class;
}

function number(text: string | undefined, column: string, fail: Fail): number | undefined {
  if (text === undefined || text === "") return undefined;
  const value = Number(text.replace(",", "."));
  if (!Number.isFinite(value) || value < 0 || value > 1e7) {
    fail(column, `“${text}” is no amount.`);
    return undefined;
  }
  return value;
}

function date(text: string | undefined, column: string, fail: Fail): string | undefined {
  if (text === undefined || text === "") return undefined;
  if (!isDate(text)) fail(column, `“${text}” is no date: write it as 2026-10-07.`);
  return isDate(text) ? text : undefined;
}

function isDate(text: string): boolean {
  const time = /^\d{4}-\d{2}-\d{2}$/.test(text) ? Date.parse(`${text}T00:00:00Z`) : Number.NaN;
  return !Number.isNaN(time) && new Date(time).toISOString().startsWith(text);
}

const RANGE = /^(-?\d+(?:[.,]\d+)?)(?:\s*(?:-|–|to)\s*(-?\d+(?:[.,]\d+)?))?$/;

function readFigures(row: Row, material: ClassName | undefined, fail: Fail): Figures {
  const figures: Partial<Record<Figure, readonly [number, number]>> = {};
  for (const { figure } of FIGURE_ROWS) {
    const text = row[figure] ?? "";
    if (text === "") continue;
    const match = RANGE.exec(text);
    if (!match) fail(figure, `“${text}” is no figure: write 35 or 30-40.`);
    else {
      const low = Number((match[1] ?? "").replace(",", "."));
      figures[figure] = [low, match[2] === undefined ? low : Number(match[2].replace(",", "."))];
    }
  }
  if (material) for (const [figure, message] of Object.entries(figureErrors(material, figures))) fail(figure, message);
  return figures;
}

/** The same lot on two lines: one of them would be lost. */
function twice(lines: readonly CabinetLine[]): LineError[] {
  const seen = new Map<string, number>();
  return lines.flatMap(({ line, name, class: material, lot }) => {
    const key = `${material} ${name.toLowerCase()} ${lot.label}`;
    const before = seen.get(key);
    seen.set(key, before ?? line);
    return before === undefined ? [] : [{ line, column: "lot", message: `This lot stands on line ${before} already.` }];
  });
}

/** A cell that a spreadsheet would run as a formula is written as text, and read back without that mark. */
const safe = (text: string) => (/^'*[=+\-@\t\r]/.test(text) ? `'${text}` : text);
const unsafe = (text: string) => (/^'+[=+\-@\t\r]/.test(text) ? text.slice(1) : text);

/** The whole cabinet as CSV, a line a lot; what was read from a file is written as it was. */
export function writeCabinetCsv(products: readonly StockProduct[]): string {
  const rows = products.flatMap(({ name, class: material, figures, lots }) =>
    lots.map(({ label, size_g, left_g, opened, expires, price_eur }) => ({
      name: safe(name),
      class: material,
      lot: safe(label),
      size_g,
      left_g,
      opened: opened ?? "",
      expires: expires ?? "",
      price_eur: price_eur ?? "",
      ...Object.fromEntries(FIGURE_ROWS.map(({ figure }) => [figure, rangeText(figures[figure])])),
    })),
  );
  return stringify(rows, { header: true, columns: [...COLUMNS], record_delimiter: "windows" });
}

function rangeText(range: readonly [number, number] | undefined): string {
  if (range === undefined) return "";
  return range[0] === range[1] ? String(range[0]) : `${range[0]}-${range[1]}`;
}
