import { type MaterialClass, patchMargin } from "../catalogue";
import { counted, plain } from "../units";
import { LAYUPS } from "./layup.data";
import type { SizedBrace } from "./sizing";

/** A thin place seen from behind, mm. */
export interface ThinPlace {
  readonly length_mm: number;
  readonly width_mm: number;
  /** What is missing of the thickness that it should have. */
  readonly missing_mm: number;
}

/** A backing with all its dimensions in mm, and how it is laid. */
export interface Layup extends SizedBrace {
  readonly how: string;
  readonly source: string;
}

/**
 * A backing of fabric or bandage on the hidden face of a thin place: as many layers as replace the thickness that is missing, and never
 * fewer than carry; the first reaches past the place by the margin of a patch, each next steps back so that the edge tapers.
 * Undefined for a class that is not laid up.
 */
export function layup({ length_mm, width_mm, missing_mm }: ThinPlace, material: MaterialClass): Layup | undefined {
  const row = LAYUPS.find((each) => each.class === material.class);
  if (!row) return undefined;
  const { layer_mm, least, builds, how, source } = row;
  const wanted = builds ? Math.ceil(missing_mm / layer_mm - 1e-9) : 0;
  const layers = Math.max(least, wanted);
  const thickness_mm = layers * layer_mm;
  const margin_mm = patchMargin(Math.max(length_mm, width_mm));
  const step_mm = layers > 1 ? margin_mm / layers : 0;
  const sittings = Math.max(1, Math.ceil(thickness_mm / material.max_layer_mm - 1e-9));
  return {
    kind: "patch",
    how,
    source,
    size: {
      layers,
      layer_mm,
      thickness_mm,
      length_mm: length_mm + 2 * margin_mm,
      width_mm: width_mm + 2 * margin_mm,
      margin_mm,
      step_mm,
      corner_mm: margin_mm / 2,
      sittings,
    },
    reasons: [
      countWords(layers, layer_mm, missing_mm, wanted >= least, builds),
      `${plain(length_mm + 2 * margin_mm)} × ${plain(width_mm + 2 * margin_mm)} mm: ${plain(margin_mm)} mm past the thin place all round, corners rounded with ${plain(margin_mm / 2)} mm.`,
      ...(layers > 1 ? [`Crosswise, each layer ${plain(step_mm)} mm inside the one before: a stepped edge prints through less.`] : []),
      ...(sittings > 1
        ? [`In ${sittings} sittings: over ${plain(material.max_layer_mm)} mm at once it warms and warps. Let it go hard between.`]
        : []),
    ],
  };
}

function countWords(layers: number, layer_mm: number, missing_mm: number, decides: boolean, builds: boolean): string {
  const count = `${counted(layers, "layer")}${layers > 1 ? ` of ${plain(layer_mm, 2)} mm` : ""}`;
  if (!builds) return `${count}: it carries, and does not rebuild the ${plain(missing_mm, 2)} mm that are missing.`;
  return decides
    ? `${count}: ${plain(missing_mm, 2)} mm are missing.`
    : `${count}: ${plain(missing_mm, 2)} mm are missing, but fewer would not carry.`;
}
