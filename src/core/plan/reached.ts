import type { PlaceLayers, Reached } from "./layers";
import type { OpMark } from "./operation";

/** What the log says of the layers of one round: where surfaces were measured, by place; how much was mixed, by `mix-1/epoxy-putty`. */
export interface FoundLayers {
  readonly measured: ReadonlyMap<string, readonly Reached[]>;
  readonly mixed: ReadonlyMap<string, number>;
}

const PLACED = /^r(\d+)\/fill\/place-(\d+)(?:~\d+)?\/(.+)$/;
const MIXED = /^r(\d+)\/fill\/(mix-\d+)(?:~\d+)?\/([^/]+)/;

/** What was found of the layers of a round; undefined where nothing was. */
export function foundIn(round: number, marks: ReadonlyMap<string, OpMark>): FoundLayers | undefined {
  const measured = new Map<string, Reached[]>();
  const mixed = new Map<string, number>();
  for (const [id, { surface_mm, mixed_share }] of marks) {
    const [, of, layer, place = ""] = PLACED.exec(id) ?? [];
    if (surface_mm !== undefined && Number(of) === round)
      measured.set(place, [...(measured.get(place) ?? []), { layer: Number(layer), surface_mm, by: "measured" }]);
    const [, mixRound, name, sort] = MIXED.exec(id) ?? [];
    if (mixed_share !== undefined && Number(mixRound) === round) mixed.set(`${name}/${sort}`, mixed_share);
  }
  return measured.size + mixed.size > 0 ? { measured, mixed } : undefined;
}

/** A batch within so much of its need is not short: what stays on the knife varies more. */
const SHORT_SHARE = 0.97;

/** Where each layer of a place ended: as measured, else as far as what was mixed of it reaches. `waste_pct`: what was planned over the need. */
export function reachedAt({ place, layers }: PlaceLayers, found: FoundLayers, waste_pct: (layer: number) => number): Reached[] {
  const measured = found.measured.get(place.id) ?? [];
  const short = layers.flatMap(({ link, surface_mm }, i): Reached[] => {
    const layer = i + 1;
    const share = found.mixed.get(`mix-${layer}/${link.class}`);
    if (share === undefined || measured.some((each) => each.layer === layer)) return [];
    const reaches = share * (1 + waste_pct(layer) / 100);
    const from = layers[i - 1]?.surface_mm ?? -(place.depth_mm ?? 0);
    return reaches < SHORT_SHARE ? [{ layer, surface_mm: from + (surface_mm - from) * reaches, by: "mixed" }] : [];
  });
  return [...measured, ...short].sort((a, b) => a.layer - b.layer);
}
