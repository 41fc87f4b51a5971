import type { DamageKind } from "../catalogue";
import type { Profile } from "../fill/section";
import type { Damage, DamageOf } from "../survey/measures.data";
import { sectionOf } from "../survey/place";

const CLOSED_MM = 0.1;
const open = (width: number, depth: number): Profile => ({ kind: "shaft", width: Math.max(width, CLOSED_MM), depth, through: true });
const tray = (width: number, depth: number): Profile => ({ kind: "shaft", width, depth: Math.max(depth, CLOSED_MM), through: false });

const PROFILE: { readonly [K in DamageKind]: (damage: DamageOf<K>) => Profile } = {
  chip: ({ length_mm, depth_mm, shape = "shell" }) =>
    ({
      shell: { kind: "scoop", width: length_mm, depth: depth_mm } as const,
      wedge: { kind: "groove", width: length_mm, depth: depth_mm } as const,
      straight: tray(length_mm, depth_mm),
    })[shape],
  // the foot of the height on the broken face divides it as a² : b²
  corner: ({ a_mm, b_mm }) => {
    const width = Math.hypot(a_mm, b_mm);
    return { kind: "peak", width, foot: (a_mm / width) ** 2, depth: (a_mm * b_mm) / width };
  },
  tip: ({ base_mm, length_mm }) => ({ kind: "peak", width: base_mm, foot: 0.5, depth: length_mm }),
  hole: ({ diameter_mm, depth_mm, through }) => ({ kind: "shaft", width: diameter_mm, depth: depth_mm, through }),
  crack: ({ width_mm, depth_mm }) => ({ kind: "groove", width: width_mm, depth: depth_mm }),
  shards: ({ thickness_mm, gap_mm = 0 }) => open(gap_mm, thickness_mm),
  "break-along": ({ gap_mm = 0, ...member }) => open(gap_mm, sectionOf(member).height),
  "break-across": ({ gap_mm = 0, ...member }) => open(gap_mm, sectionOf(member).height),
  "loose-joint": ({ play_mm, depth_mm }) => tray(play_mm, depth_mm),
  tear: ({ thickness_mm, lost_mm = 0 }) => open(lost_mm, thickness_mm),
  "veneer-lifted": ({ width_mm, thickness_mm }) => tray(width_mm, thickness_mm),
  "veneer-lost": ({ width_mm, thickness_mm }) => tray(width_mm, thickness_mm),
  scratch: ({ width_mm, depth_mm }) => ({ kind: "groove", width: width_mm, depth: depth_mm }),
  dent: ({ diameter_mm, depth_mm }) => ({ kind: "scoop", width: diameter_mm, depth: depth_mm }),
  "burn-through": ({ width_mm, depth_mm }) => tray(width_mm, depth_mm),
  eroded: ({ width_mm, depth_mm }) => tray(width_mm, depth_mm),
  "worn-thin": ({ width_mm, remaining_mm, target_mm }) => tray(width_mm, target_mm - remaining_mm),
  stain: ({ width_mm }) => tray(width_mm, 0),
};

/** The cut in which a fill is drawn: a chip along its edge, a corner across its two first edges, the rest across. */
export function profileOf(damage: Damage): Profile {
  return profileOfKind(damage);
}

function profileOfKind<K extends DamageKind>(damage: DamageOf<K>): Profile {
  return (PROFILE[damage.kind as K] as (d: DamageOf<K>) => Profile)(damage);
}
