import { type ClassName, guardsOf, type Role, type Station } from "../catalogue";
import { type CoatFacts, coatDefectsOf } from "../colour/coatDefects";
import { workingRange } from "../cure/working";
import { type MixFacts, mixDefectsOf } from "../fill/mixDefects";
import { nextBatch } from "../mix/batches";
import type { CameOutWay } from "../mix/causes";
import { candidatesAt } from "../plan/links";
import type { Operation } from "../plan/plan.schema";
import type { BodyOf, CameOut, Start } from "../record/events.schema";
import { type Mark, materialTaken, type Treatment } from "../record/treatment";
import { placeSize } from "../survey/place";
import { plain, present } from "../units";
import type { Act } from "./acts";
import { chainOf, followsAtOnce } from "./chain";
import { type Instrument, instrumentFor } from "./instrument";
import { type Against, toldEntries } from "./judged";
import { type JarChoice, jarsFor, type StockProduct } from "./stock";
import type { MixedBatch, Worked } from "./worked";

/** An operation as a page shows it: words, figures, what may be done, what was done. Plain data. */
export interface OperationView
  extends Pick<
    Operation,
    | "id"
    | "round"
    | "station"
    | "kind"
    | "title"
    | "text"
    | "why"
    | "done_when"
    | "hands_min"
    | "damages"
    | "places"
    | "status"
    | "layer"
    | "need_cm3"
    | "waste_pct"
  > {
  readonly state: Act["state"];
  /** Which picture or tool belongs to it. */
  readonly instrument?: Instrument;
  readonly from?: number;
  readonly until?: number;
  readonly since?: number;
  readonly blocked_by?: string;
  /** While it is blocked: what it waits for, and how long after that. */
  readonly after?: ReadonlyArray<Pick<Operation["after"][number], "op" | "min_min" | "max_min">>;
  readonly because: string;
  /** Hands at it and at all that must follow at once, min. */
  readonly chain_min: number;
  /** It follows at once on what was begun. */
  readonly in_hand?: true;
  /** Of a step that photographs: the moment it is for, and how many pictures of it are kept. */
  readonly pictures?: { readonly moment: Moment; readonly kept: number };
  readonly consequence?: string;
  /** Damages that it is for, by their numbers on the condition map. */
  readonly tokens: readonly number[];
  /** Short sentences to mind: conditions of its material. */
  readonly mind: readonly string[];
  readonly cautions: ReadonlyArray<{ readonly short: string; readonly text: string }>;
  readonly role?: Role;
  readonly portions?: ReadonlyArray<{ readonly label: string; readonly mass_g: number }>;
  readonly parts?: ReadonlyArray<{ readonly name: string; readonly mass_g: number }>;
  readonly mass_g?: number;
  /** Of a mix that is stirred in several cups: the one that comes next (parts, portions and grams are of it), the whole, and those before. */
  readonly batch?: {
    readonly n: number;
    readonly of: number;
    readonly whole_g: number;
    readonly mixed: readonly MixedBatch[];
  };
  /** Its thickness is measured; what is wanted, mm, where that is known. */
  readonly caliper?: { readonly target_mm?: number };
  /** Jars that it may be taken from, the likeliest first. */
  readonly jars?: readonly JarChoice[];
  /** Something that is still open waits for its clock. */
  readonly holds?: true;
  /** What its clock starts with; absent = it starts none. */
  readonly start?: Omit<Start, "climate" | "parts">;
  readonly starts?: "mixed" | "clamped" | "coated";
  readonly mark?: {
    readonly entry: string;
    readonly at: string;
    readonly by?: string;
    readonly words: string;
    readonly hands_min?: number;
    readonly against?: Against;
    /** Measured so far below the old surface, mm, and no round has met it yet. */
    readonly low_mm?: number;
    /** Of a mix or a coat: what each way to come out badly may come from, likeliest first. */
    readonly came_out?: readonly CameOutWay<CameOut>[];
  };
}

/** A place as it stands in the list that chooses. */
export interface PlaceView {
  readonly id: string;
  readonly damage: string;
  readonly number: number;
  readonly label: string;
  readonly size: string;
  readonly kind: string;
  /** Where its first open operation stands. */
  readonly station: Station;
  readonly round: number;
  /** How many are like it. */
  readonly alike?: number;
  /** Of what is filled: what a later round may be filled with, best first. */
  readonly fillers?: ReadonlyArray<{ readonly class: ClassName; readonly name: string }>;
}

/** Every operation of a treatment as its pages show it. */
export function operationViews(
  treatment: Treatment,
  worked: Worked,
  acts: readonly Act[],
  products: readonly StockProduct[],
  now: number,
): OperationView[] {
  const seen: Seen = {
    worked,
    products,
    now,
    numbers: new Map(treatment.damages.map(({ id }, i) => [id, i + 1])),
    labels: new Map(worked.repair.places.map(({ id, label }) => [id, label])),
    held: new Set(
      acts.flatMap(({ op, state }) =>
        state === "done" || state === "skipped" ? [] : op.after.filter(({ stage }) => stage).map(({ op: before }) => before),
      ),
    ),
    round: worked.repair.rounds.length + 1,
    chain: chainOf(worked.repair.operations.filter(({ id }) => !worked.marks.has(id))),
    against: new Map(toldEntries(treatment, worked).map(({ id, body }) => [id, "against" in body ? body.against : undefined])),
  };
  return acts.map((act) => viewOf(act, seen));
}

/** What every operation is shown with. */
interface Seen {
  readonly worked: Worked;
  readonly products: readonly StockProduct[];
  readonly now: number;
  readonly numbers: ReadonlyMap<string, number>;
  readonly labels: ReadonlyMap<string, string>;
  /** Operations whose clocks are waited for. */
  readonly held: ReadonlySet<string>;
  readonly round: number;
  readonly chain: (op: string) => number;
  /** What stands against what was done, by its entry. */
  readonly against: ReadonlyMap<string, Against | undefined>;
}

function viewOf(act: Act, seen: Seen): OperationView {
  const { op } = act;
  const { worked, products, now, numbers, held, chain } = seen;
  const { id, round, station, kind, title, text, why, done_when, damages, places, status, role, mind } = op;
  const { layer, need_cm3, waste_pct } = op;
  const mark = worked.marks.get(id);
  return {
    id,
    round,
    station,
    kind,
    title: mark?.body.title ?? title,
    // what is behind keeps the words that it was done by
    text: mark?.body.words ?? text,
    why,
    done_when,
    chain_min: chain(id),
    ...followsAtOnce(op),
    damages,
    places,
    status,
    ...timeOf(act),
    tokens: op.damages.flatMap((damage) => numbers.get(damage) ?? []).sort((a, b) => a - b),
    mind: mind.map((each) => each.text),
    cautions: guardsOf(op.cautions),
    ...amountsOf(op, seen),
    ...startOf(op, worked, mark ? [] : products, now),
    ...(held.has(id) && op.starts && mark?.status === "done" ? { holds: true as const } : {}),
    ...present({
      instrument: instrumentFor(station, kind),
      layer,
      need_cm3,
      waste_pct,
      role,
      caliper: caliperOf(op),
      mark: mark && doneView(op, mark, seen),
    }),
  };
}

/** Whether an operation may be done, from when, until when, and what it waits for. */
const timeOf = ({ op, state, because, from, until, since, blocked_by, consequence }: Act) => ({
  state,
  because,
  ...(state === "blocked"
    ? { after: op.after.map(({ op: before, min_min, max_min }) => ({ op: before, min_min, ...present({ max_min }) })) }
    : {}),
  ...present({ from, until, since, blocked_by, consequence }),
});

/** How an operation was done, what stands against it, and what it asks for next; only the last round may be gone back from. */
function doneView(op: Operation, { entry, at, by, body }: Mark, { round, against: judged }: Seen): OperationView["mark"] {
  const against = judged.get(entry);
  return {
    ...markView(entry, at, by, body),
    ...present({ against }),
    ...(op.round === round ? lowOf(op, body) : {}),
    ...cameOut(op, body, against),
  };
}

/** What is taken, and the minutes of it: of all of it, or of the cup that comes next. */
function amountsOf(op: Operation, { worked, labels }: Seen) {
  const [low, high] = op.hands_min;
  const { parts, portions, mass_g, batch } = cupOf(op, worked.marks.has(op.id) ? undefined : (worked.batches.get(op.id) ?? []));
  return {
    hands_min: batch ? ([low / batch.of, high / batch.of] as const) : op.hands_min,
    ...present({
      portions: portions?.map(({ place, mass_g: g }) => ({ label: labels.get(place) ?? place, mass_g: g })),
      parts: parts && parts.length > 0 && op.starts ? parts : undefined,
      mass_g,
      batch,
    }),
  };
}

/** The amounts of a mix: of all of it, or of the cup that comes next where it is stirred in several. */
function cupOf(
  { kind, parts, portions, mass_g, batches = 1 }: Operation,
  mixed: readonly MixedBatch[] | undefined,
): Pick<Operation, "parts" | "portions" | "mass_g"> & Pick<OperationView, "batch"> {
  const whole = present({ parts, portions, mass_g });
  // strips of bandage are wetted one by one: only what is stirred comes in cups
  if (kind !== "mix" || !mixed || !parts || !mass_g || (batches < 2 && mixed.length === 0)) return whole;
  const { n, of, ...cup } = nextBatch(
    { mass_g, batches, parts, ...present({ portions }) },
    mixed.map((each) => each.mass_g),
  );
  return {
    ...present({ parts: [...cup.parts], portions: cup.portions && [...cup.portions], mass_g: cup.mass_g }),
    batch: { n, of, whole_g: mass_g, mixed },
  };
}

/** Before and after an overlay the thickness is what is measured, not a height. */
function caliperOf({ name, figures }: Operation): OperationView["caliper"] {
  if (name === "measure-before") return {};
  return name === "measure-after" ? present({ target_mm: figures?.target_mm }) : undefined;
}

/** What its clock starts with: the class, and the jar where one was chosen for this link. */
function startOf(
  { starts, class: name, link: id, thickness_mm }: Operation,
  { repair }: Worked,
  products: readonly StockProduct[],
  now: number,
): Pick<OperationView, "starts" | "start" | "jars"> {
  if (!starts || !name) return {};
  const link = repair.links.find((each) => each.id === id);
  const product = link?.class === name ? link.product : undefined;
  const jars = jarsFor(products, { class: name, ...present({ product: product?.id }) }, now);
  return {
    starts,
    start: { class: name, thickness_mm: thickness_mm ?? link?.material.cure.at_mm ?? 1, ...present({ product }) },
    ...(jars.length > 0 ? { jars } : {}),
  };
}

/** Nobody feels less, mm. */
const LOW_MM = 0.05;

/** A check that found it low, in the round that stands. */
function lowOf({ kind }: Operation, body: BodyOf<"done"> | BodyOf<"skipped">): { low_mm?: number } {
  const height = body.kind === "done" ? body.surface_mm : undefined;
  return kind === "check" && height !== undefined && height < -LOW_MM ? { low_mm: -height } : {};
}

/** What hardens by giving these off has no hardener that could be short. */
const DRIES: readonly string[] = ["water", "alcohol", "ketone", "hydrocarbon"];

/** What a mix or a coat that came out badly may come from, by what is on record of it. */
function cameOut(
  op: Operation,
  body: BodyOf<"done"> | BodyOf<"skipped">,
  against: Against | undefined,
): { came_out?: readonly CameOutWay<CameOut>[] } {
  if (body.kind !== "done" || !body.start) return {};
  if (op.starts === "mixed") return { came_out: mixDefectsOf(mixFacts(op, body, body.start)) };
  return op.starts === "coated" ? { came_out: coatDefectsOf(coatFacts(op, body.start, against)) } : {};
}

function mixFacts({ hands_min }: Operation, body: BodyOf<"done">, start: Start): MixFacts {
  const row = materialTaken(start);
  return {
    parts: start.parts ?? [],
    temp_C: start.climate.temp_C,
    reference_C: row.cure.reference_C,
    min_C: row.cure.min_C,
    working_min: workingRange({ row, climate_C: start.climate.temp_C }),
    hands_min: body.hands_min ?? hands_min[0],
    planned_hands_min: [hands_min[0], hands_min[1]],
    thickness_mm: start.thickness_mm,
    max_layer_mm: row.max_layer_mm,
    shrinkage_pct: row.shrinkage_pct,
    dries: DRIES.includes(row.carrier),
  };
}

function coatFacts({ thickness_mm }: Operation, start: Start, against: Against | undefined): CoatFacts {
  const row = materialTaken(start);
  return {
    ...start.climate,
    reference_C: row.cure.reference_C,
    min_C: row.cure.min_C,
    laid_mm: start.thickness_mm,
    planned_mm: thickness_mm ?? start.thickness_mm,
    early: against?.state === "too-early",
    late: against?.state === "too-late",
    carrier: row.carrier,
  };
}

function markView(
  entry: string,
  at: string,
  by: string | undefined,
  body: BodyOf<"done"> | BodyOf<"skipped">,
): NonNullable<OperationView["mark"]> {
  if (body.kind === "skipped") return { entry, at, ...(by ? { by } : {}), words: body.reason };
  const measured = body.caliper_mm === undefined ? [] : [`${plain(body.caliper_mm, 2)} mm thick`];
  const words = [...measured, ...(body.note ? [body.note] : [])].join(". ");
  return {
    entry,
    at,
    ...(by ? { by } : {}),
    words,
    ...(body.hands_min === undefined ? {} : { hands_min: body.hands_min }),
  };
}

/** When a photograph was taken: before anything, at work, or when it is done. */
export type Moment = "before" | "during" | "after";

/** Steps that photograph know the pictures of their moment: what is at the bench goes by those of the survey too. */
export function withPictures(views: readonly OperationView[], kept: ReadonlyArray<{ readonly moment: Moment }>): OperationView[] {
  return views.map((view) => {
    if (view.kind !== "photograph") return view;
    const moment = view.station === "close" ? "after" : "before";
    const mine = kept.filter((each) => (each.moment === "after") === (moment === "after"));
    return { ...view, pictures: { moment, kept: mine.length } };
  });
}

/** The places of a treatment, with where each stands. */
export function placeViews(treatment: Treatment, worked: Worked): PlaceView[] {
  const numbers = new Map(treatment.damages.map(({ id }, i) => [id, i + 1]));
  return worked.repair.places.map((place) => {
    const open = worked.repair.operations.find(({ id, places }) => places.includes(place.id) && !worked.marks.has(id));
    return {
      id: place.id,
      damage: place.damage,
      number: numbers.get(place.damage) ?? 1,
      label: place.label,
      size: placeSize(place),
      kind: place.kind,
      station: open?.station ?? "close",
      round: open?.round ?? 1,
      ...present({ alike: place.alike, fillers: place.kind === "void" ? fillersOf(worked, place) : undefined }),
    };
  });
}

function fillersOf({ repair }: Worked, place: Worked["repair"]["places"][number]): PlaceView["fillers"] {
  const asked = repair.damages.find(({ id }) => id === place.damage)?.asked;
  return asked && candidatesAt(asked, [place], "filler").map(({ row }) => ({ class: row.class, name: row.name }));
}
