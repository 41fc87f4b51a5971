import type { Role, Stance } from "../catalogue";
import type { Air } from "../cure/lag";
import type { Shelf } from "../match/case";
import type { Tools } from "../operation/subject";
import { present } from "../units";
import { type DamageInput, type WorkedDamage, workOut } from "./damageContext";
import type { Choice } from "./links";

interface Around {
  readonly air: Air;
  readonly tools: Tools;
}

/** Roles of what is seen in the end. */
export const SEEN: readonly Role[] = ["levelling", "colour", "topcoat"];

/**
 * Damages worked out one beside the other: what is seen of one part is primed, coloured and coated in one stuff, and the same way takes one
 * glue. Where nothing was chosen a damage takes what the ones before it on its part take, unless Match refuses that there.
 */
export function workOutAll(inputs: readonly DamageInput[], stance: Stance, { air, tools }: Around, shelf?: Shelf): WorkedDamage[] {
  const all: WorkedDamage[] = [];
  for (const input of inputs) {
    const alone = workOut(input, stance, air, tools, shelf);
    const like = [...seenBeside(all, input), ...laidBeside(all, inputs, input, alone)].filter((choice) =>
      alone.links.some((link) => link.role === choice.role && link.class !== choice.class),
    );
    all.push(
      like.length === 0
        ? alone
        : (liked(workOut({ ...input, choose: [...(input.choose ?? []), ...like] }, stance, air, tools, shelf), like) ?? alone),
    );
  }
  return all;
}

/** What is glued or filled with one stuff on one part: what was chosen for a damage before it, and what the same way takes there. */
function laidBeside(
  before: readonly WorkedDamage[],
  inputs: readonly DamageInput[],
  { part, choose = [] }: DamageInput,
  { way }: WorkedDamage,
): Choice[] {
  const beside = before.filter((damage) => damage.part === part);
  return LAID.filter((role) => !choose.some((choice) => choice.role === role)).flatMap((role): Choice[] => {
    const chosen = (id: string) =>
      inputs.find((input) => input.id === id)?.choose?.some((choice) => choice.role === role && !choice.place && !choice.because);
    const of = beside.find((damage) => chosen(damage.id) || (role === "adhesive" && damage.way.way === way.way));
    const link = of?.links.find((each) => each.role === role);
    return link ? [{ role, class: link.class, ...present({ product: link.product }) }] : [];
  });
}
const LAID: readonly Role[] = ["adhesive", "filler"];

/** A damage with what was taken over, where none of it is refused there. */
const liked = (worked: WorkedDamage, like: readonly Choice[]): WorkedDamage | undefined =>
  worked.links.some(({ role, verdict }) => verdict === "refused" && like.some((choice) => choice.role === role)) ? undefined : worked;

/** What the damages before it on its part are primed, coloured and coated with; of a role that was chosen for it, nothing. */
function seenBeside(before: readonly WorkedDamage[], { part, choose = [] }: Pick<DamageInput, "part" | "choose">): Choice[] {
  const links = before.filter((damage) => damage.part === part).flatMap((damage) => damage.links);
  return SEEN.filter((role) => !choose.some((choice) => choice.role === role)).flatMap((role): Choice[] => {
    const link = links.find((each) => each.role === role);
    return link ? [{ role, class: link.class, ...(link.product ? { product: link.product } : {}) }] : [];
  });
}
