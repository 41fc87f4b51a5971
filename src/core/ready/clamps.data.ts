/** What stands on a clamp map, with its sign. */
export const CLAMPS = [
  { kind: "clamp", label: "Clamp" },
  { kind: "pad", label: "Pad or caul" },
  { kind: "wedge", label: "Wedge" },
  { kind: "weight", label: "Weight" },
  { kind: "tape", label: "Tape" },
] as const;

export type ClampKind = (typeof CLAMPS)[number]["kind"];
export const CLAMP_KINDS = CLAMPS.map(({ kind }) => kind);
