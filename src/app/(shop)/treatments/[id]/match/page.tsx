import { stationLabel } from "@/core/catalogue";
import { matchInputOf } from "@/core/plan/matchInput";
import { insteadOf } from "@/core/plan/plan";
import { type StockProduct, shelfOf } from "@/core/plan/stock";
import { referrals } from "@/core/survey/consequences";
import { MatchStation } from "@/ui/match/MatchStation";
import { cabinetProducts } from "@/work/cabinet";
import { withRecord } from "../../../withRecord";
import { Earlier } from "../Earlier";
import { type StationView, stationPage } from "../station";

export const metadata = { title: "Match" };

export default async function MatchPage({ params }: PageProps<"/treatments/[id]/match">) {
  return withRecord(cabinetProducts, (products) => stationPage(params, "match", (view) => matchView(view, products)));
}

function matchView({ id, record, treatment, air, now }: StationView, products: readonly StockProduct[]) {
  const { survey, damage, choice, choice_stale } = treatment;
  if (!survey || !damage) return <Earlier id={id} first="survey" why="Match needs to know what is wrong. Survey the damage first." />;
  const instead = insteadOf(treatment);
  if (instead)
    return (
      <p className="max-w-[560px] py-4 text-[16px] leading-[22px]">
        You decided: {instead.label.toLowerCase()}. No chain of materials is needed; {stationLabel("ready")} holds what is to do. Survey
        takes the decision back.
      </p>
    );
  const shelf = shelfOf(products, damage, now);
  return (
    <MatchStation
      treatment={id}
      input={matchInputOf(record, survey.body.survey, damage, air.temp_C)}
      stale={choice_stale}
      referrals={referrals(survey.body.survey)}
      {...(shelf ? { shelf } : {})}
      {...(choice ? { choice: { stance: choice.body.stance, chain: choice.body.chain, entry: choice.id } } : {})}
    />
  );
}
