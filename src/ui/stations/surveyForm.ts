import { type Damage, MEASURES, type Measure, type MeasuredKind } from "@/core/survey/measures.data";
import type { Service, Survey } from "@/core/survey/survey.schema";
import { formatMm, parseLength, plain } from "@/core/units";
import { parseNumber } from "../forms/parse";

/** The survey as it is typed: text until it is read. */
export interface SurveyForm {
  readonly kind: MeasuredKind | "";
  /** Measures by name; lengths and counts as text. */
  readonly measures: Record<string, string>;
  readonly yesno: Record<string, boolean | undefined>;
  readonly service: Record<string, boolean | undefined>;
  readonly heat_C: string;
  readonly working_min: string;
  readonly finish_survives: boolean | undefined;
  readonly found: string;
}

export const EMPTY_SURVEY: SurveyForm = {
  kind: "",
  measures: {},
  yesno: {},
  service: {},
  heat_C: "",
  working_min: "",
  finish_survives: undefined,
  found: "",
};

export type FormErrors = Readonly<Record<string, string>>;
export type ReadSurvey = { readonly ok: true; readonly survey: Survey } | { readonly ok: false; readonly errors: FormErrors };

/** A survey on record, as a form to go on from. */
export function surveyForm({ damage, service, working_min, finish_survives, found }: Survey): SurveyForm {
  const { heat_C, ...answers } = service;
  const values = Object.entries(damage).filter(([name]) => name !== "kind");
  return {
    kind: damage.kind,
    measures: Object.fromEntries(
      values.filter(([, value]) => typeof value === "number").map(([name, value]) => [name, plain(value as number, 2)]),
    ),
    yesno: Object.fromEntries(values.filter(([, value]) => typeof value === "boolean")) as Record<string, boolean>,
    service: answers,
    heat_C: heat_C === undefined ? "" : plain(heat_C),
    working_min: working_min === undefined ? "" : plain(working_min),
    finish_survives,
    found: found ?? "",
  };
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
  const answers = Object.fromEntries(Object.entries(form.service).filter(([, value]) => value !== undefined)) as Service;
  return {
    ok: true,
    survey: {
      damage,
      service: { ...answers, ...(heat_C === undefined ? {} : { heat_C }) },
      ...(working_min === undefined ? {} : { working_min }),
      ...(form.finish_survives === undefined ? {} : { finish_survives: form.finish_survives }),
      ...(form.found.trim() === "" ? {} : { found: form.found.trim() }),
    },
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
  const values = MEASURES[form.kind].map((measure: Measure) => [measure.name, READERS[measure.type](measure, form, errors)] as const);
  if (values.some(([name]) => errors[name] !== undefined)) return undefined;
  return { kind: form.kind, ...Object.fromEntries(values.filter(([, value]) => value !== undefined)) } as Damage;
}

type Reader = (measure: Measure, form: SurveyForm, errors: Record<string, string>) => number | boolean | undefined;

const READERS: { readonly [T in Measure["type"]]: Reader } = {
  length: (measure, { measures }, errors) => {
    const text = measures[measure.name] ?? "";
    if (text.trim() === "") return missing(measure, errors);
    const parsed = parseLength(text);
    if (!parsed.ok) errors[measure.name] = parsed.message;
    return parsed.ok ? inRange(measure, parsed.value, formatMm, errors) : undefined;
  },
  count: (measure, { measures }, errors) => {
    const text = measures[measure.name] ?? "";
    if (text.trim() === "") return missing(measure, errors);
    const parsed = parseNumber(text);
    if (!parsed.ok || !Number.isInteger(parsed.value)) {
      errors[measure.name] = "Enter a whole number.";
      return undefined;
    }
    return inRange(measure, parsed.value, String, errors);
  },
  yesno: (measure, { yesno }, errors) => {
    const value = yesno[measure.name];
    if (value === undefined) errors[measure.name] = "Say Yes or No.";
    return value;
  },
};

function missing({ name, optional }: Measure, errors: Record<string, string>): undefined {
  if (!optional) errors[name] = "Measure this and enter it.";
  return undefined;
}

function inRange(
  { name, label, min, max }: Measure,
  value: number,
  format: (n: number) => string,
  errors: Record<string, string>,
): number | undefined {
  if (value >= min && value <= max) return value;
  errors[name] =
    value > max
      ? `${format(value)} is more than we plan for (${label.toLowerCase()}, ${format(max)} at most). Check the unit, or refer the piece.`
      : value <= 0 && min > 0
        ? "It must be above zero."
        : `It must be at least ${format(min)}.`;
  return undefined;
}
