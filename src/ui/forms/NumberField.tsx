"use client";
import { useId } from "react";
import { FieldError } from "./FieldError";

interface Props {
  readonly name: string;
  readonly label: string;
  readonly unit: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly error?: string | undefined;
  readonly note?: string;
  readonly text?: boolean;
}

/** Label inside left, big figure right, unit grey, error or note below. */
export function NumberField({ name, label, unit, value, onChange, error, note, text = false }: Props) {
  const id = useId();
  return (
    <div>
      <div className={`fld ${error ? "wrong" : ""}`}>
        <label htmlFor={id}>{label}</label>
        <div className="fld-in">
          <input
            id={id}
            name={name}
            value={value}
            inputMode={text ? "text" : "decimal"}
            autoComplete="off"
            aria-invalid={error ? true : undefined}
            aria-describedby={error ? `${id}-wrong` : note ? `${id}-note` : undefined}
            onChange={(event) => onChange(event.target.value)}
          />
          <span className="unit">{unit}</span>
        </div>
      </div>
      <FieldError id={`${id}-wrong`}>{error}</FieldError>
      {!error && note !== undefined && (
        <p id={`${id}-note`} className="fld-note">
          {note}
        </p>
      )}
    </div>
  );
}
