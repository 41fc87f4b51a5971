"use client";
import { useRouter } from "next/navigation";
import { lazy, type ReactNode, Suspense, useState } from "react";
import { useForm } from "react-hook-form";
import type { FinishRow, PieceKind, Stance, SubstrateRow } from "@/core/catalogue";
import type { BodyOf } from "@/core/record/events.schema";
import type { Survey } from "@/core/survey/survey.schema";
import type { SpotView } from "@/core/views/rounds";
import { useDraft } from "../forms/draft";
import { FieldError } from "../forms/FieldError";
import { useKept } from "../forms/kept";
import { type Errors, messagesOf, type Read, resolverOf } from "../forms/read";
import { fieldOf } from "../forms/send";
import { TextField } from "../forms/TextField";
import { focusFirstWrong } from "../forms/useSavedForm";
import { lazily } from "../frame/lazily";
import { Photographs, type PhotographView } from "../stations/Photographs";
import { useLog } from "../treatment/TreatmentLog";
import { Inspection, Use } from "./Answers";
import { ConditionMap, type DamageMark } from "./ConditionMap";
import { KindField, MeasureFields } from "./DamageFields";
import { asAsked, type ReadSurvey, readSurvey, type SurveyForm, startForm } from "./surveyForm";
import type { SurveyPart } from "./surveyPart";
import { useWays } from "./useWays";

interface Part {
  readonly id: string;
  readonly name: string;
  readonly on: SubstrateRow;
  readonly finish: FinishRow;
}

interface Props {
  readonly treatment: string;
  /** Which damage of the treatment; `first` = the one that it began with. */
  readonly damage: string;
  readonly first: boolean;
  readonly kind: PieceKind;
  readonly part: string;
  readonly part_id: string;
  /** Every part of the piece, with what it is made of and what lies on it. */
  readonly parts: readonly Part[];
  readonly made: Pick<Part, "on" | "finish">;
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
  /** What was found of filled faces since. */
  readonly spots: readonly SpotView[];
  /** What is on record, drawn and told by the server. */
  readonly drawn: ReactNode;
  readonly told: ReactNode;
}

type Way = NonNullable<BodyOf<"surveyed">["way"]>;

/** A survey that can be sent, and the way that was chosen in place of the one taken unasked. */
interface Checked {
  readonly survey: Survey;
  readonly taken: Way | undefined;
}

const FORM_ID = "survey-form";

const Apart = lazily(() => import("./Apart").then((module) => module.Apart));
const Ways = lazily(() => import("./Ways").then((module) => module.Ways));
const DrawnDamage = lazy(() => import("./DrawnDamage").then((module) => ({ default: module.DrawnDamage })));
const Tells = lazy(() => import("./Tells").then((module) => ({ default: module.Tells })));

/** Survey: where the damage is, what is wrong with measurements, how the piece is used, what was seen, and how to meet it. */
export function SurveyStation(props: Props) {
  const { treatment, damage, first, parts, stance, surveyEntry, damages, mapPhotograph, photographs, drawn, told } = props;
  const router = useRouter();
  const log = useLog();
  const form = useForm<SurveyForm, unknown, Checked>({
    defaultValues: startForm(props),
    shouldFocusError: false,
    resolver: (typed, ...rest) => resolverOf(readAll)(typed, ...rest),
  });
  const [start] = useState(() => JSON.stringify(form.getValues()));
  const draft = useDraft(`survey:${treatment}:${damage}`, form);
  const values = form.watch();
  const refused = Object.fromEntries(log.errors.map((error) => [fieldOf(error), error.message]));
  const wrongs: Errors = { ...refused, ...messagesOf(form.formState.errors) };
  const [title, keepTitle, forgetTitle] = useKept(`survey-title:${treatment}:${damage}`, props.title ?? "");
  const [part_id, keepPart, forgetPart] = useKept(`survey-part:${treatment}:${damage}`, props.part_id);
  const chosenPart = parts.find(({ id }) => id === part_id);
  const part = chosenPart?.name ?? props.part;
  const made = chosenPart ?? props.made;
  const asked = asAsked(values, made);
  const ways = useWays(treatment, asked, stance, part_id);
  const taken = ways.ways.find(({ way }) => way === values.way) ?? ways.ways.find(({ preselected }) => preselected);
  const { on, finish } = made;
  const readAll = (typed: SurveyForm): Read<Checked> => {
    const read = readSurvey(asAsked(typed, made));
    const taken = wayOf(typed, ways.ways.find(({ preselected }) => preselected)?.way);
    const wrong = {
      ...errorsIn(read, taken),
      ...(first || title.trim() !== "" ? {} : { title: "Name it, so that it can be told from the others." }),
    };
    if (!read.ok || Object.keys(wrong).length > 0) return { ok: false, errors: wrong };
    return { ok: true, value: { survey: read.survey, taken } };
  };
  const save = form.handleSubmit(async (read) => {
    const body = {
      kind: "surveyed",
      damage,
      part: part_id,
      ...(title.trim() === "" ? {} : { title: title.trim() }),
      survey: read.survey,
      ...(read.taken ? { way: read.taken } : {}),
    } as const;
    if (!(await log.write(body, surveyEntry ? { corrects: surveyEntry } : {}))) return;
    draft.clear();
    forgetTitle();
    forgetPart();
    router.push(`/treatments/${treatment}/match?damage=${damage}`);
  }, focusFirstWrong);
  // until something is typed, what the server drew and told of it stands
  const live = JSON.stringify(values) !== start || part_id !== props.part_id;
  const part_: SurveyPart = { form, values, errors: wrongs };
  return (
    <form method="post" id={FORM_ID} onSubmit={save} noValidate>
      <div className="survey-top">
        <div className="col-rule">
          <ConditionMap
            kind={props.kind}
            damages={damages}
            treatment={treatment}
            own={damage}
            spots={props.spots}
            {...(mapPhotograph ? { photograph: mapPhotograph } : {})}
          />
          <Photographs treatment={treatment} photographs={photographs} moment="before" />
        </div>
        <div>
          <div className="survey-damage">
            <div>
              {!first && <Which title={title} setTitle={keepTitle} error={wrongs.title} parts={parts} part={part_id} setPart={keepPart} />}
              <KindField {...part_} />
              <Suspense fallback={drawn}>
                {live ? <DrawnDamage values={values} on={on} finish={finish} part={part} places={taken?.places} /> : drawn}
              </Suspense>
            </div>
            <section aria-label="Damage">
              <MeasureFields {...part_} />
            </section>
          </div>
          <div className="survey-answers">
            <Use {...part_} />
            <Inspection {...part_} on={on} finish={finish} />
            <div>
              <Suspense fallback={told}>{live ? <Tells values={asked} on={on} finish={finish} /> : told}</Suspense>
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
