/** How a mix came out, where it did not come out well. */
export const OUTCOMES = [
  { outcome: "still-soft", label: "Still soft" },
  { outcome: "set-in-cup", label: "Set in the cup" },
  { outcome: "streaks", label: "Streaks" },
  { outcome: "sank", label: "Sank" },
  { outcome: "pinholes", label: "Pinholes" },
] as const;
export type Outcome = (typeof OUTCOMES)[number]["outcome"];
