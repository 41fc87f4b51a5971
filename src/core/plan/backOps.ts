import { braceKindOf } from "../join/kinds.data";
import { layup } from "../join/layup";
import { counted, grams, inSentence, plain } from "../units";
import { after, type Context, first, linkAt, type PlanLink, placesWith, squeezeOut, type WorkPlace, weigh } from "./context";
import type { Drafts, Need } from "./draft";
import { LAID_WET } from "./links";

/** A tear is laid in sections so long, mm: middle of 15 to 25; Kite and Thomson 2006. */
const SECTION_MM = 20;
const base = (c: Context, places: readonly WorkPlace[]) => ({ damage: c.f.id, places, of: "damage" as const, station: "join" as const });

/** A patch behind a tear, or layers behind a shell. */
export function backIt(c: Context, place: WorkPlace, out: Drafts): void {
  const link = linkAt(c, place, "brace");
  if (!link) return;
  const glue = linkAt(c, place, "adhesive");
  if (!glue || braceKindOf(link.class) !== "patch" || LAID_WET.includes(link.class)) {
    layWet(c, place, link, out);
    return;
  }
  patch(c, place, link, glue, out);
  sections(c, place, glue, out);
  plug(c, glue, out);
}

const infoOf = (link: PlanLink) => ({ link: link.id, role: "brace" as const, class: link.class, material: link.material });
const glueOf = (glue: PlanLink, { film_mm = 0.1 }: WorkPlace) => ({
  link: glue.id,
  role: "adhesive" as const,
  class: glue.class,
  material: glue.material,
  thickness_mm: film_mm,
});

function layWet(c: Context, place: WorkPlace, link: PlanLink, out: Drafts): void {
  const { length_mm = 0, width_mm = 0, area_mm2 = 0 } = place;
  const laid = layup({ length_mm: length_mm - 30, width_mm: width_mm - 30, missing_mm: 0 }, link.material);
  const { layers = 2, layer_mm = 1 } = laid?.size ?? {};
  const cm3 = (area_mm2 * layers * layer_mm) / 1000;
  const weighed = weigh(link.material, cm3, 20, "faced", c.air);
  out.add({
    ...base(c, [place]),
    ...infoOf(link),
    name: "back",
    kind: "back",
    text: `Lay ${counted(layers, "layer")} of ${inSentence(link.material.name)} behind it, wet through, laps of a third, about ${grams(weighed.mass_g)}${weighed.batches > 1 ? `, in ${weighed.batches} batches` : ""}`,
    why: laid?.how ?? "Crosswise, from the middle outwards.",
    done_when: "the mesh is rubbed away, no air under it",
    hands_min: [20, 60],
    cautions: [...link.material.hazards],
    mass_g: weighed.mass_g,
    volume_cm3: cm3,
    parts: weighed.parts,
    thickness_mm: layers * layer_mm,
    batches: weighed.batches,
    needs: [consolidated(c), first("clean", "on clean plaster"), first("mask", "smears"), first("trim", "nothing loose")],
    starts: "mixed",
  });
}

/** A consolidant on the shell has dried through before anything wet is laid behind it. */
function consolidated(c: Context): Need {
  const link = c.links.find(({ role }) => role === "consolidant");
  const words = "the consolidant has dried through";
  return link ? after("consolidate", link.material, ["hard", "full", "handle"], 0.1, c.air, words) : first("consolidate", words);
}

/** A plug of leather lies on the glue of the patch, its skived edge glued too. */
function plug(c: Context, glue: PlanLink, out: Drafts): void {
  for (const at of placesWith(c, "filler")) {
    const link = linkAt(c, at, "filler");
    if (link?.class !== "leather-plug") continue;
    out.add({
      ...base(c, [at]),
      link: link.id,
      role: "filler",
      class: link.class,
      material: link.material,
      ...(at.depth_mm ? { thickness_mm: at.depth_mm } : {}),
      name: "lay-plug",
      kind: "place",
      text: `Brush the skived edge with ${inSentence(glue.material.name)} and lay the plug on the patch, grain as marked`,
      why: "Edge on edge, without stretch: what is stretched in shrinks back and shows a ring.",
      done_when: "no step under a fingertip, the grain runs on",
      hands_min: [4, 10],
      cautions: [...glue.material.hazards],
      needs: [first("back", "the patch is in"), first("skive", "it is cut"), first("bond-1", "the edges are down")],
    });
  }
}

function patch(c: Context, place: WorkPlace, link: PlanLink, glue: PlanLink, out: Drafts): void {
  const weighed = weigh(glue.material, ((place.area_mm2 ?? 0) * (place.film_mm ?? 0.1)) / 1000, squeezeOut(0.1), "spread", c.air);
  out.add({
    ...base(c, [place]),
    ...infoOf(link),
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
    ...glueOf(glue, place),
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
}

/** The edges laid on the patch, the awkward end first, then pressed and freed. */
function sections(c: Context, place: WorkPlace, glue: PlanLink, out: Drafts): void {
  const along = c.damage.kind === "tear" ? c.damage.length_mm : (place.length_mm ?? 0);
  const count = c.damage.kind === "tear" ? Math.max(1, Math.round(along / SECTION_MM)) : 1;
  for (let i = 1; i <= count; i++) {
    const hold =
      i === 1
        ? after("back", glue.material, [], 0.1, c.air, "the patch lies")
        : after(`bond-${i - 1}`, glue.material, ["working"], 0.1, c.air, "each section is held until tacky");
    out.add({
      ...base(c, [place]),
      ...glueOf(glue, place),
      name: `bond-${i}`,
      kind: "bond",
      text:
        count > 1
          ? `Lay edge section ${i} of ${count} on the patch, ${plain(along / count)} mm${i === 1 ? ", the awkward end first" : ""}; hold it until tacky`
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
    needs: [first(`bond-${count}`, "all edges are down"), first("lay-plug", "the plug lies in its place")],
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
      after(`bond-${count}`, glue.material, ["handle", "full"], 0.1, c.air, "handling strength"),
      first("clamp-1", "what is on comes off"),
    ],
  });
}
