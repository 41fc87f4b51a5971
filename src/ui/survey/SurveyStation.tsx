"use client";
import { useRouter } from "next/navigation";
import { useForm } from "react-hook-form";
import { type Finish, finishRow, type PieceKind, type Stance, type Substrate, substrateRow } from "@/core/catalogue";
import type { BodyOf } from "@/core/record/events.schema";
import { lossOf } from "@/core/survey/loss";
import { DAMAGE_LABELS } from "@/core/survey/measures.data";
import { sketchOf } from "@/core/survey/sketch";
import type { Survey } from "@/core/survey/survey.schema";
import { figure } from "@/core/units";
import { useDraft } from "../forms/draft";
import { FieldError } from "../forms/FieldError";
import { useKept } from "../forms/kept";
import { type Errors, messagesOf, type Read, resolverOf } from "../forms/read";
import { fieldOf } from "../forms/send";
import { TextField } from "../forms/TextField";
import { Photographs, type PhotographView } from "../stations/Photographs";
import { useLog } from "../treatment/TreatmentLog";
import { Inspection, Use } from "./Answers";
import { Apart } from "./Apart";
import { ConditionMap, type DamageMark } from "./ConditionMap";
import { KindField, MeasureFields } from "./DamageFields";
import { Sketch } from "./Sketch";
import { drawable, EMPTY_SURVEY, type ReadSurvey, readSurvey, type SurveyForm, sharedForm, surveyForm } from "./surveyForm";
import type { SurveyPart } from "./surveyPart";
import { Tells } from "./Tells";
import { useWays } from "./useWays";
import { Ways } from "./Ways";

interface Props {
  readonly treatment: string;
  /** Which damage of the treatment; `first` = the one that it began with. */
  readonly damage: string;
  readonly first: boolean;
  readonly piece: { readonly kind: PieceKind; readonly substrate: Substrate; readonly finish: Finish };
  readonly part: string;
  readonly part_id: string;
  readonly parts: ReadonlyArray<{ readonly id: string; readonly name: string; readonly substrate: Substrate; readonly finish: Finish }>;
  readonly title?: string;
  /** What the first survey answered of the whole piece. */
  readonly shared?: Survey;
  readonly stance: Stance;
  readonly survey?: Survey;
  readonly surveyEntry?: string;
  readonly way?: Way;
  /** It stands beside others, and can be treated apart. */
  readonly apart: boolean;
  readonly damages: readonly DamageMark[];
  readonly mapPhotograph?: { readonly id: string; readonly caption: string };
  readonly photographs: readonly PhotographView[];
}

type Way = NonNullable<BodyOf<"surveyed">["way"]>;

/** A survey that can be sent, and the way that was chosen in place of the one taken unasked. */
interface Checked {
  readonly survey: Survey;
  readonly taken: Way | undefined;
}

/** What a survey takes of a bench hour, min; a working figure, corrected in the record. */
const SURVEY_MIN = 15;

const FORM_ID = "survey-form";

/** Survey: where the damage is, what is wrong with measurements, how the piece is used, what was seen, and how to meet it. */
export function SurveyStation(props: Props) {
  const { treatment, damage, first, parts, stance, survey, surveyEntry, way, shared, damages, mapPhotograph, photographs } = props;
  const router = useRouter();
  const log = useLog();
  const form = useForm<SurveyForm, unknown, Checked>({
    defaultValues: survey ? surveyForm(survey, way) : shared ? sharedForm(shared) : EMPTY_SURVEY,
    resolver: (typed, ...rest) => resolverOf(readAll)(typed, ...rest),
  });
  const draft = useDraft(`survey:${treatment}:${damage}`, form);
  const values = form.watch();
  const refused = Object.fromEntries(log.errors.map((error) => [fieldOf(error), error.message]));
  const told: Errors = { ...refused, ...messagesOf(form.formState.errors) };
  const [title, keepTitle, forgetTitle] = useKept(`survey-title:${treatment}:${damage}`, props.title ?? "");
  const [part_id, keepPart, forgetPart] = useKept(`survey-part:${treatment}:${damage}`, props.part_id);
  const chosenPart = parts.find(({ id }) => id === part_id);
  const part = chosenPart?.name ?? props.part;
  const piece = { ...props.piece, ...(chosenPart ? { substrate: chosenPart.substrate, finish: chosenPart.finish } : {}) };
  const ways = useWays(treatment, values, stance, part_id);
  const [on, finish] = [substrateRow(piece.substrate), finishRow(piece.finish)];
  const readAll = (typed: SurveyForm): Read<Checked> => {
    const read = readSurvey(typed);
    const taken = wayOf(typed, ways.ways.find(({ preselected }) => preselected)?.way);
    const wrong = {
      ...errorsIn(read, taken),
      ...(first || title.trim() !== "" ? {} : { title: "Name it, so that it can be told from the others." }),
    };
    if (!read.ok || Object.keys(wrong).length > 0) return { ok: false, errors: wrong };
    return { ok: true, value: { survey: read.survey, taken } };
  };
  const showWrong = () => void requestAnimationFrame(() => document.querySelector<HTMLElement>("[aria-invalid=true]")?.focus());
  const save = form.handleSubmit(async (read) => {
    const body = {
      kind: "surveyed",
      damage,
      part: part_id,
      ...(title.trim() === "" ? {} : { title: title.trim() }),
      survey: read.survey,
      hands_min: SURVEY_MIN,
      ...(read.taken ? { way: read.taken } : {}),
    } as const;
    if (!(await log.write(body, surveyEntry ? { corrects: surveyEntry } : {}))) return;
    draft.clear();
    forgetTitle();
    forgetPart();
    router.push(`/treatments/${treatment}/match?damage=${damage}`);
  }, showWrong);
  const part_: SurveyPart = { form, values, errors: told };
  return (
    <form id={FORM_ID} onSubmit={save} noValidate>
      <div className="survey-top">
        <div className="col-rule">
          <ConditionMap
            kind={piece.kind}
            damages={damages}
            treatment={treatment}
            own={damage}
            {...(mapPhotograph ? { photograph: mapPhotograph } : {})}
          />
          <Photographs treatment={treatment} photographs={photographs} moment="before" />
        </div>
        <div>
          <div className="survey-damage">
            <div>
              {!first && <Which title={title} setTitle={keepTitle} error={told.title} parts={parts} part={part_id} setPart={keepPart} />}
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
      {props.apart && <Apart damage={damage} title={title.trim() || part} />}
    </form>
  );
}

function errorsIn(read: ReadSurvey, way: Way | undefined): Errors {
  return { ...(read.ok ? {} : read.errors), ...(way?.reason === "" ? { way_reason: "Say why, in a few words." } : {}) };
}

/** What was chosen in place of the way that is taken unasked; undefined = that one. */
function wayOf({ way, way_reason }: SurveyForm, unasked: string | undefined): Way | undefined {
  if (way === "" || way === unasked) return undefined;
  return { way, reason: way_reason.trim() };
}

interface WhichProps {
  readonly title: string;
  readonly setTitle: (title: string) => void;
  readonly error: string | undefined;
  readonly parts: Props["parts"];
  readonly part: string;
  readonly setPart: (part: string) => void;
}

/** A further damage has a name of its own, and may be on another part of the piece. */
function Which({ title, setTitle, error, parts, part, setPart }: WhichProps) {
  return (
    <div className="grid gap-2 pb-2">
      <label className="txt-label">
        What this damage is called
        <input
          className={`txt ${error ? "wrong" : ""}`}
          value={title}
          maxLength={200}
          aria-invalid={error ? true : undefined}
          onChange={(event) => setTitle(event.target.value)}
        />
        <FieldError id="damage-title-wrong">{error}</FieldError>
      </label>
      {parts.length > 1 && (
        <label className="txt-label">
          On which part
          <select className="txt" value={part} onChange={(event) => setPart(event.target.value)}>
            {parts.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
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
