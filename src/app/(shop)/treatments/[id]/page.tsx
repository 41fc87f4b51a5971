import { redirect } from "next/navigation";
import { actAt } from "@/core/views/brief";
import { treatmentPage } from "@/work/treatments";
import { asId, withRecord } from "../../withRecord";

/** A treatment opens where it stands. */
export default async function TreatmentPage({ params }: PageProps<"/treatments/[id]">) {
  const id = asId((await params).id);
  return withRecord(
    () => treatmentPage(id),
    ({ item, now }) => redirect(`/treatments/${id}/${actAt(item.brief, now).station}`),
  );
}
