import { inOnePush, type MaterialClass, middle } from "../catalogue";
import { proposeProud } from "../fill/proud";
import { MODELLED_PROUD_MM, oversizeOf, type Shaping } from "../fill/shaping.data";
import { buildOf, volumeBetween } from "../survey/place";
import { inSentence, plain } from "../units";
import type { FillPlan } from "./context";
import type { Reached } from "./foundLayers";
import type { PlanLink, WorkPlace } from "./links";

/** One layer of one place; mm and cm³. `surface_mm`: height against the old surface once it is hard, minus = below. */
interface Layer {
  readonly link: LayerLink;
  readonly applied_mm: number;
  readonly volume_cm3: number;
  readonly surface_mm: number;
  /** Why it is not as thick as it was planned. */
  readonly changed?: string;
}

/** A filler with the thickness that it was given by hand, mm. */
export type LayerLink = Pick<PlanLink, "id" | "class" | "material" | "mm">;

/** What is laid of one place, layer by layer. */
export interface PlaceLayers {
  readonly place: WorkPlace;
  readonly layers: readonly Layer[];
  readonly proud_mm: number;
}

/** A film or a rigid build is never planned prouder than this share of its own layer. */
const THIN_BUILD_MM = 1;
/** Closer than this nobody feels or sees a height, mm; a fingertip finds some 0.05. */
const LEVEL_MM = 0.05;

/**
 * The layers of one void, bottom first, each with the volume that the place has there. Of several fillers the first is the body and each
 * later one the layer over it. What was reached stands; what is left is planned again from there.
 */
export function layersOf(
  place: WorkPlace,
  links: readonly LayerLink[],
  reached: readonly Reached[] = [],
  set: Pick<FillPlan, "shaping" | "proud_mm"> = {},
): PlaceLayers {
  const depth = buildOf(place);
  const top = links.at(-1);
  if (!top) return { place, layers: [], proud_mm: 0 };
  const proud_mm = set.proud_mm ?? proudOf(place, top.material, place.depth_mm ?? depth, set.shaping);
  // what is proposed is a hair that a layer bears; what is set by hand may be more
  const over = set.proud_mm !== undefined || set.shaping === "carve";
  const spans = spansOf(links, depth).map((span) => ({ ...span, over }));
  const planned = spans.flatMap((span) => stack(place, depth, span, -depth, proud_mm));
  return { place, proud_mm, layers: reached.reduce((layers, now) => replanned(place, depth, spans, proud_mm, layers, now), planned) };
}

/** What one filler takes: from where to where, mm against the old surface. */
interface Span {
  readonly link: LayerLink;
  readonly from: number;
  readonly to: number;
  /** It may stand so far over that one layer does not bear it. */
  readonly over?: boolean;
}

/** Later fillers are layers over the first: as thick as said, else one of their own layers, never more than their share. */
function spansOf(links: readonly LayerLink[], depth: number): Span[] {
  const share = depth / links.length;
  const upper = links.slice(1).map((link) => Math.min(link.mm ?? link.material.max_layer_mm, link.mm === undefined ? share : depth * 0.9));
  const over = Math.min(
    1,
    (depth * 0.9) /
      Math.max(
        1e-9,
        upper.reduce((sum, mm) => sum + mm, 0),
      ),
  );
  const thick = [depth - upper.reduce((sum, mm) => sum + mm * over, 0), ...upper.map((mm) => mm * over)];
  return links.map((link, i) => {
    const from = -depth + thick.slice(0, i).reduce((sum, mm) => sum + mm, 0);
    return { link, from, to: i === links.length - 1 ? 0 : from + (thick[i] ?? 0) };
  });
}

/** More layers of one place, or cycles of one scratch, than this is a wrong material or a slip of the decimal point. */
const MOST_TIMES = 250;

/** @throws {RangeError} when a material would have to be laid more often than anyone does */
export function bounded(count: number, { name }: Pick<MaterialClass, "name">, what: "layers" | "cycles"): void {
  if (count > MOST_TIMES)
    throw new RangeError(`${count} ${what} of ${inSentence(name)} would be needed: take another material, thicker layers, or another way`);
}

/** Equal layers of one filler from a height to the top of its span. */
function stack(place: WorkPlace, depth: number, { link, from: start, to, over }: Span, at: number, proud_mm: number): Layer[] {
  const { material } = link;
  const from = Math.max(start, at);
  if (to - from <= 1e-9) return [];
  const shrinks = 1 - middle(material.shrinkage_pct) / 100;
  const most = inOnePush(material, place.opening_mm) ? Infinity : material.max_layer_mm * shrinks;
  const needed = Math.max(1, Math.ceil((to - from) / most - 1e-9));
  // much over size the last layer would be thicker than its material bears
  const count = over && to === 0 && (to - from) / needed + proud_mm > most * PROUD_BEARS ? needed + 1 : needed;
  bounded(count, material, "layers");
  const each = (to - from) / count;
  const share = (mm: number) => Math.min(1, Math.max(0, (mm + depth) / depth));
  return Array.from({ length: count }, (_, i) => {
    const proud = to === 0 && i === count - 1 ? proud_mm : 0;
    return {
      link,
      applied_mm: (each + proud) / shrinks,
      volume_cm3: volumeBetween(place, share(from + each * i), share(from + each * (i + 1))),
      surface_mm: from + each * (i + 1) + proud,
    };
  });
}

/** From what was reached on: nothing more where it stands level, one layer more where the last is low. */
function replanned(
  place: WorkPlace,
  depth: number,
  spans: readonly Span[],
  proud_mm: number,
  layers: readonly Layer[],
  { layer, surface_mm, by }: Reached,
): Layer[] {
  const laid = layers.slice(0, layer);
  const last = laid.at(-1);
  if (!last || Math.abs(last.surface_mm - surface_mm) <= LEVEL_MM) return [...layers];
  const behind = [...laid.slice(0, -1), { ...last, surface_mm }];
  if (surface_mm >= -LEVEL_MM) return behind;
  const off = last.surface_mm - surface_mm;
  const found = `${plain(Math.abs(off), 2)} mm ${off > 0 ? "lower" : "higher"} than planned`;
  const changed =
    by === "measured"
      ? `Layer ${layer} was measured ${found}: what follows is planned from there.`
      : `What was mixed for layer ${layer} ends about ${found}: what follows is planned from there; measure to be sure.`;
  const [next, ...rest] = spans.flatMap((span) => stack(place, depth, span, surface_mm, proud_mm));
  return [...behind, ...(next ? [{ ...next, changed }] : []), ...rest];
}

/** A hair over its layer a material bears; trade practice. */
const PROUD_BEARS = 1.1;

function proudOf(place: WorkPlace, material: MaterialClass, depth: number, shaping?: Shaping): number {
  const wanted = proposeProud(depth, material.shrinkage_pct);
  if (place.kind === "film") return Math.min(0.1, material.max_layer_mm, depth / 4);
  if (material.rigidity === "flexible") return 0;
  if (shaping === "carve") return Math.min(oversizeOf(depth), material.max_layer_mm);
  if (shaping === "model") return Math.min(wanted, MODELLED_PROUD_MM);
  return depth < THIN_BUILD_MM ? Math.min(0.1, material.max_layer_mm) : Math.min(wanted, material.max_layer_mm);
}
