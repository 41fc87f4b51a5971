import type { ClassName, CoatName, Grade, MaterialClass, OpFacts, OwnProduct, Role, Station } from "../catalogue";
import type { Air } from "../cure/lag";

/** A place as operations meet it: what hands find there, lengths in mm, areas in mm². The solids behind these figures are Survey's. */
export interface PlaceFacts {
  readonly id: string;
  readonly damage: string;
  readonly name: string;
  readonly kind: "faces" | "void" | "backing" | "core" | "surface" | "film";
  readonly label: string;
  readonly takes: readonly Role[];
  readonly area_mm2?: number;
  readonly film_mm?: number;
  readonly gap_mm?: readonly [from: number, to: number];
  readonly depth_mm?: number;
  readonly opening_mm2?: number;
  readonly length_mm?: number;
  readonly width_mm?: number;
  readonly open_behind?: boolean;
  readonly around_core?: boolean;
  readonly hidden?: boolean;
  /** How many places are like this one: its figures are for one. */
  readonly alike?: number;
  readonly joins?: number;
}

/** One material in one role at one place, as operations use it. */
export interface LinkFacts {
  readonly id: string;
  readonly place: string;
  readonly role: Role;
  readonly class: ClassName;
  readonly product?: OwnProduct;
  /** The jar's figures before the class's. */
  readonly material: MaterialClass;
  readonly reasons: ReadonlyArray<{ readonly rule: string; readonly effect: string; readonly text: string }>;
  readonly mm?: number;
  readonly as?: CoatName;
  readonly coats?: number;
  readonly order?: number;
}

/** What the shop has to work with. */
export interface Tools {
  readonly scale_step_g: number;
  /** Papers and cloths in the drawer, with the sheets that are left where they are counted; absent = every grade is taken to be there. */
  readonly grits?: ReadonlyArray<Grade & { readonly sheets?: number }>;
  /** Drills in the drawer; absent = every size is. */
  readonly drills?: ReadonlyArray<{ readonly label: string; readonly mm: number }>;
  /** Thickness of the jig that the router rides on, and the width of its bit. */
  readonly jig_mm?: number;
  readonly bit_mm?: number;
}

/** Dimensions of what is let in, by name; mm, and how many. */
export type Size = Readonly<Record<string, number>>;

/** A later round: the station that it goes back to, how low its places are, mm, and what lies on them. */
export interface Later {
  readonly station: Station;
  readonly low_mm: number;
  /** Coats that were laid: `clear`: the last of them is a clear coat. */
  readonly coats: "none" | "colour" | "clear";
}

/** All that the operations of one damage follow from. */
export interface Setting {
  readonly f: OpFacts;
  /** The part of the piece that the damage is on. */
  readonly part: string;
  readonly places: readonly PlaceFacts[];
  readonly links: readonly LinkFacts[];
  readonly air: Air;
  readonly tools: Tools;
  /** How a loss is shaped where it is not as proposed: how it is shaped, its texture. */
  readonly shaping?: string;
  readonly texture?: string;
  /** Safety reached and asked, where the joint is reckoned as a beam. */
  readonly safety?: { readonly reached: number; readonly asked: number };
  /** Absent = the first round. */
  readonly later?: Later;
}

/** What a row is asked about: a setting, the places that it is for, and its place among its like. */
export interface Subject extends Setting {
  readonly here: readonly PlaceFacts[];
  /** Its number among its like, from 1, and how many there are. */
  readonly n?: number;
  readonly of?: number;
  /** Places filled with other stuff than the first group of their damage. */
  readonly group?: number;
  /** What its id says in place of the row's name. */
  readonly stem?: string;
}

type Linked = Subject & { readonly link: LinkFacts };

/** Something let in: a rod, a dowel, a spline, screws. */
export type LetIn = Linked & {
  readonly as: "rod" | "dowel" | "spline" | "anchors";
  readonly kind: string;
  readonly size: Size;
  /** What a rod or a spline stands in; a dowel goes in with the glue of the joint. */
  readonly glue?: LinkFacts;
  /** Of that glue, cm³, and how thick it lies, mm. */
  readonly glue_cm3: number;
  readonly film_mm: number;
};
/** Cleats behind a crack, with a glue of their own. */
export type Cleats = Linked & { readonly size: Size; readonly glue: LinkFacts };
/** Fabric or bandage laid wet. */
type WetLay = Linked & { readonly layers: number; readonly layer_mm: number; readonly how?: string };
/** A patch behind a tear. */
type Patch = Linked & { readonly glue: LinkFacts };
/** One stretch of an edge that is laid on its patch. */
type Section = Linked & { readonly n: number; readonly of: number; readonly along_mm: number };
/** A plug of leather on the glue of its patch. */
type Plug = Linked & { readonly glue: LinkFacts };

/** One glue line in one sitting. */
export type Sitting = Linked & {
  readonly n: number;
  readonly of: number;
  readonly at: PlaceFacts;
  readonly film_mm: number;
  /** What this sitting takes, cm³, and how much of the whole the brace and its hole take. */
  readonly need_cm3: number;
  readonly braced_cm3: number;
  readonly joins: number;
  /** Something is let in, and its hole takes glue too. */
  readonly core: boolean;
  /** It is drawn into a hairline: nothing is spread, pressed or slides. */
  readonly wicked: boolean;
  /** A spline is let in across it once it is closed. */
  readonly splined: boolean;
  readonly contact: boolean;
  readonly mixes: boolean;
  /** A solution keeps in its closed jar; its open time runs from each join on. */
  readonly dries: boolean;
  readonly oneByOne: boolean;
  /** Word for how thick a glue this gap asks: "thickened". */
  readonly thickened: string;
  readonly press?: { readonly label: string; readonly how: string; readonly off: string };
  /** A sheet or plug is laid in the glue. */
  readonly lays: boolean;
};
/** A sheet or plug that is laid in the glue of a sitting. */
type Laying = Linked & { readonly n: number; readonly contact: boolean };

/** What is filled of a damage, all groups together. */
export type Voids = Subject & { readonly formed: boolean; readonly anchored: boolean; readonly drinks: readonly PlaceFacts[] };
/** What one place takes of one layer. */
export interface LayerTake {
  readonly place: PlaceFacts;
  readonly n: number;
  /** How many layers this place has. */
  readonly of: number;
  readonly applied_mm: number;
  readonly volume_cm3: number;
  /** What goes in: with what shrinks and stands proud, cm³. */
  readonly need_cm3: number;
  readonly shrink_pct: number;
  readonly proud_mm: number;
  readonly last: boolean;
  /** Why it is not as thick as it was planned. */
  readonly changed?: string;
}
/** One layer over the places that are filled alike. */
export type LayerSubject = Linked & {
  readonly n: number;
  readonly of: number;
  readonly takes: readonly LayerTake[];
  readonly apply: "poured" | "faced" | "pressed";
  readonly extra_pct?: number;
  /** What the places hold in all, cm³. */
  readonly whole_cm3: number;
  /** The film itself is filled. */
  readonly film: boolean;
};
/** The last layer of a group as it lies: what is done to it hangs on its mix and its laying. */
export type LaidSubject = Linked & { readonly n: number; readonly takes: readonly LayerTake[]; readonly film: boolean };

/** What is levelled of a damage. */
export type Levelled = Subject & { readonly film: boolean; readonly sheet: boolean; readonly fill: string };
export type Rung = Levelled & {
  readonly n: number;
  readonly grade: Grade;
  readonly before?: Grade;
  readonly to: Grade;
  readonly because: string;
  readonly again: boolean;
  readonly missing: boolean;
  readonly lubricant: string;
  /** The first that may touch the glaze, or the last in a film: the mask comes off before it. */
  readonly unmasks: boolean;
  readonly last: boolean;
  /** What stands proud before the first rung, µm; 0 of every other. */
  readonly proud_um: number;
};
type Compound = Levelled & {
  readonly n: number;
  readonly word: "medium" | "fine";
  readonly micron: number;
  readonly before_um?: number;
};
type Primed = Linked;

/** A surface with its coats. */
export type Surfaced = Subject & { readonly formed: boolean; readonly first_colour?: MaterialClass };
export type Coat = Linked & {
  readonly n: number;
  readonly name: CoatName;
  readonly kind: "tint" | "colour" | "coat" | "finish";
  readonly role: "colour" | "topcoat";
  readonly coat: number;
  readonly coats: number;
  /** Dots and strokes take a share of a whole coat. */
  readonly share: number;
  readonly text: string;
  readonly why: string;
  readonly material: MaterialClass;
  readonly before?: MaterialClass;
  /** The mask comes off before it; or, the last of a film that is flatted or polished, after it. */
  readonly unmasks: boolean;
  readonly last: boolean;
  readonly bares: boolean;
};
/** A scratch closed by spraying and cutting: one mist coat and one cut. */
export type Cycle = Linked & {
  readonly n: number;
  readonly of: number;
  readonly cut_um: number;
  readonly thin: string;
  readonly area_mm2: number;
};
/** A new film that is brought to gloss. */
type Gloss = Linked & { readonly sprayed: boolean; readonly dry_um: number };
type Closing = Subject & { readonly unmasked: boolean; readonly weak: boolean };

/** What rows are asked about, by the word that they say in `each`. */
export interface Subjects {
  readonly piece: Subject;
  readonly damage: Subject;
  readonly consolidated: Linked;
  readonly letIn: LetIn;
  readonly cleats: Cleats;
  readonly wetLay: WetLay;
  readonly patch: Patch;
  readonly section: Section;
  readonly plug: Plug;
  readonly sitting: Sitting;
  readonly laying: Laying;
  readonly voids: Voids;
  readonly layer: LayerSubject;
  readonly place: LayerSubject;
  readonly laid: LaidSubject;
  readonly levelled: Levelled;
  readonly rung: Rung;
  readonly compound: Compound;
  readonly primed: Primed;
  readonly surface: Surfaced;
  readonly coat: Coat;
  readonly cycle: Cycle;
  readonly gloss: Gloss;
  readonly closing: Closing;
}
export type Each = keyof Subjects;
/** Everything of a damage that rows are asked about. */
export type AllSubjects = { readonly [E in Each]: ReadonlyArray<Subjects[E]> };

/** What is asked of any setting: its links by place and role, its places by role. */
interface Held<P, L> {
  readonly places: readonly P[];
  readonly links: readonly L[];
}
type AnyLink = Pick<LinkFacts, "place" | "role">;

/** The first link of a role at a place. */
export const linkAt = <P extends { readonly id: string }, L extends AnyLink>({ links }: Held<P, L>, place: P, role: Role): L | undefined =>
  links.find((link) => link.place === place.id && link.role === role);
/** Every link of a role at a place, in the order in which they follow one another. */
export const linksAt = <P extends { readonly id: string }, L extends AnyLink>({ links }: Held<P, L>, place: P, role: Role): L[] =>
  links.filter((link) => link.place === place.id && link.role === role);
/** The places at which something serves in a role. */
export const placesWith = <P extends { readonly id: string }, L extends AnyLink>({ places, links }: Held<P, L>, role: Role): P[] =>
  places.filter(({ id }) => links.some((link) => link.place === id && link.role === role));

/** A measure of the damage, mm; 0 where it has none of that name. */
export const measure = ({ measures }: OpFacts, name: string): number => (typeof measures[name] === "number" ? measures[name] : 0);
