import type { ClassName, Finish, OperationKind, Role } from "../catalogue";

/** So many coats of one kind, one after the other. */
export interface CoatGroup {
  readonly name: string;
  readonly kind: Extract<OperationKind, "tint" | "colour" | "coat" | "finish">;
  readonly role: Extract<Role, "colour" | "topcoat">;
  readonly count: number;
  /** The class where it is another than the link's own: a stain under a toner. */
  readonly class?: ClassName;
  readonly text: string;
  readonly why: string;
}

const group = (name: string, kind: CoatGroup["kind"], role: CoatGroup["role"], count: number, text: string, why: string, own?: ClassName): CoatGroup => ({ name, kind, role, count, text, why, ...(own ? { class: own } : {}) });

const SEAL = group("seal", "coat", "topcoat", 1, "A first clear coat", "It shows what has to be muted, and lets a wrong tone be rubbed back.");
const TONE = (count: number) => group("tone", "tint", "colour", count, "A toning coat", "Transparent coats add up: each one deepens and darkens, so match the last, not the first.");
const CLEAR = (count: number) => group("clear", "coat", "topcoat", count, "A clear coat", "Several thin ones dry sooner than one thick one.");
const MUTE = group("mute", "colour", "colour", 1, "Mute what is dark or light under it, opaque, in dots and strokes", "Transparent coats never cover: what shows through the first clear coat is muted first.", "acrylic-paint");
const UNDER = (count: number) => group("under", "colour", "colour", count, "Undercolour", "Opaque first, to mute the fill: a shade lighter, for the coats over it darken it.");

/** How a finish is built over what was filled, in order. Counts are proposals: coats are added, taken out and moved. Trade practice. */
export const COAT_ROUTES: Readonly<Record<Finish, readonly CoatGroup[]>> = {
  // bare stuff is coloured only where a stain is retouched
  none: [group("retouch", "colour", "colour", 2, "Retouch the mark in dots, never a wash", "A wash leaves a rim on bare stuff; dots stop where they are set."), CLEAR(1)],
  glaze: [UNDER(2), CLEAR(2)],
  paint: [group("under", "colour", "colour", 1, "First colour coat", "From the darkest recess to the highlight, or as you set it."), group("colour", "colour", "colour", 1, "Second colour coat, thinner", "What still shines through is closed now.")],
  shellac: [SEAL, MUTE, TONE(3), CLEAR(3)],
  lacquer: [SEAL, MUTE, TONE(4), CLEAR(3)],
  "polyester-film": [SEAL, MUTE, TONE(2), CLEAR(3)],
  oil: [TONE(1), CLEAR(2)],
  wax: [TONE(1), CLEAR(1)],
  dye: [group("dye", "tint", "colour", 3, "A thin coat of colour, dabbed", "Thin coats stay in the grain; matched after dressing on a swatch."), group("finish", "coat", "topcoat", 1, "The finish, sponged on thin", "It holds the colour and takes the dressing.")],
  foil: [UNDER(2), group("clear", "coat", "topcoat", 2, "A clear coat, feathered outwards past the mask", "A hard edge shows for ever: each coat ends further out than the one before.")],
  gilding: [group("leaf", "colour", "colour", 1, "Size and leaf, or bronze", "The size decides: too wet drowns the leaf, too dry drops it."), group("tone", "tint", "colour", 1, "Tone the new metal down", "New leaf shouts beside old."), CLEAR(1)],
};

/** Bare veneer that was let in takes stain first, then tone in the film. */
export const VENEER_ROUTE: readonly CoatGroup[] = [
  group("stain", "tint", "colour", 1, "Stain the bare veneer", "Above about 27 °C it grabs and streaks: small areas, wipe at once, spirit at hand.", "spirit-stain"),
  SEAL,
  group("tone", "tint", "colour", 2, "A toner coat, misted", "It brings the new wood to the old, coat by coat."),
  CLEAR(2),
];

/** Films that are levelled and polished when they have stopped shrinking. */
export const POLISHED: readonly Finish[] = ["lacquer", "polyester-film"];

/** Warm and dry air makes stain grab, °C; trade practice. */
export const STAIN_GRABS_C = 27;
