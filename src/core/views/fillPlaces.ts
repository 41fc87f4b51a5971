import { densityOf } from "../mix/weigh";
import type { Repair } from "../plan/repair";
import { extraProposed, filledPlaces as filledPlacesOf } from "../plan/subjects/fill";
import type { BodyOf } from "../record/events.schema";
import type { Treatment } from "../record/treatment";
import { volumeOf } from "../survey/place";
import { inSentence, present } from "../units";

/** A place that is filled: its volume by its measures, and what it is filled with. */
export interface FilledPlace {
  readonly id: string;
  readonly damage: string;
  readonly label: string;
  /** As it is planned, and by its measures alone. */
  readonly cm3: number;
  readonly measured_cm3: number;
  readonly material: string;
  readonly density: number;
  /** Of the planned mixes, g: with what shrinks, stands proud and stays on the board. */
  readonly planned_g: number;
  /** What is set of its fill already. */
  readonly set?: BodyOf<"fill-set">;
}

/** How one loss is filled: what is proposed, and what was set instead. */
export interface FillSet {
  readonly damage: string;
  readonly label: string;
  /** Its shape is given back by hand, in what hardens. */
  readonly shaped: boolean;
  readonly proud_mm: number;
  readonly extra_pct: number;
  readonly set?: BodyOf<"fill-set">;
}

/** Every place that is filled out of a cup, with what is planned for it, g and cm³. */
export function filledPlaces(treatment: Treatment, { places, links, operations }: Repair): FilledPlace[] {
  return places.flatMap((place): FilledPlace[] => {
    const link = links.find((each) => each.place === place.id && each.role === "filler");
    const mixes = operations.filter(({ kind, station, places: of }) => kind === "mix" && station === "fill" && of.includes(place.id));
    const planned_g = mixes.reduce(
      (sum, { portions, mass_g = 0 }) => sum + (portions?.find((each) => each.place === place.id)?.mass_g ?? mass_g),
      0,
    );
    const cm3 = volumeOf(place);
    if (!link || planned_g === 0 || cm3 === 0) return [];
    return [
      {
        id: place.id,
        damage: place.damage,
        label: place.label,
        cm3,
        measured_cm3: volumeOf({ solids: place.solids ?? [] }),
        material: inSentence(link.material.name),
        density: densityOf(link.material),
        planned_g,
        ...setOf(treatment, place.damage),
      },
    ];
  });
}

/** Damages whose shape is given back by hand: what is set of each, and what is proposed. */
export function fillSets(treatment: Treatment, { damages }: Repair): FillSet[] {
  return damages.flatMap(({ id, context }) => {
    const [filled] = filledPlacesOf(context);
    const link = filled?.layers.at(-1)?.link;
    if (!filled || !link) return [];
    const { fill: _fill, ...proposed } = context;
    const [plain] = filledPlacesOf(proposed);
    return [
      {
        damage: id,
        label: filled.place.label,
        shaped: link.material.rigidity === "rigid" && filled.place.kind === "void",
        proud_mm: plain?.proud_mm ?? 0,
        extra_pct: extraProposed(proposed),
        ...setOf(treatment, id),
      },
    ];
  });
}

const setOf = ({ damages }: Treatment, damage: string) => present({ set: damages.find(({ id }) => id === damage)?.fill?.body });
