import type { StepRow } from "../catalogue";
import { inSentence } from "../units";

/** The step whose record starts the cure, and the one that the handling strength allows. */
export const CLAMP_STEP = "clamp";
export const UNCLAMP_STEP = "unclamp";

/** Bonding, in order. Clamping starts the clock; clamps come off when handling strength says so. */
export const JOIN_STEPS: readonly StepRow[] = [
  { step: "brace", text: ({ chain }) => `Fit the ${inSentence(chain.brace?.name ?? "brace")} dry`, why: "It carries what the glue line can't.", done_when: "it slides in by hand and nothing rocks", hands_min: 20, cautions: ({ chain }) => chain.brace?.hazards ?? [], when: ({ chain }) => chain.brace !== undefined },
  {
    step: "spread",
    text: ({ chain }) => `Wet both faces with ${inSentence(chain.adhesive?.name ?? "adhesive")}`,
    why: "A dry face is a weak face; thin is strong.",
    done_when: "both faces shine evenly",
    hands_min: 5,
    cautions: ({ chain }) => chain.adhesive?.hazards ?? [],
    when: ({ chain }) => chain.adhesive !== undefined,
  },
  { step: CLAMP_STEP, text: "Seat it on the marks and clamp", why: "Just enough pressure: a bead all along, no more.", done_when: "marks meet and a bead shows all along", hands_min: 10, cautions: ["clamp-force"], when: ({ chain }) => chain.adhesive !== undefined },
  { step: "check", text: "Check marks, lean and creep again after some minutes", why: "Joints slide while the glue is wet.", done_when: "marks still meet", hands_min: 2, when: ({ chain }) => chain.adhesive !== undefined },
  {
    step: "squeeze-out",
    text: ({ on }) => (on.porous ? "Leave the squeeze-out, slice it when rubbery" : "Wipe the squeeze-out while wet"),
    why: ({ on }) => (on.porous ? "Wiped, it goes into the pores and shows." : "Set, it has to be scraped off the surface."),
    done_when: "the joint line is clean",
    hands_min: 5,
    cautions: ({ on }) => (on.porous ? ["blade"] : []),
    when: ({ chain }) => chain.adhesive !== undefined,
  },
  { step: UNCLAMP_STEP, text: "Take the clamps off", why: "By handling strength, not by habit.", done_when: "the joint holds its own weight", hands_min: 5, when: ({ chain }) => chain.adhesive !== undefined },
];
