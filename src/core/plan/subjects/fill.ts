import { type MaterialClass, middle } from "../../catalogue";
import { extraPct } from "../../fill/ops.data";
import { type AllSubjects, type LayerSubject, type LayerTake, linkAt, linksAt, placesWith } from "../../operation/subject";
import { formed } from "../../ready/readyFacts";
import { volumeOf } from "../../survey/place";
import { present } from "../../units";
import type { Context } from "../context";
import { reachedAt } from "../found";
import { type LayerLink, layersOf, type PlaceLayers } from "../layers";
import { isLaidWithGlue, type WorkPlace } from "../links";

type FillSubjects = Pick<AllSubjects, "voids" | "layer" | "place" | "laid">;

/** Voids of one damage, their layers, and what is done to the last of them. */
export function fillSubjects(c: Context): FillSubjects {
  const voids = voidsOf(c);
  const groups = groupsOf(c, voids);
  const layer = groups.flatMap((group, i) => layersIn(c, group, i + 1));
  return {
    voids:
      voids.length > 0
        ? [{ ...c, here: voids, formed: formed(c.f), anchored: isAnchored(c), drinks: groups.flatMap((group) => drinkers(c, group)) }]
        : [],
    layer,
    place: layer.flatMap((each) => each.takes.map((take) => ({ ...each, here: [take.place], takes: [take] }))),
    laid: groups.flatMap((group, i) => lastOf(c, group, i + 1)),
  };
}

const voidsOf = (c: Context): WorkPlace[] => placesWith(c, "filler").filter((place) => !isLaidWithGlue(linkAt(c, place, "filler")?.class));

/** Whether the film itself is what is filled. */
const isFilm = (c: Context): boolean => c.places.some(({ kind }) => kind === "film");
const isAnchored = (c: Context): boolean => placesWith(c, "brace").some(({ name }) => name === "anchors");

/** Places that are filled alike, and their layers. */
interface Group {
  readonly each: readonly PlaceLayers[];
  readonly most: number;
}

/** Every place of a damage that is filled out of a cup with its layers, from what was measured and mixed on. */
export function filledPlaces(c: Context): PlaceLayers[] {
  return groupsOf(c, voidsOf(c)).flatMap(({ each }) => each);
}

/** What is mixed over the need of the first layer where nothing else is set, percent. */
export function extraProposed(c: Context): number {
  const [first] = layersIn(c, groupsOf(c, voidsOf(c))[0] ?? { each: [], most: 0 }, 1);
  return first ? extraPct({ apply: first.apply }, needOf(first.takes)) : 0;
}

const needOf = (takes: readonly LayerTake[]): number => takes.reduce((sum, { need_cm3 }) => sum + need_cm3, 0);

/** Places by what they are filled with, in the order in which that is laid. */
function groupsOf(c: Context, voids: readonly WorkPlace[]): Group[] {
  const bySort = new Map<string, WorkPlace[]>();
  for (const place of voids) {
    const sort = linksAt(c, place, "filler")
      .map((link) => `${link.class} ${link.product?.id ?? ""} ${link.mm ?? ""}`)
      .join(" > ");
    bySort.set(sort, [...(bySort.get(sort) ?? []), place]);
  }
  return [...bySort.values()].map((places) => {
    const planned = groupOf(places.map((place) => layersOf(place, linksAt(c, place, "filler"), [], c.fill)));
    return c.found ? groupOf(planned.each.map((one) => asFound(c, one, planned))) : planned;
  });
}

const groupOf = (each: readonly PlaceLayers[]): Group => ({ each, most: Math.max(...each.map(({ layers }) => layers.length)) });

/** The layers of a place from what was measured and mixed on. */
function asFound(c: Context, one: PlaceLayers, group: Group): PlaceLayers {
  if (!c.found) return one;
  const planned = layersIn(c, group, 1);
  const waste = (n: number) => {
    const layer = planned.find((each) => each.n === n);
    return layer ? extraPct(layer, needOf(layer.takes)) : 0;
  };
  return layersOf(one.place, linksAt(c, one.place, "filler"), reachedAt(one, c.found, waste), c.fill);
}

/** What a layer is laid of. */
const linkOf = ({ each }: Group, n: number): LayerLink | undefined => each.flatMap(({ layers }) => layers[n - 1]?.link ?? [])[0];

function layersIn(c: Context, group: Group, number: number): LayerSubject[] {
  return Array.from({ length: group.most }, (_, i) => i + 1).flatMap((n): LayerSubject[] => {
    const link = c.links.find(({ id }) => id === linkOf(group, n)?.id);
    const takes = group.each.flatMap((one) => takeOf(one, n));
    if (!link || takes.length === 0) return [];
    const here = takes.map(({ place }) => place as WorkPlace);
    return [
      {
        ...c,
        here,
        link,
        n,
        of: group.most,
        takes,
        apply: applied(c, link.material, here),
        whole_cm3: here.reduce((sum, place) => sum + volumeOf(place), 0),
        film: isFilm(c),
        ...present({ extra_pct: c.fill?.extra_pct, group: number > 1 ? number : undefined }),
      },
    ];
  });
}

/** What a place takes of its n-th layer: the void itself, what stands proud over it, and what shrinks away of both. */
function takeOf({ place, layers, proud_mm }: PlaceLayers, n: number): LayerTake[] {
  const layer = layers[n - 1];
  if (!layer) return [];
  const last = n === layers.length;
  const shrink_pct = middle(layer.link.material.shrinkage_pct);
  const over = last ? ((place.opening_mm2 ?? 0) * proud_mm) / 1000 : 0;
  return [
    {
      place,
      n,
      of: layers.length,
      last,
      shrink_pct,
      proud_mm: last ? proud_mm : 0,
      applied_mm: layer.applied_mm,
      volume_cm3: layer.volume_cm3,
      need_cm3: (layer.volume_cm3 + over) / (1 - shrink_pct / 100),
      ...present({ changed: layer.changed }),
    },
  ];
}

/** A large face is laid on in one sweep, mm²; trade practice. */
const FACED_FROM_MM2 = 10_000;

function applied(c: Context, material: MaterialClass, places: readonly WorkPlace[]): LayerSubject["apply"] {
  const face = Math.max(0, ...places.map(({ opening_mm2 = 0 }) => opening_mm2));
  if (!c.later && material.group === "plaster" && (c.damage.kind === "corner" || c.damage.kind === "hole")) return "poured";
  return face > FACED_FROM_MM2 ? "faced" : "pressed";
}

/** Places whose old stuff would drink the water out of what is laid first. */
function drinkers(c: Context, group: Group): WorkPlace[] {
  const material = linkOf(group, 1)?.material;
  const drinks =
    material !== undefined &&
    ((c.f.on.substrate === "gypsum" && (material.group === "plaster" || material.class === "cellulose-filler")) ||
      (material.class === "lime-mortar" && c.f.on.porous));
  return drinks ? group.each.map(({ place }) => place) : [];
}

function lastOf(c: Context, group: Group, number: number): FillSubjects["laid"] {
  const last = layersIn(c, group, number).at(-1);
  if (!last) return [];
  const takes = group.each.flatMap((one) => takeOf(one, one.layers.length));
  return [{ ...last, here: group.each.map(({ place }) => place), takes }];
}
