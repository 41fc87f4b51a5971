"use client";
import { formatGrams, TIME_FORMS } from "@/core/units";
import type { OperationView } from "@/core/views/operationView";
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
}

/** What is rarer: the jar, a measured height or film, a time that is past, a note. */
export function DoDetails({ operation, draft, change, wrong, asksWhy, refusal }: Props) {
  const { kind, starts, jars } = operation;
  return (
    <div className="do-details">
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
