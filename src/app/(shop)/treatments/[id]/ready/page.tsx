import type { ComponentProps } from "react";
import { type MaterialClass, substrateRow } from "@/core/catalogue";
import { aidsFor } from "@/core/match/aids";
import { factsOf } from "@/core/match/case";
import { workingRange } from "@/core/match/working";
import { matchInputOf } from "@/core/plan/matchInput";
import { referenceMinutes } from "@/core/plan/plan";
import { chosen, materialTaken } from "@/core/record/treatment";
import { lossOf } from "@/core/survey/loss";
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

/** Minutes that one join takes where no dry run says better; trade practice. */
const JOIN_MIN = 4;

/** The panels that the damage and the chosen chain ask for. */
function panelsOf(view: StationView): Panels {
  const { record, treatment, plan, air } = view;
  if (!treatment.choice) return {};
  const { adhesive } = chosen(treatment);
  const material = adhesive && materialTaken(adhesive);
  return {
    ...(material ? { dryRun: dryRunPanel(view, material) } : {}),
    ...shardsPanel(view, material),
    ...(plan?.fill ? { form: formPanel({ record, treatment, air }, plan.fill.loss.volume_cm3) } : {}),
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

const MOST_SHARDS = 60;

function shardsPanel({ treatment, air }: StationView, adhesive: MaterialClass | undefined): Pick<Panels, "shards"> {
  const { damage, shards } = treatment;
  if (damage?.kind !== "shards" || damage.shards > MOST_SHARDS) return {};
  const open_min = adhesive ? workingRange({ row: adhesive, climate_C: air.temp_C })[0] : 0;
  return {
    shards: {
      count: damage.shards,
      joins_a_sitting: Math.max(1, Math.floor(open_min / JOIN_MIN)),
      between_min: adhesive && referenceMinutes(adhesive, ["handle"]),
      ...(shards ? { mapped: shards.body } : {}),
    },
  };
}

function formPanel(
  { record, treatment, air }: Pick<StationView, "record" | "treatment" | "air">,
  volume_cm3: number,
): NonNullable<Panels["form"]> {
  const { survey, damage, choice } = treatment;
  if (!survey || !damage || !choice) throw new Error("a fill is planned on a survey and a choice");
  const facts = factsOf({ ...matchInputOf(record, survey.body.survey, damage, air.temp_C), stance: choice.body.stance });
  const links = choice.body.chain.map((link) => ({ role: link.role, row: materialTaken(link) }));
  const twin = survey.body.survey.inspected?.twin;
  return {
    facts: {
      damage: damage.kind,
      through: damage.kind === "hole" && damage.through,
      twin: twin === undefined ? undefined : twin === "there",
      finish: facts.finish,
      pours: links.some(({ role, row }) => role === "filler" && row.group === "plaster"),
    },
    volume_cm3: volume_cm3 || lossOf(damage).volume_cm3,
    chosen: treatment.form?.body.form,
    releases: aidsFor(facts, links)
      .filter(({ verdict }) => verdict !== "refused")
      .slice(0, 3)
      .map(({ row }) => row.name),
  };
}
