/** Kinds of piece, for lists and their signs. */
export const PIECE_KINDS = [
  { kind: "vessel", label: "Vessel" },
  { kind: "dish", label: "Dish or tile" },
  { kind: "figure", label: "Figure or statue" },
  { kind: "relief", label: "Relief or cast" },
  { kind: "furniture", label: "Furniture" },
  { kind: "panel", label: "Panel or lid" },
  { kind: "instrument", label: "Musical instrument" },
  { kind: "cover", label: "Skin, cover or bellows" },
  { kind: "other", label: "Other piece" },
] as const;

export type PieceKind = (typeof PIECE_KINDS)[number]["kind"];
