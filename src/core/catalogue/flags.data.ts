/** What an inspection can bring to light; each decides a material or a step. */
export const FLAGS = ["lifted", "hollow", "moves", "rocks", "powders", "greasy", "layered", "damp"] as const;
export type Flag = (typeof FLAGS)[number];
