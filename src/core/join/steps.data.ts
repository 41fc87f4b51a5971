import type { Caution, Family, StepFacts, StepRow } from "../catalogue";
import { inSentence } from "../units";
import { braceName, braceOf } from "./decided";
import type { BraceWay } from "./kinds.data";

/** The step whose record starts the cure, and the one that the handling strength allows. */
export const CLAMP_STEP = "clamp";
export const UNCLAMP_STEP = "unclamp";

const gotIn =
  (...ways: readonly BraceWay[]) =>
  (facts: StepFacts) =>
    facts.damage !== "worn-thin" && ways.includes(braceOf(facts).way);

/** A thin place is laid up with fabric or bandage, not let in. */
const laidUp = ({ damage, chain }: StepFacts) => damage === "worn-thin" && chain.brace !== undefined;

const DUST: Partial<Readonly<Record<Family, Caution>>> = { ceramic: "dust-mineral", mineral: "dust-mineral", wood: "dust-wood", board: "dust-wood" };
const dust = ({ on }: StepFacts): readonly Caution[] => [DUST[on.family] ?? "dust-resin"];

/** Bonding, in order. Clamping starts the clock; clamps come off when handling strength says so. */
export const JOIN_STEPS: readonly StepRow[] = [
  {
    step: "drill",
    text: (f) => `Drill for the ${braceName(f)}: pilot first, then size`,
    why: ({ on }) => (on.family === "ceramic" || on.family === "mineral" ? "Diamond bit, light hand: dry in soft body, under water in hard; the centre carried over by a transfer point." : "The centre carried over by a transfer point, a block behind against tear-out, a stop for the depth."),
    done_when: "both holes are as deep as the drill card says, in line, and free of dust",
    hands_min: 15,
    cautions: dust,
    when: gotIn("drilled"),
  },
  {
    step: "slot",
    text: (f) => `Rout the slot for the ${braceName(f)}, pass by pass`,
    why: "One deep pass burns and tears; each rides on its riser, and clear of any hardware inside.",
    done_when: "the floor before the front face is whole and the slot is free of dust",
    hands_min: 25,
    cautions: dust,
    when: gotIn("slotted"),
  },
  {
    step: "brace",
    text: (f) => `Fit the ${braceName(f)} dry`,
    why: "It carries what the glue line can’t.",
    done_when: "it slides in by hand and nothing rocks",
    hands_min: 20,
    cautions: ({ chain }) => chain.brace?.hazards ?? [],
    when: gotIn("drilled", "slotted"),
  },
  {
    step: "patch",
    text: (f) => `Cut the ${braceName(f)} to size, corners round, and try it dry`,
    why: "A sharp corner lifts first; near a seam the seam side is glued first.",
    done_when: "it lies flat and reaches past the place all round",
    hands_min: 10,
    cautions: ({ chain }) => chain.brace?.hazards ?? [],
    when: gotIn("backed"),
  },
  {
    step: "spread",
    text: ({ chain }) => `Wet both faces with ${inSentence(chain.adhesive?.name ?? "adhesive")}`,
    why: "A dry face is a weak face; thin is strong.",
    done_when: "both faces shine evenly",
    hands_min: 5,
    cautions: ({ chain }) => chain.adhesive?.hazards ?? [],
    when: ({ chain }) => chain.adhesive !== undefined,
  },
  {
    step: "lay-up",
    text: (f) => `Lay up the ${braceName(f)} from behind, layer by layer`,
    why: "Crosswise, each layer inside the one before; the show side is supported while you rub.",
    done_when: "no air under it, no dry spot, as many layers as planned",
    hands_min: 20,
    cautions: ({ chain }) => chain.brace?.hazards ?? [],
    when: laidUp,
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
  {
    step: "cleats",
    text: (f) => `Glue the ${braceName(f)} across the crack from behind`,
    why: "Grain across the crack, edges feathered; only light pressure, the opposite plate supported.",
    done_when: "every one sits on its mark and a thin bead shows all round",
    hands_min: 20,
    cautions: ["clamp-force"],
    when: gotIn("cleated"),
  },
];
