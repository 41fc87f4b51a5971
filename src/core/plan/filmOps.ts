import { dryFilmUm, type MaterialClass } from "../catalogue";
import { safeFilmUm } from "../level/budget";
import { film as filmBudget } from "../level/film";
import { inSentence } from "../units";
import { after, type Context, first, linkAt, type WorkPlace, wait, weigh } from "./context";
import type { Drafts, Need } from "./draft";
import { bounded } from "./layers";

/** What a cut takes off the surroundings, µm; trade practice. */
export const CUT_UM = 6;
/** A spray coat is carried over a whole small face, mm². */
const FACE_MM2 = 40_000;

/** A coat of lacquer rests before it is cut, min; typical data sheets. */
const OVERNIGHT = [720, 1440] as const;

const base = (c: Context, places: readonly WorkPlace[]) => ({ damage: c.f.id, places, of: "damage" as const, station: "colour" as const });

/** A scratch closed by spraying and cutting: so many cycles, each a mist coat and a cut. */
export function filmCoats(c: Context, out: Drafts): void {
  const place = c.places.find(({ name, kind }) => kind === "film" && name === "film");
  const link = place && linkAt(c, place, "topcoat");
  if (!place || !link || c.damage.kind !== "scratch") return;
  const coat_um = dryFilmUm(link.material, link.material.max_layer_mm);
  const budget = filmBudget({
    existing_um: c.damage.film_um,
    coats: [],
    cuts: [],
    safe_um: safeFilmUm(c.f.finish.finish),
    scratch: { depth_um: c.damage.depth_mm * 1000, mode: "spray", coat_um, cut_um: CUT_UM },
  });
  const cycles = budget.cycles ?? 1;
  bounded(cycles, link.material, "cycles");
  const thin = budget.warnings.map(({ message }) => message).join(" ");
  const lag = (n: number) => wait(`spray-${n}`, OVERNIGHT, "the coat is dry enough to cut: over night");
  const area = weigh(link.material, (((place.opening_mm2 ?? 0) + FACE_MM2) * link.material.max_layer_mm) / 1000, 35, "spread", c.air);
  for (let n = 1; n <= cycles; n++) {
    out.add({
      ...base(c, [place]),
      link: link.id,
      role: "topcoat",
      class: link.class,
      material: link.material,
      name: `spray-${n}`,
      kind: "coat",
      text: `Spray a mist coat of ${inSentence(link.material.name)}, cycle ${n} of ${cycles}`,
      why: n === 1 ? `The scratch closes by ${CUT_UM} µm a cycle.${thin ? ` ${thin}` : ""}` : "Mist coats dry sooner and lie flatter.",
      done_when: "it lies even, no run",
      hands_min: [4, 8],
      cautions: [...link.material.hazards, "spray"],
      mass_g: area.mass_g,
      volume_cm3: area.volume_cm3,
      thickness_mm: link.material.max_layer_mm,
      needs:
        n === 1
          ? [first("clean", "clean"), first("mask", "neighbours are guarded"), first("test-spot", "it was tried")]
          : [first(`cut-${n - 1}`, "the last coat is cut")],
      starts: "coated",
      uses: ["spray place"],
      layer: n,
    });
    out.add({
      ...base(c, [place]),
      name: `cut-${n}`,
      kind: "grit",
      text: `Cut ${CUT_UM} µm off what stands up, P1200 on a hard block, wet`,
      why: "Only what stands beside the scratch is touched.",
      done_when: "the face is matt, the scratch still shines",
      hands_min: [4, 8],
      cautions: ["dust-resin"],
      needs: [lag(n)],
    });
  }
  rubOut(c, place, link.material, cycles, out);
}

/** What the last coat waits for, rubbed out and polished. */
function rubOut(c: Context, place: WorkPlace, material: MaterialClass, cycles: number, out: Drafts): void {
  const last = after(`spray-${cycles}`, material, ["full", "hard"], material.max_layer_mm, c.air, "it has stopped shrinking");
  out.add({
    ...base(c, [place]),
    name: "film-wait",
    kind: "wait",
    text: "Leave the film until it has stopped shrinking",
    why: "Polished too soon the scratch comes back as a line.",
    done_when: "yesterday’s face is today’s",
    hands_min: [1, 2],
    cautions: [],
    needs: [last, first(`cut-${cycles}`, "the last coat is cut")],
  });
  out.add({
    ...base(c, [place]),
    name: "flat-P1500",
    kind: "grit",
    text: "Rub out with P1500 wet, then P2000, a soft block, edges last",
    why: "The film around is thinnest at the edges.",
    done_when: "it is matt all over",
    hands_min: [8, 15],
    cautions: ["dust-resin"],
    needs: [first("film-wait", "it has stopped shrinking")],
  });
  gloss(c, place, first("flat-P1500", "rubbed out first"), out);
}

/** Every new film is brought to gloss alike, once it is flat. */
export function gloss(c: Context, place: WorkPlace, flat: Need, out: Drafts): void {
  out.add({
    ...base(c, [place]),
    name: "gloss-compound",
    kind: "compound",
    text: "Polish with medium, then fine compound, a clean labelled pad for each",
    why: "A grain of the coarser one scratches all over again.",
    done_when: "the lamp’s edge is sharp in it",
    hands_min: [8, 20],
    cautions: ["dust-resin"],
    needs: [flat],
  });
}
