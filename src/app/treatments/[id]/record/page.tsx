import { wall } from "@/core/units";
import { closingView, materialsUsed } from "@/core/views/closing";
import { toldEntries } from "@/core/views/judged";
import { RecordSheet } from "@/ui/record/RecordSheet";
import { treatmentPage } from "@/work/treatments";
import { asId, withRecord } from "../../../(shop)/withRecord";

export const metadata = { title: "Record" };

/** The record on A4, for print: it stands alone, without bar and Shelf. */
export default async function RecordPage({ params }: PageProps<"/treatments/[id]/record">) {
  const id = asId((await params).id);
  return withRecord(
    () => treatmentPage(id),
    ({ record, treatment, worked, photographs, damages, map_photograph, now, time_zone }) => (
      <RecordSheet
        record={record}
        treatment={treatment}
        entries={toldEntries(treatment, worked)}
        damages={damages}
        photographs={photographs}
        {...(map_photograph ? { mapPhotograph: map_photograph } : {})}
        worked={worked?.repair.damages ?? []}
        names={
          new Map([
            ...(worked?.repair.operations ?? []).map(({ id: op, title }) => [op, title] as const),
            ...(worked?.repair.places ?? []).map(({ id: place, label }) => [place, label] as const),
          ])
        }
        used={worked ? materialsUsed(treatment, worked) : []}
        wall={wall(time_zone)}
        now={now}
        {...(worked ? { closing: closingView(treatment, worked) } : {})}
      />
    ),
  );
}
