import type { DamageKind, EarlierGlue, FinishRow, SubstrateRow } from "@/core/catalogue";
import { type Check, checksFor, type Limit } from "@/core/survey/inspection.data";
import { type Damage, lacksSection, MEASURES, type Measure } from "@/core/survey/measures.data";
import type { Service, Survey } from "@/core/survey/survey.schema";
import { parseLength, plain } from "@/core/units";
import { parseNumber } from "../forms/parse";
import type { Errors } from "../forms/read";

/** The survey as it is typed: text until it is read. */
export interface SurveyForm {
  readonly kind: DamageKind | "";
  /** Measures by name; lengths, counts and choices as text. */
  readonly measures: Record<string, string>;
  readonly yesno: Record<string, boolean | undefined>;
  /** Several losses of one kind, each with its own lengths; `id` tells the rows apart on the page. */
  readonly lists: Record<string, ReadonlyArray<Record<string, string>>>;
  readonly service: Record<string, boolean | undefined>;
  readonly heat_C: string;
  readonly working_min: string;
  readonly finish_survives: boolean | undefined;
  readonly inspected: Partial<Record<Check, string | undefined>>;
  readonly earlier_glue: EarlierGlue | "";
  readonly limits: Partial<Record<Limit, boolean | undefined>>;
  readonly found: string;
  /** The way it is met; empty = the one that is taken unasked. */
  readonly way: string;
  readonly way_reason: string;
}

export const EMPTY_SURVEY: SurveyForm = {
  kind: "",
  measures: {},
  yesno: {},
  lists: {},
  service: {},
  heat_C: "",
  working_min: "",
  finish_survives: undefined,
  inspected: {},
  earlier_glue: "",
  limits: {},
  found: "",
  way: "",
  way_reason: "",
};

export type ReadSurvey = { readonly ok: true; readonly survey: Survey } | { readonly ok: false; readonly errors: Errors };

/** A survey on record, as a form to go on from. */
export function surveyForm(
  { damage, service, working_min, finish_survives, inspected, earlier_glue, limits, found }: Survey,
  way?: { readonly way: string; readonly reason: string },
): SurveyForm {
  const { heat_C, ...answers } = service;
  const values = Object.entries(damage).filter(([name]) => name !== "kind");
  return {
    kind: damage.kind,
    measures: Object.fromEntries(
      values.flatMap(([name, value]) =>
        typeof value === "number" ? [[name, plain(value, 4)]] : typeof value === "string" ? [[name, value]] : [],
      ),
    ),
    yesno: Object.fromEntries(values.filter(([, value]) => typeof value === "boolean")) as Record<string, boolean>,
    lists: Object.fromEntries(
      values.flatMap(([name, value]) =>
        Array.isArray(value) ? [[name, value.map((row, i) => ({ id: `${name} ${i + 1}`, ...typedRow(row) }))]] : [],
      ),
    ),
    service: answers,
    heat_C: heat_C === undefined ? "" : plain(heat_C),
    working_min: working_min === undefined ? "" : plain(working_min),
    finish_survives,
    inspected: inspected ?? {},
    earlier_glue: earlier_glue ?? "",
    limits: limits ?? {},
    found: found ?? "",
    way: way?.way ?? "",
    way_reason: way?.reason ?? "",
  };
}

const typedRow = (row: Readonly<Record<string, number>>) =>
  Object.fromEntries(Object.entries(row).map(([name, value]) => [name, plain(value, 4)]));

/** What a form starts from: the survey on record, else what holds for the whole piece, else nothing. */
export function startForm({
  survey,
  way,
  shared,
}: {
  survey?: Survey;
  way?: { readonly way: string; readonly reason: string };
  shared?: Survey;
}): SurveyForm {
  if (survey) return surveyForm(survey, way);
  return shared ? sharedForm(shared) : EMPTY_SURVEY;
}

/** What a further damage of one treatment starts with: the use and the finish of the piece are asked once. */
export function sharedForm({ service, finish_survives, limits }: Survey): SurveyForm {
  const { heat_C, ...answers } = service;
  return { ...EMPTY_SURVEY, service: answers, finish_survives, limits: limits ?? {}, heat_C: heat_C === undefined ? "" : plain(heat_C) };
}

/**
 * A survey as it is asked of this material for this damage: what was found under another kind of damage is no finding of this one. It stays
 * in the form, so that a slip of the kind loses nothing.
 */
export function asAsked(form: SurveyForm, { on, finish }: { readonly on: SubstrateRow; readonly finish: FinishRow }): SurveyForm {
  const checks: readonly string[] = form.kind === "" ? [] : checksFor(on, finish.film, form.kind).map(({ check }) => check);
  return { ...form, inspected: Object.fromEntries(Object.entries(form.inspected).filter(([check]) => checks.includes(check))) };
}

/** Read what was typed: a survey, or an error for each field that is wrong. */
export function readSurvey(form: SurveyForm): ReadSurvey {
  const errors: Record<string, string> = {};
  const damage = readDamage(form, errors);
  const number = (name: "heat_C" | "working_min") => {
    if (form[name].trim() === "") return undefined;
    const parsed = parseNumber(form[name]);
    if (!parsed.ok) errors[name] = parsed.message;
    return parsed.ok ? parsed.value : undefined;
  };
  const [heat_C, working_min] = [number("heat_C"), number("working_min")];
  if (working_min !== undefined && !(working_min > 0 && working_min <= 600))
    errors.working_min = "Enter 1 to 600 minutes, or leave it empty.";
  if (heat_C !== undefined && !(heat_C >= -60 && heat_C <= 300)) errors.heat_C = "Enter −60 to 300 °C, or leave it empty.";
  if (!damage || Object.keys(errors).length > 0) return { ok: false, errors };
  return {
    ok: true,
    survey: {
      damage,
      ...answersOf(form),
      service: { ...(given(form.service) as Service), ...(heat_C === undefined ? {} : { heat_C }) },
      ...(working_min === undefined ? {} : { working_min }),
      ...(form.found.trim() === "" ? {} : { found: form.found.trim() }),
    },
  };
}

/** The answers that need no reading, for "what this tells us" while the form is still being filled. */
export function answersOf(form: SurveyForm): Omit<Survey, "damage" | "found" | "working_min"> {
  const [inspected, limits] = [given(form.inspected), given(form.limits)];
  return {
    service: given(form.service) as Service,
    ...(form.finish_survives === undefined ? {} : { finish_survives: form.finish_survives }),
    ...(Object.keys(inspected).length > 0 ? { inspected } : {}),
    ...(form.earlier_glue === "" ? {} : { earlier_glue: form.earlier_glue }),
    ...(Object.keys(limits).length > 0 ? { limits } : {}),
  };
}

function given<T extends object>(answers: T): { [K in keyof T]: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(answers).filter(([, value]) => value !== undefined)) as {
    [K in keyof T]: Exclude<T[K], undefined>;
  };
}

/** The damage as far as it can be drawn: undefined until every measure is there and in range. */
export function drawable(form: SurveyForm): Damage | undefined {
  return readDamage(form, {});
}

function readDamage(form: SurveyForm, errors: Record<string, string>): Damage | undefined {
  if (form.kind === "") {
    errors.kind = "Choose what is wrong first.";
    return undefined;
  }
  const values = MEASURES[form.kind].map((measure: Measure) => [measure.name, read(measure, form, errors)] as const);
  if (values.some(([name]) => errors[name] !== undefined || Object.keys(errors).some((key) => key.startsWith(`${name}.`))))
    return undefined;
  const damage = { kind: form.kind, ...Object.fromEntries(values.filter(([, value]) => value !== undefined)) } as Damage;
  if (!lacksSection(damage)) return damage;
  errors.width_mm = "Enter width and height, or else the diameter.";
  return undefined;
}

type List = Extract<Measure, { type: "list" }>;

/** Every row of a list; a row that is empty is not there. */
function readList(
  { name, of }: List,
  lists: SurveyForm["lists"],
  errors: Record<string, string>,
): ReadonlyArray<Record<string, number>> | undefined {
  const rows = (lists[name] ?? [])
    .map((row, i) => ({ row, i }))
    .filter(({ row }) => of.some((each) => (row[each.name] ?? "").trim() !== ""));
  if (rows.length === 0) return undefined;
  return rows.map(({ row, i }) =>
    Object.fromEntries(
      of.map((each) => {
        const mine: Record<string, string> = {};
        const value = read(each, { measures: row, yesno: {}, lists: {} }, mine);
        if (mine[each.name] !== undefined) errors[`${name}.${i}.${each.name}`] = mine[each.name] ?? "";
        return [each.name, value as number];
      }),
    ),
  );
}

type Typed = Pick<SurveyForm, "measures" | "yesno" | "lists">;

function read(
  measure: Measure,
  { measures, yesno, lists }: Typed,
  errors: Record<string, string>,
): number | boolean | string | ReturnType<typeof readList> {
  if (measure.type === "list") return readList(measure, lists, errors);
  const text = measures[measure.name] ?? "";
  if (measure.type === "yesno") {
    const value = yesno[measure.name];
    if (value === undefined && !measure.optional) errors[measure.name] = "Say Yes or No.";
    return value;
  }
  if (text.trim() === "") {
    if (!measure.optional) errors[measure.name] = measure.type === "choice" ? "Choose one." : "Measure this and enter it.";
    return undefined;
  }
  if (measure.type === "choice") return text;
  return readNumber(measure, text, errors);
}

function readNumber(measure: Sized, text: string, errors: Record<string, string>): number | undefined {
  const parsed = measure.type === "length" ? parseLength(text) : parseNumber(text);
  if (!parsed.ok) {
    errors[measure.name] = parsed.message;
    return undefined;
  }
  if (measure.type === "count" && !Number.isInteger(parsed.value)) {
    errors[measure.name] = "Enter a whole number.";
    return undefined;
  }
  return inRange(measure, parsed.value, errors);
}

type Sized = Extract<Measure, { min: number }>;

function inRange({ name, label, type, unit, min, max }: Sized, value: number, errors: Record<string, string>): number | undefined {
  if (value >= min && value <= max) return value;
  const format = (n: number) => (type === "length" ? `${plain(n, 3)} mm` : `${plain(n, 2)} ${unit}`.trim());
  errors[name] =
    value > max
      ? `${format(value)} is more than we plan for (${label.toLowerCase()}, ${format(max)} at most). Check the unit, or refer the piece.`
      : value <= 0 && min > 0
        ? "It must be above zero."
        : `It must be at least ${format(min)}.`;
  return undefined;
}
