import { type Grade, gradeNamed, STATIONS, type Station, stationLabel } from "../catalogue";

/** What the id of an operation says: `r1/fill/place-2~3/d1/sliver-2` is the second layer of the third group, at that sliver. */
export interface OpRef {
  readonly round: number;
  readonly station: string;
  readonly stem: string;
  /** The number at the end of its stem. */
  readonly n?: number;
  /** What it is for: a damage, a place, or the class of a mix. */
  readonly of?: string;
}

const GRAMMAR = /^r(\d+)\/([a-z]+)\/([^/~]+)(?:~\d+)?(?:\/(.+))?$/;
const NUMBERED = /-(\d+)$/;

/**
 * The one place that knows how ids are written: entries of the log name operations by them. Plans never read their own ids back. Undefined
 * for an id of another form.
 * @example readOpId("r1/fill/mix-2/epoxy-putty") // => { round: 1, station: "fill", stem: "mix-2", n: 2, of: "epoxy-putty" }
 */
export function readOpId(id: string): OpRef | undefined {
  const [, round, station = "", stem = "", of] = GRAMMAR.exec(id) ?? [];
  if (round === undefined) return undefined;
  const n = NUMBERED.exec(stem)?.[1];
  return { round: Number(round), station, stem, ...(n === undefined ? {} : { n: Number(n) }), ...(of === undefined ? {} : { of }) };
}

/** The rung that an id names: `grit-P180` in the first walk, `grit-P180-2` in the second. */
export function rungOf({ station, stem }: OpRef): { readonly grade: Grade; readonly walk: number } | undefined {
  const name = station === "level" && stem.startsWith("grit-") ? stem.slice("grit-".length) : undefined;
  if (name === undefined) return undefined;
  const whole = gradeNamed(name);
  if (whole) return { grade: whole, walk: 1 };
  const grade = gradeNamed(name.replace(NUMBERED, ""));
  return grade && { grade, walk: Number(NUMBERED.exec(name)?.[1] ?? 1) };
}

const STATION_ORDER: readonly Station[] = STATIONS.map(({ station }) => station);
/** Entries of the first version say "the second mix": `ordinal/mix/2`. */
const ORDINAL_STATION: Readonly<Record<string, Station>> = { mix: "fill", place: "fill", check: "fill", grit: "level", coat: "colour" };

/** What an ordinal names: the how manieth of which kind; undefined for every other id. */
export function ordinalOf(id: string): { readonly kind: string; readonly number: number } | undefined {
  const [first, kind = "", number = ""] = id.split("/");
  return first === "ordinal" ? { kind, number: Number(number) } : undefined;
}

/** The station of an operation, by its id. @example stationOfOp("r1/fill/mix-1/d1") // => "fill" */
export function stationOfOp(id: string): Station {
  const ordinal = ordinalOf(id);
  if (ordinal) return ORDINAL_STATION[ordinal.kind] ?? "close";
  const named = id.split("/")[1];
  return STATION_ORDER.find((station) => station === named) ?? "close";
}

/** An operation that no plan knows any more and no entry has words for. @example opWords("r1/fill/check-fill/d1") // => "Fill: check fill" */
export const opWords = (id: string): string => `${stationLabel(stationOfOp(id))}: ${(readOpId(id)?.stem ?? id).replaceAll("-", " ")}`;

/** The same operation in another plan: by round, station and name, whatever it is for. */
export function isLike(a: string, b: string): boolean {
  const [one, other] = [readOpId(a), readOpId(b)];
  return one !== undefined && other !== undefined && one.round === other.round && one.station === other.station && one.stem === other.stem;
}

/** Whether a place belongs to a damage: places are named under it. */
export const isPlaceOf = (place: string, damage: string): boolean => place.startsWith(`${damage}/`);
/** What a path begins with: the damage of a place, the class of a mix. */
export const headOf = (path: string): string => path.split("/")[0] ?? path;
