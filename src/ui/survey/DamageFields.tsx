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
        onChange={(event) => form.setValue("kind", event.target.value as DamageKind | "")}
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
    <div className="grid content-start gap-1">
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
          <p className="sub">{label}</p>
          <Segmented
            label={label}
            value={value === "" ? (measure.options[0]?.[0] ?? "") : value}
            options={measure.options}
            onChange={set}
          />
        </div>
      );
    case "length":
      return <LengthField name={name} label={asked} value={value} onChange={set} error={error} hint={hint} />;
    default:
      return <NumberField name={name} label={asked} unit={measure.unit} value={value} onChange={set} error={error} note={hint} />;
  }
}
