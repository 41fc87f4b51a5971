import { first, row, type Told } from "../operation/row";
import type { Cleats } from "../operation/subject";
import { counted, grams, inSentence, plain } from "../units";

const nameOf = ({ material }: Pick<Told, "material">) => inSentence(material?.name ?? "");

/** Cleats behind a crack: a glue and a clock of their own. */
export const CLEAT_OPS = {
  "cut-cleats": row({
    each: "cleats",
    kind: "brace",
    needs: [first("clean", "on clean wood")],
    link: ({ link }) => link,
    role: "brace",
    facts: cleatFacts,
    hands: [15, 30],
    words: ({ facts: { count, length_mm, width_mm, thickness_mm, spacing_mm, from_end_mm } }) => ({
      title: `Cut ${counted(count, "cleat")}`,
      text: `Cut ${counted(count, "cleat")} ${plain(length_mm)} × ${plain(width_mm)} × ${plain(thickness_mm)} mm, edges feathered to nothing`,
      why: `Grain across the crack; ${count > 1 ? `${plain(spacing_mm)} mm apart, the first ${plain(from_end_mm)} mm from the ends` : "in its middle"}: a step would print through and stiffen the plate.`,
      done_when: "they lie without rocking, marked by a caul",
    }),
    cautions: ["blade"],
  }),
  cleats: row({
    each: "cleats",
    kind: "bond",
    needs: [{ after: "unclamp", n: 1, because: "the crack holds by itself" }, first("cut-cleats", "they fit")],
    link: ({ glue }) => glue,
    role: "adhesive",
    amount: (s) => {
      const { count, length_mm, width_mm } = cleatFacts(s);
      return { takes: s.here.map(({ id }) => ({ place: id, cm3: (count * length_mm * width_mm * CLEAT_FILM_MM) / 1000 })), extra_pct: 60, apply: "spread" };
    },
    thickness: () => CLEAT_FILM_MM,
    starts: "clamped",
    facts: (s) => ({ count: cleatFacts(s).count }),
    hands: [10, 20],
    words: (op) => ({
      title: `Glue the ${counted(op.facts.count, "cleat")}`,
      text: `Glue the ${counted(op.facts.count, "cleat")} across the crack from behind with ${nameOf(op)}, ${grams(op.takes?.mass_g ?? 0)}`,
      why: "Light pressure only, the opposite side supported: a thin plate cracks beside a hard clamp.",
      done_when: "every one sits on its mark, a thin bead all round",
    }),
    cautions: ({ material }) => [...(material?.hazards ?? []), "clamp-force"],
    uses: ["clamps"],
  }),
  "cleats-off": row({
    each: "cleats",
    kind: "unclamp",
    needs: [{ after: "cleats", stage: ["handle", "hard", "full"], because: "handling strength" }],
    hands: [2, 5],
    words: { title: "Free the cleats", text: "Take the pressure off the cleats", why: "They have a clock of their own.", done_when: "tapping sounds the same all along" },
  }),
};

const CLEAT_FILM_MM = 0.1;
function cleatFacts({ size }: Cleats) {
  const { count = 1, length_mm = 25, width_mm = 15, thickness_mm = 1.5, spacing_mm = 0, from_end_mm = 20 } = size;
  return { count, length_mm, width_mm, thickness_mm, spacing_mm, from_end_mm };
}
