import { dustOf, type Finish, type Grade } from "../catalogue";
import type { Rung, Setting } from "../operation/subject";
import { lubricantOf } from "./plan.data";
import type { Sanded } from "./rung";

/** What runs out over the line of a glazed piece; trade practice. */
export const OVER_GLAZE: Grade = { system: "cushioned", grade: 6000 };

/** Silicon carbide is harder than a glaze and scratches it at any grade; a cushioned cloth gives way. Trade practice. */
export const marksGlaze = ({ system }: Grade): boolean => system !== "cushioned";

/** What a fill is sanded with here: what film, fill and surroundings ask together. */
export function sandedWith({ f, places }: Pick<Setting, "f" | "places">) {
  const { filler } = f.chain;
  const fears_water = filler?.group === "plaster" || (filler?.carrier === "water" && filler.water === "no");
  return lubricantOf(f.on, places.some(({ kind }) => kind === "film") ? (f.finish.finish as Finish) : undefined, fears_water);
}

/** What is sanded is as hard as the fill; a film, or veneer, is sanded with care. */
export const sandedOf = (setting: Pick<Setting, "f" | "places">, careful: boolean): Required<Omit<Sanded, "least_times">> => ({
  hardness: setting.f.chain.filler?.hardness ?? setting.f.on.hardness,
  wet: sandedWith(setting).wet,
  careful,
});

/** Beside what must not be scratched: inside the mask, until the grade may touch it. */
export function whereOf({ f, grade }: Pick<Rung, "f" | "grade">): string {
  if (f.finish.finish !== "glaze") return "";
  return marksGlaze(grade) ? ", inside the mask: it never touches the glaze" : ", over the line: a cloth may touch the glaze";
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
