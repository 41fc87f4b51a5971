import type { MaterialClass } from "../catalogue";

/** What is seen when a mix is ready, to go after "done when". @example cue({ mix: { cue: "One colour." } }) // => "one colour" */
export const cue = (material: Pick<MaterialClass, "mix"> | undefined): string => {
  const { cue: said } = material?.mix ?? { cue: "" };
  return said.charAt(0).toLowerCase() + said.slice(1).replace(/\.$/, "");
};
