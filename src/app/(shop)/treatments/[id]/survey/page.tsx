import { finishRow, substrateRow } from "@/core/catalogue";
import { type DamageRecord, FIRST_DAMAGE } from "@/core/record/treatment";
import { spotsOf } from "@/core/views/rounds";
import { placesAsMet } from "@/core/views/ways";
import { damageInput } from "@/core/views/worked";
import { DrawnDamage } from "@/ui/survey/DrawnDamage";
import { SurveyStation } from "@/ui/survey/SurveyStation";
import { startForm } from "@/ui/survey/surveyForm";
import { Tells } from "@/ui/survey/Tells";
import type { TreatmentPage } from "@/work/treatments";
import { pieceFacts } from "@/work/working";
import { type StationView, stationPage } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/survey">) => stationMetadata(params, "survey");

export default async function SurveyPage({ params, searchParams }: PageProps<"/treatments/[id]/survey">) {
  const { damage } = await searchParams;
  return stationPage(params, "survey", (view) =>
    render(view, typeof damage === "string" && /^d[1-9][0-9]?$/.test(damage) ? damage : (view.treatment.damages[0]?.id ?? FIRST_DAMAGE)),
  );
}

function render(view: StationView, damage: string) {
  const { id, record, treatment, photographs, damages, parts, map_photograph } = view;
  const known = treatment.damages.find((each) => each.id === damage);
  const part = parts.find((each) => each.id === known?.survey.body.part) ?? parts.find((each) => each.id === record.part_id) ?? record;
  const name = "name" in part ? part.name : record.part_name;
  const before = {
    ...(treatment.damages[0] ? { shared: treatment.damages[0].survey.body.survey } : {}),
    ...(known ? { survey: known.survey.body.survey } : {}),
    ...(known?.survey.body.way ? { way: known.survey.body.way } : {}),
  };
  const values = startForm(before);
  const made = madeOf(part);
  return (
    <SurveyStation
      key={`${damage} ${known?.survey.id ?? ""}`}
      treatment={id}
      damage={damage}
      kind={record.kind}
      part={name}
      part_id={known?.survey.body.part ?? record.part_id}
      parts={parts.map((each) => ({ id: each.id, name: each.name, ...madeOf(each) }))}
      made={made}
      stance={treatment.stance}
      damages={damages}
      photographs={photographs}
      spots={spotsOf(treatment)}
      first={treatment.damages.length === 0 || damage === treatment.damages[0]?.id}
      {...(map_photograph ? { mapPhotograph: map_photograph } : {})}
      {...before}
      {...(known ? { surveyEntry: known.survey.id, title: known.survey.body.title ?? "" } : {})}
      apart={treatment.damages.length > 1 && known !== undefined && treatment.closed === undefined}
      drawn={<DrawnDamage values={values} {...made} part={name} places={known && metPlaces(view, known)} />}
      told={<Tells values={values} {...made} />}
    />
  );
}

const metPlaces = ({ record, treatment, air }: StationView, known: DamageRecord) =>
  placesAsMet(damageInput(pieceFacts(record), known), treatment.stance, air);

/** What a part is made of, and what lies on it, as the catalogue knows them. */
const madeOf = ({ substrate, finish }: Pick<TreatmentPage["parts"][number], "substrate" | "finish">) => ({
  on: substrateRow(substrate),
  finish: finishRow(finish),
});
