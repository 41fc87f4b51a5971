import type { StepRow } from "../catalogue";
import { inSentence } from "../units";

/** Colour, in order; the coats between these are recorded one by one, each with its clock. */
export const COLOUR_STEPS: readonly StepRow[] = [
  { step: "dust", text: "Dust off, wipe, and look in the light it will live in", why: "A grain under a coat shows for ever.", done_when: "a fingertip finds nothing", hands_min: 5, when: () => true },
  {
    step: "sample",
    text: ({ chain }) => `Try ${inSentence(chain.colour?.name ?? "the colour")} on an off-cut and let it dry`,
    why: "Colours shift from wet to dry and again under a coat.",
    done_when: "the dry sample can't be seen beside the piece",
    hands_min: 15,
    wait_min: 30,
    cautions: ({ chain }) => chain.colour?.hazards ?? [],
    when: ({ chain }) => chain.colour !== undefined,
  },
  { step: "sheen", text: "Match the sheen last", why: "The eye finds a wrong gloss before a wrong colour.", done_when: "the edge can't be found against the light", hands_min: 10, when: ({ chain }) => chain.topcoat !== undefined },
];

/** Thin coats by default: several thin ones dry sooner than one thick one. */
export const COATS_PLANNED = { colour: 2, topcoat: 2 } as const;
