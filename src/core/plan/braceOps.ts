import { drillingOf } from "../join/drilling";
import type { nearestDrill } from "../join/drills.data";
import { routerPasses } from "../join/routing";
import { counted, grams, inSentence, plain } from "../units";
import { after, type Context, first, linkAt, type PlanLink, type Tools, type WorkPlace, weigh } from "./context";
import type { Draft, Drafts } from "./draft";
import { dustOf } from "./dust";

/** A router's jig and its usual bit, mm. */
const JIG_MM = 12;
const BIT_MM = 6;

const base = (c: Context, places: readonly WorkPlace[]) => ({ damage: c.f.id, places, of: "damage" as const, station: "join" as const });

type Size = Readonly<Record<string, number>>;

const BRITTLE: readonly string[] = ["ceramic", "mineral"];

const BEFORE_BRACE = [
  first("clean", "the centre is found on clean faces"),
  first("mask", "chips and dust stay off"),
  first("dry-run", "the centre is carried over from the dry fit"),
  first("trim", "the face is sound"),
];

/** What is let in, with its link and its place. */
interface LetIn {
  readonly c: Context;
  readonly place: WorkPlace;
  readonly link: PlanLink;
  readonly kind: string;
  readonly size: Size;
  readonly name: string;
  readonly shared: Pick<Draft, "damage" | "places" | "of" | "station" | "link" | "role" | "class" | "material">;
  readonly dust: readonly string[];
}

/** Holes, slots and the dry fit of what is let in. */
export function letIn(c: Context, place: WorkPlace, out: Drafts): void {
  const link = linkAt(c, place, "brace");
  if (!link || !c.brace) return;
  const { kind, size } = c.brace;
  const shared = { ...base(c, [place]), link: link.id, role: link.role, class: link.class, material: link.material };
  const one: LetIn = {
    c,
    place,
    link,
    kind,
    size,
    name: inSentence(link.material.name),
    shared,
    dust: [dustOf(c.f.on)],
  };
  if (place.name === "anchors") {
    anchors(one, out);
    return;
  }
  if (kind === "spline") slot(one, out);
  else hole(one, out);
  dryFit(one, out);
  setRod(one, out);
}

function anchors({ shared, size, dust }: LetIn, out: Drafts): void {
  const { count = 2, hole_mm = 5, embed_mm = 20, out_mm = 15, cover_mm = 15, diameter_mm = 4 } = size;
  out.add({
    ...shared,
    name: "drill",
    kind: "drill",
    text: `Drill ${count} anchor holes Ø ${plain(hole_mm)} mm, ${plain(embed_mm)} mm deep, undercut and not in line`,
    why: `They spread the pull over the face; ${plain(cover_mm)} mm of new plaster must cover every screw.`,
    done_when: "the holes are blown out and each screw stands in the middle of the lost corner",
    hands_min: [10, 20],
    cautions: [...dust],
    needs: BEFORE_BRACE,
    meets: ["pin-rust"],
  });
  out.add({
    ...shared,
    name: "set-brace",
    kind: "brace",
    text: `Set ${count} stainless screws Ø ${plain(diameter_mm)} mm, ${plain(out_mm)} mm standing out, bent to the middle of the corner`,
    why: "Stainless: rust stains come through plaster.",
    done_when: "none rocks, none comes nearer to the face than its cover",
    hands_min: [5, 15],
    cautions: [],
    needs: [first("drill", "into its holes")],
  });
}

function slot({ c, shared, size, dust }: LetIn, out: Drafts): void {
  const { width_mm = 0, depth_mm = 0, length_mm = 0, past_mm = 0, floor_mm = 0, count = 1 } = size;
  const { jig_mm = JIG_MM, bit_mm = BIT_MM } = c.tools;
  const passes = routerPasses(depth_mm, jig_mm, bit_mm);
  out.add({
    ...shared,
    name: "slot",
    kind: "drill",
    text: `Rout ${count > 1 ? `${count} slots` : "the slot"} ${plain(width_mm)} mm wide, ${plain(depth_mm)} mm deep, ${plain(length_mm)} mm long: bit ${plain(passes.projection_mm)} mm out of the base (slot + ${plain(jig_mm)} mm jig), ${counted(passes.passes.length, "pass", "passes")}`,
    why: `${plain(past_mm)} mm past each end of the break: three heights. One deep pass burns and tears.`,
    done_when: `${plain(floor_mm)} mm of floor stay before the front face`,
    hands_min: [20, 45],
    cautions: [...dust],
    needs: BEFORE_BRACE,
  });
}

function hole({ c, shared, size, name, dust }: LetIn, out: Drafts): void {
  out.add({
    ...shared,
    name: "drill",
    kind: "drill",
    text: holeWords(size, name, c.tools.drills),
    why: BRITTLE.includes(c.f.on.family)
      ? "Diamond bit, light hand: dry in soft body, under water in hard; the centre carried over by a transfer point."
      : `The centre carried over by a transfer point, a stop for the depth${size.out_mm === undefined ? ", past both ends of the break" : ""}.`,
    done_when: "the holes are in line, as deep as the card says, and free of dust",
    hands_min: [10, 25],
    cautions: [...dust],
    needs: BEFORE_BRACE,
    meets: ["strength-thin-wall"],
  });
}

/** A smaller hole is drilled at once, mm; trade practice. */
const PILOT_FROM_MM = 3;

function holeWords(size: Size, name: string, drills: Tools["drills"]): string {
  const { hole_mm, pilot_mm = 1, embed_mm = 0, hole_depth_mm = embed_mm, diameter_mm = 0 } = size;
  const what = `for the ${name} Ø ${plain(diameter_mm)} mm`;
  const found = new Map(drillingOf(size, drills ?? []).holes.map(({ hole: which, found: drill }) => [which, drill]));
  const bit = (which: "pilot" | "hole", wanted_mm: number) => `${plain(wanted_mm)} mm${drills ? nearest(wanted_mm, found.get(which)) : ""}`;
  if (hole_mm === undefined) return `Drill Ø ${bit("pilot", pilot_mm)}, ${plain(embed_mm)} mm deep, ${what}, which cuts its own thread`;
  const pilot = hole_mm < PILOT_FROM_MM ? "" : `: pilot ${bit("pilot", pilot_mm)} first`;
  return `Drill Ø ${bit("hole", hole_mm)}, ${plain(hole_depth_mm)} mm deep, ${what}${pilot}`;
}

/** A drill further off than this is no drill for the hole: a share of it, and never so much that the glue would have to fill it, mm. */
const DRILL_OFF = 0.15;
const DRILL_OFF_MM = 0.4;

/** The drill to take, where it is not the very size. */
function nearest(wanted_mm: number, found: ReturnType<typeof nearestDrill>): string {
  if (!found || Math.abs(found.off_mm) > Math.min(wanted_mm * DRILL_OFF, DRILL_OFF_MM))
    return " (no drill in the drawer comes near: get one)";
  return Math.abs(found.off_mm) > 0.05 ? ` (nearest in the drawer: ${found.drill.label})` : "";
}

const isRod = ({ kind, place, c }: LetIn): boolean => kind === "wire" || (place.name === "core" && c.damage.kind === "tip");

function dryFit(one: LetIn, out: Drafts): void {
  const { shared, link } = one;
  out.add({
    ...shared,
    name: "fit-brace",
    kind: "brace",
    text: fitWords(one),
    why: isRod(one)
      ? "It stays in the middle of the build with cover on all sides."
      : "Dry it slides in by hand, 0.1 to 0.2 mm of play: wood swells with the glue’s water.",
    done_when:
      one.kind === "screw"
        ? "it bites, stands straight, and clears the line of the build all round"
        : "it slides in by hand, nothing rocks, glue can escape",
    hands_min: [5, 15],
    cautions: [...link.material.hazards],
    needs: [first("drill", "into its hole"), first("slot", "into its slot")],
    meets: ["dowel-swells", "pin-in-thin-glue"],
  });
}

function fitWords(one: LetIn): string {
  const { kind, size, name } = one;
  if (!isRod(one)) return `Cut the ${name}: ${braceSize(size)}; fit it dry`;
  const { diameter_mm = 0, length_mm = 0, embed_mm = 0 } = size;
  return `${kind === "screw" ? "Turn in dry and cut off" : "Cut and bend"} the ${name}: ${plain(diameter_mm)} mm thick, ${plain(length_mm)} mm long, ${plain(embed_mm)} mm of it in the hole`;
}

/** A rod under a build stands in glue of its own; a dowel goes in with the glue of the joint. */
function setRod(one: LetIn, out: Drafts): void {
  const { c, place, size, name } = one;
  const glue = linkAt(c, place, "adhesive");
  if (!isRod(one) || !glue) return;
  const { hole_mm = 0, diameter_mm = 0, embed_mm = 0 } = size;
  const cm3 = ((Math.PI / 4) * (hole_mm ** 2 - diameter_mm ** 2) * embed_mm) / 1000;
  const weighed = weigh(glue.material, Math.max(cm3, 0.02), 200, "spread", c.air);
  out.add({
    ...base(c, [place]),
    link: glue.id,
    role: "adhesive",
    class: glue.class,
    material: glue.material,
    name: "set-brace",
    kind: "bond",
    text: `Glue the ${name} into its hole with ${inSentence(glue.material.name)}, about ${grams(weighed.mass_g)}`,
    why: "A core that turns in its hole breaks the build.",
    done_when: "it stands on its line and a bead shows all round",
    hands_min: [3, 8],
    cautions: [...glue.material.hazards],
    needs: [first("fit-brace", "it went in dry")],
    mass_g: weighed.mass_g,
    volume_cm3: weighed.volume_cm3,
    parts: weighed.parts,
    thickness_mm: 0.1,
    starts: "clamped",
  });
}

function braceSize(size: Size): string {
  const count = (size.count ?? 1) > 1 ? `${size.count} pieces, ` : "";
  if (size.diameter_mm !== undefined) return `${count}Ø ${plain(size.diameter_mm)} mm, ${plain(size.length_mm ?? 0)} mm long`;
  return `${count}${plain(size.width_mm ?? 0)} × ${plain(size.depth_mm ?? size.thickness_mm ?? 0)} × ${plain(size.length_mm ?? 0)} mm`;
}

/** Cleats behind a crack: a glue and a clock of their own. */
export function cleats(c: Context, place: WorkPlace, out: Drafts): void {
  const link = linkAt(c, place, "brace");
  const glue = linkAt(c, place, "adhesive");
  if (!link || !glue || !c.brace) return;
  const { count = 1, length_mm = 25, width_mm = 15, thickness_mm = 1.5, spacing_mm = 0, from_end_mm = 20 } = c.brace.size;
  const need = (count * length_mm * width_mm * 0.1) / 1000;
  const weighed = weigh(glue.material, need, 60, "spread", c.air);
  out.add({
    ...base(c, [place]),
    link: link.id,
    role: "brace",
    class: link.class,
    material: link.material,
    name: "cut-cleats",
    kind: "brace",
    text: `Cut ${counted(count, "cleat")} ${plain(length_mm)} × ${plain(width_mm)} × ${plain(thickness_mm)} mm, edges feathered to nothing`,
    why: `Grain across the crack; ${count > 1 ? `${plain(spacing_mm)} mm apart, the first ${plain(from_end_mm)} mm from the ends` : "in its middle"}: a step would print through and stiffen the plate.`,
    done_when: "they lie without rocking, marked by a caul",
    hands_min: [15, 30],
    cautions: ["blade"],
    needs: [first("clean", "on clean wood")],
  });
  out.add({
    ...base(c, [place]),
    link: glue.id,
    role: "adhesive",
    class: glue.class,
    material: glue.material,
    name: "cleats",
    kind: "bond",
    text: `Glue the ${counted(count, "cleat")} across the crack from behind with ${inSentence(glue.material.name)}, ${grams(weighed.mass_g)}`,
    why: "Light pressure only, the opposite side supported: a thin plate cracks beside a hard clamp.",
    done_when: "every one sits on its mark, a thin bead all round",
    hands_min: [10, 20],
    cautions: [...glue.material.hazards, "clamp-force"],
    mass_g: weighed.mass_g,
    volume_cm3: weighed.volume_cm3,
    parts: weighed.parts,
    thickness_mm: 0.1,
    needs: [first("unclamp-1", "the crack holds by itself"), first("cut-cleats", "they fit")],
    starts: "clamped",
    uses: ["clamps"],
  });
  out.add({
    ...base(c, [place]),
    name: "cleats-off",
    kind: "unclamp",
    text: "Take the pressure off the cleats",
    why: "They have a clock of their own.",
    done_when: "tapping sounds the same all along",
    hands_min: [2, 5],
    cautions: [],
    needs: [after("cleats", glue.material, ["handle", "hard", "full"], 0.1, c.air, "handling strength")],
  });
}
