"use client";
import { DAMAGE_KINDS, type DamageKind } from "@/core/catalogue";
import { DAMAGE_LABELS, MEASURES, type Measure } from "@/core/survey/measures.data";
import { FieldError } from "../forms/FieldError";
import { useHydrated } from "../forms/hydrated";
import { LengthField } from "../forms/LengthField";
import { NumberField } from "../forms/NumberField";
import { Segmented } from "../forms/Segmented";
import { YesNo } from "../forms/YesNo";
import type { SurveyPart } from "./surveyPart";

/** What kind of damage, out of all there are. */
export function KindField({ form, values, errors }: SurveyPart) {
  const hydrated = useHydrated();
  return (
    <div className={errors.kind ? "kind-wrong" : ""}>
      <label className="txt-label" htmlFor="damage-kind">
        What is wrong
      </label>
      <select
        id="damage-kind"
        className="txt kind-select"
        value={values.kind}
        disabled={!hydrated}
        aria-invalid={errors.kind ? true : undefined}
        onChange={(event) => {
          form.setValue("kind", event.target.value as DamageKind | "");
          // another kind has other ways
          form.setValue("way", "");
        }}
      >
        <option value="">Choose …</option>
        {DAMAGE_KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {DAMAGE_LABELS[kind]}
          </option>
        ))}
      </select>
      <FieldError id="kind-wrong">{errors.kind}</FieldError>
    </div>
  );
}

/** The measurements of the kind that was chosen. */
export function MeasureFields({ form, values, errors }: SurveyPart) {
  if (values.kind === "") return <p className="dim">Its measurements are asked here, in mm or inches (34, 3.4 cm, 1 3/16 in).</p>;
  return (
    <div className="measures">
      {MEASURES[values.kind].map((measure: Measure) => (
        <MeasureField key={`${values.kind}-${measure.name}`} measure={measure} form={form} values={values} errors={errors} />
      ))}
    </div>
  );
}

function MeasureField({ measure, form, values, errors }: SurveyPart & { measure: Measure }) {
  const { name, label, hint, optional } = measure;
  const error = errors[name];
  const value = values.measures[name] ?? "";
  const set = (text: string) => form.setValue(`measures.${name}`, text);
  const asked = optional ? `${label} (if any)` : label;
  switch (measure.type) {
    case "yesno":
      return (
        <div>
          <YesNo text={label} detail={hint} value={values.yesno[name]} onChange={(answer) => form.setValue(`yesno.${name}`, answer)} />
          <FieldError id={`${name}-wrong`}>{error}</FieldError>
        </div>
      );
    case "choice":
      return (
        <div className="pb-1">
          <p className="sub">
            {asked}; {hint}
          </p>
          <Segmented label={label} value={value} options={measure.options} onChange={set} />
          <FieldError id={`${name}-wrong`}>{error}</FieldError>
        </div>
      );
    case "list":
      return <ListField measure={measure} form={form} values={values} errors={errors} />;
    case "length":
      return <LengthField name={name} label={asked} value={value} onChange={set} error={error} hint={hint} />;
    default:
      return <NumberField name={name} label={asked} unit={measure.unit} value={value} onChange={set} error={error} note={hint} />;
  }
}

/** Losses of one kind, a row of lengths for each; an empty row counts for nothing. */
function ListField({
  measure: { name, label, hint, most, of },
  form,
  values,
  errors,
}: SurveyPart & { measure: Extract<Measure, { type: "list" }> }) {
  const rows = values.lists[name] ?? [];
  const set = (next: ReadonlyArray<Record<string, string>>) => form.setValue(`lists.${name}`, [...next]);
  return (
    <fieldset className="pb-1">
      <legend className="sub">
        {label} (if any); {hint}
      </legend>
      {rows.map((row, i) => (
        <div key={row.id ?? name} className="grid gap-1 border-b border-ash-deep py-1">
          {of.map((each) => (
            <LengthField
              key={each.name}
              name={`${name}.${i}.${each.name}`}
              label={`${i + 1}. ${each.label}`}
              value={row[each.name] ?? ""}
              onChange={(text) => set(rows.map((other, j) => (j === i ? { ...other, [each.name]: text } : other)))}
              error={errors[`${name}.${i}.${each.name}`]}
              hint={each.hint}
            />
          ))}
          <button type="button" className="link-btn justify-self-end" onClick={() => set(rows.filter((_, j) => j !== i))}>
            Remove {i + 1}
          </button>
        </div>
      ))}
      {rows.length < most && (
        <button type="button" className="btn small mt-1" onClick={() => set([...rows, { id: crypto.randomUUID() }])}>
          Add one
        </button>
      )}
    </fieldset>
  );
}
