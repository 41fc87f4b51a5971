import { CLASS_ROWS, type ClassName, STATIONS, type Station } from "../catalogue";
import type { Air } from "../cure/lag";
import type { Later } from "../operation/subject";
import { readOpId } from "../record/opId";
import type { Context } from "./context";
import type { WorkedDamage } from "./damageContext";
import { type Draft, expand } from "./expand";
import { foundIn } from "./found";
import type { WorkPlace } from "./links";
import type { OpMark } from "./marks";
import { merge, type Placed, withMembers } from "./merge";
import { type Round, roundContext } from "./roundContext";

const STATION_ORDER: readonly string[] = STATIONS.map(({ station }) => station);
const isFrom = (station: Station, of: Station) => STATION_ORDER.indexOf(of) >= STATION_ORDER.indexOf(station);
const isAfter = (station: Station, of: Station) => STATION_ORDER.indexOf(of) > STATION_ORDER.indexOf(station);

/**
 * A round: the operations of its places from its station on come again, as far as what was found asks for them; what was still open of
 * them behind it is superseded, and at its own station what it brings again; nothing that is done changes.
 */
export function withRound(
  placed: readonly Placed[],
  round: Round,
  damages: readonly WorkedDamage[],
  marks: ReadonlyMap<string, OpMark>,
  air: Air,
): Placed[] {
  const hit = damages.flatMap((damage) => placesOf(round, damage));
  const brought = hit.flatMap((each) => bring(each, placed, round, marks));
  const redone = new Set(hit.flatMap(({ places }) => places.map(({ id }) => id)));
  const names = new Set(brought.filter(({ row }) => !row.lasts).map(({ name }) => name));
  // at its own station a layer that was left open is superseded only where its round was begun: else both are walked
  const begun = new Set(
    placed.filter(({ id, lead }) => lead.station === round.station && marks.get(id)?.status === "done").map((each) => each.round),
  );
  const gives = (each: Placed) =>
    isAfter(round.station, each.lead.station) ||
    (each.lead.station === round.station && begun.has(each.round) && names.has(each.lead.name));
  const others = partly(hit, round);
  const kept = placed.flatMap((each) => {
    if (marks.has(each.id) || each.lead.station === "close" || !gives(each)) return [each];
    // where only some of many alike go back, what is open does them too, once they are as far
    if (each.damages.some((damage) => others.has(damage)))
      return [isAfter(round.station, each.lead.station) ? { ...each, upto: round.round } : each];
    return without(each, redone) ?? [];
  });
  const stands = (draft: Draft) => kept.filter((each) => each.lead.name === draft.name && each.damages.includes(draft.damage));
  const known = (draft: Draft) =>
    (draft.row.lasts && stands(draft).length > 0) ||
    (others.has(draft.damage) &&
      isAfter(round.station, draft.station) &&
      stands(draft).some(({ id, lead }) => lead.stem === draft.stem && !isBefore(round, marks.get(id))));
  return [
    ...kept,
    ...merge(
      brought.filter((draft) => !known(draft)),
      round.round,
      marks,
      air,
    ),
  ];
}

/** Done before a round was opened: what was done since did the places of the round too. */
const isBefore = ({ at }: Round, mark: OpMark | undefined): boolean => mark !== undefined && Date.parse(mark.at) < Date.parse(at);

/** A damage with those of its places that a round goes back to. */
interface Hit {
  readonly damage: WorkedDamage;
  readonly places: readonly WorkPlace[];
}

/** The places of a damage that are named, all of them where it is named itself; what is coloured goes with any of them. */
function placesOf({ places: named }: Round, damage: WorkedDamage): Hit[] {
  const some = damage.places.some(({ id }) => named.includes(id));
  const places = damage.places.filter(({ id, kind }) => named.includes(id) || named.includes(damage.id) || (some && kind === "surface"));
  return places.length > 0 ? [{ damage, places }] : [];
}

/** What a round brings at the places of a damage, from its station on. */
function bring({ damage, places }: Hit, placed: readonly Placed[], round: Round, marks: ReadonlyMap<string, OpMark>): Draft[] {
  const before = {
    found: foundIn(round.round, marks),
    coats: coatsOn(places, placed, marks),
    mixed: mixedIn(round.round, damage, marks),
  };
  return expand(roundContext(damage, places, round, before)).filter(
    (draft) =>
      draft.station !== "close" &&
      (isFrom(round.station, draft.station) || (draft.name === "mask" && tapeIsOff(damage.context, placed, marks))) &&
      draft.here.some(({ id }) => places.some((place) => place.id === id)),
  );
}

/** Damages of which only some of many that are alike go back. */
const partly = (hit: readonly Hit[], { count = 1 }: Round): ReadonlySet<string> =>
  new Set(hit.flatMap(({ damage: { id, places } }) => (places.some(({ alike = 1 }) => count < alike) ? [id] : [])));

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

/** The tape is off: an operation that takes it off is done, or, on glaze, was walked with the abrasives of the round before. */
function tapeIsOff({ f }: Context, placed: readonly Placed[], marks: ReadonlyMap<string, OpMark>): boolean {
  return f.finish.finish === "glaze" || placed.some(({ id, lead }) => lead.kind === "unmask" && marks.get(id)?.status === "done");
}

const COATS: readonly string[] = ["tint", "colour", "coat", "finish"];

/** What was laid over these places so far. */
function coatsOn(places: readonly WorkPlace[], placed: readonly Placed[], marks: ReadonlyMap<string, OpMark>): Later["coats"] {
  const laid = placed.filter(
    ({ id, lead, here }) =>
      lead.station === "colour" &&
      COATS.includes(lead.kind) &&
      marks.get(id)?.status === "done" &&
      here.some((place) => places.some((each) => each.id === place.id)),
  );
  if (laid.length === 0) return "none";
  return laid.some(({ lead }) => lead.role === "topcoat") ? "clear" : "colour";
}

/** The class that was mixed in a round for a damage: a mix is named by what is in it. */
function mixedIn(round: number, { context: { links } }: WorkedDamage, marks: ReadonlyMap<string, OpMark>): ClassName | undefined {
  const named = [...marks.keys()].flatMap((id) => {
    const ref = readOpId(id);
    return ref?.round === round && ref.station === "fill" && /^mix-\d+/.test(ref.stem) && ref.of ? [ref.of] : [];
  });
  const own = links.findLast(({ role }) => role === "filler")?.class;
  if (own !== undefined && named.includes(own)) return undefined;
  return CLASS_ROWS.find((row) => named.includes(row.class))?.class;
}
