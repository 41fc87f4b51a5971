import { useState } from "react";
import { COAT_TEMPLATES } from "@/core/colour/templates.data";
import type { ChainLink } from "@/core/match/match.schema";
import { type BuildPlace, rowsFrom } from "@/core/views/buildRows";

interface Props {
  readonly place: BuildPlace;
  readonly take: (rows: readonly ChainLink[]) => void;
}

/** Ways to colour a surface: one is taken as it stands, then changed row by row. */
export function Templates({ place, take }: Props) {
  const [shown, show] = useState("");
  const template = COAT_TEMPLATES.find((each) => each.template === shown);
  return (
    <div className="grid gap-1 pb-2">
      <label className="txt-label">
        Lay it out as
        <select className="txt" value={shown} onChange={(event) => show(event.target.value)}>
          <option value="">as it stands below</option>
          {COAT_TEMPLATES.map(({ template: id, label }) => (
            <option key={id} value={id}>
              {label}
            </option>
          ))}
        </select>
      </label>
      {template && (
        <div className="flex flex-wrap items-center justify-between gap-3">
          <p className="dim">{template.how}</p>
          <button type="button" className="btn" onClick={() => take(rowsFrom(template, place))}>
            Take these coats
          </button>
        </div>
      )}
    </div>
  );
}
