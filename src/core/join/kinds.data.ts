import type { ClassName } from "../catalogue";
import type { BraceKind } from "./brace.schema";

/** How a brace gets in: into a hole, into a slot, or on the face from behind. */
type BraceWay = "drilled" | "slotted" | "cleated" | "backed" | "none";

export interface BraceKindRow {
  readonly kind: BraceKind;
  readonly label: string;
  readonly way: BraceWay;
  /** Classes of the catalogue that are one. */
  readonly classes: readonly ClassName[];
}

export const BRACE_KIND_ROWS: readonly BraceKindRow[] = [
  { kind: "dowel", label: "Dowel", way: "drilled", classes: ["wood-dowel"] },
  { kind: "pin", label: "Pin", way: "drilled", classes: ["metal-pin"] },
  { kind: "spline", label: "Spline", way: "slotted", classes: ["wood-spline"] },
  { kind: "cleat", label: "Cleats", way: "cleated", classes: ["wood-cleat"] },
  { kind: "wire", label: "Wire core", way: "drilled", classes: ["metal-wire"] },
  { kind: "screw", label: "Anchor screw", way: "drilled", classes: ["anchor-screw"] },
  { kind: "patch", label: "Backing patch", way: "backed", classes: ["backing-fabric", "glass-fabric", "plaster-bandage"] },
  { kind: "none", label: "No brace", way: "none", classes: [] },
];

/** The row of a kind of brace. @throws {RangeError} on a kind that is not in the table */
function braceKindRow(kind: BraceKind): BraceKindRow {
  const row = BRACE_KIND_ROWS.find((each) => each.kind === kind);
  if (!row) throw new RangeError(`unknown brace: ${kind}`);
  return row;
}

export const braceLabel = (kind: BraceKind): string => braceKindRow(kind).label;

/** Which kind of brace a class of the catalogue is; undefined where it is none. */
export function braceKindOf(name: ClassName): BraceKind | undefined {
  return BRACE_KIND_ROWS.find(({ classes }) => classes.includes(name))?.kind;
}
