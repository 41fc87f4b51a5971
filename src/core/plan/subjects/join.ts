import { lagOf } from "../../cure/lag";
import { braceKindOf } from "../../join/kinds.data";
import { layup } from "../../join/layup";
import { consistencyFor, pressureFor } from "../../join/pressure.data";
import { type AllSubjects, type LetIn, linkAt, placesWith, type Sitting, type Size } from "../../operation/subject";
import { joinsASitting } from "../../ready/assembly";
import { CLOSED_FILM_MM } from "../../survey/place";
import { tearLength } from "../../survey/places/tear";
import { present } from "../../units";
import { pressureFacts } from "../braceQuestion";
import type { Context } from "../context";
import { isLaidWithGlue, LAID_WET, type PlanLink, type WorkPlace } from "../links";

type JoinSubjects = Pick<AllSubjects, "letIn" | "cleats" | "wetLay" | "patch" | "section" | "plug" | "sitting" | "laying">;

/** Glue lines, braces and backings of one damage. */
export function joinSubjects(c: Context): JoinSubjects {
  const cores = placesWith(c, "brace").filter(({ kind }) => kind === "core");
  const backings = placesWith(c, "brace").filter(({ kind }) => kind === "backing");
  const patched = backings.flatMap((place) => patchOf(c, place) ?? []);
  const sitting = placesWith(c, "adhesive")
    .filter(({ kind }) => kind === "faces")
    .flatMap((place) =>
      sittingsAt(
        c,
        place,
        cores.some(({ name }) => name === "core"),
      ),
    );
  return {
    letIn: cores.filter(({ name }) => name !== "cleats").flatMap((place) => letIn(c, place)),
    cleats: cores.filter(({ name }) => name === "cleats").flatMap((place) => cleatsAt(c, place)),
    wetLay: backings.flatMap((place) => wetLay(c, place)),
    patch: patched,
    section: patched.flatMap(({ here: [place], glue }) => (place ? sectionsOf(c, place, glue as PlanLink) : [])),
    plug: patched.flatMap(({ glue }) => plugsOn(c, glue as PlanLink)),
    sitting,
    laying: sitting.flatMap(({ n, contact }) => layingsOf(c, n, contact)),
  };
}

function letIn(c: Context, place: WorkPlace): LetIn[] {
  const link = linkAt(c, place, "brace");
  if (!link || !c.brace) return [];
  const { kind, size } = c.brace;
  const rod = kind === "wire" || (place.name === "core" && c.damage.kind === "tip");
  const as = place.name === "anchors" ? "anchors" : kind === "spline" ? "spline" : rod ? "rod" : "dowel";
  const glue = linkAt(c, place, "adhesive") ?? (as === "spline" ? glueOfFaces(c) : undefined);
  const glue_cm3 = as === "spline" ? braceGlueCm3(size, CLOSED_FILM_MM) : roundTheRod(size);
  return [{ ...c, here: [place], link, as, kind, size, glue_cm3, film_mm: CLOSED_FILM_MM, ...present({ glue }) }];
}

/** What fills the play of a hole round its rod, cm³. */
const roundTheRod = ({ hole_mm = 0, diameter_mm = 0, embed_mm = 0 }: Size): number =>
  ((Math.PI / 4) * (hole_mm ** 2 - diameter_mm ** 2) * embed_mm) / 1000;

/** A joint is glued first and routed across when it is closed: its splines stand in its own glue. */
function glueOfFaces(c: Context): PlanLink | undefined {
  const [faces] = placesWith(c, "adhesive").filter(({ kind }) => kind === "faces");
  return faces && linkAt(c, faces, "adhesive");
}

function cleatsAt(c: Context, place: WorkPlace): JoinSubjects["cleats"] {
  const link = linkAt(c, place, "brace");
  const glue = linkAt(c, place, "adhesive");
  return link && glue && c.brace ? [{ ...c, here: [place], link, glue, size: c.brace.size }] : [];
}

/** Its margin is laid past the place all round, mm; the layup adds its own. */
const MARGIN_MM = 30;

function wetLay(c: Context, place: WorkPlace): JoinSubjects["wetLay"] {
  const link = linkAt(c, place, "brace");
  if (!link || isPatch(link, linkAt(c, place, "adhesive"))) return [];
  const { length_mm = 0, width_mm = 0 } = place;
  const laid = layup({ length_mm: length_mm - MARGIN_MM, width_mm: width_mm - MARGIN_MM, missing_mm: 0 }, link.material);
  const { layers = 2, layer_mm = 1 } = laid?.size ?? {};
  return [{ ...c, here: [place], link, layers, layer_mm, ...present({ how: laid?.how }) }];
}

const isPatch = (link: PlanLink, glue: PlanLink | undefined): glue is PlanLink =>
  glue !== undefined && braceKindOf(link.class) === "patch" && !LAID_WET.includes(link.class);

function patchOf(c: Context, place: WorkPlace): JoinSubjects["patch"][number] | undefined {
  const link = linkAt(c, place, "brace");
  const glue = linkAt(c, place, "adhesive");
  return link && isPatch(link, glue) ? { ...c, here: [place], link, glue } : undefined;
}

/** A tear is laid in sections so long, mm: middle of 15 to 25; Kite and Thomson 2006. */
const SECTION_MM = 20;

function sectionsOf(
  c: Context,
  place: { readonly length_mm?: number } & JoinSubjects["section"][number]["here"][number],
  link: PlanLink,
): JoinSubjects["section"] {
  const torn = c.damage.kind === "tear";
  const along = c.damage.kind === "tear" ? tearLength(c.damage) : (place.length_mm ?? 0);
  const of = torn ? Math.max(1, Math.round(along / SECTION_MM)) : 1;
  return Array.from({ length: of }, (_, i) => ({ ...c, here: [place], link, n: i + 1, of, along_mm: along / of }));
}

function plugsOn(c: Context, glue: PlanLink): JoinSubjects["plug"] {
  return placesWith(c, "filler").flatMap((place) => {
    const link = linkAt(c, place, "filler");
    return link?.class === "leather-plug" ? [{ ...c, here: [place], link, glue }] : [];
  });
}

function layingsOf(c: Context, n: number, contact: boolean): JoinSubjects["laying"] {
  return placesWith(c, "filler").flatMap((place) => {
    const link = linkAt(c, place, "filler");
    return link && isLaidWithGlue(link.class) ? [{ ...c, here: [place], link, n, contact }] : [];
  });
}

/** Joins of the sitting that is the `i`th, from 1. */
const joinsIn = ({ joins = 1 }: WorkPlace, sittings: number, i: number): number =>
  Math.floor(joins / sittings) + (i <= joins % sittings ? 1 : 0);

/** Under these minutes a resin that dries is brushed on one join at a time, each held until it tacks; trade practice. */
const ONE_AT_A_TIME_MIN = 10;
/** What can be handled so soon is laid join by join in one sitting, minutes. */
const GRABS_MIN = 20;

/** Sittings of shards, by the low end of the open time. */
function sittingsFor(c: Context, { joins = 1 }: WorkPlace, { material }: PlanLink): number {
  const open = lagOf(material, ["working"], 0.1, c.air)?.range[0] ?? Infinity;
  const grabs = (lagOf(material, ["handle"], 0.1, c.air)?.min ?? Infinity) < GRABS_MIN;
  if (joins <= 1 || grabs || open < ONE_AT_A_TIME_MIN) return 1;
  return Math.max(1, Math.ceil(joins / joinsASitting(open)));
}

function sittingsAt(c: Context, at: WorkPlace, core: boolean): Sitting[] {
  const link = linkAt(c, at, "adhesive");
  if (!link) return [];
  const { material } = link;
  const { film_mm = 0.1, area_mm2 = 0, joins = 1, gap_mm } = at;
  const of = sittingsFor(c, at, link);
  const splined = c.brace?.kind === "spline";
  const withGlue = core && !splined;
  const braced_cm3 = c.brace && withGlue ? braceGlueCm3(c.brace.size, film_mm) : 0;
  const contact = link.class === "contact-adhesive";
  const dries = material.cure.by === "drying";
  const lays = layingsOf(c, 1, contact).length > 0;
  const bond = {
    ...c,
    here: [at],
    at,
    link,
    of,
    film_mm,
    braced_cm3,
    core: withGlue,
    splined,
    wicked: c.f.way === "wick",
    contact,
    dries,
    lays,
    mixes: material.mix.parts.length > 1,
    oneByOne: dries && joins > 1,
    need_cm3: ((area_mm2 * film_mm) / 1000 + braced_cm3) / of,
    thickened: gap_mm ? consistencyFor(gap_mm[1]).word.toLowerCase() : "",
    ...present({ press: pressOf(c, at, contact, film_mm) }),
  };
  return Array.from({ length: of }, (_, i): Sitting => ({ ...bond, n: i + 1, joins: joinsIn(at, of, i + 1) }));
}

const BLOCK = {
  label: "Press with a block",
  how: "Press it down from the middle with a block; it grabs at once, there is no second try.",
  off: "Take board and weights off",
};
const BOARD = {
  label: "Board and weights",
  how: "Film, a flat board over the whole, weights or clamps from the middle.",
  off: "Take board and weights off",
};

function pressOf(c: Context, place: WorkPlace, contact: boolean, film_mm: number): Sitting["press"] {
  if (contact) return BLOCK;
  if (place.name === "bed") return BOARD;
  return pressureFor(pressureFacts(c.damage, c.f.on.family, c.f.sprung, place.gap_mm?.[1] ?? film_mm))[0];
}

/** What a brace takes of glue beside the faces: around a dowel in its hole, on the walls of a slot. */
function braceGlueCm3(size: Size, film_mm: number): number {
  const { diameter_mm = 0, hole_mm = diameter_mm, length_mm = 0, width_mm = 0, depth_mm = 0, count = 1 } = size;
  if (diameter_mm > 0) return ((Math.PI / 4) * (hole_mm ** 2 - diameter_mm ** 2) * length_mm) / 1000;
  return (count * (2 * depth_mm + width_mm) * length_mm * Math.min(film_mm, 0.2)) / 1000;
}
