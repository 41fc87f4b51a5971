import { STATIONS, type Station } from "../catalogue";
import { volumeOf } from "../survey/place";
import { present } from "../units";
import type { Edge, Placed } from "./arrange";
import type { WorkedDamage } from "./damageContext";
import type { Draft } from "./draft";
import type { Operation } from "./plan.schema";

/** What was done of an operation, as its log tells it. */
export interface OpMark {
  readonly status: "done" | "skipped";
  readonly at: string;
  /** The places it covered; absent = all that it names. */
  readonly places?: readonly string[];
  readonly surface_mm?: number;
  /** Of a mix: how much was weighed, as a share of what was planned. */
  readonly mixed_share?: number;
}

/** What an entry tells the plan of an operation that is done: places covered, a surface, how much of a batch was mixed. */
export interface DoneFacts {
  readonly places?: readonly string[];
  readonly surface_mm?: number;
  readonly start?: { readonly parts?: ReadonlyArray<{ readonly planned_g: number; readonly actual_g: number }> };
}

export function markFacts({ places, surface_mm, start }: DoneFacts): Omit<OpMark, "status" | "at"> {
  const planned = start?.parts?.reduce((sum, { planned_g }) => sum + planned_g, 0) ?? 0;
  const actual = start?.parts?.reduce((sum, { actual_g }) => sum + actual_g, 0) ?? 0;
  return present({ places, surface_mm, mixed_share: planned > 0 ? actual / planned : undefined });
}

/** An operation of one's own at a station. */
export interface OwnOp {
  readonly id: string;
  readonly station: Station;
  readonly text: string;
  readonly why: string;
  readonly hands_min: number;
  readonly wait_min: number;
}

const STATION_ORDER: readonly string[] = STATIONS.map(({ station }) => station);

/** A placed draft as an operation: its waits, its marks, its figures. */
export function operationOf(
  { draft, round, id }: Placed,
  edges: readonly Edge[],
  marks: ReadonlyMap<string, OpMark>,
  at: number,
): Operation {
  const { role, class: name, mass_g, volume_cm3, parts, batches, thickness_mm, uses, link, starts, layer } = draft;
  const portions = draft.kind === "mix" ? portionsOf(draft) : [];
  return {
    id,
    round,
    station: draft.station,
    places: draft.places.map((place) => place.id),
    kind: draft.kind,
    text: draft.text,
    why: draft.why,
    hands_min: draft.hands_min,
    after: strongest(edges.map(edgeOf)),
    cautions: [...new Set(draft.cautions)],
    mind: [],
    done_when: draft.done_when,
    status: statusOf(draft, marks.get(id), at),
    ...present({
      role,
      class: name,
      mass_g,
      volume_cm3,
      parts: parts && [...parts],
      batches: batches || undefined,
      portions: portions.length > 1 ? portions : undefined,
      thickness_mm: thickness_mm || undefined,
      uses: uses && uses.length > 0 ? [...uses] : undefined,
      link,
      starts,
      layer,
    }),
  };
}

const edgeOf = ({ from, need: { lag, max, because } }: Edge): Operation["after"][number] => ({
  op: from.id,
  min_min: lag?.min ?? 0,
  min_range: lag?.range ?? [0, 0],
  because,
  ...present({ max_min: max?.min, max_range: max?.range, stage: lag?.stage, closes: max?.stage }),
});

/** Clocks older than this are not looked at any more, ms. */
const LONG_AGO_MS = 60 * 86_400_000;

function statusOf(draft: Draft, mark: OpMark | undefined, at: number): Operation["status"] {
  if (!mark) return "open";
  const started = mark.status === "done" && draft.starts !== undefined && at - Date.parse(mark.at) < LONG_AGO_MS;
  return started && stillRuns(draft, mark, at) ? "running" : mark.status;
}

/** A clock runs until the material is hard. */
function stillRuns({ material, thickness_mm = 1 }: Draft, mark: OpMark, at: number): boolean {
  const stage =
    material?.cure.stages.find(({ stage: name }) => name === "hard" || name === "handle" || name === "recoat") ??
    material?.cure.stages.at(-1);
  if (!material || !stage) return false;
  const factor = material.cure.by === "drying" ? Math.max(0.25, (thickness_mm / material.cure.at_mm) ** 2) : 1;
  return at - Date.parse(mark.at) < stage.minutes[1] * factor * 60_000;
}

/** What each place takes of one batch, by its volume. */
function portionsOf({ places, mass_g = 0 }: Draft): Array<{ place: string; mass_g: number }> {
  const whole = places.reduce((sum, place) => sum + volumeOf(place), 0);
  return whole > 0 ? places.map((place) => ({ place: place.id, mass_g: (mass_g * volumeOf(place)) / whole })) : [];
}

/** One line for each operation that is waited for: the longest wait, the shortest window. */
function strongest(after: Operation["after"]): Operation["after"] {
  const best = new Map<string, Operation["after"][number]>();
  for (const each of after) {
    const known = best.get(each.op);
    if (!known) best.set(each.op, each);
    else best.set(each.op, { ...(each.min_min > known.min_min ? each : known), ...shorter(known, each) });
  }
  return [...best.values()];
}

/** The window that closes first, with its range. */
function shorter(a: Operation["after"][number], b: Operation["after"][number]) {
  const [first] = [a, b].filter(({ max_min }) => max_min !== undefined).sort((x, y) => (x.max_min ?? 0) - (y.max_min ?? 0));
  return present({ max_min: first?.max_min, max_range: first?.max_range });
}

/** Every condition under which a link fits is an operation, or is minded at the link's own. */
export function minded(
  operations: readonly Operation[],
  damages: readonly WorkedDamage[],
  met: ReadonlyMap<string, ReadonlySet<string>>,
): Operation[] {
  const mind = new Map<string, Map<string, string>>();
  for (const { link, rule, text } of conditionsOf(damages, met)) {
    const at =
      operations.find((operation) => operation.link === link.id) ?? operations.find((operation) => operation.places.includes(link.place));
    if (at) mind.set(at.id, (mind.get(at.id) ?? new Map<string, string>()).set(rule, text));
  }
  return operations.map((operation) => {
    const found = [...(mind.get(operation.id) ?? [])].map(([rule, text]) => ({ rule, text }));
    return found.length === 0
      ? operation
      : { ...operation, mind: found, cautions: [...operation.cautions, ...found.map(({ rule }) => rule)] };
  });
}

/** Conditions that no operation meets, and rules that a link was taken against. */
function conditionsOf(damages: readonly WorkedDamage[], met: ReadonlyMap<string, ReadonlySet<string>>) {
  return damages.flatMap(({ id, links }) =>
    links.flatMap((link) =>
      link.reasons
        .filter(({ rule, effect }) => (effect === "if" ? !met.get(id)?.has(rule) : effect === "refuse" && link.overridden !== undefined))
        .map(({ rule, text }) => ({ link, rule, text })),
    ),
  );
}

export function ownOperation({ id, station, text, why, hands_min }: OwnOp, marks: ReadonlyMap<string, OpMark>): Operation {
  return {
    id,
    round: 1,
    station,
    places: [],
    kind: "check",
    text,
    why,
    hands_min: [hands_min, hands_min],
    after: [],
    cautions: [],
    mind: [],
    done_when: "you are content with it",
    status: marks.get(id)?.status ?? "open",
  };
}

/** One's own operations stand at the end of their station. */
export function sortOwn(operations: readonly Operation[]): Operation[] {
  const own = operations.filter(({ id }) => id.startsWith("own/"));
  if (own.length === 0) return [...operations];
  const rest = operations.filter(({ id }) => !id.startsWith("own/"));
  return own.reduce((all, each) => {
    const last = all.findLastIndex(({ station }) => STATION_ORDER.indexOf(station) <= STATION_ORDER.indexOf(each.station));
    return [...all.slice(0, last + 1), each, ...all.slice(last + 1)];
  }, rest);
}
