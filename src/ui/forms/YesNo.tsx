"use client";
import { SignShape } from "../signs/Sign";

interface Props {
  readonly text: string;
  readonly value: boolean | undefined;
  readonly onChange: (value: boolean | undefined) => void;
  readonly detail?: string;
}

/** A question with Yes and No and no default; pressing the pressed half takes the answer back. */
export function YesNo({ text, value, onChange, detail }: Props) {
  return (
    <fieldset className="ask">
      <legend className="visually-hidden">{text}</legend>
      <span className="q" aria-hidden="true">
        {value === undefined && <SignShape name="to-come" size={12} />}
        <span>
          {text}
          {detail && <span className="sub block">{detail}</span>}
        </span>
      </span>
      <span className="yn">
        {[true, false].map((half) => (
          <button
            key={String(half)}
            type="button"
            className="tight-focus"
            aria-label={`${text}: ${half ? "Yes" : "No"}`}
            aria-pressed={value === half}
            onClick={() => onChange(value === half ? undefined : half)}
          >
            {half ? "Yes" : "No"}
          </button>
        ))}
      </span>
    </fieldset>
  );
}
