import type { ComponentProps } from "react";
import { formQuestion, sittingFacts } from "@/core/views/readyQuestions";
import { ConditionMap, FormChoice, Photographs, Shards } from "@/ui/instruments/instruments";
import { dryRuns } from "../dryRuns";
import { type StationView, stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/ready">) => stationMetadata(params, "ready");

export default async function ReadyPage({ params }: PageProps<"/treatments/[id]/ready">) {
  return stationPage(params, "ready", (view) =>
    workStation(view, "ready", {
      elsewhere: { "dry-run": "Record it at Clamps and dry run" },
      instruments: (worked) => {
        const shards = worked.repair.damages.flatMap((damage) => shardsOf(view, damage));
        const forms = worked.repair.damages.flatMap((damage) => formOf(view, damage));
        const runs = dryRuns(view, worked);
        return {
          map: <Found view={view} />,
          ...(shards.length > 0 ? { shards } : {}),
          ...(forms.length > 0 ? { form: forms } : {}),
          ...(runs.length > 0 ? { clamps: runs } : {}),
        };
      },
    }),
  );
}

type Worked = NonNullable<StationView["worked"]>["repair"]["damages"][number];

/** Where the damages lie, and what was photographed on the way. */
function Found({ view: { id, record, damages, map_photograph, photographs } }: { view: StationView }) {
  const mine = damages.filter(({ treatment }) => treatment === id);
  return (
    <div className="grid gap-4">
      <ConditionMap kind={record.kind} treatment={id} damages={mine} {...(map_photograph ? { photograph: map_photograph } : {})} />
      <Photographs treatment={id} photographs={photographs.filter(({ moment }) => moment === "during")} moment="during" />
    </div>
  );
}

function shardsOf({ treatment, record, air, map_photograph }: StationView, damage: Worked) {
  const { damage: measured } = damage.context;
  if (measured.kind !== "shards") return [];
  const kept = treatment.damages.find(({ id }) => id === damage.id);
  const adhesive = damage.links.find(({ role }) => role === "adhesive")?.material;
  return [
    <Shards
      key={damage.id}
      damage={damage.id}
      count={measured.shards}
      kind={record.kind}
      {...(map_photograph ? { photograph: map_photograph } : {})}
      {...sittingFacts(adhesive, air.temp_C)}
      {...(kept?.shards ? { mapped: kept.shards.body } : {})}
    />,
  ];
}

function formOf({ treatment }: StationView, damage: Worked) {
  const form = formQuestion(damage);
  if (!form) return [];
  const chosen = treatment.damages.find(({ id }) => id === damage.id)?.form?.body.form;
  return [<FormChoice key={damage.id} damage={damage.id} {...form} chosen={chosen as ComponentProps<typeof FormChoice>["chosen"]} />];
}
