import type { ComponentProps } from "react";
import { type MaterialClass, substrateRow } from "@/core/catalogue";
import { formQuestion, sittingFacts } from "@/core/plan/readyQuestions";
import { chosen, materialTaken } from "@/core/record/treatment";
import { ReadyStation } from "@/ui/ready/ReadyStation";
import { Earlier } from "../Earlier";
import { type StationView, stationPage } from "../station";

export const metadata = { title: "Make ready" };

export default async function ReadyPage({ params }: PageProps<"/treatments/[id]/ready">) {
  return stationPage(params, "ready", (view) => {
    const { id, treatment, plan, photographs, done, next } = view;
    if (!plan || !treatment.settled)
      return (
        <Earlier
          id={id}
          first={treatment.survey ? "match" : "survey"}
          why="The steps follow from the chain of materials. Choose it at Match first."
        />
      );
    return (
      <ReadyStation
        treatment={id}
        plan={plan.stations.ready}
        marks={treatment.steps}
        done={done}
        next={next}
        photographs={photographs.filter(({ moment }) => moment === "during")}
        {...panelsOf(view)}
      />
    );
  });
}

type Panels = Pick<ComponentProps<typeof ReadyStation>, "dryRun" | "shards" | "form">;

/** The panels that the damage and the chosen chain ask for. */
function panelsOf(view: StationView): Panels {
  const { record, treatment, air, map_photograph } = view;
  if (!treatment.choice) return {};
  const { adhesive } = chosen(treatment);
  const material = adhesive && materialTaken(adhesive);
  const form = formQuestion(record, treatment, air.temp_C);
  const { damage, shards } = treatment;
  return {
    ...(material ? { dryRun: dryRunPanel(view, material) } : {}),
    ...(damage?.kind === "shards"
      ? {
          shards: {
            count: damage.shards,
            kind: record.kind,
            ...(map_photograph ? { photograph: map_photograph } : {}),
            ...sittingFacts(material, air.temp_C),
            ...(shards ? { mapped: shards.body } : {}),
          },
        }
      : {}),
    ...(form ? { form: { ...form, chosen: treatment.form?.body.form } } : {}),
  };
}

function dryRunPanel({ record, treatment, air, map_photograph }: StationView, adhesive: MaterialClass): NonNullable<Panels["dryRun"]> {
  return {
    kind: record.kind,
    adhesive,
    on: substrateRow(record.substrate).family,
    temp_C: air.temp_C,
    ...(map_photograph ? { photograph: map_photograph } : {}),
    ...(treatment.dry_run ? { recorded: treatment.dry_run.body } : {}),
  };
}
