"use client";
import { useId } from "react";
import type { UseFormRegisterReturn } from "react-hook-form";
import { FieldError } from "./FieldError";

interface Props {
  readonly label: string;
  readonly field: UseFormRegisterReturn;
  readonly options: ReadonlyArray<readonly [value: string, label: string]>;
  readonly error?: string | undefined;
  /** What nothing chosen means; absent = something has to be chosen. */
  readonly none?: string;
}

/** A choice from a list, with the browser's own list: it works with gloves and by keyboard. */
export function SelectField({ label, field, options, error, none = "Choose …" }: Props) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="txt-label">
        {label}
      </label>
      <select
        id={id}
        className={`txt ${error ? "wrong" : ""}`}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? `${id}-wrong` : undefined}
        {...field}
      >
        <option value="">{none}</option>
        {options.map(([value, name]) => (
          <option key={value} value={value}>
            {name}
          </option>
        ))}
      </select>
      <FieldError id={`${id}-wrong`}>{error}</FieldError>
    </div>
  );
}
