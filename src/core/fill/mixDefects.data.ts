/** How a mix came out, where it did not come out well. */
export const MIX_DEFECTS = [
  { defect: "still-soft", label: "Still soft" },
  { defect: "set-in-cup", label: "Set in the cup" },
  { defect: "streaks", label: "Streaks" },
  { defect: "sank", label: "Sank" },
  { defect: "pinholes", label: "Pinholes" },
] as const;
export type MixDefect = (typeof MIX_DEFECTS)[number]["defect"];
