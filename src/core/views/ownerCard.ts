import { type DamageKind, ROLES, type Role } from "../catalogue";
import type { OwnerLine } from "../close/ownerDates";
import type { Entry, Treatment } from "../record/treatment";
import type { Shop } from "../shop/shop.schema";
import { WEEKDAYS, type Weekday } from "../shop/weekdays.data";
import { sizeOf } from "../survey/size";
import type { Wall } from "../units";
import type { ClosingView } from "./closing";
import type { Worked } from "./worked";

/** What an owner is told of a kind of damage: no word of the trade. Several that are alike, in the second. */
const PLAIN: Readonly<Record<DamageKind, readonly [one: string, several: string]>> = {
  chip: ["A piece was chipped off its edge", "Pieces were chipped off its edge"],
  corner: ["A corner was missing", "Corners were missing"],
  tip: ["A tip was missing", "Tips were missing"],
  hole: ["There was a hole", "There were holes"],
  shards: ["It was broken into pieces", "It was broken into pieces"],
  "break-along": ["It was broken", "It was broken in several places"],
  "break-across": ["It was broken", "It was broken in several places"],
  crack: ["It had a crack", "It had cracks"],
  tear: ["It was torn", "It was torn in several places"],
  "veneer-lifted": ["The thin wood on its face had come up", "The thin wood on its face had come up in several places"],
  "veneer-lost": ["A piece of the thin wood on its face was missing", "Pieces of the thin wood on its face were missing"],
  scratch: ["It was scratched", "It had scratches"],
  dent: ["It had a dent", "It had dents"],
  "burn-through": ["Its face was sanded through", "Its face was sanded through in several places"],
  eroded: ["Its surface was worn away", "Its surface was worn away in several places"],
  "worn-thin": ["It was worn thin", "It was worn thin in several places"],
  stain: ["It had a stain", "It had stains"],
  "loose-joint": ["A joint was loose", "Joints were loose"],
};

/** What an owner is told of what was put to work there; a coat that only levels is not seen. */
const DONE: Readonly<Record<Role, string | undefined>> = {
  consolidant: "made it firm",
  adhesive: "glued it",
  brace: "strengthened it",
  filler: "filled it",
  levelling: undefined,
  colour: "coloured it",
  topcoat: "gave it a clear coat",
};

/** "We glued it, filled it and coloured it.": by what is on record as done there. */
function doneWords(damage: string, { repair, marks }: Worked): string {
  const done = repair.operations.filter(({ id, damages }) => damages.includes(damage) && marks.get(id)?.status === "done");
  const words = ROLES.filter((role) => done.some((op) => op.role === role)).flatMap((role) => DONE[role] ?? []);
  const last = words.at(-1);
  return last === undefined ? "" : ` We ${[words.slice(0, -1).join(", "), last].filter((each) => each !== "").join(" and ")}.`;
}

/** A card tells so many damages; the record tells all. */
const MOST_TOLD = 3;

export interface OwnerCard {
  /** What was wrong and what is done, a sentence or two a damage. */
  readonly sentences: readonly string[];
  /** What may be done, by from when, and what never. */
  readonly rows: ReadonlyArray<{ readonly when: OwnerLine["when"]; readonly from: string; readonly acts: readonly string[] }>;
}

/** From when the owner may do something, in words; `full_at`: when the last material is in full service, ms. */
export function ownerWhen(when: OwnerLine["when"], full_at: number | undefined, wall: Wall): string {
  if (when === "never") return "Never";
  if (when === "today") return "From today";
  return full_at === undefined ? "From full cure" : `From ${wall.day(full_at)}`;
}

/** From when to when it was mended, or since when it is in work. */
export function mendedWords(told: readonly Entry[], closed: Treatment["closed"], wall: Wall): string {
  const [first] = told;
  const from = first ? wall.day(Date.parse(first.at)) : "";
  if (closed) return `mended ${from} to ${wall.day(Date.parse(closed.at))}`;
  return from && `in work since ${from}`;
}

/**
 * When somebody is there, in words; days that follow one another as from and to.
 * @example hoursWords({ days: ["mon", "tue", "wed"], from: "08:30", to: "17:00" }) // => "Mon to Wed 8:30 to 17:00"
 */
export function hoursWords({ days, from, to }: Pick<Shop, "days" | "from" | "to">): string {
  const open = WEEKDAYS.filter((day) => days.includes(day));
  const [first = "", last = ""] = [open[0], open.at(-1)].map((day) => day && capital(day));
  const inOneRow = open.length > 2 && WEEKDAYS.indexOf(open.at(-1) as Weekday) - WEEKDAYS.indexOf(open[0] as Weekday) === open.length - 1;
  const clock = (time: string) => time.replace(/^0/, "");
  return `${inOneRow ? `${first} to ${last}` : open.map(capital).join(", ")} ${clock(from)} to ${clock(to)}`;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** The owner's card of a treatment: what was wrong and done, and what he may do with it. */
export function ownerCardOf(
  treatment: Treatment,
  worked: Worked | undefined,
  { owner, full_at }: Pick<ClosingView, "owner" | "full_at">,
  wall: Wall,
): OwnerCard {
  const told = treatment.damages.slice(0, MOST_TOLD);
  const more = treatment.damages.length - told.length;
  const sentences = told.map(({ id, survey }) => {
    const { damage } = survey.body.survey;
    const count = "count" in damage ? (damage.count ?? 1) : 1;
    return `${PLAIN[damage.kind][count > 1 ? 1 : 0]}: ${sizeOf(damage)}.${worked ? doneWords(id, worked) : ""}`;
  });
  return {
    sentences: more > 0 ? [...sentences, `And ${more} more, which the record tells.`] : sentences,
    rows: (["today", "full", "never"] as const)
      .map((when) => ({
        when,
        from: ownerWhen(when, full_at, wall),
        acts: owner.filter((line) => line.when === when).map(({ act }) => act),
      }))
      .filter(({ acts }) => acts.length > 0),
  };
}
