import { type MaterialClass, type Range, type Role, STATIONS, type Station } from "../catalogue";
import type { Shelf } from "../match/case";
import { LIMITS } from "../survey/inspection.data";
import { type Place, volumeOf } from "../survey/place";
import { type Edge, edgesOf, inOrder, type Placed } from "./arrange";
import { closeOps } from "./closeOps";
import { colourOps } from "./colourOps";
import type { Context, Tools, WorkPlace } from "./context";
import { type DamageInput, type WorkedDamage, workOut } from "./damageContext";
import { type Draft, Drafts } from "./draft";
import { FINER, fillOps } from "./fillOps";
import { joinOps } from "./joinOps";
import type { Air } from "./lag";
import { levelOps } from "./levelOps";
import type { PlanLink } from "./links";
import type { Operation, PlanInput, PlanResult } from "./plan.schema";
import { readyOps } from "./readyOps";

/** A treatment as it is planned: what the pages, the sheet and the calculation all read. */
export interface Repair {
  readonly damages: readonly WorkedDamage[];
  readonly places: readonly WorkPlace[];
  readonly links: readonly PlanLink[];
  readonly operations: readonly Operation[];
  /** By damage: the conditions that an operation of its own meets. */
  readonly met: ReadonlyMap<string, ReadonlySet<string>>;
  readonly rounds: readonly Round[];
  readonly hands_min: Range;
  readonly elapsed_min: Range;
  readonly cost_eur: Range;
  readonly refer: ReadonlyArray<{ readonly code: string; readonly message: string }>;
}

/** "Back to Fill, because …": the operations of those places come again from that station on. */
export interface Round {
  readonly round: number;
  readonly station: Station;
  readonly places: readonly string[];
  readonly because: string;
  readonly at: string;
  /** Height found below the surface, mm, where it was measured. */
  readonly low_mm?: number;
}

/** What was done of an operation, as its log tells it. */
export interface OpMark {
  readonly status: "done" | "skipped";
  readonly at: string;
  /** The places it covered; absent = all that it names. */
  readonly places?: readonly string[];
  readonly surface_mm?: number;
}

export interface RepairInput {
  readonly damages: readonly DamageInput[];
  readonly stance: PlanInput["stance"];
  readonly air: Air;
  readonly tools: Tools;
  readonly rounds: readonly Omit<Round, "round">[];
  readonly marks: ReadonlyMap<string, OpMark>;
  readonly at: number;
  readonly own?: readonly OwnOp[];
  readonly shelf?: Shelf;
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

/** From damages to operations: ways, places, links, drafts, rounds, order. */
export function repairOf(input: RepairInput): Repair {
  const damages = input.damages.map((damage) => workOut(damage, input.stance, input.air, input.tools, input.shelf));
  const rounds = input.rounds.map((round, i) => ({ ...round, round: i + 2 }));
  const contexts = new Map(damages.map(({ id, context }) => [id, context]));
  const parts = new Map(damages.map(({ id, part }) => [id, part]));
  const drafts = new Map(damages.map((damage) => [damage.id, draftsOf(damage.context, damage.part)]));
  const met = new Map([...drafts].map(([id, each]) => [id, new Set(each.flatMap(({ meets = [] }) => meets))]));
  const first = merged([...drafts.values()].flat(), 1, parts, input.marks);
  const placed = rounds.reduce((all, round) => withRound(all, round, damages, parts, input.marks), first);
  const edges = edgesOf(placed, contexts);
  const ordered = inOrder(placed, edges);
  const operations = [
    ...ordered.map((each) => operationOf(each, edges.get(each) ?? [], input.marks, input.at)),
    ...(input.own ?? []).map((own) => ownOperation(own, input.marks)),
  ];
  const links = damages.flatMap((damage) => damage.links);
  return {
    damages,
    places: damages.flatMap(({ places }) => places),
    links,
    operations: minded(sortOwn(operations), damages, met),
    met,
    rounds,
    hands_min: sumRanges(operations.map(({ hands_min }) => hands_min)),
    elapsed_min: elapsed(operations),
    cost_eur: costOf(damages, operations),
    refer: referrals(input.damages, damages),
  };
}

/** Every draft of one damage, in the order of the stations. */
function draftsOf(context: Context, part: string): Draft[] {
  const out = new Drafts();
  for (const stationOps of [readyOps, joinOps, fillOps, levelOps, colourOps, closeOps]) stationOps(context, out);
  const inner = context.damage.kind === "break-along" || context.damage.kind === "break-across";
  const closes = context.damage.kind === "loose-joint" && context.damage.closes_frame === true;
  return out.list.map((draft) =>
    draft.name === "bond-1" || draft.name === "clamp-1"
      ? { ...draft, frame: part, ...(inner ? { inner } : {}), ...(closes ? { closes_frame: true } : {}) }
      : draft,
  );
}

/** What is done once for the piece, or stirred once for several damages, becomes one. */
function merged(drafts: readonly Draft[], round: number, parts: ReadonlyMap<string, string>, marks: ReadonlyMap<string, OpMark>): Placed[] {
  const groups = new Map<string, Draft[]>();
  for (const draft of drafts) {
    const key = keyOf(draft, parts);
    groups.set(key, [...(groups.get(key) ?? []), draft]);
  }
  const taken = new Set<string>();
  return [...groups.values()]
    .flatMap((group) => coveredApart(group, round, marks))
    .map((group) => {
      const draft = together(group);
      const damages = [...new Set(group.map(({ damage }) => damage))];
      const wanted = idOf(draft, round);
      const id = taken.has(wanted) ? `${wanted}/${damages[0]}` : wanted;
      taken.add(id);
      return { draft, round, id, damages };
    });
}

/** What reads the same at one part is done in one go; only joints are made one by one. */
const IN_ONE_GO: readonly string[] = ["ready", "fill", "level", "colour", "close"];

function keyOf(draft: Draft, parts: ReadonlyMap<string, string>): string {
  if (draft.of === "piece") return `piece ${draft.name} ${draft.station === "close" ? "" : draft.text}`;
  if (draft.shared) return `shared ${draft.shared}`;
  if (draft.of === "damage" && IN_ONE_GO.includes(draft.station) && draft.link === undefined)
    return `${parts.get(draft.damage)} ${draft.name} ${draft.text}`;
  return `${draft.damage} ${draft.name} ${draft.of === "place" ? draft.places[0]?.id : ""}`;
}

/** What was done before a damage was taken in does not cover it: it is done again for that one. */
function coveredApart(group: readonly Draft[], round: number, marks: ReadonlyMap<string, OpMark>): Draft[][] {
  const [lead] = group;
  const covered = lead && marks.get(idOf(lead, round))?.places;
  if (!covered) return [[...group]];
  const inside = group.filter(({ places }) => places.length === 0 || places.some(({ id }) => covered.includes(id)));
  const outside = group.filter((draft) => !inside.includes(draft));
  return [inside, outside].filter((part) => part.length > 0);
}

function idOf({ station, name, of, damage, places, shared, class: name_ }: Draft, round: number): string {
  const stem = `r${round}/${station}/${name}`;
  if (of === "piece") return stem;
  if (of === "place") return `${stem}/${places[0]?.id ?? damage}`;
  return shared ? `${stem}/${name_}` : `${stem}/${damage}`;
}

function together(group: readonly Draft[]): Draft {
  const draft = group.find(({ urgent }) => urgent) ?? (group[0] as Draft);
  if (group.length === 1) return draft;
  const places = group.flatMap((each) => each.places);
  const needs = group
    .flatMap((each) => each.needs)
    .filter((need, i, all) => all.findIndex(({ op, lag }) => op === need.op && lag?.min === need.lag?.min) === i);
  const cautions = [...new Set(group.flatMap((each) => each.cautions))];
  const need_cm3 = group.reduce((sum, each) => sum + (each.need_cm3 ?? 0), 0);
  return {
    ...draft,
    places,
    needs,
    cautions,
    meets: group.flatMap(({ meets = [] }) => meets),
    ...(draft.together && need_cm3 > 0 ? draft.together(need_cm3) : {}),
  };
}

const STATION_ORDER: readonly string[] = STATIONS.map(({ station }) => station);
const from = (station: Station, of: Station) => STATION_ORDER.indexOf(of) >= STATION_ORDER.indexOf(station);

/** What stands at the station itself was walked, or is walked now; what lies behind it is superseded. */
const afterStation = (station: Station, of: Station) => STATION_ORDER.indexOf(of) > STATION_ORDER.indexOf(station);

/** A round: the operations of its places from its station on come again; what was still open of them is superseded; nothing that is done changes. */
function withRound(
  placed: readonly Placed[],
  round: Round,
  damages: readonly WorkedDamage[],
  parts: ReadonlyMap<string, string>,
  marks: ReadonlyMap<string, OpMark>,
): Placed[] {
  const hit = damages.flatMap((damage) => {
    const places = damage.places.filter(
      ({ id, kind }) =>
        round.places.includes(id) ||
        round.places.includes(damage.id) ||
        (kind === "surface" && damage.places.some((each) => round.places.includes(each.id))),
    );
    return places.length > 0 ? [{ damage, places }] : [];
  });
  const again = hit.flatMap(({ damage, places }) =>
    draftsOf(roundContext(damage.context, places, round), damage.part).filter(
      (draft) =>
        draft.station !== "close" &&
        from(round.station, draft.station) &&
        draft.places.some(({ id }) => places.some((place) => place.id === id)),
    ),
  );
  const redone = new Set(hit.flatMap(({ places }) => places.map(({ id }) => id)));
  const kept = placed.flatMap((each): Placed[] => {
    if (marks.has(each.id) || each.draft.station === "close" || !afterStation(round.station, each.draft.station)) return [each];
    const places = each.draft.places.filter(({ id }) => !redone.has(id));
    if (places.length === each.draft.places.length) return [each];
    return places.length === 0 ? [] : [{ ...each, draft: { ...each.draft, places } }];
  });
  return [...kept, ...merged(again, round.round, parts, marks)];
}

/** What is found low or open in a later round is small: so deep where it was not measured, mm. */
const LOW_MM = 0.25;
/** So much of an opening is low where only "a pinhole" is said. */
const LOW_SHARE = 0.1;
/** Up to this depth a finer filler is proposed, mm; its own layer. */
const FINER_UP_TO_MM = 1;

/** The damage as it stands in a later round: at Fill, only what was found low is filled, with the finer filler where it is small. */
function roundContext(context: Context, places: readonly WorkPlace[], { station, low_mm = LOW_MM }: Round): Context {
  const here = places.map((place) =>
    (place.kind === "void" || place.kind === "film") && station === "fill" ? lowPlace(place, low_mm) : place,
  );
  const finer = station === "fill" && low_mm <= FINER_UP_TO_MM && canTakeFiner(context);
  const links = context.links
    .filter(({ place }) => places.some(({ id }) => id === place))
    .map((link): PlanLink => (link.role === "filler" && finer ? { ...link, class: FINER.class, material: FINER, reasons: [] } : link));
  const chain = finer ? { ...context.f.chain, filler: FINER } : context.f.chain;
  return { ...context, places: here, links, f: { ...context.f, chain, open_behind: false } };
}

function canTakeFiner({ f, links }: Context): boolean {
  const filler = links.find(({ role }) => role === "filler")?.material;
  return (
    filler !== undefined &&
    filler.rigidity === "rigid" &&
    filler.group !== "plaster" &&
    f.on.family !== "skin" &&
    FINER.bonds[f.on.family] !== undefined &&
    !f.kinds.has("film")
  );
}

function lowPlace(place: WorkPlace, low_mm: number): WorkPlace {
  const area = Math.max(1, (place.opening_mm2 ?? 1) * LOW_SHARE);
  return { ...place, solids: [{ shape: "sheet", area_mm2: area, depth: low_mm }], depth_mm: low_mm, opening_mm2: area, open_behind: false };
}

const DAY_MS = 86_400_000;

function operationOf({ draft, round, id }: Placed, edges: readonly Edge[], marks: ReadonlyMap<string, OpMark>, at: number): Operation {
  const mark = marks.get(id);
  const after = edges.map(({ from: before, need }) => ({
    op: before.id,
    min_min: need.lag?.min ?? 0,
    min_range: need.lag?.range ?? ([0, 0] as const),
    ...(need.max ? { max_min: need.max.min } : {}),
    because: need.because,
    ...(need.lag?.stage ? { stage: need.lag.stage } : {}),
    ...(need.max?.stage ? { closes: need.max.stage } : {}),
  }));
  const running =
    mark?.status === "done" && draft.starts !== undefined && at - Date.parse(mark.at) < DAY_MS * 60 && stillRuns(draft, mark, at);
  const volumes = draft.kind === "mix" ? portionsOf(draft) : [];
  return {
    id,
    round,
    station: draft.station,
    places: draft.places.map((place) => place.id),
    kind: draft.kind,
    text: draft.text,
    why: draft.why,
    ...(draft.role ? { role: draft.role } : {}),
    ...(draft.class ? { class: draft.class } : {}),
    ...(draft.mass_g === undefined ? {} : { mass_g: draft.mass_g }),
    ...(draft.volume_cm3 === undefined ? {} : { volume_cm3: draft.volume_cm3 }),
    ...(draft.parts ? { parts: [...draft.parts] } : {}),
    ...(draft.batches ? { batches: draft.batches } : {}),
    ...(volumes.length > 1 ? { portions: volumes } : {}),
    ...(draft.thickness_mm ? { thickness_mm: draft.thickness_mm } : {}),
    hands_min: draft.hands_min,
    after: strongest(after),
    ...(draft.uses && draft.uses.length > 0 ? { uses: [...draft.uses] } : {}),
    cautions: [...new Set(draft.cautions)],
    mind: [],
    done_when: draft.done_when,
    status: running ? "running" : (mark?.status ?? "open"),
    ...(draft.link ? { link: draft.link } : {}),
    ...(draft.starts ? { starts: draft.starts } : {}),
    ...(draft.layer ? { layer: draft.layer } : {}),
  };
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
    else best.set(each.op, { ...(each.min_min > known.min_min ? each : known), ...minMax(known.max_min, each.max_min) });
  }
  return [...best.values()];
}

function minMax(a: number | undefined, b: number | undefined): { max_min?: number } {
  const found = [a, b].filter((each) => each !== undefined);
  return found.length > 0 ? { max_min: Math.min(...found) } : {};
}

/** Every condition under which a link fits is an operation, or is minded at the link's own. */
function minded(operations: readonly Operation[], damages: readonly WorkedDamage[], met: Repair["met"]): Operation[] {
  const mind = new Map<string, Array<{ rule: string; text: string }>>();
  for (const damage of damages)
    for (const link of damage.links)
      for (const { rule, effect, text } of link.reasons) {
        if (effect !== "if" && !(effect === "refuse" && link.overridden !== undefined)) continue;
        if (effect === "if" && met.get(damage.id)?.has(rule)) continue;
        const at =
          operations.find((operation) => operation.link === link.id) ??
          operations.find((operation) => operation.places.includes(link.place));
        if (at) mind.set(at.id, [...(mind.get(at.id) ?? []), { rule, text }]);
      }
  return operations.map((operation) => {
    const found = (mind.get(operation.id) ?? []).filter(({ rule }, i, all) => all.findIndex((each) => each.rule === rule) === i);
    return found.length > 0
      ? { ...operation, mind: found, cautions: [...operation.cautions, ...found.map(({ rule }) => rule)] }
      : operation;
  });
}

function ownOperation({ id, station, text, why, hands_min }: OwnOp, marks: ReadonlyMap<string, OpMark>): Operation {
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
function sortOwn(operations: readonly Operation[]): Operation[] {
  const own = operations.filter(({ id }) => id.startsWith("own/"));
  if (own.length === 0) return [...operations];
  const rest = operations.filter(({ id }) => !id.startsWith("own/"));
  return own.reduce((all, each) => {
    const last = all.findLastIndex(({ station }) => STATION_ORDER.indexOf(station) <= STATION_ORDER.indexOf(each.station));
    return [...all.slice(0, last + 1), each, ...all.slice(last + 1)];
  }, rest);
}

const sumRanges = (ranges: readonly Range[]): Range => [
  ranges.reduce((sum, [low]) => sum + low, 0),
  ranges.reduce((sum, [, high]) => sum + high, 0),
];

/** Longest way through the operations with their waits, one pair of hands not counted twice; minutes, low to high. */
function elapsed(operations: readonly Operation[]): Range {
  const ends = [0, 1].map((end) => {
    const finished = new Map<string, number>();
    let hands = 0;
    let latest = 0;
    for (const { id, after, hands_min } of operations) {
      const ready = Math.max(0, ...after.map(({ op, min_range }) => (finished.get(op) ?? 0) + (min_range[end] ?? 0)));
      const start = Math.max(ready, 0);
      const stop = start + (hands_min[end] ?? 0);
      hands += hands_min[end] ?? 0;
      finished.set(id, stop);
      latest = Math.max(latest, stop);
    }
    return Math.max(latest, hands);
  });
  return [ends[0] ?? 0, ends[1] ?? 0];
}

/** What is bought by the piece costs about this, €: a dowel, a strip of veneer, a sheet of fabric. Trade practice. */
const PIECE_EUR: Range = [0.5, 4];

/** Material by mass and price, and what a way buys by the piece; €. */
function costOf(damages: readonly WorkedDamage[], operations: readonly Operation[]): Range {
  const materials = new Map<string, MaterialClass>(
    damages.flatMap(({ links }) => links.map(({ class: name, material }) => [name, material] as const)),
  );
  const byMass = operations
    .filter(({ kind, mass_g }) => mass_g !== undefined && (kind !== "bond" || !operations.some((each) => each.kind === "mix")))
    .map(({ class: name, mass_g = 0 }): Range => {
      const price = materials.get(name ?? "")?.price_eur_kg ?? [0, 0];
      return [(mass_g / 1000) * price[0], (mass_g / 1000) * price[1]];
    });
  const pieces = damages.flatMap(({ links }) =>
    links.filter(({ role, class: name }) => role === "brace" || name === "wood-inlay").map(() => PIECE_EUR),
  );
  return sumRanges([...byMass, ...pieces, ...damages.flatMap(({ way }) => (way.extra_eur ? [way.extra_eur] : []))]);
}

function referrals(inputs: readonly DamageInput[], damages: readonly WorkedDamage[]): Array<{ code: string; message: string }> {
  const limits = inputs.flatMap(({ survey }) =>
    LIMITS.filter(({ limit, level }) => level === "refer" && survey.limits?.[limit]).map(({ limit, says }) => ({
      code: limit as string,
      message: says as string,
    })),
  );
  const missing = damages.flatMap((damage) =>
    damage.missing.map(({ role, because }) => ({ code: "no-material", message: `${damage.id}: nothing serves as ${role}. ${because}` })),
  );
  const found = [...limits, ...missing, ...damages.flatMap(({ brace_warnings }) => brace_warnings)];
  return found.filter(({ message }, i) => found.findIndex((each) => each.message === message) === i);
}

export const placeOf = ({
  id,
  damage,
  kind,
  label,
  area_mm2,
  film_mm,
  gap_mm,
  depth_mm,
  open_behind,
  ...place
}: Place): PlanResult["places"][number] => ({
  id,
  damage,
  kind,
  label,
  ...(place.solids && place.solids.length > 0 ? { volume_cm3: volumeOf(place) } : {}),
  ...(area_mm2 === undefined ? {} : { area_mm2 }),
  ...(film_mm === undefined ? {} : { film_mm }),
  ...(gap_mm === undefined ? {} : { gap_mm: gap_mm[1], gap_from_mm: gap_mm[0] }),
  ...(depth_mm === undefined ? {} : { depth_mm }),
  ...(open_behind ? { open_behind } : {}),
});

export type { Role };
