import { classRow, type MaterialClass, STATIONS, type Station } from "../catalogue";
import type { Context } from "./context";
import type { WorkedDamage } from "./damageContext";
import { type Draft, expand } from "./expand";
import { foundIn } from "./found";
import type { FoundLayers } from "./foundLayers";
import type { PlanLink, WorkPlace } from "./links";
import type { OpMark } from "./marks";
import { merge, type Placed, withMembers } from "./merge";

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

const STATION_ORDER: readonly string[] = STATIONS.map(({ station }) => station);
/** What stands at the station itself was walked, or is walked now; what lies behind it is superseded. */
const isFrom = (station: Station, of: Station) => STATION_ORDER.indexOf(of) >= STATION_ORDER.indexOf(station);
const isAfter = (station: Station, of: Station) => STATION_ORDER.indexOf(of) > STATION_ORDER.indexOf(station);

/** What has just been measured is known. */
const KNOWN: readonly string[] = ["measure-before"];

/** A round: the operations of its places from its station on come again; what was still open of them is superseded; nothing that is done changes. */
export function withRound(
  placed: readonly Placed[],
  round: Round,
  damages: readonly WorkedDamage[],
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
  const again = hit.flatMap(({ damage: { context }, places }) =>
    expand(roundContext(context, places, round, foundIn(round.round, marks))).filter(
      (draft) =>
        draft.station !== "close" &&
        !KNOWN.includes(draft.name) &&
        (isFrom(round.station, draft.station) || (draft.name === "mask" && tapeIsOff(context))) &&
        draft.here.some(({ id }) => places.some((place) => place.id === id)),
    ),
  );
  const redone = new Set(hit.flatMap(({ places }) => places.map(({ id }) => id)));
  const kept = placed.flatMap((each) =>
    marks.has(each.id) || each.lead.station === "close" || !isAfter(round.station, each.lead.station)
      ? [each]
      : (without(each, redone) ?? []),
  );
  return [...kept, ...merge(again, round.round, marks)];
}

/** What is left of an operation when some of its places are done again. */
function without(placed: Placed, places: ReadonlySet<string>): Placed | undefined {
  if (!placed.here.some(({ id }) => places.has(id))) return placed;
  const stays = (draft: Draft): Draft[] => {
    const here = draft.here.filter(({ id }) => !places.has(id));
    const amount = draft.amount && { ...draft.amount, takes: draft.amount.takes.filter(({ place }) => !places.has(place)) };
    return here.length > 0 ? [{ ...draft, here, ...(amount ? { amount } : {}) }] : [];
  };
  return withMembers(placed, placed.members.flatMap(stays));
}

/** On glaze the tape came off in the round before: the abrasive of this one needs it again. */
const tapeIsOff = ({ f }: Context): boolean => f.finish.finish === "glaze";

/** What is found low or open in a later round is small: so deep where it was not measured, mm. */
const LOW_MM = 0.25;
/** So much of an opening is low where only "a pinhole" is said. */
const LOW_SHARE = 0.1;
/** Up to this depth a finer filler is proposed, mm; its own layer. */
const FINER_UP_TO_MM = 1;
/** The stopper for what is found too small for the fill itself. */
const FINER: MaterialClass = classRow("fine-surfacer");

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
  const { school: _school, texture: _texture, ...rest } = context;
  const { school: _s, texture: _t, proud_mm: _proud, ...fill } = context.fill ?? {};
  return { ...rest, fill, places: here, links, f: { ...context.f, chain, open_behind: false }, ...(found ? { found } : {}) };
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
