import type { MaterialClass, Role } from "../catalogue";
import type { Facts } from "./case";

export interface Link {
  readonly role: Role;
  readonly row: MaterialClass;
}

/** What one link does to a later one. `over` lies on, or next to, `under`. */
export interface PairRule {
  readonly id: string;
  readonly effect: "refuse" | "if";
  readonly when: (under: Link, over: Link, facts: Facts) => boolean;
  readonly says: (under: Link, over: Link) => string;
  readonly source: string;
}

const COATING: readonly Role[] = ["levelling", "colour", "topcoat"];
const isCoat = ({ role }: Link) => COATING.includes(role);
const lower = ({ row }: Link) => row.name.toLowerCase();

export const PAIR_RULES: readonly PairRule[] = [
  { id: "stain-on-closed", effect: "refuse", when: (under, over) => under.role === "filler" && over.row.class === "spirit-stain" && !under.row.takes_stain, says: (under, over) => `${over.row.name} does not take on ${lower(under)}: it stays pale.`, source: "typical data sheets" },
  { id: "coat-on-wax", effect: "refuse", when: (under, over) => under.row.class === "wax-fill" && isCoat(over) && over.row.class !== "wax-polish", says: (under, over) => `${over.row.name} peels off ${lower(under)}: wax under a coat destroys adhesion.`, source: "Horie 2010, ch. 7" },
  {
    id: "coat-lifts-colour",
    effect: "if",
    when: (under, over) => under.role === "colour" && over.role === "topcoat" && over.row.carrier === "ketone" && under.row.reversible.grade === "easy",
    says: (_, over) => `Fits if ${lower(over)} goes on in mist coats: its solvent lifts the colour when it lies wet.`,
    source: "Horie 2010, app. 2",
  },
  { id: "alcohol-lifts-stain", effect: "if", when: (under, over) => under.row.class === "spirit-stain" && over.row.carrier === "alcohol", says: () => "Fits if the stain is locked under a thin first coat: polish drags it along.", source: "trade practice, a rule of thumb" },
  {
    id: "rigid-on-soft-joint",
    effect: "if",
    when: (under, over) => under.role === "adhesive" && under.row.rigidity === "flexible" && over.role === "filler" && over.row.rigidity === "rigid",
    says: (under, over) => `Fits if the joint cannot move: ${lower(over)} cracks over ${lower(under)}.`,
    source: "Horie 2010, ch. 5",
  },
  {
    id: "solvent-trapped",
    effect: "if",
    when: (under, over) => under.role === "consolidant" && under.row.carrier === "ketone" && over.role === "filler" && over.row.carrier === "water",
    says: () => "Fits if the consolidant's solvent has left for a day: trapped, it blooms under a water-borne fill.",
    source: "Horie 2010, ch. 6",
  },
  { id: "pin-rust", effect: "if", when: (under, over, { on }) => under.row.class === "metal-pin" && (on.family === "mineral" || over.row.hatch === "plaster") && over.role !== "consolidant", says: () => "Fits if the pin is stainless: rust stains come through.", source: "Buys and Oakley 1993, ch. 9" },
  { id: "brittle-glaze-soft", effect: "if", when: (under, over) => over.row.class === "cold-glaze" && under.role === "filler" && under.row.strength === "light", says: (under) => `Fits if ${lower(under)} is sealed first: it drinks the coat unevenly.`, source: "typical data sheets" },
  { id: "ketone-on-polyester", effect: "if", when: (under, over) => under.row.class === "polyester-filler" && isCoat(over) && over.row.carrier === "ketone", says: () => "Fits if the polyester has cured a full day: young crust lifts under strong solvent.", source: "typical data sheets" },
];
