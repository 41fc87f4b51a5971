import type { ReactNode } from "react";
import { DryRun } from "@/ui/instruments/instruments";
import type { StationView } from "./station";

/** The dry run of every damage that is joined. */
export function dryRuns(
  { id, treatment, record, air, map_photograph, damages }: StationView,
  worked: NonNullable<StationView["worked"]>,
): ReactNode[] {
  const photograph = map_photograph ? { photograph: map_photograph } : {};
  return worked.repair.damages.flatMap((damage) => {
    const adhesive = damage.links.find(({ role }) => role === "adhesive")?.material;
    if (!adhesive || !damage.places.some(({ kind }) => kind === "faces" || kind === "backing")) return [];
    const kept = treatment.damages.find((each) => each.id === damage.id);
    const title =
      treatment.damages.length > 1 ? damages.find((each) => each.treatment === id && each.damage === damage.id)?.title : undefined;
    return [
      <DryRun
        key={damage.id}
        damage={damage.id}
        {...(title ? { of: title } : {})}
        kind={record.kind}
        adhesive={adhesive}
        on={damage.context.f.on.family}
        temp_C={air.temp_C}
        {...photograph}
        {...(kept?.dry_run ? { recorded: kept.dry_run.body } : {})}
      />,
    ];
  });
}
