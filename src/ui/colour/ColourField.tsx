"use client";
import { useId } from "react";
import type { Lab } from "@/core/colour/spectrum";
import { parseColour, screenColour } from "@/core/colour/words";
import { plain } from "@/core/units";
import { FieldError } from "../forms/FieldError";

interface Props {
  readonly label: string;
  readonly note: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  /** As it was read where it may be more than a colour: a spectrum. */
  readonly lab?: Lab | undefined;
}

/** A colour typed as #rrggbb or as L, a and b, with its patch and its figures beside it. */
export function ColourField({ label, note, value, onChange, lab: read }: Props) {
  const id = useId();
  const lab = read ?? parseColour(value);
  const wrong = value.trim() !== "" && !lab;
  return (
    <div className="colour-field">
      <Patch lab={lab} />
      <div>
        <label htmlFor={id} className="txt-label">
          {label}
        </label>
        <input
          id={id}
          className={`txt ${wrong ? "wrong" : ""}`}
          value={value}
          autoComplete="off"
          spellCheck={false}
          maxLength={400}
          placeholder="#a98f6c or 61 9 21"
          aria-invalid={wrong ? true : undefined}
          aria-describedby={wrong ? `${id}-wrong` : `${id}-note`}
          onChange={(event) => onChange(event.target.value)}
        />
        <FieldError id={`${id}-wrong`}>{wrong ? "Write #rrggbb, or L, a and b: 61 9 21." : undefined}</FieldError>
        {!wrong && (
          <p id={`${id}-note`} className="fld-note">
            {lab ? labWords(lab) : note}
          </p>
        )}
      </div>
    </div>
  );
}

export const labWords = ({ L, a, b }: Lab): string => `L ${plain(L, 0)}, a ${plain(a, 0)}, b ${plain(b, 0)}`;

/** The object's own colour: square, ruled, never a state. */
export function Patch({ lab, large = false }: { lab: Lab | undefined; large?: boolean }) {
  return (
    <span
      className={`patch ${large ? "large" : ""} ${lab ? "" : "none"}`}
      style={lab ? { background: screenColour(lab) } : {}}
      aria-hidden="true"
    />
  );
}
