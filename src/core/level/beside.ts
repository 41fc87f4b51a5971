import { dustOf, type Grade, grainOf } from "../catalogue";
import type { Rung, Setting } from "../operation/subject";
import { lubricantOf } from "./plan.data";
import type { Sanded } from "./rung";

/** Nothing coarser than this touches a glaze; ISO 6344, trade practice. */
const GLAZE_FROM: Grade = { system: "P", grade: 1000 };

/** Whether a grade leaves marks on a glaze. */
export const marksGlaze = (grade: Grade): boolean => (grainOf(grade) ?? 0) > (grainOf(GLAZE_FROM) ?? 0);

/** What a fill is sanded with here: what film, fill and surroundings ask together. */
export function sandedWith({ f, places }: Pick<Setting, "f" | "places">) {
  const { filler } = f.chain;
  const fears_water = filler?.group === "plaster" || (filler?.carrier === "water" && filler.water === "no");
  return lubricantOf(
    f.on,
    places.some(({ kind }) => kind === "film"),
    fears_water,
  );
}

/** What is sanded is as hard as the fill; a film, or veneer, is sanded with care. */
export const sandedOf = (setting: Pick<Setting, "f" | "places">, careful: boolean): Required<Sanded> => ({
  hardness: setting.f.chain.filler?.hardness ?? setting.f.on.hardness,
  wet: sandedWith(setting).wet,
  careful,
});

/** Beside what must not be scratched: inside the mask, until the grade may touch it. */
export function whereOf({ f, grade }: Pick<Rung, "f" | "grade">): string {
  if (f.finish.finish !== "glaze") return "";
  return marksGlaze(grade) ? ", inside the mask: it never touches the glaze" : ", over the edge: this one may touch the glaze";
}

/** Dust by what is really sanded: the fill, and what lies beside it. */
export function dustOver({ f, film }: Pick<Rung, "f" | "film">): string[] {
  const own = f.chain.filler?.hazards.filter((hazard) => hazard.startsWith("dust")) ?? [];
  const fill = own.length > 0 || !f.chain.filler ? own : [f.chain.filler.hatch === "wood" ? "dust-wood" : "dust-resin"];
  return [
    ...new Set([
      ...fill,
      ...(film ? [] : [dustOf(f.on)]),
      ...(f.lead && f.finish.finish === "paint" ? ["old-paint"] : []),
      ...(f.on.substrate === "celluloid" ? ["celluloid"] : []),
    ]),
  ];
}
