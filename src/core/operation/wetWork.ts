/** Wet work on the same part: it comes before whatever is glued, filled, sanded or coated near it, and is dry by then. */
export const WET_BESIDE = [
  { after: "strip-old", of: "part", because: "the face is bare and dry" },
  { after: "bleach", of: "part", because: "the bleach has dried" },
  { after: "poultice", of: "part", because: "the poultice has dried" },
  { after: "raise", of: "part", because: "the steam has left the wood" },
] as const;
