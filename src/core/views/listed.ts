/** The lists of Objects. */
export const LISTS = ["open", "hands", "off", "closed"] as const;
export type ListName = (typeof LISTS)[number];

/** What a list can stand in the order of. */
export const ORDERS = ["promised", "act", "reference"] as const;
export type ListOrder = (typeof ORDERS)[number];

/** Up to this many are counted; beyond it "more than" is all that anyone wants to know. */
export const MOST_COUNTED = 1000;
