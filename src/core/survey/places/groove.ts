import type { DamageOf } from "../measures.data";
import type { TakenPlace } from "../wayRow";
import { hollow } from "./hollow";

interface Groove {
  readonly length_mm: number;
  readonly width_mm: number;
  readonly depth_mm: number;
}

/** A groove that narrows to its floor: a scratch, an open crack, a seam. */
export const groove = (
  { length_mm, width_mm, depth_mm }: Groove,
  name: string,
  label: string,
  over: Partial<TakenPlace> = {},
): TakenPlace =>
  hollow({
    name,
    label,
    solids: [{ shape: "vGroove", length: length_mm, width: width_mm, depth: depth_mm }],
    depth_mm,
    opening_mm2: length_mm * width_mm,
    opening_mm: width_mm,
    length_mm,
    width_mm,
    ...over,
  });

/** An open crack: it narrows to its foot; one that goes through is as wide there, and open behind. */
export const openCrack = (d: DamageOf<"crack">): TakenPlace =>
  groove(
    d,
    "loss",
    "The open crack",
    d.through ? { solids: [{ shape: "box", length: d.length_mm, width: d.width_mm, depth: d.depth_mm }], open_behind: true } : {},
  );
