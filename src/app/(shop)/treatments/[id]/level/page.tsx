import { substrateRow } from "@/core/catalogue";
import { LevelStation } from "@/ui/stations/LevelStation";
import { Earlier } from "../Earlier";
import { stationPage } from "../station";

export const metadata = { title: "Level" };

export default async function LevelPage({ params }: PageProps<"/treatments/[id]/level">) {
  return stationPage(params, "level", ({ id, record, treatment, plan, done, next }) =>
    plan && treatment.settled ? (
      <LevelStation
        treatment={id}
        entries={treatment.level}
        family={substrateRow(record.substrate).family}
        done={done}
        needed={plan.stations.level.needed}
        next={next}
        {...(plan.ladder ? { ladder: plan.ladder } : {})}
      />
    ) : (
      <Earlier
        id={id}
        first={treatment.survey ? "match" : "survey"}
        why="The ladder follows from the filler and from what comes over it. Choose the chain at Match first."
      />
    ),
  );
}
