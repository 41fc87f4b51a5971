import type { BraceKind } from "@/core/join/brace.schema";

export const BRACE_LABELS: Readonly<Record<BraceKind, string>> = {
  dowel: "Dowel",
  pin: "Pin",
  spline: "Spline",
  cleat: "Cleats",
  wire: "Wire core",
  screw: "Anchor screw",
  patch: "Backing patch",
  none: "No brace",
};
