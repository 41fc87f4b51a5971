import { dustOf, type MaterialClass } from "../catalogue";
import { doseFigures, doseOf, doseWords } from "../mix/doses";
import { squeezeOut } from "../mix/weigh";
import { first, row, type Told } from "../operation/row";
import type { LetIn, Tools } from "../operation/subject";
import { counted, grams, inSentence, plain } from "../units";
import { drillingOf } from "./drilling";
import type { nearestDrill } from "./drills.data";
import { routerPasses } from "./routing";

/** A router's jig and its usual bit, mm. */
const JIG_MM = 12;
const BIT_MM = 6;

const BRITTLE: readonly string[] = ["ceramic", "mineral"];

const BEFORE_BRACE = [first("clean", "the centre is found on clean faces"), first("mask", "chips and dust stay off"), first("dry-run", "the centre is carried over from the dry fit"), first("trim", "the face is sound")] as const;

const its = { link: (s: LetIn) => s.link, role: "brace" } as const;
const sizes = ({ size }: LetIn) => size;
const nameOf = ({ material }: Pick<Told, "material">) => inSentence(material?.name ?? "");
const dust = ({ f }: LetIn) => [dustOf(f.on)];

/** Holes, slots, anchors and cores: what is let in, fitted dry, and made fast. */
export const BRACE_OPS = {
  "drill-anchors": row({
    each: "letIn",
    stem: "drill",
    kind: "drill",
    when: ({ as }) => as === "anchors",
    needs: BEFORE_BRACE,
    ...its,
    facts: (s) => ({ count: sizes(s).count ?? 2, hole_mm: sizes(s).hole_mm ?? 5, embed_mm: sizes(s).embed_mm ?? 20, cover_mm: sizes(s).cover_mm ?? 15, dust: dust(s) }),
    hands: [10, 20],
    words: ({ facts: { count, hole_mm, embed_mm, cover_mm } }) => ({
      title: `Drill ${count} anchor holes`,
      text: `Drill ${count} anchor holes Ø ${plain(hole_mm)} mm, ${plain(embed_mm)} mm deep, undercut and not in line`,
      why: `They spread the pull over the face; ${plain(cover_mm)} mm of new plaster must cover every screw.`,
      done_when: "the holes are blown out and each screw stands in the middle of the lost corner",
    }),
    cautions: ({ facts }) => facts.dust,
    meets: ["pin-rust"],
  }),
  "set-anchors": row({
    each: "letIn",
    stem: "set-brace",
    kind: "brace",
    when: ({ as }) => as === "anchors",
    needs: [first("drill-anchors", "into its holes")],
    ...its,
    facts: (s) => ({ count: sizes(s).count ?? 2, diameter_mm: sizes(s).diameter_mm ?? 4, out_mm: sizes(s).out_mm ?? 15 }),
    hands: [5, 15],
    words: ({ facts: { count, diameter_mm, out_mm } }) => ({
      title: `Set ${count} anchor screws`,
      text: `Set ${count} stainless screws Ø ${plain(diameter_mm)} mm, ${plain(out_mm)} mm standing out, bent to the middle of the corner`,
      why: "Stainless: rust stains come through plaster.",
      done_when: "none rocks, none comes nearer to the face than its cover",
    }),
  }),
  slot: row({
    each: "letIn",
    kind: "drill",
    when: ({ as }) => as === "spline",
    needs: [...BEFORE_BRACE, { after: "bond", n: "last", stage: ["hard", "full", "handle"], because: "a router shakes a young joint apart" }, { after: "unclamp", n: "last", because: "the clamps are out of its way" }, first("squeeze-out", "its base lies flat")],
    ...its,
    facts: (s) => {
      const { width_mm = 0, depth_mm = 0, length_mm = 0, past_mm = 0, floor_mm = 0, count = 1 } = sizes(s);
      const { jig_mm = JIG_MM, bit_mm = BIT_MM } = s.tools;
      const { projection_mm, passes } = routerPasses(depth_mm, jig_mm, bit_mm);
      return { width_mm, depth_mm, length_mm, past_mm, floor_mm, count, jig_mm, bit_mm, projection_mm, passes: passes.length, dust: dust(s) };
    },
    hands: [20, 45],
    words: ({ facts: { count, width_mm, depth_mm, length_mm, projection_mm, jig_mm, passes, past_mm, floor_mm } }) => ({
      title: count > 1 ? `Rout ${count} slots` : "Rout the slot",
      text: `Rout ${count > 1 ? `${count} slots` : "the slot"} ${plain(width_mm)} mm wide, ${plain(depth_mm)} mm deep, ${plain(length_mm)} mm long: bit ${plain(projection_mm)} mm out of the base (slot + ${plain(jig_mm)} mm jig), ${counted(passes, "pass", "passes")}`,
      why: `${plain(past_mm)} mm past each end of the break: three heights. One deep pass burns and tears.`,
      done_when: `${plain(floor_mm)} mm of floor stay before the front face`,
    }),
    cautions: ({ facts }) => facts.dust,
  }),
  drill: row({
    each: "letIn",
    kind: "drill",
    when: ({ as }) => as === "dowel" || as === "rod",
    needs: BEFORE_BRACE,
    ...its,
    facts: (s) => {
      const { diameter_mm = 0, hole_mm, pilot_mm, embed_mm = 0, hole_depth_mm, out_mm } = sizes(s);
      return { diameter_mm, hole_mm, pilot_mm, embed_mm, hole_depth_mm, brittle: BRITTLE.includes(s.f.on.family), past: out_mm === undefined, ...bits(sizes(s), s.tools.drills), dust: dust(s) };
    },
    hands: [10, 25],
    words: (op) => ({
      title: op.facts.hole_mm === undefined ? "Drill the pilot hole" : `Drill Ø ${plain(op.facts.hole_mm)} mm`,
      text: holeWords(op),
      why: op.facts.brittle ? "Diamond bit, light hand: dry in soft body, under water in hard; the centre carried over by a transfer point." : `The centre carried over by a transfer point, a stop for the depth${op.facts.past ? ", past both ends of the break" : ""}.`,
      done_when: "the holes are in line, as deep as the card says, and free of dust",
    }),
    cautions: ({ facts }) => facts.dust,
    meets: ["strength-thin-wall"],
  }),
  "fit-brace": row({
    each: "letIn",
    kind: "brace",
    when: ({ as }) => as !== "anchors",
    needs: [first("drill", "into its hole"), first("slot", "into its slot")],
    ...its,
    facts: (s) => {
      const { count = 1, diameter_mm, length_mm = 0, embed_mm = 0, width_mm = 0, depth_mm, thickness_mm } = sizes(s);
      return { rod: s.as === "rod", screw: s.kind === "screw", count, diameter_mm, length_mm, embed_mm, width_mm, depth_mm: depth_mm ?? thickness_mm ?? 0 };
    },
    hands: [5, 15],
    words: (op) => ({
      title: op.facts.screw ? "Turn it in dry" : "Cut and fit dry",
      text: fitWords(op),
      why: op.facts.rod ? "It stays in the middle of the build with cover on all sides." : "Dry it slides in by hand, 0.1 to 0.2 mm of play: wood swells with the glue’s water.",
      done_when: op.facts.screw ? "it bites, stands straight, and clears the line of the build all round" : "it slides in by hand, nothing rocks, glue can escape",
    }),
    cautions: ({ material }) => material?.hazards ?? [],
    meets: ["dowel-swells", "pin-in-thin-glue"],
  }),
  "set-brace": row({
    each: "letIn",
    kind: "bond",
    // a rod under a build stands in glue of its own; a dowel goes in with the glue of the joint
    when: ({ as, glue }) => (as === "rod" || as === "spline") && glue !== undefined,
    needs: [first("fit-brace", "it went in dry")],
    link: ({ glue }) => glue,
    role: "adhesive",
    amount: ({ glue_cm3, film_mm, here, as }) => ({
      takes: here.map(({ id }) => ({ place: id, cm3: glue_cm3 })),
      // the play of a hole is filled from the brim; a cheek loses what is pressed out
      extra_pct: as === "spline" ? squeezeOut(film_mm) : 200,
      apply: "spread",
      least_cm3: 0.02,
    }),
    thickness: () => 0.1,
    starts: "clamped",
    facts: ({ link, as, size: { count = 1 }, tools }) => ({ what: inSentence(link.material.name), spline: as === "spline", count, scale_step_g: tools.scale_step_g }),
    hands: [3, 8],
    words: (op) =>
      op.facts.spline
        ? {
            title: op.facts.count > 1 ? "Glue the splines in" : "Glue the spline in",
            text: `Glue the ${op.facts.what} in with ${nameOf(op)}, about ${grams(op.takes?.mass_g ?? 0)} on the cheeks of ${op.facts.count > 1 ? `${op.facts.count} slots` : "its slot"}${freshMix(op)}`,
            why: "The cheeks carry, not the floor: both are wetted.",
            done_when: "it is down on its floor and a bead shows along both cheeks",
          }
        : {
            title: "Glue the core in",
            text: `Glue the ${op.facts.what} into its hole with ${nameOf(op)}, about ${grams(op.takes?.mass_g ?? 0)}${freshMix(op)}`,
            why: "A core that turns in its hole breaks the build.",
            done_when: "it stands on its line and a bead shows all round",
          },
    figures: ({ material, takes, facts }) => (material && takes && isMixed(material) ? doseFigures(doseOf(material, takes, facts.scale_step_g)) : {}),
    cautions: ({ material }) => material?.hazards ?? [],
  }),
  "flush-brace": row({
    each: "letIn",
    kind: "trim",
    when: ({ as, glue }) => as === "spline" && glue !== undefined,
    needs: [{ after: "set-brace", stage: ["hard", "full", "handle"], because: "the glue is hard" }],
    hands: [5, 15],
    words: { title: "Pare it flush", text: "Pare what stands over flush with a sharp chisel, from the ends inwards", why: "Pared outwards it splits off below the face.", done_when: "a fingertip runs over it" },
    cautions: ["blade"],
  }),
};

const isMixed = ({ mix }: MaterialClass): boolean => mix.parts.length > 1;

/** What is mixed is mixed anew for it: the cup of the joint has long set. */
function freshMix({ material, takes, facts }: Told<{ scale_step_g: number; what: string; spline: boolean; count: number }>): string {
  if (!material || !takes || !isMixed(material)) return "";
  const dose = doseOf(material, takes, facts.scale_step_g);
  return `, mixed fresh${dose?.pot_g === undefined ? "" : `, ${grams(dose.pot_g)} of it`}: ${doseWords(dose)}`;
}

/** A smaller hole is drilled at once, mm; trade practice. */
const PILOT_FROM_MM = 3;
/** A drill further off than this is no drill for the hole: a share of it, and never so much that the glue would have to fill it, mm. */
const DRILL_OFF = 0.15;
const DRILL_OFF_MM = 0.4;

/** The drills to take, where they are not the very size. */
function bits(size: LetIn["size"], drills: Tools["drills"]) {
  const found = new Map(drillingOf(size, drills ?? []).holes.map(({ hole, found: drill }) => [hole, drill]));
  const bit = (which: "pilot" | "hole", wanted_mm: number) => (drills ? nearest(wanted_mm, found.get(which)) : "");
  return { pilot_bit: bit("pilot", size.pilot_mm ?? 1), hole_bit: bit("hole", size.hole_mm ?? 0) };
}

function nearest(wanted_mm: number, found: ReturnType<typeof nearestDrill>): string {
  if (!found || Math.abs(found.off_mm) > Math.min(wanted_mm * DRILL_OFF, DRILL_OFF_MM)) return " (no drill in the drawer comes near: get one)";
  return Math.abs(found.off_mm) > 0.05 ? ` (nearest in the drawer: ${found.drill.label})` : "";
}

interface HoleFacts {
  readonly [name: string]: string | number | boolean | readonly string[] | undefined;
  readonly diameter_mm: number;
  readonly hole_mm: number | undefined;
  readonly pilot_mm: number | undefined;
  readonly embed_mm: number;
  readonly hole_depth_mm: number | undefined;
  readonly pilot_bit: string;
  readonly hole_bit: string;
}

function holeWords(op: Told<HoleFacts>): string {
  const { hole_mm, pilot_mm = 1, embed_mm, hole_depth_mm = embed_mm, diameter_mm, pilot_bit, hole_bit } = op.facts;
  const what = `for the ${nameOf(op)} Ø ${plain(diameter_mm)} mm`;
  if (hole_mm === undefined) return `Drill Ø ${plain(pilot_mm)} mm${pilot_bit}, ${plain(embed_mm)} mm deep, ${what}, which cuts its own thread`;
  const pilot = hole_mm < PILOT_FROM_MM ? "" : `: pilot ${plain(pilot_mm)} mm${pilot_bit} first`;
  return `Drill Ø ${plain(hole_mm)} mm${hole_bit}, ${plain(hole_depth_mm)} mm deep, ${what}${pilot}`;
}

/** Stainless wire over this is not bent by hand, mm; trade practice. */
const BENT_UP_TO_MM = 2;

function fitWords(op: Told<{ rod: boolean; screw: boolean; count: number; diameter_mm: number | undefined; length_mm: number; embed_mm: number; width_mm: number; depth_mm: number }>): string {
  const { rod, screw, count, diameter_mm, length_mm, embed_mm, width_mm, depth_mm } = op.facts;
  if (rod) return `${screw ? "Turn in dry and cut off" : (diameter_mm ?? 0) > BENT_UP_TO_MM ? "Cut" : "Cut and bend"} the ${nameOf(op)}: ${plain(diameter_mm ?? 0)} mm thick, ${plain(length_mm)} mm long, ${plain(embed_mm)} mm of it in the hole`;
  const pieces = count > 1 ? `${count} pieces, ` : "";
  const size = diameter_mm === undefined ? `${plain(width_mm)} × ${plain(depth_mm)} × ${plain(length_mm)} mm` : `Ø ${plain(diameter_mm)} mm, ${plain(length_mm)} mm long`;
  return `Cut the ${nameOf(op)}: ${pieces}${size}; fit it dry`;
}
