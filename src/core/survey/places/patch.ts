import { patchMargin } from "../../catalogue";
import { CLOSED_FILM_MM } from "../place";
import type { TakenPlace } from "../wayRow";

/** A backing that reaches past what lies before it by its margin all round; `along` decides the margin. mm. */
export const patch = (name: string, label: string, length: number, width: number, along = Math.max(length, width)): TakenPlace => {
  const margin = patchMargin(along);
  return {
    name,
    kind: "backing",
    label,
    area_mm2: (length + 2 * margin) * (width + 2 * margin),
    film_mm: CLOSED_FILM_MM,
    length_mm: length + 2 * margin,
    width_mm: width + 2 * margin,
    hidden: true,
    takes: ["adhesive", "brace"],
  };
};
