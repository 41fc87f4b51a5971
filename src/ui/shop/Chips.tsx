"use client";

interface Props<T> {
  readonly label: string;
  readonly note?: string;
  readonly options: ReadonlyArray<readonly [value: T, label: string]>;
  readonly isIn: (value: T) => boolean;
  readonly toggle: (value: T) => void;
}

/** Any number out of a list, each a press. */
export function Chips<T>({ label, note, options, isIn, toggle }: Props<T>) {
  return (
    <fieldset className="mt-4">
      <legend className="txt-label">{label}</legend>
      {note && <p className="fld-note pb-1">{note}</p>}
      <div className="chips">
        {options.map(([value, name]) => (
          <button key={name} type="button" className="chip" aria-pressed={isIn(value)} onClick={() => toggle(value)}>
            {name}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
