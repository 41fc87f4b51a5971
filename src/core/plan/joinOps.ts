import { braceKindOf } from "../join/kinds.data";
import { layup } from "../join/layup";
import { consistencyFor, pressureFor } from "../join/pressure.data";
import { routerPasses } from "../join/routing";
import { joinsASitting } from "../ready/assembly";
import { counted, inSentence, plain } from "../units";
import { pressureFacts } from "./braceQuestion";
import {
  after,
  type Context,
  first,
  linkAt,
  type PlanLink,
  placesWith,
  squeezeOut,
  told,
  type Weighed,
  type WorkPlace,
  weigh,
} from "./context";
import { doseWords, grams } from "./doses";
import type { Drafts, Need } from "./draft";
import { lagOf } from "./lag";
import { isLaidWithGlue } from "./links";

/** A tear is laid in sections so long, mm: middle of 15 to 25; Kite and Thomson 2006, ch. 11. */
const SECTION_MM = 20;
/** A router's jig and its usual bit, mm. */
const JIG_MM = 12;
const BIT_MM = 6;

/** What must be behind before anything is glued. */
const BEFORE_GLUE: readonly Need[] = [
  first("dry-run", "the set-up is tried before glue is on it"),
  first("clean", "nothing holds on dirt"),
  first("remove-old", "nothing holds on old glue"),
  first("old-glue-out", "nothing holds on old glue"),
  first("mask", "smears beside it"),
  first("release", "or it glues itself to its board"),
  first("barrier", "the glue lies on the barrier"),
  first("consolidate", "the edge is firm"),
  first("cut-core", "the bed is level"),
  first("choose-sheet", "the sheet fits"),
  first("humidify", "the crack is shut"),
  first("slips", "the play is gone"),
  first("wrap", "the play is gone"),
  first("open-crack", "the slip fits"),
  first("bore", "the piece fits"),
  first("drill", "the holes are there"),
  first("slot", "the slot is there"),
  first("fit-brace", "it went in dry"),
  first("tap-bed", "the bed is sound"),
];

/** Bonding and bracing of one damage. */
export function joinOps(c: Context, out: Drafts): void {
  const faces = placesWith(c, "adhesive").filter(({ kind }) => kind === "faces");
  const core = placesWith(c, "brace").filter(({ kind }) => kind === "core");
  for (const place of core) if (place.name !== "cleats") letIn(c, place, out);
  for (const place of placesWith(c, "brace").filter(({ kind }) => kind === "backing")) backIt(c, place, out);
  for (const place of faces) bondFaces(c, place, core, out);
  for (const place of core) if (place.name === "cleats") cleats(c, place, out);
}

const base = (c: Context, places: readonly WorkPlace[]) => ({ damage: c.f.id, places, of: "damage" as const, station: "join" as const });

/** Holes, slots and the dry fit of what is let in. */
function letIn(c: Context, place: WorkPlace, out: Drafts): void {
  const link = linkAt(c, place, "brace");
  if (!link || !c.brace) return;
  const { kind, size } = c.brace;
  const name = inSentence(link.material.name);
  const dust =
    c.f.on.family === "ceramic" || c.f.on.family === "mineral"
      ? ["silica"]
      : c.f.on.family === "wood" || c.f.on.family === "board"
        ? ["dust-wood"]
        : c.f.on.family === "metal"
          ? ["dust-metal"]
          : ["dust-resin"];
  const before = [
    first("clean", "the centre is found on clean faces"),
    first("mask", "chips and dust stay off"),
    first("dry-run", "the centre is carried over from the dry fit"),
    first("trim", "the face is sound"),
  ];
  const link_ = { link: link.id, role: link.role, class: link.class, material: link.material };
  if (place.name === "anchors") {
    const { count = 2, hole_mm = 5, embed_mm = 20, out_mm = 15, cover_mm = 15 } = size;
    out.add({
      ...base(c, [place]),
      ...link_,
      name: "drill",
      kind: "drill",
      text: `Drill ${count} anchor holes Ø ${plain(hole_mm)} mm, ${plain(embed_mm)} mm deep, undercut and not in line`,
      why: `They spread the pull over the face; ${plain(cover_mm)} mm of new plaster must cover every screw.`,
      done_when: "the holes are blown out and each screw stands in the middle of the lost corner",
      hands_min: [10, 20],
      cautions: [...dust],
      needs: before,
      meets: ["pin-rust"],
    });
    out.add({
      ...base(c, [place]),
      ...link_,
      name: "set-brace",
      kind: "brace",
      text: `Set ${count} stainless screws Ø ${plain(size.diameter_mm ?? 4)} mm, ${plain(out_mm)} mm standing out, bent to the middle of the corner`,
      why: "Stainless: rust stains come through plaster.",
      done_when: "none rocks, none comes nearer to the face than its cover",
      hands_min: [5, 15],
      cautions: [],
      needs: [first("drill", "into its holes")],
    });
    return;
  }
  if (kind === "spline") {
    const passes = routerPasses(size.depth_mm ?? 0, JIG_MM, BIT_MM);
    const many = (size.count ?? 1) > 1 ? `${size.count} slots` : "the slot";
    out.add({
      ...base(c, [place]),
      ...link_,
      name: "slot",
      kind: "drill",
      text: `Rout ${many} ${plain(size.width_mm ?? 0)} mm wide, ${plain(size.depth_mm ?? 0)} mm deep, ${plain(size.length_mm ?? 0)} mm long: bit ${plain(passes.projection_mm)} mm out of the base (slot + ${JIG_MM} mm jig), ${counted(passes.passes.length, "pass", "passes")}`,
      why: `${plain(size.past_mm ?? 0)} mm past each end of the break: three heights. One deep pass burns and tears.`,
      done_when: `${plain(size.floor_mm ?? 0)} mm of floor stay before the front face`,
      hands_min: [20, 45],
      cautions: [...dust],
      needs: before,
    });
  } else {
    const out_mm = size.out_mm === undefined ? "" : `, ${plain(size.out_mm)} mm standing out`;
    out.add({
      ...base(c, [place]),
      ...link_,
      name: "drill",
      kind: "drill",
      text:
        size.hole_mm === undefined
          ? `Drill Ø ${plain(size.pilot_mm ?? 1)} mm, ${plain(size.embed_mm ?? 0)} mm deep, for the ${name} Ø ${plain(size.diameter_mm ?? 0)} mm, which cuts its own thread`
          : `Drill Ø ${plain(size.hole_mm)} mm, ${plain(size.hole_depth_mm ?? size.embed_mm ?? 0)} mm deep, for the ${name} Ø ${plain(size.diameter_mm ?? 0)} mm: pilot ${plain(size.pilot_mm ?? 1)} mm first`,
      why:
        c.f.on.family === "ceramic" || c.f.on.family === "mineral"
          ? "Diamond bit, light hand: dry in soft body, under water in hard; the centre carried over by a transfer point."
          : `The centre carried over by a transfer point, a stop for the depth${out_mm ? "" : ", past both ends of the break"}.`,
      done_when: "the holes are in line, as deep as the card says, and free of dust",
      hands_min: [10, 25],
      cautions: [...dust],
      needs: before,
      meets: ["strength-thin-wall"],
    });
  }
  const isRod = kind === "wire" || (place.name === "core" && c.damage.kind === "tip");
  out.add({
    ...base(c, [place]),
    ...link_,
    name: "fit-brace",
    kind: "brace",
    text: isRod
      ? `${kind === "screw" ? "Turn in dry and cut off" : "Cut and bend"} the ${name}: ${plain(size.diameter_mm ?? 0)} mm thick, ${plain(size.length_mm ?? 0)} mm long, ${plain(size.embed_mm ?? 0)} mm of it in the hole`
      : `Cut the ${name}: ${braceSize(size)}; fit it dry`,
    why: isRod
      ? "It stays in the middle of the build with cover on all sides."
      : "Dry it slides in by hand, 0.1 to 0.2 mm of play: wood swells with the glue’s water.",
    done_when: "it slides in by hand, nothing rocks, glue can escape",
    hands_min: [5, 15],
    cautions: [...link.material.hazards],
    needs: [first("drill", "into its hole"), first("slot", "into its slot")],
    meets: ["dowel-swells", "pin-in-thin-glue"],
  });
  const glue = linkAt(c, place, "adhesive");
  if (!isRod || !glue) return;
  const cm3 = ((Math.PI / 4) * ((size.hole_mm ?? 0) ** 2 - (size.diameter_mm ?? 0) ** 2) * (size.embed_mm ?? 0)) / 1000;
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

function braceSize(size: Readonly<Record<string, number>>): string {
  const count = (size.count ?? 1) > 1 ? `${size.count} pieces, ` : "";
  if (size.diameter_mm !== undefined) return `${count}Ø ${plain(size.diameter_mm)} mm, ${plain(size.length_mm ?? 0)} mm long`;
  return `${count}${plain(size.width_mm ?? 0)} × ${plain(size.depth_mm ?? size.thickness_mm ?? 0)} × ${plain(size.length_mm ?? 0)} mm`;
}

/** Glue on the faces: weighed, laid in as many sittings as the open time asks, pressed, looked at, freed. */
function bondFaces(c: Context, place: WorkPlace, core: readonly WorkPlace[], out: Drafts): void {
  const link = linkAt(c, place, "adhesive");
  if (!link) return;
  const { material } = link;
  const film = place.film_mm ?? 0.1;
  const name = inSentence(material.name);
  const braced = c.brace && core.some(({ name: of }) => of === "core") ? braceGlueCm3(c.brace.size, film) : 0;
  const need = ((place.area_mm2 ?? 0) * film) / 1000 + braced;
  const weighed = weigh(material, need, squeezeOut(film), "spread", c.air);
  const sittings = sittingsOf(c, place, link);
  const info = { link: link.id, role: "adhesive" as const, class: link.class, material, thickness_mm: film };
  const gap = place.gap_mm ? consistencyFor(place.gap_mm[1]).word.toLowerCase() : "";
  const contact = link.class === "contact-adhesive";
  const pressure = pressureFor(pressureFacts(c.damage, c.f.on.family, c.f.sprung, place.gap_mm?.[1] ?? film))[0];
  const press =
    place.name === "bed" || contact
      ? {
          how: contact
            ? "Press it down from the middle with a block; it grabs at once, there is no second try."
            : "Film, a flat board over the whole, weights or clamps from the middle.",
          label: contact ? "Press with a block" : "Board and weights",
          off: "Take board and weights off",
        }
      : pressure;
  const handle: readonly ["handle", "hard", "full"] = ["handle", "hard", "full"];
  const glueNeeds = [...BEFORE_GLUE, ...frameNeeds(c)];
  const mixes = material.mix.parts.length > 1;
  for (let i = 1; i <= sittings; i++) {
    const nth = sittings > 1 ? `-${i}` : "-1";
    const before: Need[] =
      i === 1 ? glueNeeds : [after(`bond-${i - 1}`, material, ["handle", "hard"], film, c.air, "what was joined before holds")];
    const share = {
      mass_g: weighed.mass_g / sittings,
      volume_cm3: weighed.volume_cm3 / sittings,
      parts: weighed.parts.map((part) => ({ ...part, mass_g: part.mass_g / sittings })),
    };
    const sitting = sittings > 1 ? `, sitting ${i} of ${sittings}` : "";
    if (mixes) {
      const words = (all: Weighed) =>
        `Mix ${grams(all.mass_g)} of ${name}${sitting}: ${doseWords(material, all, c.tools.scale_step_g).words}`;
      const one = weigh(material, need / sittings, squeezeOut(film), "spread", c.air);
      out.add({
        ...base(c, [place]),
        ...info,
        ...share,
        name: `mix${nth}`,
        kind: "mix",
        text: words(one),
        need_cm3: need / sittings,
        together: (cm3) => told(weigh(material, cm3, squeezeOut(film), "spread", c.air), words),
        why: `${plain((place.area_mm2 ?? 0) / 100)} cm² a face, ${place.gap_mm ? `gap ${plain(place.gap_mm[0], 2)} to ${plain(place.gap_mm[1], 2)} mm, ` : ""}${plain(film, 2)} mm of glue between${braced > 0 ? ", what the brace takes" : ""}, ${squeezeOut(film)} % for squeeze-out.`,
        done_when: material.mix.cue.charAt(0).toLowerCase() + material.mix.cue.slice(1).replace(/\.$/, ""),
        hands_min: [3, 6],
        cautions: [...material.hazards],
        needs: before,
        starts: "mixed",
        ...(place.kind === "faces" ? { shared: `join/${link.class}/${i}` } : {}),
      });
    }
    // a solution keeps in its closed jar; its open time runs from each join on
    const dries = material.cure.by === "drying";
    const oneByOne = dries && (place.joins ?? 1) > 1;
    const lay: Need[] = mixes
      ? [after(`mix${nth}`, material, [], film, c.air, "while it is workable", dries ? undefined : ["working"])]
      : before;
    const kindOfFace =
      c.damage.kind === "shards"
        ? joinsIn(c, place, sittings, i) === 1
          ? "both faces"
          : `${plain(joinsIn(c, place, sittings, i))} joins`
        : "both faces";
    const window = oneByOne ? undefined : (["working"] as const);
    out.add({
      ...base(c, [place]),
      ...info,
      ...share,
      name: `bond${nth}`,
      kind: "bond",
      text: contact
        ? `Brush ${name} thinly on sheet and bed, ${grams(share.mass_g)}; let both go touch-dry`
        : oneByOne
          ? `Join by join, ${kindOfFace}: brush ${name} on both faces${mixes ? "" : `, ${grams(share.mass_g)} in all`}, press, hold until it tacks`
          : `Wet ${kindOfFace} with ${name}${mixes ? "" : `, ${grams(share.mass_g)}`}${gap && !name.includes(gap) ? `, ${gap}` : ""}${core.some(({ name: of }) => of === "core") ? ", the brace and its hole too" : ""}${sitting}`,
      why: contact
        ? "Wet, it never closes; too dry, it never grabs."
        : c.f.way === "humidify" || c.f.way === "close"
          ? "Worked in by flexing, or drawn in from behind; a dry face is a weak face."
          : "A dry face is a weak face; thin is strong.",
      done_when: contact ? "a knuckle lifts off dry" : "both faces shine evenly",
      hands_min: c.damage.kind === "shards" ? [5 * joinsIn(c, place, sittings, i), 8 * joinsIn(c, place, sittings, i)] : [4, 10],
      cautions: mixes ? [] : [...material.hazards],
      needs: lay,
      meets: ["gap-too-thick-joint", "bond-drains", "bond-end-grain", "bond-hot-on-skin"],
      starts: "clamped",
    });
    const work = lagOf(material, ["working"], film, c.air);
    if (c.places.some((each) => each.takes.includes("filler") && isLaidWithGlue(linkAt(c, each, "filler")?.class)))
      layPiece(c, nth, material, film, contact, out);
    out.add({
      ...base(c, [place]),
      name: `clamp${nth}`,
      material,
      thickness_mm: film,
      kind: "clamp",
      text: `${press?.label ?? "Clamps with padded cauls"}: ${press?.how ?? ""}${sprungWords(c, place)}`,
      why: "Just enough that a bead shows all along: more starves the joint.",
      done_when: "marks meet and a bead shows all along",
      hands_min: [5, 12],
      cautions: ["clamp-force"],
      needs: [
        {
          ...after(
            `bond${nth}`,
            material,
            contact ? ["working"] : [],
            film,
            c.air,
            contact ? "touch-dry first" : "while it still moves",
            contact ? undefined : window,
          ),
        },
        first(`lay-sheet${nth}`, "the piece lies in its place"),
      ],
      meets: ["gap-foams", "time-needs-press"],
      uses: ["clamps"],
    });
    if (!contact) {
      const looked = Math.min(10, Math.max(1, (work?.min ?? 30) / 3));
      out.add({
        ...base(c, [place]),
        name: `check${nth}`,
        kind: "check",
        text:
          c.damage.kind === "loose-joint"
            ? "Check square by the diagonals, lean against the twin, marks; an opposed clamp takes lean out"
            : "Check marks, lean against the twin and creep again",
        why: "Joints slide while the glue is wet.",
        done_when: c.damage.kind === "loose-joint" ? "both diagonals are the same, the shoulder is shut" : "marks still meet",
        hands_min: [1, 3],
        cautions: [],
        needs: [
          {
            op: `clamp${nth}`,
            because: "joints slide while the glue is wet",
            lag: { min: looked, range: [looked, looked * 2] },
            ...(work && !oneByOne ? { max: work } : {}),
          },
        ],
      });
    }
    if (!contact)
      out.add({
        ...base(c, [place]),
        name: `unclamp${nth}`,
        kind: "unclamp",
        text: press?.off ?? "Take the clamps off",
        why: "By handling strength, not by habit.",
        done_when: "the joint holds its own weight",
        hands_min: [2, 6],
        cautions: [],
        needs: [
          after(`bond${nth}`, material, handle, film, c.air, "handling strength"),
          first(`clamp${nth}`, "what is on comes off"),
          first(`check${nth}`, "it was looked at"),
        ],
        uses: [],
      });
  }
  squeezeOutOp(c, place, link, sittings, out);
}

/** The piece that is let in lies in its glue before anything presses it. */
function layPiece(c: Context, nth: string, glue: PlanLink["material"], film: number, contact: boolean, out: Drafts): void {
  for (const place of placesWith(c, "filler")) {
    const link = linkAt(c, place, "filler");
    if (!link) continue;
    out.add({
      ...base(c, [place]),
      link: link.id,
      role: "filler",
      class: link.class,
      material: link.material,
      ...(place.depth_mm ? { thickness_mm: place.depth_mm } : {}),
      name: `lay-sheet${nth}`,
      kind: "place",
      text: `Lay the ${inSentence(link.material.name)} in its place, grain as marked${contact ? "; slip sheet out bit by bit" : ""}`,
      why: contact ? "It grabs at first touch: a slip sheet between lets you aim." : "Slide it into its marks while the glue still moves.",
      done_when: "it lies in its marks without a hollow",
      hands_min: [3, 8],
      cautions: [...link.material.hazards],
      needs: [
        after(
          `bond${nth}`,
          glue,
          contact ? ["working"] : [],
          film,
          c.air,
          contact ? "touch-dry first" : "while the glue moves",
          contact ? undefined : ["working"],
        ),
      ],
      meets: ["gap-sheet-only", "gap-cut-square"],
    });
    out.add({
      ...base(c, [place]),
      name: "flush",
      kind: "trim",
      text: "Trim the edges flush with a sharp chisel, from the outside in",
      why: "A plane lifts what stands over.",
      done_when: "a fingertip runs over the joint",
      hands_min: [5, 15],
      cautions: ["blade"],
      needs: [first("unclamp-1", "it holds"), first("clamp-1", "it is pressed")],
    });
  }
}

/** Other joints of the same frame: the inner one first, and all within one open time. */
function frameNeeds({ f }: Context): Need[] {
  return f.damage === "loose-joint"
    ? [{ op: "clamp-1", of: "inner", because: "the inner joint goes first: once this one closes, nothing else can go in" }]
    : [];
}

function sprungWords(c: Context, place: WorkPlace): string {
  if (!c.f.sprung || place.kind !== "faces") return "";
  return " Section by section, the awkward end first, each held until tacky.";
}

const joinsIn = (_: Context, { joins = 1 }: WorkPlace, sittings: number, i: number): number =>
  Math.floor(joins / sittings) + (i <= joins % sittings ? 1 : 0);

/** Sittings of shards, by the low end of the open time; acrylic resin in solvent is laid join by join in one sitting. */
function sittingsOf(c: Context, { joins = 1 }: WorkPlace, { material }: PlanLink): number {
  const working = lagOf(material, ["working"], 0.1, c.air);
  const grabs = (lagOf(material, ["handle"], 0.1, c.air)?.min ?? Infinity) < 20;
  if (joins <= 1 || grabs) return 1;
  const open = working?.range[0] ?? Infinity;
  // a resin that dries in minutes is brushed on one join at a time, each held until it tacks
  if (open < 10) return 1;
  return Math.max(1, Math.ceil(joins / joinsASitting(open)));
}

function braceGlueCm3(size: Readonly<Record<string, number>>, film: number): number {
  const { diameter_mm = 0, hole_mm = diameter_mm, length_mm = 0, width_mm = 0, depth_mm = 0, count = 1 } = size;
  if (diameter_mm > 0) return ((Math.PI / 4) * (hole_mm ** 2 - diameter_mm ** 2) * length_mm) / 1000;
  return (count * (2 * depth_mm + width_mm) * length_mm * Math.min(film, 0.2)) / 1000;
}

function squeezeOutOp(c: Context, place: WorkPlace, { material }: PlanLink, sittings: number, out: Drafts): void {
  if (material.class === "contact-adhesive") return;
  const leave = c.f.on.porous && c.f.on.family !== "skin";
  const last = sittings > 1 ? `-${sittings}` : "-1";
  const rubbery = after(`bond${last}`, material, ["firm", "handle", "hard"], place.film_mm ?? 0.1, c.air, "rubbery, not hard");
  out.add({
    ...base(c, [place]),
    name: "squeeze-out",
    kind: leave ? "trim" : "clean",
    text: leave
      ? "Leave the squeeze-out, slice it when rubbery"
      : material.carrier === "water"
        ? "Lift the squeeze-out off with a card, never a wet cloth"
        : "Wipe the squeeze-out while wet",
    why: leave ? "Wiped, it goes into the pores and shows." : "Set, it has to be scraped off the surface.",
    done_when: "the joint line is clean",
    hands_min: [2, 6],
    cautions: leave ? ["blade"] : [],
    needs: [leave ? rubbery : first(`clamp${last}`, "at once"), first(`check${last}`, "after the look")],
    meets: ["glue-film-under-stain"],
  });
}

/** Cleats behind a crack: a glue and a clock of their own. */
function cleats(c: Context, place: WorkPlace, out: Drafts): void {
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
    why: `Grain across the crack; ${count > 1 ? `${plain(spacing_mm)} mm apart, ` : ""}the first ${plain(from_end_mm)} mm from the ends: a step would print through and stiffen the plate.`,
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

/** A patch behind a tear, or layers behind a shell. */
function backIt(c: Context, place: WorkPlace, out: Drafts): void {
  const link = linkAt(c, place, "brace");
  if (!link) return;
  const glue = linkAt(c, place, "adhesive");
  const info = { link: link.id, role: "brace" as const, class: link.class, material: link.material };
  const laid = layup({ length_mm: (place.length_mm ?? 0) - 30, width_mm: (place.width_mm ?? 0) - 30, missing_mm: 0 }, link.material);
  if (!glue || braceKindOf(link.class) !== "patch" || link.class === "plaster-bandage" || link.class === "glass-fabric") {
    const layers = laid?.size.layers ?? 2;
    const cm3 = ((place.area_mm2 ?? 0) * layers * (laid?.size.layer_mm ?? 1)) / 1000;
    const weighed = weigh(link.material, cm3, 20, "faced", c.air);
    out.add({
      ...base(c, [place]),
      ...info,
      name: "back",
      kind: "back",
      text: `Lay ${counted(layers, "layer")} of ${inSentence(link.material.name)} behind it, wet through, laps of a third, about ${grams(weighed.mass_g)}${weighed.batches > 1 ? `, in ${weighed.batches} lots` : ""}`,
      why: laid?.how ?? "Crosswise, from the middle outwards.",
      done_when: "the mesh is rubbed away, no air under it",
      hands_min: [20, 60],
      cautions: [...link.material.hazards],
      mass_g: weighed.mass_g,
      volume_cm3: cm3,
      parts: weighed.parts,
      thickness_mm: layers * (laid?.size.layer_mm ?? 1),
      batches: weighed.batches,
      needs: [
        first("consolidate", "the shell is firm"),
        first("clean", "on clean plaster"),
        first("mask", "smears"),
        first("trim", "nothing loose"),
      ],
      starts: "mixed",
    });
    return;
  }
  const along = c.damage.kind === "tear" ? c.damage.length_mm : (place.length_mm ?? 0);
  const sections = c.damage.kind === "tear" ? Math.max(1, Math.round(along / SECTION_MM)) : 1;
  const weighed = weigh(glue.material, ((place.area_mm2 ?? 0) * (place.film_mm ?? 0.1)) / 1000, squeezeOut(0.1), "spread", c.air);
  const glueInfo = {
    link: glue.id,
    role: "adhesive" as const,
    class: glue.class,
    material: glue.material,
    thickness_mm: place.film_mm ?? 0.1,
  };
  out.add({
    ...base(c, [place]),
    ...info,
    name: "cut-patch",
    kind: "cut",
    text: `Cut the ${inSentence(link.material.name)}: ${plain(place.length_mm ?? 0)} × ${plain(place.width_mm ?? 0)} mm, corners round`,
    why: "A sharp corner lifts first.",
    done_when: "it lies flat and reaches past the place all round",
    hands_min: [4, 10],
    cautions: [...link.material.hazards],
    needs: [first("clean", "on clean skin")],
  });
  const slow = glue.class === "contact-adhesive";
  out.add({
    ...base(c, [place]),
    ...glueInfo,
    name: "back",
    kind: "back",
    text: `Glue the patch in from behind with ${inSentence(glue.material.name)}, ${grams(weighed.mass_g)}: the seam side first${slow ? ", both faces touch-dry" : ""}`,
    why: "Flat, without stretch; a film over it, no glue through the tear.",
    done_when: "it lies flat, edges down",
    hands_min: [5, 12],
    cautions: [...glue.material.hazards],
    mass_g: weighed.mass_g,
    volume_cm3: weighed.volume_cm3,
    parts: weighed.parts,
    needs: [
      first("cut-patch", "it is cut"),
      first("slack", "nothing pulls"),
      first("mask", "smears"),
      first("release", "film under it"),
      first("dry-run", "it was tried"),
    ],
    meets: ["stiff-patch", "level-tough-flex"],
    starts: "clamped",
  });
  for (let i = 1; i <= sections; i++) {
    const hold =
      i === 1
        ? after("back", glue.material, [], 0.1, c.air, "the patch lies")
        : after(`bond-${i - 1}`, glue.material, ["working"], 0.1, c.air, "each section is held until tacky");
    out.add({
      ...base(c, [place]),
      ...glueInfo,
      name: `bond-${i}`,
      kind: "bond",
      text:
        sections > 1
          ? `Lay edge section ${i} of ${sections} on the patch, ${plain(along / sections)} mm${i === 1 ? ", the awkward end first" : ""}; hold it until tacky`
          : "Lay the edges on the patch; hold them until tacky",
      why: "Whatever pulls it open gets one short piece at a time.",
      done_when: "it stays by itself, edges side by side",
      hands_min: [3, 8],
      cautions: [],
      needs: [hold, first("dry-run", "it was tried")],
      meets: ["time-sprung", "strength-tension"],
      starts: "clamped",
    });
  }
  out.add({
    ...base(c, [place]),
    name: "clamp-1",
    kind: "clamp",
    text: "Film, a padded board, little weight",
    why: "Skin under pressure spreads: flat and light, or the tear opens.",
    done_when: "the tear lies shut under the board",
    hands_min: [2, 5],
    cautions: ["clamp-force"],
    needs: [first(`bond-${sections}`, "all edges are down")],
  });
  out.add({
    ...base(c, [place]),
    name: "unclamp-1",
    kind: "unclamp",
    text: "Take the board off",
    why: "By handling strength, not by habit.",
    done_when: "the edges stay when it is bent a little",
    hands_min: [1, 3],
    cautions: [],
    needs: [
      after(`bond-${sections}`, glue.material, ["handle", "full"], 0.1, c.air, "handling strength"),
      first("clamp-1", "what is on comes off"),
    ],
  });
}
