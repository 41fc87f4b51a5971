import type { DamageKind, Role } from "../catalogue";
import { ROLES } from "../catalogue";
import type { Facts } from "./case";

type Need = (facts: Facts) => boolean;
const always: Need = () => true;
const gapOver =
  (mm: number): Need =>
  ({ damage }) =>
    (damage.gap_mm ?? 0) > mm;

/** A crack that stays open wider than this is filled, not glued. */
const OPEN_CRACK_MM = 0.5;
const openCrack: Need = ({ damage }) => damage.closes !== true && (damage.gap_mm ?? 0) > OPEN_CRACK_MM;

/** A section thinner than this is not drilled in brittle ware, mm; Buys and Oakley 1993. */
const DRILLED_FROM_MM = 9;
/** China is not drilled where it need not be: in the reversible stance, or where no wall would be left. */
const worthBracing: Need = ({ damage, on, stance }) => {
  if (on.family !== "ceramic") return true;
  const sides = [damage.width_mm, damage.height_mm, damage.diameter_mm, damage.base_mm].filter((mm) => mm !== undefined);
  return stance === "service" && Math.min(Number.POSITIVE_INFINITY, ...sides) >= DRILLED_FROM_MM;
};

/** The structural links that each kind of damage needs. */
const STRUCTURE: Readonly<Record<DamageKind, Partial<Record<Role, Need>>>> = {
  chip: { filler: always },
  corner: { filler: always },
  tip: { filler: always, brace: worthBracing },
  hole: { filler: always },
  shards: { adhesive: always, filler: gapOver(0.3) },
  "break-along": { adhesive: always, filler: gapOver(0.5) },
  "break-across": { adhesive: always, brace: worthBracing },
  crack: { adhesive: (facts) => !openCrack(facts), filler: openCrack },
  tear: { adhesive: always, brace: always, filler: gapOver(0.2) },
  "veneer-lifted": { adhesive: always },
  "veneer-lost": { adhesive: always, filler: always },
  scratch: { filler: always },
  dent: { filler: always },
  "burn-through": { filler: ({ damage }) => (damage.depth_mm ?? 0) > 0 },
  eroded: { consolidant: ({ on }) => on.porous, filler: always },
  "worn-thin": { adhesive: always, brace: always },
  stain: {},
  "loose-joint": { adhesive: always },
};

/** Kinds that change the look even where nothing is filled. */
const COLOURED: readonly DamageKind[] = ["burn-through", "stain"];
/** Fibrous stuff whose cut edge is locked before a fill. */
const FIBROUS = ["mdf", "mdf-vinyl", "papier-mache"];
const SURFACED = ["paint", "lacquer", "polyester-film", "gilding"];
const TOPPED = ["bare", "glaze", "shellac", "lacquer", "polyester-film", "oil", "wax", "gilding"];

/** Only the links that this damage needs, in the order in which they are applied. */
export function rolesFor(facts: Facts): Role[] {
  const { damage, finish, on, found } = facts;
  const structure = STRUCTURE[damage.kind];
  const filled = structure.filler?.(facts) ?? false;
  const coloured = (filled && finish.finish !== "none") || COLOURED.includes(damage.kind);
  const scratchOnly = damage.kind === "scratch" && finish.film;
  const needs: Readonly<Record<Role, boolean>> = {
    consolidant:
      (structure.consolidant?.(facts) ?? false) ||
      (filled && FIBROUS.includes(on.substrate)) ||
      found?.powders === true ||
      found?.hollow === true,
    adhesive: structure.adhesive?.(facts) ?? false,
    brace: structure.brace?.(facts) ?? false,
    filler: filled,
    levelling: filled && !scratchOnly && on.family !== "skin" && SURFACED.includes(finish.finish),
    colour: coloured && !scratchOnly,
    topcoat: coloured && TOPPED.includes(finish.finish),
  };
  return ROLES.filter((role) => needs[role]);
}

/** The link that decides the repair: the one that candidates are ranked by. */
export function keyRole(roles: readonly Role[]): Role | undefined {
  return (["filler", "adhesive", "brace", "colour"] as const).find((role) => roles.includes(role));
}
