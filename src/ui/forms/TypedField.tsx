import { useId } from "react";
import { FieldError } from "./FieldError";

interface Props {
  readonly label: string;
  readonly value: string;
  readonly set: (text: string) => void;
  readonly wrong?: string | undefined;
  readonly placeholder?: string | undefined;
  readonly number?: boolean;
  readonly maxLength?: number;
}

/** One line of text that is held by whoever shows it: its label above, its error below. */
export function TypedField({ label, value, set, wrong, placeholder, number = false, maxLength = 2000 }: Props) {
  const id = useId();
  return (
    <label className="txt-label">
      {label}
      <input
        className={`txt ${wrong ? "wrong" : ""}`}
        value={value}
        maxLength={maxLength}
        placeholder={placeholder}
        inputMode={number ? "decimal" : "text"}
        aria-invalid={wrong ? true : undefined}
        onChange={(event) => set(event.target.value)}
      />
      <FieldError id={id}>{wrong}</FieldError>
    </label>
  );
}
