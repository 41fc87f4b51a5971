"use client";
interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: ReadonlyArray<readonly [value: T, label: string]>;
  readonly onChange: (value: T) => void;
}

/** A switch between a few; the pressed part is black. */
export function Segmented<T extends string>({ label, value, options, onChange }: Props<T>) {
  return (
    <fieldset className="seg">
      <legend className="visually-hidden">{label}</legend>
      {options.map(([option, name]) => (
        <button key={option} type="button" aria-pressed={option === value} onClick={() => onChange(option)}>
          {name}
        </button>
      ))}
    </fieldset>
  );
}
