import type { Profile } from "../fill/section";
import type { Damage, DamageOf, MeasuredKind } from "../survey/measures.data";

const PROFILE: { readonly [K in MeasuredKind]: (damage: DamageOf<K>) => Profile } = {
  chip: ({ length_mm, depth_mm }) => ({ kind: "scoop", width: length_mm, depth: depth_mm }),
  corner: ({ a_mm, b_mm }) => ({ kind: "peak", a: a_mm, b: b_mm, depth: (a_mm * b_mm) / Math.hypot(a_mm, b_mm) }),
  hole: ({ diameter_mm, depth_mm, through }) => ({ kind: "shaft", width: diameter_mm, depth: depth_mm, through }),
  crack: ({ width_mm, depth_mm }) => ({ kind: "groove", width: width_mm, depth: depth_mm }),
  shards: ({ thickness_mm, gap_mm = 0 }) => ({ kind: "shaft", width: Math.max(gap_mm, 0.1), depth: thickness_mm, through: true }),
};

/** The cut in which a damage is drawn: a chip along its edge, a corner across its two first edges, the rest across. */
export function profileOf(damage: Damage): Profile {
  return profileOfKind(damage);
}

function profileOfKind<K extends MeasuredKind>(damage: DamageOf<K>): Profile {
  return (PROFILE[damage.kind as K] as (d: DamageOf<K>) => Profile)(damage);
}
