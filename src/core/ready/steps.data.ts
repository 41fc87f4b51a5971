import type { Family, StepFacts, StepRow } from "../catalogue";

const CLEAN: Readonly<Record<Family, string>> = {
  ceramic: "Wipe the break with alcohol, twice",
  mineral: "Brush the loss, then blow it out with a hand bellows",
  wood: "Scrape out old glue and dust, keep every fibre that still keys",
  board: "Vacuum the edge, no water",
  skin: "Degrease and de-wax around the tear",
  metal: "Degrease, then abrade inside the loss",
  polymer: "Wipe with alcohol, no ketone",
  bone: "Brush dry, wipe with barely damp alcohol",
  paper: "Brush dry, no water",
};

const joined = ({ chain }: StepFacts) => chain.adhesive !== undefined;
const filled = ({ chain }: StepFacts) => chain.filler !== undefined;
const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

/** Preparation, in order. A new step is a new row. */
export const READY_STEPS: readonly StepRow[] = [
  { step: "photograph", text: "Photograph the damage in raking light", why: "The after-picture is taken from the same place.", done_when: "damage and whole piece are on record", hands_min: 5, when: () => true },
  { step: "take-apart", text: "Take off what comes off without force", why: "Bag and label fasteners: order and orientation are lost first.", done_when: "every bag has a label", hands_min: 15, when: ({ piece }) => piece === "furniture" || piece === "instrument" || piece === "panel" },
  {
    step: "clean",
    text: ({ on }) => CLEAN[on.family],
    why: ({ on }) => `Nothing holds on a dirty ${lower(on.label)} edge.`,
    done_when: "a white swab stays white",
    hands_min: 10,
    wait_min: 10,
    cautions: ({ on }) => (on.family === "ceramic" || on.family === "polymer" || on.family === "metal" ? ["vapour"] : ["dust-mineral"]),
    when: () => true,
  },
  { step: "old-paint", text: "Test old paint before you abrade it", why: "Old paint may hold lead; when the test says so, stop and refer.", done_when: "the test is negative", hands_min: 5, cautions: ["old-paint"], when: ({ finish }) => finish.finish === "paint" },
  { step: "trim", text: "Cut away what no longer holds", why: "Loose edges take the fill with them.", done_when: "a fingernail moves nothing", hands_min: 10, cautions: ["blade"], when: filled },
  {
    step: "consolidate",
    text: ({ chain }) => `Lock the edge with ${lower(chain.consolidant?.name ?? "")}, thin`,
    why: "Fibres and powder drink the glue out of what comes next.",
    done_when: "the edge feels hard and dry",
    hands_min: 10,
    wait_min: 60,
    cautions: ["vapour"],
    when: ({ chain }) => chain.consolidant !== undefined,
  },
  {
    step: "barrier",
    text: "Brush two barrier coats of acrylic resin on the break",
    why: "So that the fill lifts off again with acetone.",
    done_when: "dry to the touch, no smell",
    hands_min: 10,
    wait_min: 120,
    cautions: ["vapour"],
    when: ({ stance, chain }) => stance === "reversible" && filled({ chain } as StepFacts) && chain.filler?.reversible.grade !== "easy",
  },
  {
    step: "key",
    text: "Roughen inside the loss only",
    why: ({ on }) => `Dense ${lower(on.label)} gives no hold; scratches beside the loss would show.`,
    done_when: "the whole floor is matt",
    hands_min: 10,
    cautions: ["dust-mineral"],
    when: ({ on, chain, stance }) => chain.filler !== undefined && !on.porous && on.family !== "skin" && stance === "service",
  },
  {
    step: "dampen",
    text: "Dampen the old gypsum until it stops drinking",
    why: "Dry gypsum sucks the water out of the new and leaves it weak.",
    done_when: "a drop stands for ten seconds",
    hands_min: 5,
    when: ({ on, chain }) => on.substrate === "gypsum" && (chain.filler?.hatch === "plaster" || chain.filler?.class === "cellulose-filler"),
  },
  { step: "mask", text: "Tape or film the edge around it", why: ({ finish }) => (finish.finish === "none" ? "Smears beside the loss cost an hour." : `The ${finish.label.toLowerCase()} beside it must survive.`), done_when: "nothing but the loss is bare", hands_min: 10, when: () => true },
  { step: "dam", text: "Fix a dam with parting film behind the loss", why: "It holds the fill to the line while it is soft.", done_when: "no gap under the film", hands_min: 10, when: ({ damage, through, chain }) => chain.filler !== undefined && (damage === "chip" || damage === "corner" || through) },
  { step: "dry-run", text: "Dry-fit everything, mark twice across the break, time it", why: "If the dry run takes longer than the open time, split it or take a slower adhesive.", done_when: "two marks meet, every clamp has its place", hands_min: 15, cautions: ["clamp-force"], when: joined },
  { step: "test-spot", text: "Try the whole chain on a hidden spot", why: ({ finish }) => `Solvent may lift the ${finish.label.toLowerCase()}.`, done_when: "the spot looks the same after an hour", hands_min: 10, wait_min: 60, when: ({ finish, survives }) => finish.film || (survives && finish.harmed_by.length > 0) },
];
