import type { FinishRow, SubstrateRow } from "@/core/catalogue";
import { DAMAGE_LABELS } from "@/core/survey/measures.data";
import { sizeOf } from "@/core/survey/size";
import { sketchOf } from "@/core/survey/sketch";
import type { ComparedWay } from "@/core/views/ways";
import { Sketch } from "./Sketch";
import { drawable, type SurveyForm } from "./surveyForm";

interface Props {
  readonly values: SurveyForm;
  readonly on: SubstrateRow;
  readonly finish: FinishRow;
  readonly part: string;
  /** The places that the taken way makes of it; absent = not worked out yet. */
  readonly places: ComparedWay["places"] | undefined;
}

/** The damage in scale, from its numbers alone, with what it comes to; drawn on the server until something is typed. */
export function DrawnDamage({ values, on, finish, part, places = [] }: Props) {
  const damage = drawable(values);
  const under = `${part}: ${on.label.toLowerCase()}, ${finish.label.toLowerCase()},`;
  if (!damage)
    return (
      <div className="photo-slot mt-2" style={{ aspectRatio: "16 / 9" }}>
        <p className="dim px-6 text-center">
          <b className="text-ink">Drawn from your numbers</b>
          <br />
          As soon as the measurements are complete, the damage stands here in scale, so that a 60 typed for a 6 is seen.
        </p>
      </div>
    );
  return (
    <div className="mt-2">
      <Sketch
        drawing={sketchOf(damage)}
        hatch={on.hatch}
        legend={`${under} hatched, dashed: what is missing or loose`}
        width={500}
        height={270}
      />
      <p className="text-body leading-[20px]">
        <b>
          {DAMAGE_LABELS[damage.kind]}, {sizeOf(damage)}
        </b>
      </p>
      <ul aria-label="What the taken way makes of it">
        {places
          .filter(({ size }) => size !== "")
          .map(({ label, size }) => (
            <li key={label}>
              {label}: <b>{size}</b>
            </li>
          ))}
      </ul>
      {places.some(({ kind }) => kind === "void" || kind === "film") && (
        <p className="sub">Simple solids; real breaks differ by some 15 %.</p>
      )}
    </div>
  );
}
