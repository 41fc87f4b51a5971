import { actsDone, chosen } from "@/core/record/treatment";
import { lossOf } from "@/core/survey/loss";
import { JoinStation } from "@/ui/stations/JoinStation";
import { Earlier } from "../Earlier";
import { stationPage } from "../station";

export const metadata = { title: "Join" };

export default async function JoinPage({ params }: PageProps<"/treatments/[id]/join">) {
  return stationPage(params, "join", ({ id, treatment, plan, cures, air, done, next }) => {
    if (!plan || !treatment.settled || !treatment.damage)
      return (
        <Earlier id={id} first={treatment.survey ? "match" : "survey"} why="Join needs an adhesive. Choose the chain at Match first." />
      );
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
        joint_mm2={lossOf(treatment.damage).joint_mm2}
        acts={clock ? [...actsDone(treatment, clock)] : []}
        air={air}
        {...(cure ? { cure } : {})}
      />
    );
  });
}
