import type { DamageKind, Family, Substrate } from "../catalogue";
import type { BraceInput, BraceJoint, BraceUse } from "../join/brace.schema";
import { handlingLever } from "../join/handling";
import type { PressureFacts } from "../join/pressure.data";
import type { SizedBrace } from "../join/sizing";
import { sidesOf } from "../join/sizing";
import type { Damage, DamageOf } from "../survey/measures.data";
import { sectionOf } from "../survey/place";
import type { Sketch } from "../survey/sketch";
import { box, type Dim } from "../survey/sketchParts";
import type { Service } from "../survey/survey.schema";
import { plain } from "../units";

type Asked = Omit<BraceInput, "material" | "use">;
type Asks = { readonly [K in DamageKind]?: (damage: DamageOf<K>) => Asked };

/** A member that broke off, as measured: its section, its load, and how far the faces stay apart, on the mean. */
function broken(damage: DamageOf<"break-along"> | DamageOf<"break-across">) {
  const { load_N, lever_mm, gap_from_mm = 0, gap_mm = 0 } = damage;
  const section = sectionOf(damage).at;
  return {
    section,
    lever_mm: lever_mm || handlingLever(sidesOf({ section }).height),
    ...(load_N ? { load_N } : {}),
    ...(gap_mm > 0 ? { gap_mm: (gap_from_mm + gap_mm) / 2 } : {}),
  };
}

/** What a damage asks of a brace; kinds that are only filled ask nothing. */
const ASKS: Asks = {
  "break-along": (damage) => ({ joint: "break-along", slope_length_mm: damage.slope_mm, ...broken(damage) }),
  "break-across": (damage) => ({ joint: "break-across", ...broken(damage) }),
  crack: ({ length_mm, depth_mm }) => ({
    joint: "crack",
    section: { width_mm: length_mm, height_mm: depth_mm },
    crack_length_mm: length_mm,
  }),
  tear: ({ length_mm, thickness_mm }) => ({
    joint: "tear",
    section: { width_mm: length_mm, height_mm: thickness_mm },
    crack_length_mm: length_mm,
  }),
  tip: ({ base_mm, length_mm }) => ({ joint: "build-up", section: { diameter_mm: base_mm }, lever_mm: length_mm }),
  corner: ({ a_mm, b_mm, c_mm }) => {
    const [least = 1, middle = 1, most = 1] = [a_mm, b_mm, c_mm].sort((x, y) => x - y);
    return { joint: "build-up", section: { width_mm: middle, height_mm: least }, lever_mm: most / 2 };
  },
  shards: ({ thickness_mm, shards, support = "body" }) => ({
    joint: "butt",
    section: { width_mm: thickness_mm * 4, height_mm: thickness_mm },
    pieces: shards,
    support,
  }),
};

/** The question for `brace`, from the damage and the use as surveyed; undefined where nothing is let in. */
export function braceQuestion(damage: Damage, material: Substrate, service: Service): BraceInput | undefined {
  const asked = asksOf(damage);
  return asked && { ...asked, material, use: handsOf(service) };
}

function handsOf({ load, flex, acoustic, touched }: Service): BraceUse {
  if (load) return "carried";
  if (flex || acoustic) return "played";
  return touched ? "handled" : "looked-at";
}

function asksOf<K extends DamageKind>(damage: DamageOf<K>): Asked | undefined {
  return (ASKS[damage.kind as K] as ((d: DamageOf<K>) => Asked) | undefined)?.(damage);
}

/** What decides how the joint is pressed. */
export function pressureFacts(damage: Damage, family: Family, sprung: boolean, gap_mm: number): PressureFacts {
  const asked = asksOf(damage);
  const sides = asked && sidesOf(asked);
  return {
    damage: damage.kind,
    family,
    sprung: sprung || (damage.kind === "tear" && damage.tension),
    section_mm: sides && Math.min(sides.width, sides.height),
    broad_mm: sides && Math.max(sides.width, sides.height),
    gap_mm,
  };
}

const JOINT_WORDS: Readonly<Record<BraceJoint, string>> = {
  "break-along": "break along the grain",
  "break-across": "break across",
  butt: "butt joint",
  crack: "crack",
  tear: "tear",
  "build-up": "build-up",
};

/** The joint with its brace in place, in mm: cut lengthwise, the break at 0. */
export function braceSketch(input: BraceInput, { kind, size }: Pick<SizedBrace, "kind" | "size">): Sketch {
  const { height, width } = sidesOf(input);
  if (kind === "cleat" || kind === "patch") return backed(`${JOINT_WORDS[input.joint]}, seen from behind, with its ${kind}`, input, size);
  const embed = size.embed_mm ?? (size.length_mm ?? 0) / 2;
  const out = size.out_mm ?? embed;
  const thick = size.diameter_mm ?? size.depth_mm ?? 0;
  const reach = Math.max(embed, out, height) * 1.35;
  const from = kind === "spline" ? height / 2 - thick : -thick / 2;
  const rod = box(-embed, from, embed + out, thick);
  const block = (x: number, length: number) => box(x, -height / 2, length, height);
  return {
    view: `${JOINT_WORDS[input.joint]}, cut lengthwise, with its ${kind}; ${plain(width)} mm wide`,
    solid: [block(-reach, reach), ...(input.joint === "build-up" ? [] : [block(0, reach)])],
    missing: [...(input.joint === "build-up" ? [block(0, Math.max(out, input.lever_mm ?? height) * 1.1)] : []), rod],
    lines: [
      [
        [0, -height / 2],
        [0, height / 2],
      ],
      [
        [-reach, from + thick / 2],
        [reach, from + thick / 2],
      ],
    ],
    dims: [
      { from: [-embed, height / 2], to: [0, height / 2], label: plain(embed, 1), beside: "above" },
      { from: [0, height / 2], to: [out, height / 2], label: plain(out, 1), beside: "above" },
      { from: [reach, height / 2], to: [reach, -height / 2], label: plain(height, 1), beside: "right" },
      { from: [out, from], to: [out, from + thick], label: plain(thick, 1), beside: "right" },
    ],
  };
}

/** What lies behind a crack or tear, seen from behind. */
function backed(view: string, { crack_length_mm = 0 }: BraceInput, size: Readonly<Record<string, number>>): Sketch {
  const long = size.length_mm ?? 0;
  const margin = size.margin_mm ?? 0;
  const count = size.count ?? 1;
  const half = crack_length_mm / 2;
  const wide = size.width_mm ?? 0;
  const first = count === 1 ? 0 : -half + (size.from_end_mm ?? 0);
  const step = size.spacing_mm ?? 0;
  const patches =
    margin > 0
      ? [box(-long / 2, -wide / 2, long, wide)]
      : Array.from({ length: count }, (_, i) => box(first + i * step - wide / 2, -long / 2, wide, long));
  const tall = Math.max(long, wide) * 1.5;
  const plate = box(-half * 1.25 - margin, -tall / 2, half * 2.5 + 2 * margin, tall);
  return {
    view,
    solid: [plate],
    missing: patches,
    lines: [
      [
        [-half, 0],
        [half, 0],
      ],
    ],
    dims: [
      { from: [-half, tall / 2], to: [half, tall / 2], label: plain(crack_length_mm, 1), beside: "above" },
      ...(margin > 0 || count < 2 ? [] : [spacingAt(first, -long / 2, step)]),
    ],
  };
}

/** From one cleat to the next, mm. */
const spacingAt = (x: number, y: number, step: number): Dim => ({
  from: [x, y],
  to: [x + step, y],
  label: plain(step, 1),
  beside: "below",
});
