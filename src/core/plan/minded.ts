import type { WorkedDamage } from "./damageContext";
import type { Operation } from "./plan.schema";

/** Every condition under which a link fits is an operation, or is minded at the link's own. */
export function minded(
  operations: readonly Operation[],
  damages: readonly WorkedDamage[],
  met: ReadonlyMap<string, ReadonlySet<string>>,
): Operation[] {
  const mind = new Map<string, Map<string, string>>();
  for (const { link, rule, text } of conditionsOf(damages, met)) {
    const at =
      operations.find((operation) => operation.link === link.id) ?? operations.find((operation) => operation.places.includes(link.place));
    if (at) mind.set(at.id, (mind.get(at.id) ?? new Map<string, string>()).set(rule, text));
  }
  return operations.map((operation) => {
    const found = [...(mind.get(operation.id) ?? [])].map(([rule, text]) => ({ rule, text }));
    return found.length === 0
      ? operation
      : { ...operation, mind: found, cautions: [...operation.cautions, ...found.map(({ rule }) => rule)] };
  });
}

/** Conditions that no operation meets, and rules that a link was taken against. */
function conditionsOf(damages: readonly WorkedDamage[], met: ReadonlyMap<string, ReadonlySet<string>>) {
  return damages.flatMap(({ id, links }) =>
    links.flatMap((link) =>
      link.reasons
        .filter(({ rule, effect }) => (effect === "if" ? !met.get(id)?.has(rule) : effect === "refuse" && link.overridden !== undefined))
        .map(({ rule, text }) => ({ link, rule, text })),
    ),
  );
}
