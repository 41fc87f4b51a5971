import { type Range, type Station, stationLabel } from "../catalogue";
import type { OwnerLine } from "../close/ownerDates";
import { takenOf } from "../mix/batches";
import { holdsOwner, ownerOf } from "../plan/owner";
import { sumRanges } from "../plan/sums";
import type { BodyOf, EventKind, Start } from "../record/events.schema";
import { opWords } from "../record/opId";
import { type Entry, type HandsGiven, handsGiven, materialTaken, STATION_ORDER, stationOf, type Treatment } from "../record/treatment";
import { doseGrams, figure, formatMinutes, inSentence } from "../units";
import { type Against, toldEntries } from "./judged";
import type { Worked } from "./worked";

/** A station's planned and real figures; minutes of hands. */
export interface ReviewRow {
  readonly station: Station;
  readonly label: string;
  readonly planned_min: Range;
  readonly done: HandsGiven;
  readonly planned: number;
  /** Operations that are behind. */
  readonly behind: number;
  readonly skipped: number;
  /** What is still open was not changed; once it is signed, what was not done was. */
  readonly against: "as planned" | "changed" | "open";
  /** Why it was changed or left out, as recorded. */
  readonly why: readonly string[];
}

/** What was put to work: for the record of materials used. */
export interface UsedRow {
  readonly key: string;
  readonly material: string;
  readonly what: string;
  readonly at: string;
  /** As weighed, empty where nobody weighed it; and as planned. */
  readonly weighed: string;
  readonly planned: string;
  readonly lot: string;
  readonly climate: string;
}

/** Materials as they were started, with weights, lot and the air of that hour. */
export function materialsUsed(treatment: Treatment, worked: Worked): UsedRow[] {
  const { operations } = worked.repair;
  return toldEntries(treatment, worked).flatMap(({ id, at, body }) => {
    if ((body.kind !== "done" && body.kind !== "batch-mixed") || !body.start || isOfAMix(body, worked)) return [];
    const { parts, lot, also, climate } = body.start;
    return [
      {
        key: id,
        material: materialTaken(body.start).name,
        what: nameOf(body.op, operations),
        at,
        ...gramsOf(parts ?? []),
        lot: [lot, also && `${also.lot} (${doseGrams(also.mass_g)})`].filter(Boolean).join(" and "),
        climate: `${figure(climate.temp_C, 1)} °C, ${figure(climate.rh_pct, 0)} % RH`,
      },
    ];
  });
}

/** What was laid out of a cup is booked with the cup, not once more. */
function isOfAMix({ op: id, start }: { readonly op: string; readonly start?: Start }, { repair, marks }: Worked): boolean {
  if (start?.parts) return false;
  const byId = new Map(repair.operations.map((operation) => [operation.id, operation]));
  const laid = byId.get(id);
  if (!laid || laid.kind === "mix") return false;
  return laid.after.some(({ op }) => {
    const before = byId.get(op);
    return before?.kind === "mix" && before.class === start?.class && marks.get(op)?.status === "done";
  });
}

/** Parts in words: as weighed, where they were, and as planned. */
function gramsOf(parts: NonNullable<Start["parts"]>): Pick<UsedRow, "weighed" | "planned"> {
  const weighed = parts.some(({ actual_g }) => actual_g !== undefined);
  const words = (gramsIn: (part: (typeof parts)[number]) => number) =>
    parts.map((part) => `${part.name} ${doseGrams(gramsIn(part))}`).join(" : ");
  return { weighed: weighed ? words(takenOf) : "", planned: words(({ planned_g }) => planned_g) };
}

/** What Close and the printed record show; minutes, and ms since the epoch. */
export interface ClosingView {
  readonly review: readonly ReviewRow[];
  /** Minutes of hands that were given, and of how many acts. */
  readonly hands: HandsGiven;
  readonly planned_min: Range;
  readonly planned_elapsed_min: Range;
  readonly cost_eur: Range;
  readonly elapsed_min: number;
  readonly owner: readonly OwnerLine[];
  /** When the last material is in full service. */
  readonly full_at?: number;
  /** The operations as they stand now, to be kept by the signature. */
  readonly operations: NonNullable<BodyOf<"closed">["operations"]>;
  /** Stations that are still open. */
  readonly open: readonly string[];
  readonly closed?: { readonly at: string; readonly notes: string; readonly signed_by: string };
}

/** Acts of hands: from the first to the last of them is what it took. */
const BY_HAND: readonly EventKind[] = ["surveyed", "dry-run", "done", "batch-mixed"];

export function closingView(treatment: Treatment, worked: Worked): ClosingView {
  const { closed } = treatment;
  const operations = signedOperations(treatment, worked);
  const told = toldEntries(treatment, worked);
  const hands = told.filter(({ body }) => BY_HAND.includes(body.kind)).map(({ at }) => Date.parse(at));
  const { repair, clocks } = worked;
  const holds = new Set(repair.operations.filter((op) => holdsOwner(op, repair.operations)).map(({ id }) => id));
  const fulls = [...clocks]
    .filter(([id]) => holds.has(id))
    .flatMap(([, { stages }]) => stages.filter(({ stage }) => stage === "full").flatMap(({ at }) => at ?? []));
  return {
    review: reviewOf(told, operations, closed !== undefined),
    hands: handsGiven(treatment.entries),
    planned_min: repair.hands_min,
    planned_elapsed_min: repair.elapsed_min,
    cost_eur: repair.cost_eur,
    elapsed_min: hands.length > 0 ? (Math.max(...hands) - Math.min(...hands)) / 60_000 : 0,
    owner: ownerOf(repair, told.some(isEarly)),
    ...(fulls.length > 0 ? { full_at: Math.max(...fulls) } : {}),
    operations: operations.map(({ text, ...told }) => ({ ...told, text: text.slice(0, 1000) })),
    open: STATION_ORDER.filter(
      (station) => station !== "close" && operations.some((operation) => operation.station === station && operation.status === "open"),
    ).map(stationLabel),
    ...(closed ? { closed: { at: closed.at, notes: closed.body.notes, signed_by: closed.body.signed_by } } : {}),
  };
}

type Told = NonNullable<BodyOf<"closed">["operations"]>[number];

/** A signed record keeps its own words and figures; an open one tells the plan as it stands. */
function signedOperations({ closed }: Treatment, { repair }: Worked): readonly Told[] {
  return (
    closed?.body.operations ??
    repair.operations.map(({ id, station, round, title, text, hands_min, status }) => ({
      id,
      station,
      round,
      title,
      text,
      hands_min: (hands_min[0] + hands_min[1]) / 2,
      hands_range: hands_min,
      status,
    }))
  );
}

/** Planned against done, a row for each station that had something to do. */
function reviewOf(told: readonly Entry[], operations: readonly Told[], signed: boolean): ReviewRow[] {
  return STATION_ORDER.filter(
    (station) => station === "survey" || station === "match" || operations.some((operation) => operation.station === station),
  ).map((station) => {
    const here = operations.filter((operation) => operation.station === station);
    const entries = told.filter((entry) => stationOf(entry) === station);
    const why = entries.flatMap(({ body }) => reasonIn(body, here));
    const planned_min = sumRanges(here.map(({ hands_min, hands_range }) => hands_range ?? [hands_min, hands_min]));
    const count = (status: string) => here.filter((operation) => operation.status === status).length;
    const behind = count("done") + count("running");
    return {
      station,
      label: stationLabel(station),
      planned_min,
      done: handsGiven(entries),
      planned: here.length,
      behind,
      skipped: count("skipped"),
      against:
        why.length > 0 || count("skipped") > 0 || (signed && behind !== here.length)
          ? "changed"
          : behind < here.length
            ? "open"
            : "as planned",
      why,
    };
  });
}

function reasonIn(body: Treatment["entries"][number]["body"], operations: readonly Told[]): string[] {
  if (body.kind === "skipped") return [`Left out: ${nameOf(body.op, operations)}: ${body.reason}`];
  if ("against" in body && body.against) return [againstWords({ op: body.op, against: body.against }, operations)];
  if (body.kind === "round-opened") return [`Back to ${stationLabel(body.station)}: ${body.because}`];
  if (body.kind === "surveyed" && body.way) return [body.way.reason];
  if (body.kind === "braced" && body.reason) return [body.reason];
  return [];
}

const AGAINST = { "too-early": "Too early", "too-late": "Too late", blocked: "Out of order" } as const;

type Named = ReadonlyArray<{ readonly id: string; readonly text: string; readonly title?: string }>;

function nameOf(op: string, operations: Named): string {
  const found = operations.find(({ id }) => id === op);
  return inSentence(found?.title ?? found?.text ?? opWords(op));
}

/** What was done against the plan, how far from it, and why. */
function againstWords({ op, against }: { readonly op: string; readonly against: Against }, operations: Named): string {
  const { state, because, passed_min, asked_min } = against;
  const times =
    passed_min !== undefined && asked_min !== undefined ? ` after ${formatMinutes(passed_min)} of ${formatMinutes(asked_min)}` : "";
  return `${AGAINST[state]}${times}: ${nameOf(op, operations)}. ${capital(because)}`;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

const isEarly = ({ body }: Entry): boolean => body.kind === "done" && body.against?.state === "too-early";
