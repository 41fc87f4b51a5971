import { matchInputOf } from "@/core/plan/matchInput";
import { MatchStation } from "@/ui/match/MatchStation";
import { Earlier } from "../Earlier";
import { stationPage } from "../station";

export const metadata = { title: "Match" };

export default async function MatchPage({ params }: PageProps<"/treatments/[id]/match">) {
  return stationPage(params, "match", ({ id, record, treatment, air }) => {
    const { survey, choice, choice_stale } = treatment;
    if (!survey) return <Earlier id={id} first="survey" why="Match needs to know what is wrong. Survey the damage first." />;
    return (
      <MatchStation
        treatment={id}
        input={matchInputOf(record, survey.body.survey, air.temp_C)}
        stale={choice_stale}
        {...(choice ? { choice: { stance: choice.body.stance, chain: choice.body.chain, entry: choice.id } } : {})}
      />
    );
  });
}
