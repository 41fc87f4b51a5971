import type { FinishRow, SubstrateRow } from "@/core/catalogue";
import { lossOf } from "@/core/survey/loss";
import { DAMAGE_LABELS } from "@/core/survey/measures.data";
import { sketchOf } from "@/core/survey/sketch";
import { figure } from "@/core/units";
import { Sketch } from "./Sketch";
import { drawable, type SurveyForm } from "./surveyForm";

interface Props {
  readonly values: SurveyForm;
  readonly on: SubstrateRow;
  readonly finish: FinishRow;
  readonly part: string;
}

/** The damage in scale, from its numbers alone, with what it comes to; drawn on the server until something is typed. */
export function DrawnDamage({ values, on, finish, part }: Props) {
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
  const loss = lossOf(damage);
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
          {DAMAGE_LABELS[damage.kind]}, {loss.size}
        </b>
        {loss.volume_cm3 > 0 && (
          <>
            , about <b>{figure(loss.volume_cm3, 2)} cm³</b> to fill (simple solids; real breaks differ by some 15 %)
          </>
        )}
        {loss.joint_mm2 > 0 && (
          <>
            , <b>{figure(loss.joint_mm2 / 100, 1)} cm²</b> of faces to bond
          </>
        )}
      </p>
    </div>
  );
}
