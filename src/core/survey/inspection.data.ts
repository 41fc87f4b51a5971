import type { DamageKind, Family, Flag, SubstrateRow } from "../catalogue";
import type { AskedAt } from "./askedAt";

interface Finding {
  readonly finding: string;
  /** Two words at most. */
  readonly word: string;
  readonly flag?: Flag;
  /** The consequence, in one sentence. */
  readonly tells?: string;
}

/** One thing to look at. Asked only where the answer changes something. */
export interface CheckRow {
  readonly check: string;
  readonly label: string;
  readonly how: string;
  readonly findings: readonly [sound: Finding, troubled: Finding];
  readonly when: (on: SubstrateRow, film: boolean, kind: DamageKind) => boolean;
}

const JOINTS: readonly DamageKind[] = ["shards", "break-along", "break-across", "crack", "tear", "veneer-lifted"];
const BUILT: readonly DamageKind[] = ["chip", "corner", "tip", "break-across"];
const RINGS: readonly Family[] = ["ceramic", "mineral", "wood", "board"];
/** Fired dense, it rings like a bell unless it is cracked. */
const dense = (on: SubstrateRow) => on.family === "ceramic" && !on.porous;
const POWDERS: readonly Family[] = ["mineral", "paper", "bone"];

const CHECKS = [
  {
    check: "raking",
    label: "Raking light",
    how: "Lamp low, from two sides.",
    findings: [
      { finding: "flat", word: "edges flat" },
      { finding: "lifted", word: "edges lifted", flag: "lifted", tells: "Lay the lifted edges first: a fill beside them tears them off." },
    ],
    when: () => true,
  },
  {
    check: "tap",
    label: "Tap",
    how: "A fingernail, from sound to damaged.",
    findings: [
      { finding: "rings", word: "rings" },
      { finding: "dull", word: "dull", flag: "hollow", tells: "It is hollow beside the loss: consolidate before anything pulls on it." },
    ],
    when: (on) => RINGS.includes(on.family) && !dense(on),
  },
  {
    check: "ring",
    label: "Ring",
    how: "Hung from a finger or on felt, tapped with a knuckle.",
    findings: [
      { finding: "rings", word: "rings" },
      { finding: "dull", word: "dull", tells: "Dense ware that does not ring has a crack you do not see: look with a lamp from behind before anything is glued." },
    ],
    when: (on) => dense(on),
  },
  {
    check: "flex",
    label: "Flex",
    how: "The thumb, gently.",
    findings: [
      { finding: "firm", word: "firm" },
      { finding: "gives", word: "gives", flag: "moves", tells: "It gives under the thumb: a rigid material breaks out again." },
    ],
    when: (on, _, kind) => on.family === "skin" || on.family === "paper" || ["crack", "worn-thin", "break-along", "break-across", "tear", "veneer-lifted"].includes(kind),
  },
  {
    check: "dry-fit",
    label: "Dry fit",
    how: "Together without glue, look for light.",
    findings: [
      { finding: "closes", word: "closes" },
      { finding: "rocks", word: "rocks", flag: "rocks", tells: "It does not seat: find the crumb or old glue before you reach for a thicker one." },
    ],
    when: (_, __, kind) => JOINTS.includes(kind),
  },
  {
    check: "twin",
    label: "Twin part",
    how: "The other side, the matching corner.",
    findings: [
      { finding: "there", word: "there", tells: "Take the shape off the twin; test first that the mould does not lift its finish." },
      { finding: "none", word: "none", tells: "No twin: the shape is built free-hand or from photographs." },
    ],
    when: (_, __, kind) => BUILT.includes(kind),
  },
  {
    check: "fingertip",
    label: "Fingertip",
    how: "Eyes shut, then look at the finger.",
    findings: [
      { finding: "clean", word: "clean" },
      { finding: "powder", word: "powder", flag: "powders", tells: "It powders: no glue or fill holds on dust. Consolidate first." },
    ],
    when: (on, _, kind) => kind === "eroded" || (on.porous && POWDERS.includes(on.family)),
  },
  {
    check: "drop",
    label: "Drop of water",
    how: "On the bare break, ten seconds.",
    findings: [
      { finding: "drinks", word: "drinks" },
      { finding: "stands", word: "stands", flag: "greasy", tells: "Water stands on it: wax, oil or old size. Degrease until it drinks." },
    ],
    when: (on) => on.porous && !on.fears_water,
  },
  {
    check: "scrape",
    label: "Test scrape",
    how: "A pinhead, at a hidden edge.",
    findings: [
      { finding: "single", word: "one layer" },
      { finding: "layers", word: "older layers", flag: "layered", tells: "Older layers lie under the finish: try every solvent on a hidden spot first." },
    ],
    when: (_, film) => film,
  },
  {
    check: "cheek",
    label: "Back of the hand",
    how: "Cold means damp.",
    findings: [
      { finding: "dry", word: "dry" },
      { finding: "damp", word: "damp", flag: "damp", tells: "It is damp: let it dry to room humidity before any adhesive or solvent." },
    ],
    when: (on) => on.porous && on.family !== "skin" && on.family !== "board",
  },
] as const satisfies readonly CheckRow[];

export type Check = (typeof CHECKS)[number]["check"];

export const CHECK_ROWS: ReadonlyArray<CheckRow & { readonly check: Check }> = CHECKS;

/** What is worth looking at on this material, with this finish, for this damage. */
export function checksFor(on: SubstrateRow, film: boolean, kind: DamageKind) {
  return CHECK_ROWS.filter(({ when }) => when(on, film, kind));
}

const FURNISHED = ["furniture", "other"];
const MAY_HIDE_IVORY = ["instrument", "furniture", "other"];
/** Where a shop's licence ends. `refer` stops; `test` may be lifted by a test on the piece. */
export const LIMITS = [
  { limit: "carries_person", text: "Carries a person", level: "refer", matters: ({ piece }) => FURNISHED.includes(piece), says: "People trust their weight to it: a joint that fails hurts someone. Refer it to someone licensed for structural work." },
  { limit: "significant", text: "Of museum rank or insured high", level: "refer", matters: () => true, says: "Its significance exceeds this shop: ask the owner for a conservator’s report before anything is touched." },
  { limit: "protected", text: "Ivory or protected species", level: "refer", matters: ({ on, piece }) => on.family === "bone" || (MAY_HIDE_IVORY.includes(piece) && on.substrate === "composition"), says: "Protected material: work on it and sale of it need papers. Refer it." },
  { limit: "asbestos", text: "Fibrous old filler, 1930 to 1990", level: "refer", matters: ({ on }) => on.substrate === "composition" || on.substrate === "papier-mache", says: "An old fibrous filler may hold asbestos: don’t scrape or sand, have a sample tested." },
  { limit: "lead", text: "Paint from before 1980", level: "test", matters: ({ finish }) => finish.finish === "paint" || finish.finish === "gilding", says: "Old paint may hold lead: test before abrading; when the test says so, wet methods only, or refer." },
  { limit: "unknown_finish", text: "Finish not known", level: "test", matters: ({ finish }) => finish.film, says: "An unknown finish decides every solvent: test scrape and spot tests before Match is trusted." },
] as const satisfies ReadonlyArray<{ readonly limit: string; readonly text: string; readonly level: "refer" | "test"; readonly says: string; readonly matters: (at: AskedAt) => boolean }>;

export type Limit = (typeof LIMITS)[number]["limit"];
