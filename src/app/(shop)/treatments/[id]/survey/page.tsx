import { SaveSurvey, SurveyStation } from "@/ui/stations/SurveyStation";
import { type StationView, stationPage } from "../station";

export const metadata = { title: "Survey" };

export default async function SurveyPage({ params }: PageProps<"/treatments/[id]/survey">) {
  return stationPage(params, "survey", render, <SaveSurvey />);
}

function render({ id, record, treatment, photographs }: StationView) {
  return (
    <SurveyStation
      key={treatment.survey?.id}
      treatment={id}
      substrate={record.substrate}
      finish={record.finish}
      photographs={photographs}
      {...(treatment.survey ? { survey: treatment.survey.body.survey, surveyEntry: treatment.survey.id } : {})}
    />
  );
}
