import { type DamageKind, type Finish, isStripped, isVeneered } from "../catalogue";
import type { WayFacts, WayRow } from "./wayRow";
export type Rows = { readonly [K in DamageKind]: readonly WayRow<K>[] };

export const NO_HANDS = { hands_min: [0, 0], wait_min: 0 } as const;
const KEPT = "only what its chain asks to be kept.";

export const LEAVE = {
  way: "leave",
  label: "Leave it",
  how: "Record it, guard it, look again in a year.",
  lost: "nothing",
  risk: "It may go on; say to the owner how it is handled.",
  hands_min: [5, 15],
  wait_min: 0,
  not_first: () => "nothing would be mended",
} as const;
export const REPLACE = {
  way: "replace",
  label: "Replace the part",
  how: "Make a new part off the twin or a drawing, fit it, keep the old one bagged and labelled.",
  lost: "the original part",
  risk: "Strong and quick to judge, but it is no longer the original; colour has to be built up on all of it.",
  hands_min: [240, 540],
  wait_min: 2880,
  not_first: () => "the original part would be gone",
} as const;
export const FILL = {
  way: "fill",
  label: "Fill it",
  how: "Clean, fill, level, colour.",
  lost: "nothing that is there",
  risk: KEPT,
  ...NO_HANDS,
} as const;
export const BOND = {
  way: "bond",
  label: "Glue it",
  how: "Clean, dry run, glue, clamp.",
  lost: "nothing",
  risk: KEPT,
  ...NO_HANDS,
} as const;

export const woody = ({ on }: WayFacts) => on.family === "wood" || on.family === "board";
export const metal = ({ on }: WayFacts) => on.family === "metal";
export const plaster = ({ on }: WayFacts) => on.substrate === "gypsum" || on.substrate === "composition";
export const unlessNeeded = (_: unknown, { brace }: WayFacts) =>
  brace === "yes" ? "the glue line alone does not carry what is asked" : undefined;
export const onlyNeeded = (_: unknown, { brace }: WayFacts) =>
  brace === "yes" ? undefined : "the glue line carries it: original wood stays";

export const RAISE_FILMS = ["shellac", "lacquer", "polyester-film", "paint", "gilding"];
export const filmNote = ({ finish }: WayFacts) => `steam and heat cloud ${finish.label.toLowerCase()} for good`;
export const filmDrop = { only: { filler: ["spray-film", "polyester-drop", "shellac-drop"] } } as const;
/** Whether the finish that it is to have hides what lies under it. */
export const opaque = ({ finish, to_be = finish }: WayFacts): boolean => to_be.opaque;
export const stripped = ({ finish, to_be = finish }: WayFacts): boolean => isStripped(finish, to_be);
export const veneered = ({ on }: WayFacts): boolean => isVeneered(on);
export const NO_GRAIN_SHOWS = "under its finish no grain shows: a fill does";
/** Another stuff than the film, but hard within the hour. */
export const caDrop = { only: { filler: ["cyanoacrylate-drop"] } } as const;
export const CA_FILL = {
  ...FILL,
  way: "ca-fill",
  label: "Fill it with cyanoacrylate in drops",
  how: "Drops of thick cyanoacrylate, each set with activator, levelled and polished the next day.",
  risk: "Clear and hard within the hour, but another stuff than the film: its edge may show in low light.",
  not_first: () => "the film’s own kind polishes out as one",
} as const;
/** New veneer in place of what is gone. */
export const LET_IN_VENEER = {
  way: "reveneer",
  label: "Let in new veneer",
  how: "Square the edges, let in veneer of the same cut, colour it.",
  lost: "a thin line of the old edge",
  risk: "Needs a matching sheet and a sharp joint.",
  hands_min: [30, 75],
  wait_min: 0,
  extra_eur: [8, 40],
  not_first: (_: unknown, f: WayFacts) => (opaque(f) ? NO_GRAIN_SHOWS : undefined),
} as const;
const FILM_KINDS = ["lacquer", "polyester-film", "shellac"];
export const clearFilm = ({ finish }: WayFacts) => FILM_KINDS.includes(finish.finish);

/** How far colour and coats run out past what was mended, mm: never far over a glaze or leaf, wide in a film that is polished. Trade practice. */
const BAND_MM: Readonly<Partial<Record<Finish, number>>> = {
  glaze: 2,
  gilding: 3,
  dye: 5,
  paint: 10,
  foil: 20,
  shellac: 20,
  lacquer: 20,
  "polyester-film": 20,
  oil: 10,
  wax: 10,
};
const BARE_BAND_MM = 3;
export const bandOf = ({ finish, to_be = finish }: WayFacts): number => BAND_MM[to_be.finish as Finish] ?? BARE_BAND_MM;
