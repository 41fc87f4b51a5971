import type { Caution, ClassName, MaterialClass, OperationKind, Range, Role, Station } from "../catalogue";
import type { Lag } from "./lag";
import type { WorkPlace } from "./links";

/** What must go before: an operation by its name, with the minutes that must have passed since, and may at most. */
export interface Need {
  /** Name of the operation, within the same damage or shared by the piece. */
  readonly op: string;
  readonly lag?: Lag;
  /** Minutes after which it is too late. */
  readonly max?: Lag;
  readonly because: string;
  /** Another damage's operation. */
  readonly of?: string;
}

/** An operation as it is planned, before it has its place in the list. */
export interface Draft {
  readonly name: string;
  readonly kind: OperationKind;
  readonly station: Station;
  readonly of: "piece" | "damage" | "place";
  readonly damage: string;
  readonly places: readonly WorkPlace[];
  readonly text: string;
  readonly why: string;
  readonly done_when: string;
  readonly hands_min: Range;
  readonly cautions: ReadonlyArray<Caution | string>;
  readonly needs: readonly Need[];
  readonly meets?: readonly string[];
  readonly uses?: readonly string[];
  readonly link?: string;
  readonly role?: Role;
  readonly class?: ClassName;
  readonly material?: MaterialClass;
  readonly mass_g?: number;
  readonly volume_cm3?: number;
  readonly parts?: ReadonlyArray<{ readonly name: string; readonly mass_g: number }>;
  /** How many batches one is split into, and why. */
  readonly batches?: number;
  readonly thickness_mm?: number;
  /** Starts a clock: the material, and the stage that ends what must not be touched. */
  readonly starts?: "mixed" | "clamped" | "coated";
  /** Damages whose mixes of one class are stirred once carry the same key. */
  readonly shared?: string;
  /** What it holds before waste, and how it reads when it is stirred for so much in all. */
  readonly need_cm3?: number;
  readonly together?: (
    cm3: number,
  ) => Pick<Draft, "text" | "mass_g" | "volume_cm3" | "parts" | "batches"> & Partial<Pick<Draft, "hands_min">>;
  /** The part whose joints close one another in; inner joints of it go first, the one that closes the frame last. */
  readonly frame?: string;
  readonly inner?: boolean;
  readonly closes_frame?: boolean;
  /** Rank within its station where nothing else orders it. */
  readonly rank: number;
  readonly layer?: number;
  /** Places filled with other stuff than the first group of its damage have operations of the same names, and a group of their own. */
  readonly group?: number;
  /** Of what reads differently for several damages, this one is said. */
  readonly urgent?: boolean;
}

/** Rows of a table rank by their place in it, before what is worked out. */
const ROWS_BEFORE = 1000;

/** Collects drafts of one damage, ranked as they come. */
export class Drafts {
  readonly list: Draft[] = [];
  add(draft: Omit<Draft, "rank"> & { readonly rank?: number }): void {
    this.list.push({ ...draft, rank: draft.rank ?? ROWS_BEFORE + this.list.length });
  }
}

/** The same list for one group of places: what is added carries its number. */
export function grouped(out: Drafts, group: number): Drafts {
  return group === 1 ? out : { list: out.list, add: (draft) => out.add({ ...draft, group }) };
}
