import type { Profile } from "../fill/outline";
import type { PlaceDraft } from "../survey/place";
import type { Solid } from "../survey/volume.schema";

/** Thinner than this nothing can be drawn, mm. */
const HAIR_MM = 0.1;
const shaft = (width: number, depth: number, through: boolean): Profile => ({
  kind: "shaft",
  width: Math.max(width, HAIR_MM),
  depth: Math.max(depth, HAIR_MM),
  through,
});

/** The cut in which each solid is drawn; complete by type. */
const PROFILE: { readonly [S in Solid["shape"]]: (solid: Extract<Solid, { shape: S }>, place: PlaceDraft) => Profile } = {
  box: ({ width, depth }, { open_behind = false }) => shaft(width, depth, open_behind),
  cylinder: ({ diameter, depth }, { open_behind = false }) => shaft(diameter, depth, open_behind),
  sheet: ({ depth }, { width_mm = 10 }) => shaft(width_mm, depth, false),
  edgeChip: ({ length, depth }) => ({ kind: "scoop", width: length, depth }),
  uGroove: ({ width, depth }) => ({ kind: "scoop", width, depth }),
  sphericalCap: ({ diameter, height }) => ({ kind: "scoop", width: diameter, depth: height }),
  vGroove: ({ width, depth }) => ({ kind: "groove", width, depth }),
  cone: ({ diameter, height }) => ({ kind: "peak", width: diameter, foot: 0.5, depth: height }),
  frustum: ({ diameter1, height }) => ({ kind: "peak", width: diameter1, foot: 0.5, depth: height }),
  // cut along one edge and across the broken face: a right triangle of that edge and the height of the face opposite to it, so that its
  // height is the depth of the corner; its foot divides the base as the squares of the legs
  corner: ({ a, b, c }) => {
    const across = (b * c) / Math.hypot(b, c);
    const width = Math.hypot(a, across);
    return { kind: "peak", width, foot: (a / width) ** 2, depth: (a * across) / width };
  },
};

/** The cut through a place that is filled; undefined where nothing is. */
export function profileOf(place: PlaceDraft): Profile | undefined {
  const [solid] = place.solids ?? [];
  return solid && profileOfSolid(solid, place);
}

function profileOfSolid<S extends Solid["shape"]>(solid: Extract<Solid, { shape: S }>, place: PlaceDraft): Profile {
  return (PROFILE[solid.shape as S] as (s: Extract<Solid, { shape: S }>, p: PlaceDraft) => Profile)(solid, place);
}
