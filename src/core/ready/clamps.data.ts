/** What stands on a clamp map, with its sign. */
export const CLAMPS = [
  { kind: "clamp", label: "Clamp" },
  { kind: "pad", label: "Pad or caul" },
  { kind: "wedge", label: "Wedge" },
  { kind: "weight", label: "Weight" },
  { kind: "tape", label: "Tape" },
] as const;

/** More than this nobody sets within an open time. */
export const MOST_CLAMPS = 60;

export type ClampKind = (typeof CLAMPS)[number]["kind"];
export const CLAMP_KINDS = CLAMPS.map(({ kind }) => kind);
