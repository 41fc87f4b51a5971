import { ReadyStation } from "@/ui/stations/ReadyStation";
import { Earlier } from "../Earlier";
import { stationPage } from "../station";

export const metadata = { title: "Make ready" };

export default async function ReadyPage({ params }: PageProps<"/treatments/[id]/ready">) {
  return stationPage(params, "ready", ({ id, treatment, plan, photographs, done, next }) =>
    plan && treatment.settled ? (
      <ReadyStation
        treatment={id}
        plan={plan.stations.ready}
        marks={treatment.steps}
        done={done}
        next={next}
        photographs={photographs.filter(({ moment }) => moment === "during")}
      />
    ) : (
      <Earlier
        id={id}
        first={treatment.survey ? "match" : "survey"}
        why="The steps follow from the chain of materials. Choose it at Match first."
      />
    ),
  );
}
