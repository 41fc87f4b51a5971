"use client";
import { rescue } from "@/core/mix/rescue";
import { RATIO_OFF_PCT } from "@/core/mix/weighing";
import { doseGrams, figure, plain } from "@/core/units";
import type { OperationView } from "@/core/views/operationView";
import { TypedField } from "../forms/TypedField";
import type { DoDraft } from "../operations/doDraft";
import { Sign } from "../signs/Sign";

interface Props {
  readonly parts: NonNullable<OperationView["parts"]>;
  readonly draft: DoDraft;
  readonly change: (to: Partial<DoDraft>) => void;
}

/** What was poured of each part, typed or as the scale gave it, against the ratio. */
export function Poured({ parts, draft, change }: Props) {
  return (
    <div className="grid gap-2">
      <div className="grid gap-2 sm:grid-cols-2">
        {parts.map(({ name, mass_g }, i) => (
          <TypedField
            key={name}
            label={`${name}, weighed (planned ${doseGrams(mass_g)})`}
            value={draft.grams[i] ?? ""}
            placeholder="as planned"
            set={(text) => change({ grams: parts.map((_, j) => (j === i ? text : (draft.grams[j] ?? ""))), scale: undefined })}
            number
          />
        ))}
      </div>
      {draft.scale && (
        <p className="sub">
          Weighed on the {draft.scale.name}, ± {plain(draft.scale.off_g, 3)} g.
        </p>
      )}
      {parts.length > 1 && <Ratio parts={parts} grams={draft.grams} />}
    </div>
  );
}

/** What was poured against the ratio; a slip is put right by adding, never by taking out. */
function Ratio({ parts, grams }: { parts: NonNullable<OperationView["parts"]>; grams: readonly string[] }) {
  const poured = parts.map(({ name, mass_g }, i) => ({ name, ratio: mass_g, poured_g: Number((grams[i] ?? "").replace(",", ".")) || 0 }));
  if (poured.some(({ poured_g }) => poured_g <= 0)) return null;
  const { within_tolerance, error_pct, add } = rescue({ parts: poured, tolerance_pct: RATIO_OFF_PCT });
  if (within_tolerance) return <Sign name="done">Ratio right, {figure(error_pct, 1)} % off at most</Sign>;
  return (
    <Sign name="never" wrap>
      {figure(error_pct, 2)} % off: add {add.map(({ name, mass_g }) => `${doseGrams(mass_g)} of ${name}`).join(", ")}
    </Sign>
  );
}
