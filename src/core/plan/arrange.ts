import { STATIONS } from "../catalogue";
import type { Context } from "./context";
import type { Draft, Need } from "./draft";
import { lagOf } from "./lag";
import { waitAfter } from "./readyOps";

/** A draft with its round, its id and the drafts that stand before it. */
export interface Placed {
  readonly draft: Draft;
  readonly round: number;
  readonly id: string;
  readonly damages: readonly string[];
}

export interface Edge {
  readonly from: Placed;
  readonly need: Need;
}

const STATION_RANK: ReadonlyMap<string, number> = new Map(STATIONS.map(({ station }, i) => [station, i]));
const stationRank = ({ draft }: Placed): number => STATION_RANK.get(draft.station) ?? 0;

/** Names that stand for whatever came last of a kind. */
const LAST_OF: Readonly<Record<string, (draft: Draft) => boolean>> = {
  grits: ({ name, station }) => station === "level" && (name.startsWith("grit-") || name === "burnish" || name.startsWith("compound-")),
  "last-unclamp": ({ name }) => name.startsWith("unclamp-"),
};

/** What each operation waits for: needs by name become edges, within the damage, shared by the piece, or at the inner joint of a frame. */
export function edgesOf(placed: readonly Placed[], contexts: ReadonlyMap<string, Context>): ReadonlyMap<Placed, readonly Edge[]> {
  const known = indexOf(placed);
  const edges = new Map<Placed, readonly Edge[]>();
  for (const each of placed) {
    const needs = each.damages.flatMap((damage) =>
      each.draft.needs.flatMap((need) =>
        found(each, damage, need, known).map((from): Edge => ({ from, need: settled(need, from, contexts.get(damage)) })),
      ),
    );
    edges.set(each, [...roundBefore(each, placed), ...needs]);
  }
  return edges;
}

/** Everything that is placed, by damage, and by damage and name. */
interface Index {
  readonly all: readonly Placed[];
  readonly of: ReadonlyMap<string, readonly Placed[]>;
  readonly named: ReadonlyMap<string, readonly Placed[]>;
  /** The ends of the work of a damage, once they were asked for. */
  readonly ends: Map<string, readonly Placed[]>;
}

function indexOf(all: readonly Placed[]): Index {
  const of = new Map<string, Placed[]>();
  const named = new Map<string, Placed[]>();
  const put = (map: Map<string, Placed[]>, key: string, each: Placed) => {
    const here = map.get(key);
    if (here) here.push(each);
    else map.set(key, [each]);
  };
  for (const each of all)
    for (const damage of each.damages) {
      put(of, damage, each);
      put(named, `${damage} ${each.draft.name}`, each);
      put(named, `${damage} ${each.draft.station}/${each.draft.name}`, each);
    }
  return { all, of, named, ends: new Map() };
}

/** A need with the wait that goes with what it waits for. */
function settled(need: Need, from: Placed, context: Context | undefined): Need {
  if (need.of === "inner") return withinOpenTime(need, from, context);
  return need.lag ? need : withWait(need, from, context);
}

/** The first operations of a later round come after what the round before did at the same places and station. */
function roundBefore(each: Placed, placed: readonly Placed[]): Edge[] {
  if (each.round === 1) return [];
  const mine = placed.filter(
    (other) => other !== each && other.round === each.round && other.damages.some((damage) => each.damages.includes(damage)),
  );
  const names = new Set(each.draft.needs.map(({ op }) => op));
  if (mine.some(({ draft }) => names.has(draft.name))) return [];
  const before = placed.filter(
    (other) =>
      other.round < each.round &&
      other.draft.station === each.draft.station &&
      other.draft.places.some(({ id }) => each.draft.places.some((place) => place.id === id)),
  );
  return before.map((from) => ({ from, need: { op: from.draft.name, because: `round ${each.round - 1} went before` } }));
}

/** The outer joint closes while the glue of the inner one still moves. */
function withinOpenTime(need: Need, { draft: { material, thickness_mm = 0.1 } }: Placed, context: Context | undefined): Need {
  const max = material && context && lagOf(material, ["working"], thickness_mm, context.air);
  return max ? { ...need, max } : need;
}

/** A preparation's own wait goes with every need of it, by its name or as the last of the work. */
function withWait(need: Need, { draft }: Placed, context: Context | undefined): Need {
  const range = context && waitAfter(draft.name, context);
  return range ? { ...need, lag: { min: range[0], range } } : need;
}

function found(each: Placed, damage: string, need: Need, known: Index): readonly Placed[] {
  if (need.of === "inner")
    return innerJoints(
      each,
      damage,
      need,
      known.all.filter((other) => mayGoBefore(other, each)),
    );
  if (need.op === "last") return endsOf(known, damage).filter((other) => mayGoBefore(other, each));
  const last = LAST_OF[need.op];
  if (last) return (known.of.get(damage) ?? []).filter((other) => mayGoBefore(other, each) && last(other.draft)).slice(-1);
  const named = ownStation(
    (known.named.get(`${damage} ${need.op}`) ?? []).filter((other) => mayGoBefore(other, each)),
    each.draft,
  );
  const same = named.filter(({ round }) => round === each.round);
  const surface = each.draft.places.some(({ kind }) => kind === "surface");
  const close = same.length > 0 && !surface ? same : named;
  // what is done place by place waits for its own place, and what is shared for all of them
  return close.filter(
    ({ draft }) =>
      draft.of !== "place" ||
      each.draft.of !== "place" ||
      draft.places.some(({ id }) => each.draft.places.some((place) => place.id === id)),
  );
}

const mayGoBefore = (other: Placed, each: Placed): boolean =>
  other !== each && (other.round <= each.round || each.draft.station === "close");

/** Where two stations have the name, the asker's own is meant; there, places that are filled alike wait for one another only. */
function ownStation(named: readonly Placed[], { station, group }: Draft): readonly Placed[] {
  const own = named.filter(({ draft }) => draft.station === station);
  const alike = own.filter(({ draft }) => draft.group === group);
  if (alike.length > 0) return alike;
  return own.length > 0 ? own : named;
}

/** What nothing else of a damage waits for: the ends of its work. */
function endsOf({ of, ends }: Index, damage: string): readonly Placed[] {
  const before = ends.get(damage);
  if (before) return before;
  const mine = (of.get(damage) ?? []).filter(({ draft }) => draft.station !== "close");
  const waited = new Set(mine.flatMap(({ draft, damages }) => draft.needs.map(({ op }) => `${damages[0]} ${op.replace(/^.*\//, "")}`)));
  const lastGrit = mine.filter(({ draft }) => LAST_OF.grits?.(draft)).at(-1);
  const open = mine.filter(
    (each) => !each.damages.some((one) => waited.has(`${one} ${each.draft.name}`)) && (!LAST_OF.grits?.(each.draft) || each === lastGrit),
  );
  ends.set(damage, open);
  return open;
}

/** Joints that this one closes in: breaks of its own part, and loose joints that do not close the frame. */
function innerJoints(each: Placed, damage: string, { op }: Need, others: readonly Placed[]): readonly Placed[] {
  const closes = (of: Placed) => of.draft.closes_frame === true;
  return others.filter(
    (other) =>
      other.draft.name === op &&
      !other.damages.includes(damage) &&
      other.draft.frame !== undefined &&
      other.draft.frame === each.draft.frame &&
      (other.draft.inner === true || (closes(each) && !closes(other))),
  );
}

/**
 * Drafts in an order in which they can be done: nothing before what it waits for; among what may be done, the earlier station first,
 * then the earlier round, then as it was drafted. Kahn's algorithm. @throws {RangeError} where operations wait for one another in a circle
 */
export function inOrder(placed: readonly Placed[], edges: ReadonlyMap<Placed, readonly Edge[]>): readonly Placed[] {
  const index = new Map(placed.map((each, i) => [each, i]));
  const closing = new Map(placed.map((each) => [each, (edges.get(each) ?? []).some(({ need }) => need.max !== undefined) ? 0 : 1]));
  const before = (a: Placed, b: Placed) =>
    stationRank(a) - stationRank(b) ||
    a.round - b.round ||
    (closing.get(a) ?? 0) - (closing.get(b) ?? 0) ||
    a.draft.rank - b.draft.rank ||
    (index.get(a) ?? 0) - (index.get(b) ?? 0);
  const waits = new Map(
    placed.map((each) => [each, new Set((edges.get(each) ?? []).map(({ from }) => from).filter((from) => index.has(from)))]),
  );
  const then = new Map<Placed, Placed[]>();
  for (const [each, froms] of waits) for (const from of froms) then.set(from, [...(then.get(from) ?? []), each]);
  const free = placed.filter((each) => waits.get(each)?.size === 0);
  const ordered: Placed[] = [];
  while (free.length > 0) {
    const next = free.reduce((best, each) => (before(each, best) < 0 ? each : best));
    free.splice(free.indexOf(next), 1);
    ordered.push(next);
    for (const each of then.get(next) ?? []) {
      const left = waits.get(each);
      left?.delete(next);
      if (left?.size === 0) free.push(each);
    }
  }
  if (ordered.length < placed.length) {
    const left = placed.filter((each) => !ordered.includes(each));
    throw new RangeError(`operations wait for one another: ${left.map(({ id }) => id).join(", ")}`);
  }
  return ordered;
}
