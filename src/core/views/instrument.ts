import type { OperationKind, Station } from "../catalogue";

/** Pictures and tools that a station holds beside what to do; the words of their tabs. */
const LABELS = {
  map: "Condition map",
  shards: "Shards",
  form: "Form or mould",
  clamps: "Clamps and dry run",
  brace: "Brace",
  section: "Section",
  amounts: "Amounts and cups",
  shape: "Shape and grain",
  found: "Found",
  ladder: "Ladder",
  film: "Film",
  sinking: "Sinking",
  surface: "Surface",
  alike: "Works alike",
  coats: "Coats",
  recipe: "Recipe",
  swatches: "Swatches",
  schemes: "Thin or thick",
  sheen: "Sheen",
  review: "Look back and sign",
  owner: "For the owner",
  photographs: "Photographs",
} as const;
export type Instrument = keyof typeof LABELS;

export const instrumentLabel = (instrument: Instrument): string => LABELS[instrument];

interface StationRow {
  /** In the order of its tabs; what a repair does not have stays away. */
  readonly tabs: readonly Instrument[];
  /** What is brought forward for a kind of operation; for every other kind it is the first tab. */
  readonly brings: Readonly<Partial<Record<OperationKind, Instrument>>>;
}

const JOINING = { bond: "clamps", clamp: "clamps", unclamp: "clamps", check: "clamps", "dry-run": "clamps" } as const;
const ROWS: Readonly<Partial<Record<Station, StationRow>>> = {
  ready: {
    tabs: ["map", "shards", "form", "clamps", "amounts"],
    brings: { form: "form", release: "form", "dry-run": "clamps", mix: "amounts" },
  },
  join: {
    tabs: ["clamps", "brace", "section", "amounts"],
    brings: { ...JOINING, drill: "brace", brace: "brace", back: "section", trim: "section", mix: "amounts" },
  },
  fill: {
    tabs: ["section", "amounts", "shape", "found"],
    brings: { mix: "amounts", form: "shape", texture: "shape", check: "found", look: "found" },
  },
  level: {
    tabs: ["ladder", "film", "sinking", "surface", "alike", "found"],
    brings: { prime: "film", compound: "film", wait: "sinking", check: "surface", look: "surface" },
  },
  colour: {
    tabs: ["coats", "recipe", "swatches", "schemes", "sheen", "film", "amounts"],
    brings: { mix: "recipe", test: "swatches", wait: "schemes", finish: "sheen", compound: "sheen", grit: "film" },
  },
  close: { tabs: ["review", "owner", "photographs"], brings: { photograph: "photographs" } },
};

/** The instruments of a station in the order of their tabs; none where nothing is done by hand. */
export const instrumentsAt = (station: Station): readonly Instrument[] => ROWS[station]?.tabs ?? [];

/** What a kind of operation brings forward at a station. */
export const instrumentFor = (station: Station, kind: OperationKind): Instrument | undefined =>
  ROWS[station]?.brings[kind] ?? ROWS[station]?.tabs[0];

/**
 * Which of those that are there stands in front: what the open operation brings, else the first in the order of the station.
 * @example frontOf("fill", "amounts", ["section", "amounts"]) // "amounts"
 */
export function frontOf(station: Station, brought: Instrument | undefined, there: readonly Instrument[]): Instrument | undefined {
  return brought && there.includes(brought) ? brought : instrumentsAt(station).find((each) => there.includes(each));
}
