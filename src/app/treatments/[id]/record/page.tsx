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
    ({ record, treatment, plan, cures, photographs, now, time_zone }) => (
      <RecordSheet
        record={record}
        treatment={treatment}
        photographs={photographs}
        chain={chainWords(treatment)}
        used={materialsUsed(treatment)}
        wall={wall(time_zone)}
        now={now}
        {...(plan ? { closing: closingView(treatment, plan, cures, now) } : {})}
      />
    ),
  );
}
