import { type ClassName, classRow } from "@/core/catalogue";

interface Props {
  readonly label: string;
  readonly classes: readonly ClassName[];
  readonly value: ClassName | undefined;
  readonly choose: (name: string) => void;
}

/** One of the classes that are planned here. */
export function ClassField({ label, classes, value, choose }: Props) {
  return (
    <label className="txt-label">
      {label}
      <select className="txt" value={value ?? ""} onChange={(event) => choose(event.target.value)}>
        {classes.map((each) => (
          <option key={each} value={each}>
            {classRow(each).name}
          </option>
        ))}
      </select>
    </label>
  );
}
