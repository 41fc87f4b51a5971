import { type ClassName, classRow, type MaterialClass, middle, type Station } from "../catalogue";
import { factsOf } from "../match/case";
import { type Judgement, judge, reasonsOf } from "../match/judge";
import { factsAt } from "../match/match";
import type { Later } from "../operation/subject";
import type { Context } from "./context";
import type { WorkedDamage } from "./damageContext";
import type { FoundLayers } from "./foundLayers";
import { atPlaces, type PlanLink, type WorkPlace } from "./links";

/** "Back to Fill, because …": the operations of those places come again from that station on. */
export interface Round {
  readonly round: number;
  readonly station: Station;
  readonly places: readonly string[];
  readonly because: string;
  readonly at: string;
  /** Height found below the surface, mm, where it was measured. */
  readonly low_mm?: number;
  /** What it is filled with, where it was asked for. */
  readonly filler?: ClassName;
  /** How many of those that are alike; absent = one. */
  readonly count?: number;
}

/** What is found low or open in a later round is small: so deep where it was not measured, mm. */
const LOW_MM = 0.25;
/** So much of an opening is low where only "a pinhole" is said. */
const LOW_SHARE = 0.1;
/** The stopper for what is found too small for the fill itself. */
const FINER: MaterialClass = classRow("fine-surfacer");
/** So deep as one pull of it stands once it has shrunk, mm; what is left is a hair that nobody feels. */
const FINER_FILLS_MM = FINER.max_layer_mm * (1 - middle(FINER.shrinkage_pct) / 100);
const HAIR_MM = 0.05;

/** What the log tells of a round's places: its layers so far, and the coats that lie on them. */
export interface Before {
  readonly found?: FoundLayers | undefined;
  readonly coats: Later["coats"];
  /** What was mixed of it already: that stands, whatever would be proposed today. */
  readonly mixed?: ClassName | undefined;
}

/**
 * A damage as it stands in a later round: at Fill only what was found low is filled: its whole opening where its depth was measured, a
 * tenth where only a pinhole was seen. The stuff is as asked for; else one pull of finer filler where that takes it up, else the fill's own.
 */
export function roundContext({ context, asked }: WorkedDamage, places: readonly WorkPlace[], round: Round, before: Before): Context {
  const low_mm = round.low_mm ?? LOW_MM;
  const fills = round.station === "fill";
  const stuff = fills ? stuffOf({ context, asked }, places, before.mixed ?? round.filler, low_mm) : undefined;
  const depth = stuff?.row === FINER ? Math.min(low_mm, FINER_FILLS_MM) : low_mm;
  const share = round.low_mm === undefined ? LOW_SHARE : 1;
  const here = places.map((place) =>
    ofThese(fills && (place.kind === "void" || place.kind === "film") ? lowPlace(place, depth, share) : place, round),
  );
  const links = context.links
    .filter(({ place }) => places.some(({ id }) => id === place))
    // what is found low lies on top: the last filler of a place takes it up
    .filter((link, i, all) => !fills || link.role !== "filler" || !all.slice(i + 1).some((later) => isOver(later, link)))
    .map((link): PlanLink => (link.role === "filler" && stuff ? inStuff(link, stuff) : link));
  const chain = stuff ? { ...context.f.chain, filler: stuff.row } : context.f.chain;
  // one way of shaping holds for the whole loss; what is found low later is stopped flush
  const { shaping: _shaping, texture: _texture, ...rest } = context;
  const { shaping: _s, texture: _t, proud_mm: _proud, ...fill } = context.fill ?? {};
  return {
    ...rest,
    fill,
    places: here,
    links,
    f: { ...context.f, chain },
    later: { station: round.station, low_mm: depth, coats: before.coats },
    ...(before.found ? { found: before.found } : {}),
  };
}

const isOver = (later: PlanLink, link: PlanLink): boolean => later.role === link.role && later.place === link.place;

function inStuff({ product: _product, overridden: _overridden, mm: _mm, ...link }: PlanLink, judged: Judgement): PlanLink {
  const { row, verdict } = judged;
  return { ...link, class: row.class, material: row, verdict, reasons: reasonsOf(judged) };
}

/** What is filled with, where it is not the fill's own: judged as it is at that place, so deep. */
function stuffOf(
  { context, asked }: Pick<WorkedDamage, "context" | "asked">,
  places: readonly WorkPlace[],
  filler: ClassName | undefined,
  low_mm: number,
): Judgement | undefined {
  const facts = factsOf(asked);
  if (filler) {
    const at = atPlaces(places, asked).at.filler;
    const here = at ? factsAt(facts, { ...at, damage: { ...at.damage, depth_mm: low_mm } }) : facts;
    const row = classRow(filler);
    return judge({ ...here, row, role: row.roles.includes("filler") ? "filler" : "levelling" });
  }
  if (low_mm > FINER_FILLS_MM + HAIR_MM || !canTakeFiner(context)) return undefined;
  const finer = judge({ ...facts, row: FINER, role: "levelling" });
  return finer.verdict === "refused" ? undefined : finer;
}

function canTakeFiner({ f, links, damage }: Context): boolean {
  const filler = links.find(({ role }) => role === "filler")?.material;
  return (
    damage.kind !== "worn-thin" &&
    filler !== undefined &&
    filler.rigidity === "rigid" &&
    filler.group !== "plaster" &&
    f.on.family !== "skin" &&
    FINER.bonds[f.on.family] !== undefined &&
    !f.kinds.has("film")
  );
}

/** Of places that are alike only those that were found come again. */
function ofThese({ alike, ...place }: WorkPlace, { count = 1 }: Round): WorkPlace {
  return alike !== undefined && count > 1 ? { ...place, alike: Math.min(alike, count) } : place;
}

/** So much of a place as is low. */
function lowPlace(place: WorkPlace, low_mm: number, share: number): WorkPlace {
  const area = Math.max(1, (place.opening_mm2 ?? 1) * share);
  const { known_cm3: _known, ...rest } = place;
  return { ...rest, solids: [{ shape: "sheet", area_mm2: area, depth: low_mm }], depth_mm: low_mm, opening_mm2: area, open_behind: false };
}
