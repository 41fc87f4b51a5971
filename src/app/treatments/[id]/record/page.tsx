import { closingView } from "@/core/plan/closing";
import { chainWords, materialsUsed } from "@/core/plan/review";
import { wall } from "@/core/units";
import { RecordSheet } from "@/ui/record/RecordSheet";
import { treatmentPage } from "@/work/treatments";
import { asId, withRecord } from "../../../(shop)/withRecord";

export const dynamic = "force-dynamic";
export const metadata = { title: "Record" };

/** The record on A4, for print: it stands alone, without bar and Shelf. */
export default async function RecordPage({ params }: PageProps<"/treatments/[id]/record">) {
  const id = asId((await params).id);
  return withRecord(
    () => treatmentPage(id),
    ({ record, treatment, plan, cures, photographs, damages, map_photograph, now, time_zone }) => (
      <RecordSheet
        record={record}
        treatment={treatment}
        damages={damages}
        photographs={photographs}
        {...(map_photograph ? { mapPhotograph: map_photograph } : {})}
        chain={chainWords(treatment)}
        used={materialsUsed(treatment)}
        wall={wall(time_zone)}
        now={now}
        {...(plan ? { closing: closingView(treatment, plan, cures, now) } : {})}
      />
    ),
  );
}
