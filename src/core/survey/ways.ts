import type { ClassName, DamageKind, Family, Role } from "../catalogue";
import type { Damage } from "./measures.data";
import { type Place, volumeOf } from "./place";
import { bandOf, stripped } from "./wayParts";
import type { TakenPlace, WayFacts, WayRow } from "./wayRow";
import { WAYS } from "./ways.data";

/** The ways that fit a damage, in order: the least that holds first, leaving it last. */
export function waysFor(damage: Damage, facts: WayFacts): WayRow[] {
  return (WAYS[damage.kind] as readonly WayRow[]).filter(({ fits }) => fits === undefined || fits(damage, facts));
}

/** The row of a way for a kind of damage; undefined for a name that is not, or no more, in the table. */
export function wayRow(kind: DamageKind, way: string): WayRow | undefined {
  return (WAYS[kind] as readonly WayRow[]).find((row) => row.way === way);
}

/** A way in words; a name from an older record is shown as it is. */
export function wayLabel(kind: DamageKind, way: string): string {
  return wayRow(kind, way)?.label ?? way.replaceAll("-", " ");
}

/** The way that is taken unasked: the first that fits and can't harm; where none may be, leaving it. */
export function preselectedWay(damage: Damage, facts: WayFacts): WayRow {
  const ways = waysFor(damage, facts);
  const found = ways.find(({ not_first }) => not_first?.(damage, facts) === undefined) ?? ways[0];
  if (!found) throw new RangeError(`no way for ${damage.kind}`);
  return found;
}

/** What a damage makes when it is met in this way; ids are `damage/place`. Empty where no chain is needed. */
export function placesOf(row: WayRow, damage: Damage, id: string, facts: WayFacts): ReadonlyArray<Place & TakenPlace> {
  const made = (row.places?.(damage, facts) ?? []).filter(({ kind, solids }) => kind !== "void" || volumeOf({ solids: solids ?? [] }) > 0);
  const finished = [...made, ...looseFoil(made, facts), ...finishing(made, facts)];
  const { count = 1 } = damage as { readonly count?: number };
  const alike = count > 1 ? { alike: count } : {};
  return finished.map((place) => ({ ...withConsolidant(place, damage, facts), ...alike, id: `${id}/${place.name}`, damage: id }));
}

/** Loose foil beside a filled edge is laid back before the fill, mm wide. */
const FOIL_MM = 10;

function looseFoil(made: readonly TakenPlace[], { on }: WayFacts): TakenPlace[] {
  const lead = made.find(({ kind }) => kind === "void");
  if (on.substrate !== "mdf-vinyl" || !lead || made.some(({ kind }) => kind === "faces")) return [];
  return [
    {
      name: "foil",
      kind: "faces",
      label: "Loose foil at the edge",
      area_mm2: (lead.length_mm ?? 10) * FOIL_MM,
      film_mm: 0.1,
      takes: ["adhesive"],
      only: { adhesive: ["contact-adhesive"] },
    },
  ];
}

/** Finishes that are levelled with a surfacer, and those that get a coat. */
const SURFACED = ["paint", "gilding"];
/** Clear films: what is under them shows, so they are toned, never painted over; a polyester film may be black through, and is met by black. */
const TONED: Partial<Readonly<Record<Role, readonly ClassName[]>>> = { colour: ["toner-lacquer", "shellac-toner", "spirit-stain"] };
const TONED_OR_BLACK: typeof TONED = { colour: ["toner-lacquer", "shellac-toner", "spirit-stain", "acrylic-paint"] };
const CLEAR_FILMS = ["shellac", "lacquer", "polyester-film"];
const TOPPED = ["glaze", "foil", "shellac", "lacquer", "polyester-film", "oil", "wax", "gilding", "dye"];
/** What is coloured of a place: all that is seen of it and a band around it, reckoned round. mm². */
const faded = ({ area_mm2 = 0, opening_mm2 = area_mm2, seen_mm2 = opening_mm2 }: TakenPlace, band_mm: number): number =>
  Math.PI * (Math.sqrt(seen_mm2 / Math.PI) + band_mm) ** 2;

/** What is coloured and coated over what was filled; nothing on a bare surface, nothing where the fill is the film. */
function finishing(made: readonly TakenPlace[], facts: WayFacts): TakenPlace[] {
  const { finish: now, to_be: finish = now, on } = facts;
  if (made.some(({ kind }) => kind === "surface" || kind === "film") || finish.finish === "none") return [];
  // where the whole face is stripped what was glued gets the new finish as well
  const bared = stripped(facts) ? made.filter(({ kind }) => kind === "faces") : [];
  const open = made.filter(({ kind, hidden }) => (kind === "void" && !hidden) || (kind === "core" && hidden === false));
  const seen = open.length > 0 ? open : bared;
  if (seen.length === 0) return [];
  const takes: Role[] = [
    ...(SURFACED.includes(finish.finish) ? (["levelling"] as const) : []),
    "colour",
    ...(TOPPED.includes(finish.finish) && (finish.finish !== "dye" || on.family === "skin") ? (["topcoat"] as const) : []),
  ];
  return [
    {
      name: "surface",
      kind: "surface",
      label: "Surface of the repair",
      area_mm2: seen.reduce((sum, place) => sum + faded(place, bandOf(facts)), 0),
      takes,
      ...(CLEAR_FILMS.includes(finish.finish) ? { only: finish.finish === "polyester-film" ? TONED_OR_BLACK : TONED } : {}),
    },
  ];
}

/** Fibrous stuff whose cut edge is locked before a fill. */
const FIBROUS = ["mdf", "mdf-vinyl", "papier-mache"];
const NEVER_CONSOLIDATED: readonly Family[] = ["metal", "skin"];

/** What powders, is hollow or frays is consolidated before anything is laid on it; never metal or skin. */
function withConsolidant(place: TakenPlace, damage: Damage, { on, powders, hollow }: WayFacts): TakenPlace {
  if (place.kind !== "void" || place.takes.includes("consolidant") || NEVER_CONSOLIDATED.includes(on.family)) return place;
  const needs = damage.kind === "eroded" || powders || hollow || (FIBROUS.includes(on.substrate) && place.takes.includes("filler"));
  return needs ? { ...place, takes: ["consolidant", ...place.takes] } : place;
}
