import type { DamageKind } from "../catalogue";
import { type Point, plain } from "../units";
import type { Damage, DamageOf } from "./measures.data";
import { sectionOf } from "./place";
import { across, box, CHIP_EDGE, COS30, cut, down, hollow, notched, place, type Sketch } from "./sketchParts";

export type { Dim, Sketch } from "./sketchParts";

const SKETCH: { readonly [K in DamageKind]: (damage: DamageOf<K>) => Sketch } = {
  chip: ({ length_mm: l, depth_mm: d, thickness_mm: t, shape = "shell" }) => {
    const front = cut("seen from the front, and the wall cut through", CHIP_EDGE[shape](l, d), l, d);
    const gap = Math.max(l * 0.8, d * 0.6) + Math.max(l, t) * 0.35;
    return {
      ...front,
      solid: [...front.solid, box(gap, -d * 1.7, t, d * 0.7)],
      missing: [...front.missing, box(gap, -d, t, d)],
      dims: [...front.dims, across(gap, gap + t, 0, t)],
    };
  },
  corner: ({ a_mm: a, b_mm: b, c_mm: c }) => {
    const [pa, pb, pc]: [Point, Point, Point] = [
      [a * COS30, -a / 2],
      [-b * COS30, -b / 2],
      [0, -c],
    ];
    const far = Math.max(a, b, c) * 1.5;
    const [fa, fb, fc]: [Point, Point, Point] = [
      [far * COS30, -far / 2],
      [-far * COS30, -far / 2],
      [0, -far],
    ];
    const add = ([x, y]: Point, [u, v]: Point): Point => [x + u, y + v];
    return {
      view: "seen over the corner; true along its three edges",
      solid: [
        [pa, fa, add(fa, fc), fc, pc],
        [pb, fb, add(fb, fc), fc, pc],
      ],
      missing: [
        [[0, 0], pa, pc],
        [[0, 0], pb, pc],
        [[0, 0], pa, pb],
      ],
      lines: [[pa, pb, pc, pa]],
      dims: [
        { from: [0, 0], to: pa, label: plain(a, 2), beside: "above" },
        { from: pb, to: [0, 0], label: plain(b, 2), beside: "above" },
        { from: [0, 0], to: pc, label: plain(c, 2), beside: "right" },
      ],
    };
  },
  tip: ({ base_mm: b, length_mm: l, lean_deg = 0, shape = "pointed" }) => {
    const lean = (lean_deg * Math.PI) / 180;
    const end: Point = [l, l * Math.tan(lean)];
    const half = shape === "blunt" ? b / 4 : 0;
    return {
      view: "from the side, the stump on the left",
      solid: [box(-b * 1.2, -b / 2, b * 1.2, b)],
      missing: [
        [
          [0, -b / 2],
          [end[0], end[1] - half],
          [end[0], end[1] + half],
          [0, b / 2],
        ],
      ],
      lines: [
        [
          [-b * 1.4, 0],
          [l * 1.1, 0],
        ],
        [[0, 0], end],
      ],
      dims: [across(0, l, Math.min(-b / 2, end[1]), l, "below"), down(l * 1.12, b / 2, -b / 2, b)],
    };
  },
  hole: ({ diameter_mm: w, depth_mm: d, through }) => {
    const notch: Point[] = [
      [-w / 2, 0],
      [-w / 2, -d],
      [w / 2, -d],
      [w / 2, 0],
    ];
    const reach = Math.max(w, d * 0.5);
    const walls = [box(-reach, -d, reach - w / 2, d), box(w / 2, -d, reach - w / 2, d)];
    return {
      view: "cut through the middle, outer face up",
      solid: through ? walls : [notched(reach, d * 1.5, notch)],
      missing: [notch],
      lines: [],
      dims: [across(-w / 2, w / 2, 0, w), down(reach, 0, -d, d)],
    };
  },
  shards: ({ shards, break_length_mm: l, thickness_mm: t, gap_mm: gap = 0 }) => ({
    view: `all breaks laid out in one line, ${shards} shards`,
    solid: [
      box(0, gap / 2, l, Math.max(l * 0.06, t)),
      box(0, -gap / 2 - Math.max(l * 0.06, t), l, Math.max(l * 0.06, t)),
      box(l * 1.08, -t / 2, t, t),
    ],
    missing: gap > 0 ? [box(0, -gap / 2, l, gap)] : [],
    lines: [
      [
        [0, 0],
        [l, 0],
      ],
    ],
    dims: [across(0, l, Math.max(l * 0.06, t) + gap / 2, l), across(l * 1.08, l * 1.08 + t, t / 2, t)],
  }),
  "break-along": ({ slope_mm: s, gap_mm: gap = 0, ...member }) => along(s, sectionOf(member).height, gap),
  "break-across": ({ lever_mm: lever = 0, gap_mm: gap = 0, ...member }) => {
    const { width: w, height: h } = sectionOf(member);
    const out = Math.max(lever, h * 1.5);
    return {
      view: "from the side, and the section",
      solid: [box(-h * 1.5, 0, h * 1.5, h), box(gap, 0, out, h), box(gap + out + h * 0.6, 0, w, h)],
      missing: [],
      lines: [
        [
          [0, 0],
          [h * 0.08, h * 0.25],
          [-h * 0.06, h * 0.5],
          [h * 0.08, h * 0.75],
          [0, h],
        ],
        ...(lever > 0
          ? [
              [
                [gap + lever, h * 2],
                [gap + lever, h],
              ] as Point[],
            ]
          : []),
      ],
      dims: [
        ...(lever > 0 ? [across(gap, gap + lever, 0, lever, "below")] : []),
        across(gap + out + h * 0.6, gap + out + h * 0.6 + w, h, w),
        down(gap + out + h * 0.6 + w, h, 0, h),
      ],
    };
  },
  crack: ({ length_mm: l, width_mm: w, depth_mm: d }) => {
    const aside = l / 2 + Math.max(l * 0.25, w);
    return {
      view: "cut along the crack, and across it",
      solid: [
        box(-l * 0.6, -d * 1.6, l * 1.2, d * 0.6),
        box(-l * 0.6, -d, l * 0.1, d),
        box(l * 0.5, -d, l * 0.1, d),
        box(aside, -d * 1.6, d, d * 1.6),
      ],
      missing: [
        box(-l / 2, -d, l, d),
        [
          [aside + d / 2 - w / 2, 0],
          [aside + d / 2, -d],
          [aside + d / 2 + w / 2, 0],
        ],
      ],
      lines: [],
      dims: [across(-l / 2, l / 2, 0, l), across(aside + d / 2 - w / 2, aside + d / 2 + w / 2, 0, w), down(aside + d, 0, -d, d)],
    };
  },
  tear: ({ length_mm: l, thickness_mm: t, lost_mm: lost = 0, flap }) => {
    const wide = Math.max(l * 0.3, lost * 2);
    const run: Point[] = flap
      ? [
          [-l / 2, -l * 0.3],
          [-l / 2, 0],
          [l / 2, 0],
          [l / 2, -l * 0.3],
        ]
      : Array.from({ length: 9 }, (_, i): Point => [-l / 2 + (l * i) / 8, (i % 2 === 0 ? 1 : -1) * wide * 0.05]);
    return {
      view: flap ? "seen from above, the flap below" : "seen from above",
      solid: [box(-l * 0.7, flap ? -l * 0.6 : -wide, l * 1.4, flap ? l * 0.6 + wide : wide * 2), box(l * 0.8, -l * 0.1, t, l * 0.2)],
      missing: lost > 0 ? [box(-l / 2, -lost / 2, l, lost)] : [],
      lines: [run],
      dims: [
        across(-l / 2, l / 2, wide, l),
        across(l * 0.8, l * 0.8 + t, l * 0.1, t),
        ...(lost > 0 ? [down(l * 0.7, lost / 2, -lost / 2, lost)] : []),
      ],
    };
  },
  "veneer-lifted": ({ length_mm, width_mm, thickness_mm }) =>
    place("from above; the sheet below it, from the side", length_mm, width_mm, thickness_mm, thickness_mm),
  "veneer-lost": ({ length_mm, width_mm, thickness_mm }) =>
    place("from above; cut through below it", length_mm, width_mm, thickness_mm, thickness_mm),
  scratch: ({ width_mm: w, depth_mm: d, film_um }) => {
    const film = film_um / 1000;
    const reach = Math.max(w, d, film) * 1.4;
    return {
      view: "cut across; the line is the underside of the film",
      solid: [
        notched(reach, Math.max(d, film) * 1.7, [
          [-w / 2, 0],
          [0, -d],
          [w / 2, 0],
        ]),
      ],
      missing: [
        [
          [-w / 2, 0],
          [0, -d],
          [w / 2, 0],
        ],
      ],
      lines:
        film > 0
          ? [
              [
                [-reach, -film],
                [reach, -film],
              ],
            ]
          : [],
      dims: [across(-w / 2, w / 2, 0, w), down(reach, 0, -d, d)],
    };
  },
  dent: ({ diameter_mm, depth_mm }) => cut("cut through the middle, outer face up", hollow(diameter_mm, depth_mm), diameter_mm, depth_mm),
  "burn-through": ({ length_mm, width_mm, depth_mm }) => place("from above; cut through below it", length_mm, width_mm, depth_mm, depth_mm),
  eroded: ({ length_mm, width_mm, depth_mm }) => place("from above; cut through below it", length_mm, width_mm, depth_mm, depth_mm),
  "worn-thin": ({ length_mm: l, remaining_mm: r, target_mm: t }) => ({
    view: "cut through the thin place, hidden face down",
    solid: [box(-l * 0.8, -t, l * 0.3, t), box(-l / 2, -r, l, r), box(l * 0.5, -t, l * 0.3, t)],
    missing: t > r ? [box(-l / 2, -t, l, t - r)] : [],
    lines: [],
    dims: [
      across(-l / 2, l / 2, 0, l),
      down(l * 0.8, 0, -t, t),
      { from: [l * 0.45, 0], to: [l * 0.45, -r], label: plain(r, 2), beside: "right" },
    ],
  }),
  stain: ({ length_mm, width_mm }) => place("seen from above", length_mm, width_mm, 0, 0),
  "loose-joint": ({ depth_mm: deep, play_mm: play, shoulder_mm: open = 0, ...member }) => {
    const { height: h } = sectionOf(member);
    const around = Math.max(h, 4);
    return {
      view: "cut lengthwise: the socket left, all its play above",
      solid: [
        [
          [-deep - around, -h / 2 - around],
          [0, -h / 2 - around],
          [0, -h / 2],
          [-deep, -h / 2],
          [-deep, h / 2 + play],
          [0, h / 2 + play],
          [0, h / 2 + around],
          [-deep - around, h / 2 + around],
        ],
        [
          [-deep * 0.97 + open, -h / 2],
          [open, -h / 2],
          [open, -h / 2 - around * 0.6],
          [open + around * 2, -h / 2 - around * 0.6],
          [open + around * 2, h / 2 + around * 0.6],
          [open, h / 2 + around * 0.6],
          [open, h / 2],
          [-deep * 0.97 + open, h / 2],
        ],
      ],
      missing: [],
      lines: [],
      dims: [across(-deep, 0, h / 2 + around, deep), down(open + around * 2, h / 2, -h / 2, h), ...playAt(-deep / 2, h / 2, play)],
    };
  },
};

/** The play above a member in its socket; nothing where it sits tight. */
const playAt = (x: number, y: number, play: number): Sketch["dims"][number][] =>
  play > 0 ? [{ from: [x, y], to: [x, y + play], label: plain(play, 2), beside: "right" }] : [];

/** A break along the grain from the side, its slope as a slope. */
function along(s: number, h: number, gap: number): Sketch {
  return {
    view: "from the side, grain lengthwise",
    solid: [
      [
        [-s * 0.9, 0],
        [-s / 2, 0],
        [s / 2, h],
        [-s * 0.9, h],
      ],
      [
        [s * 0.9 + gap, 0],
        [-s / 2 + gap, 0],
        [s / 2 + gap, h],
        [s * 0.9 + gap, h],
      ],
    ],
    missing: [],
    lines: [
      [
        [-s / 2, 0],
        [s / 2, h],
      ],
    ],
    dims: [across(-s / 2, s / 2, h, s), down(s * 0.9 + gap, h, 0, h)],
  };
}

/** The drawing of a damage from its measurements. */
export function sketchOf(damage: Damage): Sketch {
  return sketchOfKind(damage);
}

function sketchOfKind<K extends DamageKind>(damage: DamageOf<K>): Sketch {
  return (SKETCH[damage.kind as K] as (d: DamageOf<K>) => Sketch)(damage);
}

/** Left, right, bottom and top of everything drawn, in mm. */
export function boundsOf({ solid, missing, lines, dims }: Sketch) {
  const points = [...solid, ...missing, ...lines].flat().concat(dims.flatMap(({ from, to }) => [from, to]));
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), bottom: Math.min(...ys), top: Math.max(...ys) };
}
