/** How a lost shape is given back: both are plans, with their own operations, oversize and tools. */
export const SHAPINGS = [
  {
    shaping: "model",
    label: "Model it soft",
    how: "Shaped while it is workable, water or alcohol as slip, checked against the twin; little is left to level.",
    tools: "wet modelling tools, a finger, a profile cut from card",
    suits: "small losses, soft putties, shapes that a knife can’t reach",
  },
  {
    shaping: "carve",
    label: "Build over size, carve hard",
    how: "Laid over size, roughed out with a blade in the firm window, carved to the profile when hard.",
    tools: "knife, chisels, rasp, riffler files, the twin or its profile beside it",
    suits: "crisp profiles, edges, what must match a twin to a tenth",
  },
] as const;
export type Shaping = (typeof SHAPINGS)[number]["shaping"];
export const SHAPING_NAMES = SHAPINGS.map(({ shaping }) => shaping);

/** What is built over size to be carved stands so much prouder, mm: a tenth of the depth, between these. Trade practice. */
export const OVERSIZE_MM = [0.8, 3] as const;
const OVERSIZE_SHARE = 0.1;

/** @example oversizeOf(20) // => 2 */
export const oversizeOf = (depth_mm: number): number => Math.min(OVERSIZE_MM[1], Math.max(OVERSIZE_MM[0], depth_mm * OVERSIZE_SHARE));

/** Modelled soft it is laid to the line; so much is left for the finest abrasive, mm. Trade practice. */
export const MODELLED_PROUD_MM = 0.2;

/** How a surface is given the grain of what is around it, before it skins. */
export const TEXTURES = [
  { texture: "stamp", label: "Stamp off the twin", how: "press a stamp cast off the sound surface into it, parted with a little water or wax" },
  { texture: "sponge", label: "Sponge", how: "dab with a damp natural sponge, turned at every dab" },
  { texture: "brush", label: "Stiff brush", how: "stipple with a stiff dry brush, as the sound surface beside it shows" },
  { texture: "comb", label: "Comb", how: "draw a comb cut from card through it, along the lines beside it" },
] as const;
export type Texture = (typeof TEXTURES)[number]["texture"];
export const TEXTURE_NAMES = TEXTURES.map(({ texture }) => texture);
export const textureRow = (texture: string) => TEXTURES.find((row) => row.texture === texture) ?? TEXTURES[0];
