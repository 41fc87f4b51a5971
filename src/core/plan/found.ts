import { headOf, isPlaceOf, readOpId, rungOf } from "../record/opId";
import { buildOf } from "../survey/place";
import type { FoundLayers, Reached, WalkedRung } from "./foundLayers";
import type { PlaceLayers } from "./layers";
import type { OpMark } from "./marks";

/** What was found of the layers of a round; undefined where nothing was. */
export function foundIn(round: number, marks: ReadonlyMap<string, OpMark>): FoundLayers | undefined {
  const filled = [...marks].flatMap(([id, mark]) => {
    const ref = readOpId(id);
    return ref?.round === round && ref.station === "fill" && ref.of !== undefined ? [{ ...mark, ...ref, of: ref.of }] : [];
  });
  const high = filled.flatMap(({ surface_mm, ...each }) => (surface_mm === undefined ? [] : [{ ...each, surface_mm }]));
  const measured = new Map<string, Reached[]>();
  for (const { stem, n = 0, of, surface_mm } of high)
    if (stem === `place-${n}`) measured.set(of, [...(measured.get(of) ?? []), { layer: n, surface_mm, by: "measured" }]);
  const checked = new Map(high.flatMap(({ stem, of, surface_mm }) => (stem === "check-fill" ? [[of, surface_mm] as const] : [])));
  const mixed = new Map(
    filled.flatMap(({ stem, n, of, mixed_share }) =>
      mixed_share !== undefined && stem === `mix-${n}` ? [[`${stem}/${headOf(of)}`, mixed_share] as const] : [],
    ),
  );
  return measured.size + mixed.size + checked.size > 0 ? { measured, mixed, checked } : undefined;
}

/** The rungs that were walked of a damage in the first round. */
export function walkedOf(damage: string, marks: ReadonlyMap<string, OpMark>): WalkedRung[] {
  return [...marks].flatMap(([id, { status, places }]) => {
    const ref = readOpId(id);
    const rung = ref?.round === 1 ? rungOf(ref) : undefined;
    const covers = ref?.of === damage || places?.some((place) => isPlaceOf(place, damage));
    return rung && status === "done" && covers ? [rung] : [];
  });
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
    const from = layers[i - 1]?.surface_mm ?? -buildOf(place);
    return reaches < SHORT_SHARE ? [{ layer, surface_mm: from + (surface_mm - from) * reaches, by: "mixed" }] : [];
  });
  return [...measured, ...short].sort((a, b) => a.layer - b.layer);
}
