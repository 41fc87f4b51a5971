import type { AllSubjects } from "../../operation/subject";
import { isMasked } from "../../ready/readyFacts";
import type { Context } from "../context";
import { colourSubjects } from "./colour";
import { fillSubjects } from "./fill";
import { joinSubjects } from "./join";
import { levelSubjects } from "./level";

/** What the rows of every station are asked about, for one damage. Pure: damages, ways and links in, subjects out. */
export function subjectsOf(c: Context): AllSubjects {
  const all = { ...c, here: c.places };
  const consolidants = c.links.filter(({ role }) => role === "consolidant");
  const [consolidant] = consolidants;
  // from levelling on it is worked for the finish that it is to have
  const coated = { ...c, f: { ...c.f, finish: c.f.to_be } };
  const level = levelSubjects(coated);
  const colour = colourSubjects(coated);
  return {
    piece: [all],
    damage: [all],
    consolidated: consolidant
      ? [{ ...c, here: c.places.filter(({ id }) => consolidants.some(({ place }) => place === id)), link: consolidant }]
      : [],
    ...joinSubjects(c),
    ...fillSubjects(c),
    ...level,
    ...colour,
    closing: [
      {
        ...all,
        unmasked:
          !isMasked(c.f) ||
          [...level.rung, ...colour.coat].some(({ unmasks }) => unmasks) ||
          colour.coat.some(({ bares }) => bares) ||
          colour.cycle.length > 0,
        weak: c.safety !== undefined && c.safety.reached < c.safety.asked,
      },
    ],
  };
}
