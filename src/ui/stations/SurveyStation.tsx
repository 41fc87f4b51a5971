"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { type Finish, finishRow, type Substrate, substrateRow } from "@/core/catalogue";
import { PLANNED_MIN } from "@/core/plan/planned.data";
import { profileOf } from "@/core/plan/profile";
import { lossOf } from "@/core/survey/loss";
import { DAMAGE_LABELS, MEASURED_KINDS, MEASURES, type Measure } from "@/core/survey/measures.data";
import { QUESTIONS } from "@/core/survey/questions.data";
import type { Survey } from "@/core/survey/survey.schema";
import { figure } from "@/core/units";
import { useDraft } from "../forms/draft";
import { FieldError } from "../forms/FieldError";
import { LengthField } from "../forms/LengthField";
import { NumberField } from "../forms/NumberField";
import { fieldOf } from "../forms/send";
import { TextField } from "../forms/TextField";
import { YesNo } from "../forms/YesNo";
import { Section } from "../section/Section";
import { useLog } from "../treatment/TreatmentLog";
import { Photographs, type PhotographView } from "./Photographs";
import { drawable, EMPTY_SURVEY, type FormErrors, readSurvey, type SurveyForm, surveyForm } from "./surveyForm";

interface Props {
  readonly treatment: string;
  readonly substrate: Substrate;
  readonly finish: Finish;
  readonly survey?: Survey;
  readonly surveyEntry?: string;
  readonly photographs: readonly PhotographView[];
}

const FORM_ID = "survey-form";

/** Survey: what is wrong with measurements, how the piece is used, what was seen. */
export function SurveyStation({ treatment, substrate, finish, survey, surveyEntry, photographs }: Props) {
  const router = useRouter();
  const log = useLog();
  const form = useForm<SurveyForm>({ defaultValues: survey ? surveyForm(survey) : EMPTY_SURVEY });
  const draft = useDraft(`survey:${treatment}`, form);
  const [errors, setErrors] = useState<FormErrors>({});
  const values = form.watch();
  const told: FormErrors = { ...Object.fromEntries(log.errors.map((error) => [fieldOf(error), error.message])), ...errors };
  const save = async () => {
    const read = readSurvey(form.getValues());
    setErrors(read.ok ? {} : read.errors);
    if (!read.ok) {
      requestAnimationFrame(() => document.querySelector<HTMLElement>("[aria-invalid=true], .kind-wrong button")?.focus());
      return;
    }
    const saved = await log.write(
      { kind: "surveyed", survey: read.survey, hands_min: PLANNED_MIN.survey },
      surveyEntry ? { corrects: surveyEntry } : {},
    );
    if (!saved) return;
    draft.clear();
    router.push(`/treatments/${treatment}/match`);
  };
  return (
    <form
      id={FORM_ID}
      className="cols cols-survey two-up"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
      noValidate
    >
      <div className="col-rule max-[1100px]:col-span-2">
        <Drawing form={values} substrate={substrate} finish={finish} />
        <Photographs treatment={treatment} photographs={photographs} moment="before" />
      </div>
      <DamageFields form={form} values={values} errors={told} />
      <div>
        <Use form={form} values={values} errors={told} />
        {draft.restored && <p className="fld-note mt-1">What you typed last time was kept and is back in the fields.</p>}
      </div>
    </form>
  );
}

/** The main action of Survey; it stands in the head, always in sight. */
export function SaveSurvey() {
  const log = useLog();
  return (
    <button type="submit" form={FORM_ID} className="btn go" disabled={log.busy}>
      {log.busy ? "Saving …" : "Save, go to Match"}
    </button>
  );
}

type Form = ReturnType<typeof useForm<SurveyForm>>;
interface Part {
  readonly form: Form;
  readonly values: SurveyForm;
  readonly errors: FormErrors;
}

function DamageFields({ form, values, errors }: Part) {
  return (
    <section aria-label="Damage" className="col-rule">
      <h2>What is wrong</h2>
      <div className={`chips mt-2 ${errors.kind ? "kind-wrong" : ""}`}>
        {MEASURED_KINDS.map((kind) => (
          <button key={kind} type="button" className="chip" aria-pressed={values.kind === kind} onClick={() => form.setValue("kind", kind)}>
            {DAMAGE_LABELS[kind]}
          </button>
        ))}
      </div>
      <FieldError id="kind-wrong">{errors.kind}</FieldError>
      {values.kind === "" ? (
        <p className="dim mt-3">Choose one: its measurements are asked here, in mm or inches (34, 3.4 cm, 1 3/16 in).</p>
      ) : (
        <div className="mt-3 grid gap-1">
          {MEASURES[values.kind].map((measure: Measure) => (
            <MeasureField
              key={`${values.kind}-${measure.name}`}
              measure={measure}
              form={form}
              values={values}
              error={errors[measure.name]}
            />
          ))}
        </div>
      )}
      <div className="mt-2">
        <TextField label="What you saw" field={form.register("found")} hint="raking light, fingertip, tap, flex; earlier repairs" long />
      </div>
    </section>
  );
}

function MeasureField({ measure, form, values, error }: { measure: Measure; form: Form; values: SurveyForm; error: string | undefined }) {
  const { name, label, hint, optional } = measure;
  const asked = optional ? `${label} (if any)` : label;
  const set = (text: string) => form.setValue(`measures.${name}`, text);
  if (measure.type === "yesno")
    return (
      <div>
        <YesNo text={label} detail={hint} value={values.yesno[name]} onChange={(value) => form.setValue(`yesno.${name}`, value)} />
        <FieldError id={`${name}-wrong`}>{error}</FieldError>
      </div>
    );
  if (measure.type === "count")
    return <NumberField name={name} label={asked} unit="" value={values.measures[name] ?? ""} onChange={set} error={error} note={hint} />;
  return <LengthField name={name} label={asked} value={values.measures[name] ?? ""} onChange={set} error={error} hint={hint} />;
}

function Use({ form, values, errors }: Part) {
  const open = QUESTIONS.filter(({ ask }) => values.service[ask] === undefined).length;
  return (
    <section aria-label="How it is used">
      <h2 className="flex items-baseline justify-between">
        How it is used <span className="sub">{open === 0 ? "all answered" : `${open} open, taken as No`}</span>
      </h2>
      {QUESTIONS.map(({ ask, text, yes }) => (
        <YesNo
          key={ask}
          text={text}
          value={values.service[ask]}
          onChange={(value) => form.setValue(`service.${ask}`, value)}
          {...(values.service[ask] ? { detail: yes } : {})}
        />
      ))}
      <YesNo
        text="The finish beside it must survive"
        value={values.finish_survives}
        onChange={(value) => form.setValue("finish_survives", value)}
      />
      <div className="mt-2 grid gap-1">
        <NumberField
          name="heat_C"
          label="Warmest it gets"
          unit="°C"
          value={values.heat_C}
          onChange={(text) => form.setValue("heat_C", text)}
          error={errors.heat_C}
          note="rinsing, sun, a lamp; empty = room"
        />
        <NumberField
          name="working_min"
          label="Assembly takes"
          unit="min"
          value={values.working_min}
          onChange={(text) => form.setValue("working_min", text)}
          error={errors.working_min}
          note="from the dry fit; empty = no limit"
        />
      </div>
    </section>
  );
}

function Drawing({ form, substrate, finish }: { form: SurveyForm; substrate: Substrate; finish: Finish }) {
  const damage = drawable(form);
  const row = substrateRow(substrate);
  const under = `${row.label}, ${finishRow(finish).label.toLowerCase()}`;
  if (!damage)
    return (
      <div className="photo-slot" style={{ aspectRatio: "16 / 9" }}>
        <p className="dim px-6 text-center">
          <b className="text-ink">Drawn from your numbers</b>
          <br />
          As soon as the measurements are complete, the loss stands here in scale, so that a 60 typed for a 6 is seen.
        </p>
      </div>
    );
  const loss = lossOf(damage);
  return (
    <>
      <Section
        profile={profileOf(damage)}
        hatch={row.hatch}
        substrate={under}
        title={DAMAGE_LABELS[damage.kind]}
        note="drawn from your numbers"
        width={580}
        height={250}
      />
      <p className="text-[15px] leading-[20px]">
        <b>{loss.size}</b>
        {loss.volume_cm3 > 0 && (
          <>
            , about <b>{figure(loss.volume_cm3, 2)} cm³</b> is missing (simple solids; real breaks differ by some 15 %)
          </>
        )}
        {loss.joint_mm2 > 0 && (
          <>
            , <b>{figure(loss.joint_mm2 / 100, 1)} cm²</b> of faces to bond
          </>
        )}
      </p>
    </>
  );
}
