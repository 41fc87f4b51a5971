import { type ClassName, dryFilmUm } from "../catalogue";
import { COATS_BY_NAME } from "../colour/coats.data";
import { RUBBED_FROM_UM } from "../colour/sheen";
import type { Air } from "../cure/lag";
import { materialOf } from "../plan/materialOf";
import type { Operation } from "../plan/plan.schema";
import { quickest, type Scheme, schemesOf } from "../plan/schemes";
import { present } from "../units";
import { coatsLeft } from "./coatsLeft";
import type { Worked } from "./worked";

/** The colour coats of one kind that are planned, with what all of them take, g. */
export interface ColourCoat {
  readonly label: string;
  readonly class: ClassName;
  readonly count: number;
  readonly mass_g: number;
}

const isCoat = ({ station, starts }: Operation): boolean => station === "colour" && starts === "coated";

/** The coats of colour that are still to be mixed for, those of one kind together: one mix serves them all. */
export function colourCoats({ repair, marks }: Worked): ColourCoat[] {
  const found = new Map<string, ColourCoat>();
  for (const op of repair.operations) {
    if (!isCoat(op) || op.role !== "colour" || !op.class || !op.mass_g || !op.coat_name || marks.has(op.id)) continue;
    const { label } = COATS_BY_NAME[op.coat_name];
    const { count = 0, mass_g = 0 } = found.get(`${label} ${op.class}`) ?? {};
    found.set(`${label} ${op.class}`, { label, class: op.class, count: count + 1, mass_g: mass_g + op.mass_g });
  }
  return [...found.values()];
}

/** The clear film that will lie on top, dry, µm, where it is thinnest: what is rubbed to its sheen. 0 = none is laid. */
export function clearFilm_um({ repair }: Worked): number {
  const films = repair.damages.map(({ id }) =>
    coatsLeft(repair.operations, id).reduce((sum, op) => {
      const row = isCoat(op) && op.role === "topcoat" ? materialOf(repair, op) : undefined;
      return row ? sum + dryFilmUm(row, op.thickness_mm ?? row.max_layer_mm) : sum;
    }, 0),
  );
  const laid = films.filter((um) => um > 0);
  return laid.length > 0 ? Math.min(...laid) : 0;
}

/** What the planned coats ask of the colour tools. */
export interface ColourNeeds {
  /** Transparent coats that are planned. */
  readonly tints: number;
  /** Classes that colour is mixed in. */
  readonly classes: readonly ClassName[];
  /** A clear film is rubbed to its sheen: whether it is too thin for that; absent = none is built. */
  readonly sheen?: { readonly thin: boolean };
}

/** What the planned coats ask of the colour tools; no class = nothing is coloured. */
export function colourNeeds(worked: Worked): ColourNeeds {
  const coats = worked.repair.operations.filter(({ station }) => station === "colour");
  const clear_um = clearFilm_um(worked);
  return {
    tints: coats.filter(({ kind }) => kind === "tint").length,
    classes: [...new Set(coats.flatMap(({ role, class: name }) => (role === "colour" && name ? [name] : [])))],
    ...(clear_um > 0 ? { sheen: { thin: clear_um < RUBBED_FROM_UM } } : {}),
  };
}

/** What coats of one material come to laid thinner or thicker. */
export interface CoatSchemes {
  readonly key: string;
  readonly material: string;
  readonly dry_um: number;
  readonly planned: number;
  readonly schemes: readonly Scheme[];
  readonly best: number;
  readonly until_min?: readonly [number, number];
}

/** Every material that is laid in coats on a damage, as one film in one coat up to six. */
export function coatSchemes({ repair }: Worked, air: Air): CoatSchemes[] {
  const laid = new Map<string, Operation[]>();
  for (const { id: damage } of repair.damages) {
    for (const op of coatsLeft(repair.operations, damage).filter(isCoat)) {
      const key = `${damage} ${op.class ?? ""} ${materialOf(repair, op)?.name ?? ""}`;
      laid.set(key, [...(laid.get(key) ?? []), op]);
    }
  }
  return [...laid].flatMap(([key, ops]): CoatSchemes[] => {
    const row = ops[0] && materialOf(repair, ops[0]);
    if (!row || row.leaf) return [];
    const dry_um = ops.reduce((sum, { thickness_mm = row.max_layer_mm }) => sum + dryFilmUm(row, thickness_mm), 0);
    const schemes = schemesOf(row, dry_um, air);
    if (!schemes) return [];
    const best = quickest(schemes)?.coats ?? ops.length;
    return [{ key, material: row.name, dry_um, planned: ops.length, schemes, best, ...present({ until_min: row.recoat_until_min }) }];
  });
}
