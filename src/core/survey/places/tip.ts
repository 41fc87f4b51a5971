import type { DamageOf } from "../measures.data";
import { CLOSED_FILM_MM } from "../place";
import type { Solid } from "../volume.schema";
import type { TakenPlace } from "../wayRow";
import { core } from "./core";
import { hollow } from "./hollow";

type Tip = DamageOf<"tip">;

const tipSolid = ({ base_mm, length_mm, shape = "pointed" }: Tip): Solid =>
  shape === "pointed"
    ? { shape: "cone", diameter: base_mm, height: length_mm }
    : { shape: "frustum", diameter1: base_mm, diameter2: base_mm / 2, height: length_mm };

/** Built outwards from its core: from there to the face it is so deep, as a share of its base. */
const AROUND_CORE = 5 / 12;

/** A lost tip, built up around its core; its opening is the mantle of its cone. */
export const tip = (d: Tip): TakenPlace =>
  hollow({
    name: "loss",
    label: "The lost tip",
    solids: [tipSolid(d)],
    depth_mm: d.base_mm * AROUND_CORE,
    radial: true,
    length_mm: d.length_mm,
    opening_mm2: (Math.PI / 2) * d.base_mm * Math.hypot(d.length_mm, d.base_mm / 2),
    opening_mm: d.base_mm,
    around_core: true,
  });

/** The rod that a tip is built around, in a glue of its own. */
export const tipCore = (d: Tip): TakenPlace =>
  core("core", "Core of the tip", {
    section: { diameter_mm: d.base_mm },
    end_mm: d.shape === "blunt" ? d.base_mm / 2 : 0,
    length_mm: d.length_mm,
    takes: ["brace", "adhesive"],
    only: { brace: ["metal-wire", "anchor-screw"], adhesive: ["epoxy-slow", "epoxy-fast", "cyanoacrylate", "pva"] },
  });

/** The broken face that a piece shaped apart is set on. */
export const stump = (d: Tip): TakenPlace => ({
  name: "stump",
  kind: "faces",
  label: "Face of the stump",
  area_mm2: (Math.PI / 4) * d.base_mm ** 2,
  film_mm: CLOSED_FILM_MM,
  takes: ["adhesive"],
  only: { adhesive: ["epoxy-slow", "epoxy-fast"] },
});
