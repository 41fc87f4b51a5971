/**
 * Hands-on minutes that single operations are planned with: trade practice, rules of thumb. Where a page does not ask
 * how long it took, the same figure is recorded, and Close says so.
 */
export const PLANNED_MIN = { survey: 15, match: 10, close: 20, layer: 15, trim: 10, clamp: 10, coat: 8, grit: 6 } as const;
