/** What a coat can be, by the word that stands on its row. */
export const COAT_NAMES = [
  "stain",
  "seal",
  "under",
  "mute",
  "colour",
  "pattern",
  "tone",
  "retouch",
  "dye",
  "leaf",
  "lock",
  "clear",
  "finish",
] as const;
export type CoatName = (typeof COAT_NAMES)[number];
