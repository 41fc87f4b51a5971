"use client";
import { useRouter } from "next/navigation";
import { lazy, type ReactNode, Suspense, useState } from "react";
import { useForm } from "react-hook-form";
import type { FinishRow, PieceKind, Stance, SubstrateRow } from "@/core/catalogue";
import type { BodyOf } from "@/core/record/events.schema";
import type { AskedAt } from "@/core/survey/askedAt";
import { checksFor } from "@/core/survey/inspection.data";
import { QUESTIONS } from "@/core/survey/questions.data";
import type { Survey } from "@/core/survey/survey.schema";
import { counted } from "@/core/units";
import type { SpotView } from "@/core/views/rounds";
import { useDraft } from "../forms/draft";
import { FieldError } from "../forms/FieldError";
import { useKept } from "../forms/kept";
import { type Errors, messagesOf, type Read, resolverOf } from "../forms/read";
import { fieldOf } from "../forms/send";
import { TextField } from "../forms/TextField";
import { focusFirstWrong } from "../forms/useSavedForm";
import { Link } from "../frame/Link";
import { lazily } from "../frame/lazily";
import { Photographs, type PhotographView } from "../stations/Photographs";
import { useLog } from "../treatment/TreatmentLog";
import { Inspection, Use } from "./Answers";
import { ConditionMap, type DamageMark } from "./ConditionMap";
import { KindField, MeasureFields } from "./DamageFields";
import { SurveyPane, type SurveyTab, tabOf } from "./SurveyPane";
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
  const [tab, show] = useState<SurveyTab>("damage");
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
  const at = { piece: props.kind, kind: values.kind, on, finish };
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
  const save = form.handleSubmit(
    async (read) => {
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
    },
    (wrong) => {
      show(tabOf(Object.keys(messagesOf(wrong))));
      focusFirstWrong();
    },
  );
  // until something is typed, what the server drew and told of it stands
  const live = JSON.stringify(values) !== start || part_id !== props.part_id;
  const part_: SurveyPart = { form, values, errors: wrongs };
  const tells = <Suspense fallback={told}>{live ? <Tells values={asked} on={on} finish={finish} /> : told}</Suspense>;
  const others = damages.filter((each) => each.treatment === treatment && each.damage !== damage);
  return (
    <form method="post" onSubmit={save} className="panes" noValidate>
      <section aria-label="Damages" className="tasks dusty">
        <header className="flex min-h-[44px] items-center justify-between gap-3 border-b-2 border-ink pr-4 pl-5">
          <h2>Damages</h2>
          <span className="sub">{counted(others.length + 1, "damage")}</span>
        </header>
        <div className="task-list">
          <div className="task-card op-card" data-sign="go">
            <div className="grid content-start gap-2">
              {!first && <Which title={title} setTitle={keepTitle} error={wrongs.title} parts={parts} part={part_id} setPart={keepPart} />}
              <KindField {...part_} />
              <section aria-label="Damage">
                <MeasureFields {...part_} />
              </section>
              {draft.restored && <p className="fld-note">What you typed last time was kept and is back in the fields.</p>}
            </div>
            {props.apart && <Apart damage={damage} title={title.trim() || part} />}
          </div>
          <OtherDamages damages={others} />
        </div>
        <footer className="task-foot py-2">
          <button type="submit" className="btn go min-h-[52px] w-full" disabled={log.busy}>
            {log.busy ? "Saving …" : "Save, go to Match"}
          </button>
        </footer>
      </section>
      <SurveyPane
        tab={tab}
        show={show}
        open={openQuestions(values, at)}
        ways={ways.ways.length}
        bodies={{
          damage: (
            <div className="grid gap-6 min-[1180px]:grid-cols-[minmax(0,1fr)_272px]">
              <div>
                <Suspense fallback={drawn}>
                  {live ? <DrawnDamage values={values} on={on} finish={finish} part={part} places={taken?.places} /> : drawn}
                </Suspense>
              </div>
              <div>{tells}</div>
            </div>
          ),
          map: (
            <>
              <ConditionMap
                kind={props.kind}
                damages={damages}
                treatment={treatment}
                own={damage}
                spots={props.spots}
                {...(mapPhotograph ? { photograph: mapPhotograph } : {})}
              />
              <Photographs treatment={treatment} photographs={photographs} moment="before" />
            </>
          ),
          use: (
            <div className="survey-answers">
              <Use {...part_} at={at} />
              <Inspection {...part_} at={at} />
              <div>
                {tells}
                <div className="mt-4">
                  <TextField label="What you saw" field={form.register("found")} hint="in your words, for the next restorer" long />
                </div>
              </div>
            </div>
          ),
          ways: <Ways {...part_} ways={ways} />,
        }}
      />
    </form>
  );
}

/** Questions of use and inspection that nobody answered yet. */
function openQuestions(values: SurveyForm, at: AskedAt): number {
  const checks = values.kind === "" ? [] : checksFor(at.on, at.finish.film, values.kind);
  return (
    QUESTIONS.filter(({ ask, matters }) => matters(at) && values.service[ask] === undefined).length +
    checks.filter(({ check }) => values.inspected[check] === undefined).length
  );
}

/** The other damages of this treatment: a press leads to theirs. */
function OtherDamages({ damages }: { damages: readonly DamageMark[] }) {
  return (
    <ul aria-label="Other damages">
      {damages.map(({ treatment, damage, title, size, part }) => (
        <li key={damage} className="mx-5 border-b border-ash-deep">
          <Link
            href={`/treatments/${treatment}/survey?damage=${damage}`}
            className="grid min-h-[44px] grid-cols-[auto_minmax(0,1fr)] items-center gap-3 py-1"
          >
            <span className="tok small">{damage.slice(1)}</span>
            <span className="min-w-0">
              <span className="one-line block leading-[18px] font-semibold">{title}</span>
              <span className="sub one-line block leading-[16px]">{[part, size].filter(Boolean).join(", ")}</span>
            </span>
          </Link>
        </li>
      ))}
    </ul>
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
