import { actsDone } from "@/core/record/treatment";
import { FillStation } from "@/ui/stations/FillStation";
import { Earlier } from "../Earlier";
import { stationPage } from "../station";

export const metadata = { title: "Fill" };

export default async function FillPage({ params }: PageProps<"/treatments/[id]/fill">) {
  return stationPage(params, "fill", ({ id, record, treatment, plan, cures, air, done, next }) => {
    if (!plan || !treatment.settled || !treatment.damage)
      return <Earlier id={id} first={treatment.survey ? "match" : "survey"} why="Fill needs a filler. Choose the chain at Match first." />;
    const mixed = treatment.clocks.filter(({ body }) => body.kind === "mixed");
    const clock = mixed.at(-1);
    return (
      <FillStation
        treatment={id}
        station={plan.stations.fill}
        damage={treatment.damage}
        substrate={record.substrate}
        finish={record.finish}
        cures={cures.filter(({ kind }) => kind === "mixed")}
        grams={Object.fromEntries(
          mixed.map(({ body }) => [body.layer, (body.parts ?? []).reduce((sum, { actual_g }) => sum + actual_g, 0)]),
        )}
        acts={clock ? [...actsDone(treatment, clock)] : []}
        placed={treatment.placed}
        measured={treatment.measured}
        marks={treatment.steps}
        done={done}
        next={next}
        air={air}
        {...(plan.fill ? { fill: plan.fill } : {})}
      />
    );
  });
}
