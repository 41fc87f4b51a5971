/** What can be wrong with a piece, in the contract's words. What is measured of each stands with Survey. */
export const DAMAGE_KINDS = ["chip", "corner", "tip", "hole", "shards", "break-along", "break-across", "crack", "tear", "veneer-lifted", "veneer-lost", "scratch", "dent", "burn-through", "eroded", "worn-thin", "stain", "loose-joint"] as const;

export type DamageKind = (typeof DAMAGE_KINDS)[number];

/** The links of a chain, in the order in which they are applied. */
export const ROLES = ["consolidant", "adhesive", "brace", "filler", "levelling", "colour", "topcoat"] as const;

export type Role = (typeof ROLES)[number];

export const ROLE_LABELS: Readonly<Record<Role, string>> = {
  consolidant: "Consolidant",
  adhesive: "Adhesive",
  brace: "Brace",
  filler: "Fill",
  levelling: "Levelling",
  colour: "Colour",
  topcoat: "Top coat",
};

export const STANCES = ["reversible", "service"] as const;

/** *Reversible first*: least intervention, can be taken out again. *Service first*: strength and wear. */
export type Stance = (typeof STANCES)[number];

export const STANCE_LABELS: Readonly<Record<Stance, string>> = {
  reversible: "Reversible first",
  service: "Service first",
};
