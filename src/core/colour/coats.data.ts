import type { ClassName, CoatName, Finish, OperationKind, Role } from "../catalogue";

/** So many coats of one kind, one after the other. */
export interface CoatGroup {
  readonly name: CoatName;
  readonly kind: Extract<OperationKind, "tint" | "colour" | "coat" | "finish">;
  readonly role: Extract<Role, "colour" | "topcoat">;
  readonly count: number;
  /** Dots and strokes take a share of a whole coat; absent = all of it. */
  readonly share?: number;
  /** The class where it is another than the link's own: a stain under a toner. */
  readonly class?: ClassName;
  readonly text: string;
  readonly why: string;
}

const group = (name: CoatName, kind: CoatGroup["kind"], role: CoatGroup["role"], count: number, text: string, why: string, own?: ClassName): CoatGroup => ({ name, kind, role, count, text, why, ...(own ? { class: own } : {}) });

const SEAL = group("seal", "coat", "topcoat", 1, "A first clear coat", "It shows what has to be muted, and lets a wrong tone be rubbed back.");
const TONE = (count: number) => group("tone", "tint", "colour", count, "A toning coat", "Transparent coats add up: each one deepens and darkens, so match the last, not the first.");
const CLEAR = (count: number) => group("clear", "coat", "topcoat", count, "A clear coat", "Several thin ones dry sooner than one thick one.");
/** Of a coat that is set in dots and strokes; trade practice. */
const DOTS_SHARE = 0.3;
const MUTE: CoatGroup = { ...group("mute", "colour", "colour", 1, "Mute what is dark or light under it, opaque, in dots and strokes", "Transparent coats never cover: what shows through the first clear coat is muted first.", "acrylic-paint"), share: DOTS_SHARE };
const UNDER = (count: number) => group("under", "colour", "colour", count, "Undercolour", "Opaque first, to mute the fill: a shade lighter, for the coats over it darken it.");

/** Several close tones over an undercolour. */
export const PATTERN = group("pattern", "colour", "colour", 2, "Pattern: sponge or mottle it, two close tones", "A flat patch is found at once; several close tones are not.");

/** A coat that was put into the plan by hand, by its name; where the route of the finish has words of its own, those are said. */
export const COATS_BY_NAME: Readonly<Record<CoatName, CoatGroup & { readonly label: string }>> = {
  stain: { label: "Stain", ...group("stain", "tint", "colour", 1, "A coat of stain", "It sinks in: wipe it at once, and judge it dry.") },
  seal: { label: "First clear coat", ...SEAL },
  under: { label: "Undercolour", ...UNDER(1) },
  mute: { label: "Muting", share: DOTS_SHARE, ...group("mute", "colour", "colour", 1, "Mute what is dark or light under it, in dots and strokes", "Transparent coats never cover: what shows through is muted first.") },
  colour: { label: "Colour coat", ...group("colour", "colour", "colour", 1, "A colour coat", "Thin, so that the form under it stays sharp.") },
  pattern: { label: "Pattern", ...PATTERN },
  tone: { label: "Toner", ...TONE(1) },
  retouch: { label: "Retouching", share: DOTS_SHARE, ...group("retouch", "colour", "colour", 1, "Retouch in dots, never a wash", "A wash leaves a rim; dots stop where they are set.") },
  dye: { label: "Dye", ...group("dye", "tint", "colour", 1, "A thin coat of dye, dabbed", "Thin coats stay in the grain; matched after dressing on a swatch.") },
  leaf: { label: "Leaf or bronze", ...group("leaf", "colour", "colour", 1, "Size and leaf, or bronze", "The size decides: too wet drowns the leaf, too dry drops it.") },
  lock: { label: "Lock coat", ...group("lock", "coat", "topcoat", 1, "A lock coat", "It holds the colour under it: the next one can be wiped off again.") },
  clear: { label: "Clear coat", ...CLEAR(1) },
  finish: { label: "Finish", ...group("finish", "coat", "topcoat", 1, "The finish, thin", "It holds the colour.") },
};

/** How a finish is built over what was filled, in order. Counts are proposals: coats are added, taken out and moved. Trade practice. */
export const COAT_ROUTES: Readonly<Record<Finish, readonly CoatGroup[]>> = {
  // bare stuff is coloured only where a stain is retouched
  none: [{ ...group("retouch", "colour", "colour", 2, "Retouch the mark in dots, never a wash", "A wash leaves a rim on bare stuff; dots stop where they are set."), share: DOTS_SHARE }, CLEAR(1)],
  bare: [group("colour", "colour", "colour", 2, "A thin coat of colour, wiped", "Bare stuff drinks it: thin and twice, judged dry."), CLEAR(1)],
  glaze: [UNDER(2), CLEAR(2)],
  paint: [group("under", "colour", "colour", 1, "First colour coat", "From the darkest recess to the highlight, or as you set it."), group("colour", "colour", "colour", 1, "Second colour coat, thinner", "What still shines through is closed now.")],
  shellac: [SEAL, MUTE, TONE(3), CLEAR(3)],
  lacquer: [SEAL, MUTE, TONE(4), CLEAR(3)],
  "polyester-film": [SEAL, MUTE, TONE(2), CLEAR(3)],
  oil: [TONE(1), CLEAR(2)],
  wax: [TONE(1), CLEAR(1)],
  dye: [group("dye", "tint", "colour", 3, "A thin coat of colour, dabbed", "Thin coats stay in the grain; matched after dressing on a swatch."), group("finish", "coat", "topcoat", 1, "The finish, sponged on thin", "It holds the colour and takes the dressing.")],
  foil: [UNDER(2), group("clear", "coat", "topcoat", 2, "A clear coat, feathered outwards past the mask", "A hard edge shows for ever: each coat ends further out than the one before.")],
  gilding: [group("leaf", "colour", "colour", 1, "Size and leaf, or bronze", "The size decides: too wet drowns the leaf, too dry drops it."), group("tone", "tint", "colour", 1, "Tone the new metal down", "New leaf shouts beside old.", "tinted-resin"), CLEAR(1)],
};

/** Bare veneer that was let in takes stain first, then tone in the film. */
export const VENEER_ROUTE: readonly CoatGroup[] = [
  group("stain", "tint", "colour", 1, "Stain the bare wood", "Above about 27 °C it grabs and streaks: small areas, wipe at once, spirit at hand.", "spirit-stain"),
  SEAL,
  group("tone", "tint", "colour", 2, "A toner coat, misted", "It brings the new wood to the old, coat by coat."),
  CLEAR(2),
];

/** A film that is opaque itself is met by its own colour under clear: nothing shows through, so nothing is toned. */
export const OPAQUE_ROUTE: readonly CoatGroup[] = [group("under", "colour", "colour", 2, "The colour of the film, opaque", "Mixed to meet it wet under the clear: dry and bare it looks grey."), CLEAR(3)];

/** Films that are levelled and polished when they have stopped shrinking. */
export const POLISHED: readonly Finish[] = ["lacquer", "polyester-film"];

/** Films, and leaf, that are rubbed down or polished over the line: the mask comes off while the last coat is young. */
export const BARED: readonly Finish[] = ["shellac", "lacquer", "polyester-film", "gilding"];

/** Warm and dry air makes stain grab, °C; trade practice. */
export const STAIN_GRABS_C = 27;
