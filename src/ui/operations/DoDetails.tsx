"use client";
import { rescue } from "@/core/mix/rescue";
import { RATIO_OFF_PCT } from "@/core/mix/weighing";
import { doseGrams, figure, formatGrams, plain, TIME_FORMS } from "@/core/units";
import type { OperationView } from "@/core/views/operationView";
import { FieldError } from "../forms/FieldError";
import { TypedField } from "../forms/TypedField";
import { Sign } from "../signs/Sign";
import { type DoDraft, type DoErrors, isMeasured, jarOf, NO_JAR } from "./doDraft";

interface Props {
  readonly operation: OperationView;
  readonly draft: DoDraft;
  readonly change: (to: Partial<DoDraft>) => void;
  readonly wrong: DoErrors;
  readonly asksWhy: boolean;
  /** Why the record did not take the last press. */
  readonly refusal: string | undefined;
  /** Opens the scale. */
  readonly weigh: () => void;
  /** Opens what works without a scale. */
  readonly byHand: () => void;
}

/** What is rarer: weights, the jar, a measured height or film, a time that is past, a note. */
export function DoDetails({ operation, draft, change, wrong, asksWhy, refusal, weigh, byHand }: Props) {
  const { parts, kind, id, starts, jars } = operation;
  return (
    <div className="do-details">
      {parts?.map(({ name, mass_g }, i) => (
        <TypedField
          key={name}
          label={`${name}, weighed (planned ${doseGrams(mass_g)})`}
          value={draft.grams[i] ?? ""}
          placeholder="as planned"
          set={(text) => change({ grams: parts.map((_, j) => (j === i ? text : (draft.grams[j] ?? ""))), scale: undefined })}
          number
        />
      ))}
      {parts && parts.length > 0 && (
        <div className="btn-row flex-wrap">
          <button type="button" className="btn small" onClick={weigh} aria-label={`Weigh it: ${operation.text}`}>
            Weigh it on the scale
          </button>
          <button type="button" className="link-btn" onClick={byHand} aria-label={`Without a scale: ${operation.text}`}>
            Without a scale
          </button>
        </div>
      )}
      {draft.scale && (
        <p className="sub">
          Weighed on the {draft.scale.name}, ± {plain(draft.scale.off_g, 3)} g.
        </p>
      )}
      <FieldError id={`${id}-grams`}>{wrong.grams}</FieldError>
      {parts && parts.length > 1 && <Ratio parts={parts} grams={draft.grams} />}
      {jars && (
        <label className="txt-label">
          Taken from
          <select className="txt" value={jarOf(draft, jars)?.lot_id ?? NO_JAR} onChange={(event) => change({ jar: event.target.value })}>
            {jars.map(({ lot_id, name, label, left_g }) => (
              <option key={lot_id} value={lot_id}>
                {name}, {label}: {formatGrams(left_g)} left
              </option>
            ))}
            <option value={NO_JAR}>no jar of the cabinet</option>
          </select>
        </label>
      )}
      {jars && jars.length > 1 && <SecondJar jars={jars} draft={draft} change={change} wrong={wrong.also_g} />}
      {isMeasured(operation) && (
        <TypedField
          label={operation.caliper ? "Thickness by the caliper, mm" : "Height against the old surface, mm (minus: low)"}
          wrong={wrong.measured}
          value={draft.measured}
          set={(measured) => change({ measured })}
          number
        />
      )}
      {(kind === "grit" || starts === "coated") && (
        <TypedField
          label="Film by the gauge, if measured, µm"
          wrong={wrong.gauge}
          value={draft.gauge}
          set={(gauge) => change({ gauge })}
          number
        />
      )}
      {starts === "coated" && (
        <TypedField
          label="Wet film, if measured, µm"
          wrong={wrong.wet}
          value={draft.wet}
          placeholder="as planned"
          set={(wet) => change({ wet })}
          number
        />
      )}
      <TypedField label="Note" value={draft.note} set={(note) => change({ note })} />
      <TypedField
        label="When it was done, if not now"
        wrong={wrong.at}
        value={draft.at}
        placeholder={TIME_FORMS}
        set={(at) => change({ at })}
      />
      {refusal && (
        <p role="alert" aria-label="Not kept" className="wrap-anywhere">
          <Sign name="never">Not kept</Sign> {refusal}
        </p>
      )}
      {asksWhy && (
        <TypedField label="Why is it done all the same?" wrong={wrong.reason} value={draft.reason} set={(reason) => change({ reason })} />
      )}
    </div>
  );
}

interface SecondJarProps extends Pick<Props, "draft" | "change"> {
  readonly jars: NonNullable<OperationView["jars"]>;
  readonly wrong: string | undefined;
}

/** The first jar ran out: what a second one gave is on record with its lot. */
function SecondJar({ jars, draft, change, wrong }: SecondJarProps) {
  const first = jarOf(draft, jars)?.lot_id;
  return (
    <>
      <label className="txt-label">
        And a second jar
        <select className="txt" value={draft.also} onChange={(event) => change({ also: event.target.value })}>
          <option value="">none</option>
          {jars
            .filter(({ lot_id }) => lot_id !== first)
            .map(({ lot_id, name, label, left_g }) => (
              <option key={lot_id} value={lot_id}>
                {name}, {label}: {formatGrams(left_g)} left
              </option>
            ))}
        </select>
      </label>
      {draft.also !== "" && (
        <TypedField label="Grams out of the second jar" wrong={wrong} value={draft.also_g} set={(also_g) => change({ also_g })} number />
      )}
    </>
  );
}

/** What was poured against the ratio; a slip is put right by adding, never by taking out. */
function Ratio({ parts, grams }: { parts: NonNullable<OperationView["parts"]>; grams: readonly string[] }) {
  const poured = parts.map(({ name, mass_g }, i) => ({ name, ratio: mass_g, poured_g: Number((grams[i] ?? "").replace(",", ".")) || 0 }));
  if (poured.some(({ poured_g }) => poured_g <= 0)) return null;
  const { within_tolerance, error_pct, add } = rescue({ parts: poured, tolerance_pct: RATIO_OFF_PCT });
  if (within_tolerance) return <Sign name="done">Ratio right, {figure(error_pct, 1)} % off at most</Sign>;
  return (
    <Sign name="never" wrap>
      {figure(error_pct, 2)} % off: add {add.map(({ name, mass_g }) => `${doseGrams(mass_g)} of ${name}`).join(", ")}
    </Sign>
  );
}
