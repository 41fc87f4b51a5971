import { type Hatch, type Substrate, substrateRow } from "@/core/catalogue";
import { braceKindOf } from "@/core/join/kinds.data";
import { layup } from "@/core/join/layup";
import { braceQuestion, pressureFacts } from "@/core/plan/braceQuestion";
import { thinPlaceOf } from "@/core/plan/thinPlace";
import { actsDone, chosen, materialTaken, type Treatment } from "@/core/record/treatment";
import { lossOf } from "@/core/survey/loss";
import { JoinStation } from "@/ui/join/JoinStation";
import { Earlier } from "../Earlier";
import { stationPage } from "../station";

export const metadata = { title: "Join" };

export default async function JoinPage({ params }: PageProps<"/treatments/[id]/join">) {
  return stationPage(params, "join", ({ id, record, treatment, plan, cures, air, done, next }) => {
    if (!plan || !treatment.settled || !treatment.damage)
      return (
        <Earlier id={id} first={treatment.survey ? "match" : "survey"} why="Join needs an adhesive. Choose the chain at Match first." />
      );
    const loss = lossOf(treatment.damage);
    const on = substrateRow(record.substrate);
    const clock = treatment.clocks.findLast(({ body }) => body.kind === "clamped");
    const cure = cures.find(({ entry }) => entry === clock?.id);
    return (
      <JoinStation
        treatment={id}
        plan={plan.stations.join}
        marks={treatment.steps}
        done={done}
        next={next}
        adhesive={chosen(treatment).adhesive}
        loss={loss}
        pressure={pressureFacts(treatment.damage, on.family, treatment.survey?.body.survey.service.sprung === true, loss.film_mm)}
        {...braceProps(treatment, record.substrate, on.hatch)}
        {...layupProps(treatment, on.hatch)}
        acts={clock ? [...actsDone(treatment, clock)] : []}
        air={air}
        {...(cure ? { cure } : {})}
      />
    );
  });
}

/** The panel's question with the brace that the chain holds and the one on record; nothing where this damage asks for none. */
function braceProps(treatment: Treatment, substrate: Substrate, hatch: Hatch) {
  const question = treatment.damage && braceQuestion(treatment.damage, substrate);
  if (!question) return {};
  const { brace } = chosen(treatment);
  const planned = brace && braceKindOf(brace.class);
  return { brace: { question, hatch, ...(planned && { planned }), ...(treatment.brace && { recorded: treatment.brace.body }) } };
}

/** The backing of a thin place, where the chain holds one that is laid up. */
function layupProps(treatment: Treatment, hatch: Hatch) {
  const place = treatment.damage && thinPlaceOf(treatment.damage);
  const { brace } = chosen(treatment);
  const found = place && brace && layup(place, materialTaken(brace));
  if (!found) return {};
  return {
    backing: { place, layup: found, material: materialTaken(brace), hatch, ...(treatment.brace && { recorded: treatment.brace.body }) },
  };
}
