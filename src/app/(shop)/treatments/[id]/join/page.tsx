import { type Hatch, type Substrate, substrateRow } from "@/core/catalogue";
import { braceKindOf, braceQuestion, pressureFacts } from "@/core/plan/braceQuestion";
import { actsDone, chosen, type Treatment } from "@/core/record/treatment";
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
        joint_mm2={loss.joint_mm2}
        gap_mm={loss.gap_mm}
        pressure={pressureFacts(treatment.damage, on.family, treatment.survey?.body.survey.service.sprung === true, loss.gap_mm)}
        {...braceProps(treatment, record.substrate, on.hatch)}
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
