"use client";
import { formatInch, formatMm, parseLength } from "@/core/units";
import { NumberField } from "./NumberField";

const INCHES = /(?:in|inch|inches|["″”½¼¾⅛⅜⅝⅞])/i;

interface Props {
  readonly name: string;
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly error?: string | undefined;
  readonly hint: string;
}

/** A length in mm or inches; the other system stands below, and what is kept is mm. */
export function LengthField({ name, label, value, onChange, error, hint }: Props) {
  return (
    <NumberField
      name={name}
      label={label}
      unit={INCHES.test(value) || /m\s*$/i.test(value) ? "" : "mm"}
      value={value}
      onChange={onChange}
      error={error}
      note={noteFor(value, hint)}
      text
    />
  );
}

function noteFor(text: string, hint: string): string {
  if (text.trim() === "") return hint;
  const parsed = parseLength(text);
  if (!parsed.ok) return parsed.message;
  return INCHES.test(text) ? formatMm(parsed.value) : formatInch(parsed.value);
}
