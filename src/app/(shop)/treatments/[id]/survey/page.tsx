import { SaveSurvey, SurveyStation } from "@/ui/survey/SurveyStation";
import { type StationView, stationPage } from "../station";

export const metadata = { title: "Survey" };

export default async function SurveyPage({ params }: PageProps<"/treatments/[id]/survey">) {
  return stationPage(params, "survey", render, <SaveSurvey />);
}

function render({ id, record, treatment, photographs, damages, map_photograph }: StationView) {
  const { survey, decision, choice } = treatment;
  return (
    <SurveyStation
      key={survey?.id}
      treatment={id}
      piece={{ kind: record.kind, substrate: record.substrate, finish: record.finish }}
      part={record.part_name}
      piece_id={record.piece_id}
      stance={choice?.body.stance ?? "reversible"}
      damages={damages}
      photographs={photographs}
      {...(map_photograph ? { mapPhotograph: map_photograph } : {})}
      {...(survey ? { survey: survey.body.survey, surveyEntry: survey.id } : {})}
      {...(decision ? { decision } : {})}
    />
  );
}
