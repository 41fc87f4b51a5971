"use client";
import { type InputHTMLAttributes, useId } from "react";
import type { UseFormRegisterReturn } from "react-hook-form";
import { FieldError } from "./FieldError";

interface Props {
  readonly label: string;
  readonly field: UseFormRegisterReturn;
  readonly error?: string | undefined;
  readonly hint?: string;
  readonly long?: boolean;
}

/** One line, or with `long` a box, of text with its label above and its error below. */
export function TextField({ label, field, error, hint, long = false, ...rest }: Props & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  const common = {
    id,
    className: `txt ${error ? "wrong" : ""}`,
    "aria-invalid": error ? true : undefined,
    "aria-describedby": error ? `${id}-wrong` : hint ? `${id}-hint` : undefined,
  } as const;
  return (
    <div>
      <label htmlFor={id} className="txt-label">
        {label}
      </label>
      {long ? <textarea {...common} {...field} /> : <input {...common} {...rest} {...field} />}
      <FieldError id={`${id}-wrong`}>{error}</FieldError>
      {!error && hint && (
        <p id={`${id}-hint`} className="fld-note">
          {hint}
        </p>
      )}
    </div>
  );
}
