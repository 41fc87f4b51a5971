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
  const edges = new Map<Placed, readonly Edge[]>();
  for (const each of placed) {
    const needs = each.damages.flatMap((damage) =>
      each.draft.needs.flatMap((need) =>
        found(each, damage, need, placed).map((from): Edge => ({ from, need: settled(need, from, contexts.get(damage)) })),
      ),
    );
    edges.set(each, [...roundBefore(each, placed), ...needs]);
  }
  return edges;
}

/** A need with the wait that goes with what it waits for. */
function settled(need: Need, from: Placed, context: Context | undefined): Need {
  if (need.of === "inner") return withinOpenTime(need, from, context);
  return need.lag ? need : withWait(need, context);
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

/** A preparation's own wait goes with every need of it. */
function withWait(need: Need, context: Context | undefined): Need {
  const range = context && waitAfter(need.op, context);
  return range ? { ...need, lag: { min: range[0], range } } : need;
}

function found(each: Placed, damage: string, need: Need, placed: readonly Placed[]): readonly Placed[] {
  const others = placed.filter((other) => other !== each && (other.round <= each.round || each.draft.station === "close"));
  if (need.of === "inner") return innerJoints(each, damage, need, others);
  const mine = others.filter((other) => other.damages.includes(damage));
  if (need.op === "last") return sinksOf(mine.filter(({ draft }) => draft.station !== "close"));
  const last = LAST_OF[need.op];
  if (last) return mine.filter(({ draft }) => last(draft)).slice(-1);
  const named = byName(mine, need.op, each.draft);
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

/** By name, or by station and name; where two stations have the name, the asker's own is meant. */
function byName(placed: readonly Placed[], op: string, { station, group }: Draft): readonly Placed[] {
  const exact = placed.filter(({ draft }) => `${draft.station}/${draft.name}` === op);
  if (exact.length > 0) return exact;
  const named = placed.filter(({ draft }) => draft.name === op);
  const own = named.filter(({ draft }) => draft.station === station);
  const here = own.length > 0 ? own : named;
  // at its own station, places that are filled alike wait for one another only
  const alike = own.filter(({ draft }) => draft.group === group);
  return alike.length > 0 ? alike : here;
}

/** What nothing else waits for: the ends of the work. */
function sinksOf(of: readonly Placed[]): readonly Placed[] {
  const waited = new Set(of.flatMap(({ draft, damages }) => draft.needs.map(({ op }) => `${damages[0]} ${op.replace(/^.*\//, "")}`)));
  const lastGrit = of.filter(({ draft }) => LAST_OF.grits?.(draft)).at(-1);
  return of.filter(
    (each) =>
      !each.damages.some((damage) => waited.has(`${damage} ${each.draft.name}`)) && (!LAST_OF.grits?.(each.draft) || each === lastGrit),
  );
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
  const closing = (each: Placed) => ((edges.get(each) ?? []).some(({ need }) => need.max !== undefined) ? 0 : 1);
  const left = new Set(placed);
  const done = new Set<Placed>();
  const ordered: Placed[] = [];
  const before = (a: Placed, b: Placed) =>
    stationRank(a) - stationRank(b) ||
    a.round - b.round ||
    closing(a) - closing(b) ||
    a.draft.rank - b.draft.rank ||
    (index.get(a) ?? 0) - (index.get(b) ?? 0);
  while (left.size > 0) {
    const free = [...left].filter((each) => (edges.get(each) ?? []).every(({ from }) => done.has(from) || !left.has(from)));
    const [next] = free.sort(before);
    if (!next) throw new RangeError(`operations wait for one another: ${[...left].map(({ id }) => id).join(", ")}`);
    left.delete(next);
    done.add(next);
    ordered.push(next);
  }
  return ordered;
}
