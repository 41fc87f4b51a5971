import { backIt } from "./backOps";
import { bondFaces } from "./bondOps";
import { cleats, letIn } from "./braceOps";
import { type Context, placesWith } from "./context";
import type { Drafts } from "./draft";

/** Bonding and bracing of one damage. */
export function joinOps(c: Context, out: Drafts): void {
  const faces = placesWith(c, "adhesive").filter(({ kind }) => kind === "faces");
  const core = placesWith(c, "brace").filter(({ kind }) => kind === "core");
  for (const place of core) if (place.name !== "cleats") letIn(c, place, out);
  for (const place of placesWith(c, "brace").filter(({ kind }) => kind === "backing")) backIt(c, place, out);
  for (const place of faces) bondFaces(c, place, core, out);
  for (const place of core) if (place.name === "cleats") cleats(c, place, out);
}
