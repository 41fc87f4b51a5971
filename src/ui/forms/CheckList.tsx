import type { ReactNode } from "react";

interface Props {
  readonly legend: string;
  readonly rows: ReadonlyArray<{ readonly id: string; readonly label: ReactNode }>;
  readonly chosen: readonly string[];
  readonly choose: (chosen: readonly string[]) => void;
  readonly children?: ReactNode;
}

/** Several of a list to be ticked, each a finger wide. */
export function CheckList({ legend, rows, chosen, choose, children }: Props) {
  return (
    <fieldset className="grid gap-1">
      <legend className="txt-label">{legend}</legend>
      {rows.map(({ id, label }) => (
        <label key={id} className="flex min-h-[44px] items-center gap-3">
          <input
            type="checkbox"
            className="size-5"
            checked={chosen.includes(id)}
            onChange={(event) => choose(event.target.checked ? [...chosen, id] : chosen.filter((each) => each !== id))}
          />
          {label}
        </label>
      ))}
      {children}
    </fieldset>
  );
}
