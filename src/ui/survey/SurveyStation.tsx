"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { type Finish, finishRow, type PieceKind, type Stance, type Substrate, substrateRow } from "@/core/catalogue";
import { PLANNED_MIN } from "@/core/plan/planned.data";
import type { Decision } from "@/core/record/events.schema";
import { lossOf } from "@/core/survey/loss";
import { DAMAGE_LABELS } from "@/core/survey/measures.data";
import { OPTIONS, optionRow } from "@/core/survey/options.data";
import { sketchOf } from "@/core/survey/sketch";
import type { Survey } from "@/core/survey/survey.schema";
import { figure } from "@/core/units";
import { useDraft } from "../forms/draft";
import { fieldOf } from "../forms/send";
import { TextField } from "../forms/TextField";
import { Photographs, type PhotographView } from "../stations/Photographs";
import { useLog } from "../treatment/TreatmentLog";
import { Inspection, Use } from "./Answers";
import { ConditionMap, type DamageMark } from "./ConditionMap";
import { KindField, MeasureFields } from "./DamageFields";
import { Sketch } from "./Sketch";
import { drawable, EMPTY_SURVEY, type FormErrors, type ReadSurvey, readSurvey, type SurveyForm, surveyForm } from "./surveyForm";
import { Tells } from "./Tells";
import { useWays } from "./useWays";
import { Ways } from "./Ways";

interface Props {
  readonly treatment: string;
  readonly piece: { readonly kind: PieceKind; readonly substrate: Substrate; readonly finish: Finish };
  readonly part: string;
  readonly piece_id: string;
  readonly stance: Stance;
  readonly survey?: Survey;
  readonly surveyEntry?: string;
  readonly decision?: Decision;
  readonly damages: readonly DamageMark[];
  readonly mapPhotograph?: { readonly id: string; readonly caption: string };
  readonly photographs: readonly PhotographView[];
}

const FORM_ID = "survey-form";

/** Survey: where the damage is, what is wrong with measurements, how the piece is used, what was seen, and how to meet it. */
export function SurveyStation(props: Props) {
  const { treatment, piece, part, stance, survey, surveyEntry, decision, damages, mapPhotograph, photographs } = props;
  const router = useRouter();
  const log = useLog();
  const form = useForm<SurveyForm>({ defaultValues: survey ? surveyForm(survey, decision) : EMPTY_SURVEY });
  const draft = useDraft(`survey:${treatment}`, form);
  const [errors, setErrors] = useState<FormErrors>({});
  const values = form.watch();
  const told: FormErrors = { ...Object.fromEntries(log.errors.map((error) => [fieldOf(error), error.message])), ...errors };
  const ways = useWays(treatment, values, stance);
  const [on, finish] = [substrateRow(piece.substrate), finishRow(piece.finish)];
  const save = async () => {
    const typed = form.getValues();
    const read = readSurvey(typed);
    const decision = decisionOf(typed, read);
    const wrong = errorsIn(read, decision);
    setErrors(wrong);
    if (!read.ok || Object.keys(wrong).length > 0) {
      requestAnimationFrame(() => document.querySelector<HTMLElement>("[aria-invalid=true]")?.focus());
      return;
    }
    const body = { kind: "surveyed", survey: read.survey, hands_min: PLANNED_MIN.survey, ...(decision ? { decision } : {}) } as const;
    if (!(await log.write(body, surveyEntry ? { corrects: surveyEntry } : {}))) return;
    draft.clear();
    router.push(`/treatments/${treatment}/${decision && !decision.damage ? "ready" : "match"}`);
  };
  const part_ = { form, values, errors: told };
  return (
    <form
      id={FORM_ID}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
      noValidate
    >
      <div className="survey-top">
        <div className="col-rule">
          <ConditionMap
            kind={piece.kind}
            damages={damages}
            own={treatment}
            piece={props.piece_id}
            {...(mapPhotograph ? { photograph: mapPhotograph } : {})}
          />
          <Photographs treatment={treatment} photographs={photographs} moment="before" />
        </div>
        <div>
          <div className="survey-damage">
            <div>
              <KindField {...part_} />
              <Drawing values={values} substrate={piece.substrate} finish={piece.finish} part={part} />
            </div>
            <section aria-label="Damage">
              <MeasureFields {...part_} />
            </section>
          </div>
          <div className="survey-answers">
            <Use {...part_} />
            <Inspection {...part_} on={on} finish={finish} />
            <div>
              <Tells values={values} on={on} finish={finish} />
              <div className="mt-4">
                <TextField label="What you saw" field={form.register("found")} hint="in your words, for the next restorer" long />
              </div>
              {draft.restored && <p className="fld-note mt-1">What you typed last time was kept and is back in the fields.</p>}
            </div>
          </div>
        </div>
      </div>
      <Ways {...part_} ways={ways} />
    </form>
  );
}

function errorsIn(read: ReadSurvey, decision: Decision | undefined): FormErrors {
  return { ...(read.ok ? {} : read.errors), ...(decision?.reason === "" ? { option_reason: "Say why, in a few words." } : {}) };
}

/** What was chosen in place of the first way; undefined = the first. What is then treated follows from what is typed now. */
function decisionOf({ kind, option, option_reason }: SurveyForm, read: ReadSurvey): Decision | undefined {
  if (kind === "" || !read.ok || option === "" || option === OPTIONS[kind][0]?.option) return undefined;
  const damage = optionRow(kind, option)?.as?.(read.survey.damage);
  return { option, reason: option_reason.trim(), ...(damage ? { damage } : {}) };
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

function Drawing({ values, substrate, finish, part }: { values: SurveyForm; substrate: Substrate; finish: Finish; part: string }) {
  const damage = drawable(values);
  const row = substrateRow(substrate);
  const under = `${part}: ${row.label.toLowerCase()}, ${finishRow(finish).label.toLowerCase()},`;
  if (!damage)
    return (
      <div className="photo-slot mt-2" style={{ aspectRatio: "16 / 9" }}>
        <p className="dim px-6 text-center">
          <b className="text-ink">Drawn from your numbers</b>
          <br />
          As soon as the measurements are complete, the damage stands here in scale, so that a 60 typed for a 6 is seen.
        </p>
      </div>
    );
  const loss = lossOf(damage);
  return (
    <div className="mt-2">
      <Sketch
        drawing={sketchOf(damage)}
        hatch={row.hatch}
        legend={`${under} hatched, dashed: what is missing or loose`}
        width={500}
        height={270}
      />
      <p className="text-[15px] leading-[20px]">
        <b>
          {DAMAGE_LABELS[damage.kind]}, {loss.size}
        </b>
        {loss.volume_cm3 > 0 && (
          <>
            , about <b>{figure(loss.volume_cm3, 2)} cm³</b> to fill (simple solids; real breaks differ by some 15 %)
          </>
        )}
        {loss.joint_mm2 > 0 && (
          <>
            , <b>{figure(loss.joint_mm2 / 100, 1)} cm²</b> of faces to bond
          </>
        )}
      </p>
    </div>
  );
}
