import type { BodyOf } from "@/core/record/events.schema";
import { present, readTime, TIME_FORMS, type TimeContext } from "@/core/units";
import { minutesAtIt } from "@/core/views/actState";
import type { OperationView } from "@/core/views/operationView";
import type { JarChoice } from "@/core/views/stock";
import { parseNumber } from "../forms/parse";
import type { Air } from "../frame/climate";

/** Why an operation is done against the plan, as far as the page knows it. */
export interface AgainstPlan {
  readonly state: "too-early" | "too-late" | "blocked";
  readonly passed_min?: number;
  readonly asked_min?: number;
}

/** What is typed of an operation before it is recorded. */
export interface DoDraft {
  readonly minutes: string;
  readonly note: string;
  readonly reason: string;
  /** When it was done, as typed; empty = now. */
  readonly at: string;
  readonly grams: readonly string[];
  /** What they were weighed on; absent = typed. */
  readonly scale?: { readonly name: string; readonly off_g: number } | undefined;
  /** Height against the old surface, or thickness where that is measured, mm. */
  readonly measured: string;
  /** Wet film of a coat, µm. */
  readonly wet: string;
  /** Dry film read off a gauge beside what was sanded, µm. */
  readonly gauge: string;
  /** A jar by its id, `none`, or empty for the likeliest. */
  readonly jar: string;
  /** A second jar that is mixed in, by its id, and so many grams of it; empty = none. */
  readonly also: string;
  readonly also_g: string;
}

export const NO_JAR = "none";

/** Minutes as they are planned: shown where none are typed, never recorded. */
export const plannedMinutes = ({ hands_min }: Pick<OperationView, "hands_min">): string => String(minutesAtIt(hands_min));

export const startDraft = ({ parts }: OperationView): DoDraft => ({
  minutes: "",
  note: "",
  reason: "",
  at: "",
  grams: (parts ?? []).map(() => ""),
  measured: "",
  wet: "",
  gauge: "",
  jar: "",
  also: "",
  also_g: "",
});

export type DoErrors = Partial<Record<"also_g" | "minutes" | "reason" | "grams" | "measured" | "wet" | "gauge" | "at", string>>;

/** Thickest film that is laid wet, µm. */
const THICKEST_UM = 5000;

const within = (text: string, least: number, most: number): boolean => {
  const read = parseNumber(text);
  return read.ok && read.value >= least && read.value <= most;
};
const empty = (text: string): boolean => text.trim() === "";

/** What a press is held against. */
export interface Asked extends TimeContext {
  /** It asks for a reason. */
  readonly why: boolean;
}

interface Rule {
  readonly field: keyof DoErrors;
  readonly right: (draft: DoDraft, asked: Asked) => boolean;
  readonly says: string;
}

/** When it was done, ms, as typed; undefined = now, or not to be read. */
export function typedAt({ at }: Pick<DoDraft, "at">, context: TimeContext): number | undefined {
  const read = empty(at) ? undefined : readTime(at, context);
  return read?.ok ? read.at : undefined;
}

const FUTURE = "That lies in the future: enter what is done.";

const RULES: readonly Rule[] = [
  { field: "minutes", right: ({ minutes }) => empty(minutes) || within(minutes, 0, 10_000), says: "Enter minutes, 0 to 10 000." },
  {
    field: "also_g",
    right: ({ also, also_g }) => also === "" || within(also_g, 1e-3, 1e6),
    says: "Enter how many grams come out of the second jar.",
  },
  { field: "reason", right: ({ reason }, { why }) => !why || !empty(reason), says: "Say why, in a few words: the record keeps it." },
  {
    field: "grams",
    right: ({ grams }) => grams.every((text) => empty(text) || within(text, 0, 1e6)),
    says: "Enter grams as numbers, or leave them empty.",
  },
  {
    field: "measured",
    right: ({ measured }) => empty(measured) || parseNumber(measured.replace(/^[-−]/, "")).ok,
    says: "Enter millimetres, minus for low.",
  },
  {
    field: "wet",
    right: ({ wet }) => empty(wet) || within(wet, 1e-3, THICKEST_UM),
    says: `Enter micrometres, above 0 to ${THICKEST_UM}.`,
  },
  { field: "gauge", right: ({ gauge }) => empty(gauge) || within(gauge, 0, THICKEST_UM), says: `Enter micrometres, 0 to ${THICKEST_UM}.` },
  {
    field: "at",
    right: (draft, asked) => empty(draft.at) || typedAt(draft, asked) !== undefined,
    says: `Type a time such as ${TIME_FORMS}.`,
  },
  { field: "at", right: (draft, asked) => (typedAt(draft, asked) ?? 0) <= asked.now + 60_000, says: FUTURE },
];

/** What is wrong with what was typed, by field. */
export function doErrors(draft: DoDraft, asked: Asked): DoErrors {
  return Object.fromEntries(RULES.filter(({ right }) => !right(draft, asked)).map(({ field, says }) => [field, says]));
}

const optional = (text: string): number | undefined => {
  const read = parseNumber(text);
  return text.trim() !== "" && read.ok ? read.value : undefined;
};

/** The jar that it is taken from; undefined where none is here, or none was wanted. */
export function jarOf({ jar }: Pick<DoDraft, "jar">, jars: readonly JarChoice[] = []): JarChoice | undefined {
  return jar === NO_JAR ? undefined : (jars.find(({ lot_id }) => lot_id === jar) ?? jars[0]);
}

/** The clock that it starts: with what was weighed, on what, out of which jar, and in which air. */
function startOf({ start, parts, jars }: OperationView, draft: DoDraft, air: Air): BodyOf<"done">["start"] {
  if (!start) return undefined;
  const whole = parts?.map(({ name, mass_g }, i) => ({
    name,
    planned_g: mass_g,
    ...present({ actual_g: optional(draft.grams[i] ?? "") }),
  }));
  const film = optional(draft.wet);
  const jar = jarOf(draft, jars);
  const also = jars?.find(({ lot_id }) => lot_id === draft.also && lot_id !== jar?.lot_id);
  const also_g = optional(draft.also_g);
  return {
    ...start,
    ...(film === undefined ? {} : { thickness_mm: film / 1000 }),
    ...(whole ? { parts: whole } : {}),
    ...(whole && draft.scale ? { scale: draft.scale } : {}),
    ...(jar ? { lot: jar.label, lot_id: jar.lot_id } : {}),
    ...(also && also_g !== undefined ? { also: { lot: also.label, lot_id: also.lot_id, mass_g: also_g } } : {}),
    climate: { temp_C: air.temp_C, rh_pct: air.rh_pct },
  };
}

/** What is done to a height can be measured after it. */
const MEASURED: readonly OperationView["kind"][] = ["check", "place", "pour", "grit", "file"];
export const isMeasured = ({ kind }: OperationView): boolean => MEASURED.includes(kind);

/** A batch that another follows. */
export const isCup = ({ batch }: OperationView): boolean => batch !== undefined && batch.n < batch.of;

/** Why it is done against the plan, where it is. */
const whyOf = ({ reason }: DoDraft, against: AgainstPlan | undefined): Pick<BodyOf<"done">, "against"> =>
  against ? { against: { ...against, because: reason.trim() } } : {};

/** The entry that records one batch of several, which is not the last. */
export function batchBody(
  operation: OperationView,
  draft: DoDraft,
  air: Air,
  against: AgainstPlan | undefined,
): BodyOf<"batch-mixed"> | undefined {
  const start = isCup(operation) ? startOf(operation, draft, air) : undefined;
  const note = draft.note.trim();
  return (
    start && {
      kind: "batch-mixed",
      op: operation.id,
      ...present({ hands_min: optional(draft.minutes) }),
      ...(note === "" ? {} : { note }),
      start,
      ...whyOf(draft, against),
    }
  );
}

/** What was measured: a height, or the thickness of an overlay, which is low by what it misses. */
function heightOf(read: number, { caliper }: OperationView): Pick<BodyOf<"done">, "surface_mm" | "caliper_mm"> {
  if (!caliper) return { surface_mm: read };
  const { target_mm } = caliper;
  return { caliper_mm: read, ...(target_mm === undefined ? {} : { surface_mm: read - target_mm }) };
}

/** The entry that records it. */
export function doBody(operation: OperationView, draft: DoDraft, air: Air, against: AgainstPlan | undefined): BodyOf<"done"> {
  const { minutes, note, measured, wet, gauge } = draft;
  const height = optional(measured);
  const film = optional(wet);
  const dry = optional(gauge);
  const start = startOf(operation, draft, air);
  return {
    kind: "done",
    op: operation.id,
    ...present({ hands_min: optional(minutes) }),
    ...(note.trim() === "" ? {} : { note: note.trim() }),
    ...(start ? { start } : {}),
    ...(operation.batch ? { whole_g: operation.batch.whole_g } : {}),
    ...(film === undefined ? {} : { applied_mm: film / 1000 }),
    ...(height === undefined ? {} : heightOf(height, operation)),
    ...(dry === undefined ? {} : { film_um: dry }),
    ...whyOf(draft, against),
  };
}
