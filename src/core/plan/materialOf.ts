import { classRow, type MaterialClass } from "../catalogue";
import type { PlanLink } from "./links";
import type { Operation } from "./plan.schema";

/** The material of an operation: the figures of the jar that was taken for its link before those of the class, wherever it is asked. */
export function materialOf(
  { links }: { readonly links: readonly PlanLink[] },
  { class: name, link: id }: Pick<Operation, "class" | "link">,
): MaterialClass | undefined {
  const link = links.find((each) => each.id === id);
  if (link && link.class === name) return link.material;
  return name && classRow(name);
}
