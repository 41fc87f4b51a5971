import type { Station } from "../catalogue";
import { CLOSE_OPS } from "../close/ops.data";
import { COLOUR_OPS } from "../colour/ops.data";
import { FILL_OPS } from "../fill/ops.data";
import { JOIN_OPS } from "../join/ops.data";
import { LEVEL_OPS } from "../level/ops.data";
import type { AnyRow } from "../operation/row";
import { READY_OPS } from "../ready/ops.data";

/** Every operation that there is, by the station that it is done at. */
const ALL = { ...READY_OPS, ...JOIN_OPS, ...FILL_OPS, ...LEVEL_OPS, ...COLOUR_OPS, ...CLOSE_OPS };
/** Names of operations. */
export type OpName = keyof typeof ALL;

/** What stands for the ends of a damage's work. */
export const ENDS = "last";

type NamesIn<Need> = Need extends string ? Need : Need extends { readonly after: infer Name } ? Name : never;
type NeededBy<Row> = Row extends { readonly needs?: ReadonlyArray<infer Need> } ? NamesIn<Need> : never;
type Needed = { [Name in OpName]: NeededBy<(typeof ALL)[Name]> }[OpName];
/** A need that names no operation does not compile: its name stands in the error. */
const NO_STRAYS: [Exclude<Needed, OpName | typeof ENDS>] extends [never]
  ? true
  : { readonly misspelt: Exclude<Needed, OpName | typeof ENDS> } = true;

/** A row with its name, its station, and its place in the tables: what nothing else orders goes by it. */
export interface NamedRow {
  readonly name: OpName;
  readonly station: Station;
  readonly row: AnyRow;
  readonly rank: number;
}

const TABLES: ReadonlyArray<readonly [Station, Readonly<Record<string, AnyRow>>]> = NO_STRAYS && [
  ["ready", READY_OPS],
  ["join", JOIN_OPS],
  ["fill", FILL_OPS],
  ["level", LEVEL_OPS],
  ["colour", COLOUR_OPS],
  ["close", CLOSE_OPS],
];

/** All rows in the order of the stations. */
export const ROWS: readonly NamedRow[] = TABLES.flatMap(([station, rows]) =>
  Object.entries(rows).map(([name, row]) => ({ name: name as OpName, station, row })),
).map((each, rank) => ({ ...each, rank }));
