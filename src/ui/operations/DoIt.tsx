"use client";
import { useState } from "react";
import { rescue } from "@/core/mix/rescue";
import { doseGrams } from "@/core/plan/doses";
import type { BodyOf } from "@/core/record/events.schema";
import { figure } from "@/core/units";
import type { OperationView } from "@/core/views/operationView";
import { FieldError } from "../forms/FieldError";
import { useKept } from "../forms/kept";
import { parseNumber } from "../forms/parse";
import type { Air } from "../frame/climate";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";

interface Props {
  readonly operation: OperationView;
  readonly air: Air;
  /** It stands out as the next thing to do. */
  readonly now: boolean;
  /** Against the plan: it asks why, and the reason stays on record. */
  readonly against?: { readonly state: "too-early" | "too-late" | "blocked"; readonly passed_min?: number; readonly asked_min?: number };
}

const WORDS = { mixed: "Mixed now", clamped: "Glued now", coated: "Laid now" } as const;

interface Draft {
  readonly minutes: string;
  readonly note: string;
  readonly reason: string;
  /** Local date and time when it was done; empty = now. */
  readonly at: string;
  readonly grams: readonly string[];
  readonly measured: string;
}

const start = ({ hands_min, parts }: OperationView): Draft => ({
  minutes: String(Math.max(1, Math.round((hands_min[0] + hands_min[1]) / 2))),
  note: "",
  reason: "",
  at: "",
  grams: (parts ?? []).map(() => ""),
  measured: "",
});

/** What data sheets of two-part resins allow, percent. */
const TOLERANCE_PCT = 5;

/** Record an operation: with the minutes it took, what was weighed, when it really was, and why where it goes against the plan. */
export function DoIt({ operation, air, now, against }: Props) {
  const log = useLog();
  const [draft, keep, forget] = useKept<Draft>(`op:${log.treatment}:${operation.id}`, start(operation));
  const [open, setOpen] = useState(against !== undefined || (now && operation.kind === "mix" && operation.parts !== undefined));
  const [tried, setTried] = useState(false);
  const change = (to: Partial<Draft>) => keep({ ...draft, ...to });
  const wrong = errorsIn(draft, against !== undefined);
  const label = operation.starts ? WORDS[operation.starts] : "Done";
  const record = async () => {
    setTried(true);
    if (Object.keys(wrong).length > 0) {
      setOpen(true);
      return;
    }
    const body = bodyOf(operation, draft, air, against);
    if (await log.write(body, draft.at === "" ? {} : { at: new Date(draft.at).toISOString() })) forget();
  };
  const shown = tried ? wrong : {};
  return (
    <form
      className="grid justify-items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void record();
      }}
      noValidate
    >
      {open && <Details operation={operation} draft={draft} change={change} wrong={shown} reason={against !== undefined} />}
      <div className="op-acts">
        <label className="fld w-[108px]">
          <span className="visually-hidden">Minutes for: {operation.text}</span>
          <input
            value={draft.minutes}
            inputMode="decimal"
            onChange={(event) => change({ minutes: event.target.value })}
            aria-invalid={shown.minutes ? true : undefined}
            style={{ width: 56 }}
          />
          <span className="unit">min</span>
        </label>
        <button type="submit" className={`btn ${now ? "go" : ""}`} disabled={log.busy} aria-label={`${label}: ${operation.text}`}>
          {against ? "Do it all the same" : label}
        </button>
        {!open && (
          <button type="button" className="link-btn" onClick={() => setOpen(true)} aria-label={`More: ${operation.text}`}>
            More
          </button>
        )}
      </div>
      <FieldError id={`${operation.id}-minutes`}>{shown.minutes}</FieldError>
    </form>
  );
}

type Wrong = Partial<Record<"minutes" | "reason" | "grams" | "measured" | "at", string>>;

function errorsIn({ minutes, reason, grams, measured, at }: Draft, asks: boolean): Wrong {
  const took = parseNumber(minutes);
  const typed = grams.filter((text) => text.trim() !== "").map(parseNumber);
  return {
    ...(took.ok && took.value >= 0 && took.value <= 10_000 ? {} : { minutes: "Enter minutes, 0 to 10 000." }),
    ...(asks && reason.trim() === "" ? { reason: "Say why, in a few words: the record keeps it." } : {}),
    ...(typed.every((each) => each.ok && each.value >= 0) ? {} : { grams: "Enter grams as numbers, or leave them empty." }),
    ...(measured.trim() === "" || parseNumber(measured.replace(/^[-−]/, "")).ok ? {} : { measured: "Enter millimetres, minus for low." }),
    ...(at !== "" && new Date(at).getTime() > Date.now() + 60_000 ? { at: "That lies in the future: enter what is done." } : {}),
  };
}

function bodyOf(
  operation: OperationView,
  { minutes, note, reason, grams, measured }: Draft,
  air: Air,
  against: Props["against"],
): BodyOf<"done"> {
  const { id, start: begin, parts } = operation;
  const weighed = grams.map((text) => (text.trim() === "" ? undefined : Number(text.replace(",", "."))));
  const whole = parts?.map(({ name, mass_g }, i) => ({ name, planned_g: mass_g, actual_g: weighed[i] ?? mass_g }));
  const surface = measured.trim() === "" ? undefined : Number(measured.replace("−", "-").replace(",", "."));
  return {
    kind: "done",
    op: id,
    hands_min: Number(minutes.replace(",", ".")),
    ...(note.trim() === "" ? {} : { note: note.trim() }),
    ...(begin ? { start: { ...begin, ...(whole ? { parts: whole } : {}), climate: { temp_C: air.temp_C, rh_pct: air.rh_pct } } } : {}),
    ...(surface === undefined ? {} : { surface_mm: surface }),
    ...(against ? { against: { ...against, because: reason.trim() } } : {}),
  };
}

interface DetailProps {
  readonly operation: OperationView;
  readonly draft: Draft;
  readonly change: (to: Partial<Draft>) => void;
  readonly wrong: Wrong;
  readonly reason: boolean;
}

/** What is rarer: weights, a measured height, a time that is past, a note. */
function Details({ operation, draft, change, wrong, reason }: DetailProps) {
  const { parts, kind, id } = operation;
  return (
    <div className="grid w-full max-w-[420px] gap-2">
      {reason && (
        <label className="txt-label">
          Why is it done all the same?
          <input
            className={`txt ${wrong.reason ? "wrong" : ""}`}
            value={draft.reason}
            maxLength={2000}
            aria-invalid={wrong.reason ? true : undefined}
            onChange={(event) => change({ reason: event.target.value })}
          />
          <FieldError id={`${id}-reason`}>{wrong.reason}</FieldError>
        </label>
      )}
      {parts?.map(({ name, mass_g }, i) => (
        <label key={name} className="txt-label">
          {name}, weighed (planned {doseGrams(mass_g)})
          <input
            className="txt"
            inputMode="decimal"
            value={draft.grams[i] ?? ""}
            placeholder="as planned"
            onChange={(event) => change({ grams: parts.map((_, j) => (j === i ? event.target.value : (draft.grams[j] ?? ""))) })}
          />
        </label>
      ))}
      <FieldError id={`${id}-grams`}>{wrong.grams}</FieldError>
      {parts && <Ratio parts={parts} grams={draft.grams} />}
      {(kind === "check" || kind === "place" || kind === "pour") && (
        <label className="txt-label">
          Height against the old surface, mm (minus: low)
          <input
            className="txt"
            inputMode="decimal"
            value={draft.measured}
            onChange={(event) => change({ measured: event.target.value })}
          />
          <FieldError id={`${id}-measured`}>{wrong.measured}</FieldError>
        </label>
      )}
      <label className="txt-label">
        When it was done, if not now
        <input className="txt" type="datetime-local" value={draft.at} onChange={(event) => change({ at: event.target.value })} />
        <FieldError id={`${id}-at`}>{wrong.at}</FieldError>
      </label>
      <label className="txt-label">
        Note
        <input className="txt" value={draft.note} maxLength={2000} onChange={(event) => change({ note: event.target.value })} />
      </label>
    </div>
  );
}

/** What was poured against the ratio; a slip is put right by adding, never by taking out. */
function Ratio({ parts, grams }: { parts: NonNullable<OperationView["parts"]>; grams: readonly string[] }) {
  const poured = parts.map(({ name, mass_g }, i) => ({ name, ratio: mass_g, poured_g: Number((grams[i] ?? "").replace(",", ".")) || 0 }));
  if (poured.some(({ poured_g }) => poured_g <= 0)) return null;
  const { within_tolerance, error_pct, add } = rescue({ parts: poured, tolerance_pct: TOLERANCE_PCT });
  if (within_tolerance) return <Sign name="done">Ratio right, {figure(error_pct, 1)} % off at most</Sign>;
  return (
    <Sign name="never" wrap>
      {figure(error_pct, 2)} % off: add {add.map(({ name, mass_g }) => `${doseGrams(mass_g)} of ${name}`).join(", ")}
    </Sign>
  );
}
