import { type Range, STATIONS, type Station } from "../catalogue";
import type { Shelf } from "../match/case";
import { edgesOf, inOrder, type Placed } from "./arrange";
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
import { minded, type OpMark, type OwnOp, operationOf, ownOperation, sortOwn } from "./operation";
import type { Operation, PlanInput } from "./plan.schema";
import { type FoundLayers, foundIn } from "./reached";
import { readyOps } from "./readyOps";
import { costOf, elapsed, referrals, sumRanges } from "./sums";

/** A treatment as it is planned: what the pages, the sheet and the calculation all read. */
export interface Repair {
  readonly damages: readonly WorkedDamage[];
  readonly places: readonly WorkPlace[];
  readonly links: readonly PlanLink[];
  readonly operations: readonly Operation[];
  /** By damage: the conditions that an operation of its own meets. */
  readonly met: ReadonlyMap<string, ReadonlySet<string>>;
  readonly rounds: readonly Round[];
  /** What was measured and mixed of the layers of the first round. */
  readonly found?: FoundLayers;
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

/** From damages to operations: ways, places, links, drafts, rounds, order. */
export function repairOf(input: RepairInput): Repair {
  const damages = input.damages.map((damage) => workOutOnce(damage, input));
  const rounds = input.rounds.map((round, i) => ({ ...round, round: i + 2 }));
  const contexts = new Map(damages.map(({ id, context }) => [id, context]));
  const parts = new Map(damages.map(({ id, part }) => [id, part]));
  const found = foundIn(1, input.marks);
  const drafts = new Map(damages.map(({ id, context, part }) => [id, draftsOf(asDone(id, context, found, input.marks), part)]));
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
    ...(found ? { found } : {}),
    hands_min: sumRanges(operations.map(({ hands_min }) => hands_min)),
    elapsed_min: elapsed(operations),
    cost_eur: costOf(damages, operations),
    refer: referrals(input.damages, damages),
  };
}

/** So many damages are remembered as they were worked out: those of a full shop. */
const MOST_KNOWN = 400;
const known = new Map<string, WorkedDamage>();

/** A damage in the same air, by the same choices, is the same: a page that is read again does not match its materials again. */
function workOutOnce(damage: DamageInput, { stance, air, tools, shelf }: RepairInput): WorkedDamage {
  if (shelf) return workOut(damage, stance, air, tools, shelf);
  const key = JSON.stringify([damage, stance, air, tools]);
  const found = known.get(key) ?? workOut(damage, stance, air, tools);
  known.delete(key);
  known.set(key, found);
  const [oldest] = known.keys();
  if (known.size > MOST_KNOWN && oldest !== undefined) known.delete(oldest);
  return found;
}

/** A context with what its log tells of layers and rungs; the same one where it tells nothing. */
function asDone(damage: string, context: Context, found: FoundLayers | undefined, marks: ReadonlyMap<string, OpMark>): Context {
  // a sheet that a rung used up was there when it was walked
  const walked = context.back || context.tools.grits ? walkedOf(damage, marks) : new Set<string>();
  if (!found && !context.back && walked.size === 0) return context;
  return { ...context, walked, ...(found ? { found } : {}) };
}

/** The rungs that were walked of a damage, by the names of their operations. */
function walkedOf(damage: string, marks: ReadonlyMap<string, OpMark>): Set<string> {
  const names = [...marks].flatMap(([id, { status, places }]) => {
    const [, name = "", of] = /^r1\/level\/(grit-[^/]+)\/([^/]+)$/.exec(id) ?? [];
    const covers = of === damage || places?.some((place) => place.startsWith(`${damage}/`));
    return name !== "" && status === "done" && covers ? [name] : [];
  });
  return new Set(names);
}

const drafted = new WeakMap<Context, Draft[]>();

/** Every draft of one damage, in the order of the stations; drawn up once for each context. */
function draftsOf(context: Context, part: string): Draft[] {
  const found = drafted.get(context) ?? draftAll(context, part);
  drafted.set(context, found);
  return found;
}

function draftAll(context: Context, part: string): Draft[] {
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
    return `${parts.get(draft.damage)} ${draft.name} ${draft.group ?? ""} ${draft.text}`;
  return `${draft.damage} ${draft.name} ${draft.group ?? ""} ${draft.of === "place" ? draft.places[0]?.id : ""}`;
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

function idOf({ station, name, of, damage, places, shared, class: name_, group }: Draft, round: number): string {
  const stem = `r${round}/${station}/${name}${group ? `~${group}` : ""}`;
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
    draftsOf(roundContext(damage.context, places, round, foundIn(round.round, marks)), damage.part).filter(
      (draft) =>
        draft.station !== "close" &&
        // what has just been measured is known
        draft.name !== "measure-before" &&
        (from(round.station, draft.station) || (draft.name === "mask" && tapeIsOff(damage.context))) &&
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

/** On glaze the tape came off in the round before: the abrasive of this one needs it again. */
const tapeIsOff = ({ f }: Context): boolean => f.finish.finish === "glaze";

/** What is found low or open in a later round is small: so deep where it was not measured, mm. */
const LOW_MM = 0.25;
/** So much of an opening is low where only "a pinhole" is said. */
const LOW_SHARE = 0.1;
/** Up to this depth a finer filler is proposed, mm; its own layer. */
const FINER_UP_TO_MM = 1;

/** The damage as it stands in a later round: at Fill, only what was found low is filled, with the finer filler where it is small; an overlay is built on with its own. */
function roundContext(
  context: Context,
  places: readonly WorkPlace[],
  { station, low_mm: measured_mm }: Round,
  found: FoundLayers | undefined,
): Context {
  const low_mm = measured_mm ?? LOW_MM;
  const overlay = context.damage.kind === "worn-thin";
  const here = places.map((place) =>
    (place.kind === "void" || place.kind === "film") && station === "fill"
      ? lowPlace(place, low_mm, overlay && measured_mm !== undefined ? 1 : LOW_SHARE)
      : place,
  );
  const finer = station === "fill" && low_mm <= FINER_UP_TO_MM && !overlay && canTakeFiner(context);
  const links = context.links
    .filter(({ place }) => places.some(({ id }) => id === place))
    // what is found low lies on top: the last filler of a place takes it up
    .filter((link, i, all) => station !== "fill" || link.role !== "filler" || !all.slice(i + 1).some((later) => isOver(later, link)))
    .map((link): PlanLink => (link.role === "filler" && finer ? { ...link, class: FINER.class, material: FINER, reasons: [] } : link));
  const chain = finer ? { ...context.f.chain, filler: FINER } : context.f.chain;
  // a school shapes the whole loss; what is found low later is stopped flush
  const { school: _school, texture: _texture, proud_mm: _proud, ...fill } = context.fill ?? {};
  return { ...context, fill, places: here, links, f: { ...context.f, chain, open_behind: false }, ...(found ? { found } : {}) };
}

const isOver = (later: PlanLink, link: PlanLink): boolean => later.role === link.role && later.place === link.place;

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

/** So much of a place as is low; an overlay that was measured short is so all over. */
function lowPlace(place: WorkPlace, low_mm: number, share: number): WorkPlace {
  const area = Math.max(1, (place.opening_mm2 ?? 1) * share);
  const { known_cm3: _known, ...rest } = place;
  return { ...rest, solids: [{ shape: "sheet", area_mm2: area, depth: low_mm }], depth_mm: low_mm, opening_mm2: area, open_behind: false };
}
