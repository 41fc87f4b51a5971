import type { ComponentProps } from "react";
import { formQuestion, sittingFacts } from "@/core/views/readyQuestions";
import { DryRun } from "@/ui/ready/DryRun";
import { FormChoice } from "@/ui/ready/FormChoice";
import { Shards } from "@/ui/ready/Shards";
import { Photographs } from "@/ui/stations/Photographs";
import { type StationView, stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/ready">) => stationMetadata(params, "ready");

export default async function ReadyPage({ params }: PageProps<"/treatments/[id]/ready">) {
  return stationPage(params, "ready", (view) =>
    workStation(view, "ready", { elsewhere: { "dry-run": "record it below" }, panels: <Panels {...view} /> }),
  );
}

/** What each damage asks beside its operations: shards, the dry run, a form. */
function Panels(view: StationView) {
  const { id, worked, photographs } = view;
  return (
    <>
      {worked?.repair.damages.map((damage) => (
        <DamagePanels key={damage.id} view={view} damage={damage} />
      ))}
      <Photographs treatment={id} photographs={photographs.filter(({ moment }) => moment === "during")} moment="during" />
    </>
  );
}

type Worked = NonNullable<StationView["worked"]>["repair"]["damages"][number];

function DamagePanels({ view: { id, treatment, record, air, map_photograph, damages }, damage }: { view: StationView; damage: Worked }) {
  const kept = treatment.damages.find(({ id }) => id === damage.id);
  const adhesive = damage.links.find(({ role }) => role === "adhesive")?.material;
  const form = formQuestion(damage);
  const { damage: measured, f } = damage.context;
  const photograph = map_photograph ? { photograph: map_photograph } : {};
  const title =
    treatment.damages.length > 1 ? damages.find((each) => each.treatment === id && each.damage === damage.id)?.title : undefined;
  const joined = adhesive && damage.places.some(({ kind }) => kind === "faces" || kind === "backing");
  return (
    <>
      {measured.kind === "shards" && (
        <Shards
          damage={damage.id}
          count={measured.shards}
          kind={record.kind}
          {...photograph}
          {...sittingFacts(adhesive, air.temp_C)}
          {...(kept?.shards ? { mapped: kept.shards.body } : {})}
        />
      )}
      {joined && (
        <DryRun
          damage={damage.id}
          {...(title ? { of: title } : {})}
          kind={record.kind}
          adhesive={adhesive}
          on={f.on.family}
          temp_C={air.temp_C}
          {...photograph}
          {...(kept?.dry_run ? { recorded: kept.dry_run.body } : {})}
        />
      )}
      {form && <FormChoice damage={damage.id} {...form} chosen={kept?.form?.body.form as ComponentProps<typeof FormChoice>["chosen"]} />}
    </>
  );
}
