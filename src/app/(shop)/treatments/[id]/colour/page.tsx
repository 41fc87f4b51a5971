import { actsDone } from "@/core/record/treatment";
import { ColourStation } from "@/ui/stations/ColourStation";
import { Earlier } from "../Earlier";
import { stationPage } from "../station";

export const metadata = { title: "Colour" };

export default async function ColourPage({ params }: PageProps<"/treatments/[id]/colour">) {
  return stationPage(params, "colour", ({ id, treatment, plan, cures, air, done, next }) => {
    if (!plan || !treatment.settled)
      return (
        <Earlier
          id={id}
          first={treatment.survey ? "match" : "survey"}
          why="Colour needs the chain of materials. Choose it at Match first."
        />
      );
    const clock = treatment.clocks.findLast(({ body }) => body.kind === "coated");
    return (
      <ColourStation
        treatment={id}
        plan={plan.stations.colour}
        coats={plan.coats}
        marks={treatment.steps}
        cures={cures.filter(({ kind }) => kind === "coated")}
        acts={clock ? [...actsDone(treatment, clock)] : []}
        done={done}
        next={next}
        air={air}
      />
    );
  });
}
