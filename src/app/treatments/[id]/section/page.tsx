import { actsOf } from "@/core/views/acts";
import { cutsOf } from "@/core/views/cut";
import { SectionSheet } from "@/ui/section/SectionSheet";
import { treatmentPage } from "@/work/treatments";
import { asId, withRecord } from "../../../(shop)/withRecord";

export const metadata = { title: "Section" };

/** A cut for print, in its scale: it stands alone, without bar and Shelf. */
export default async function SectionPage({ params, searchParams }: PageProps<"/treatments/[id]/section">) {
  const id = asId((await params).id);
  const { place } = await searchParams;
  return withRecord(
    () => treatmentPage(id),
    ({ record, worked, now }) => {
      const cuts = worked ? cutsOf(worked, actsOf(worked, now)) : [];
      return (
        <SectionSheet
          treatment={id}
          title={`${record.piece_title}, ${record.title}`}
          reference={record.reference}
          cut={cuts.find((cut) => cut.id === place) ?? cuts[0]}
        />
      );
    },
  );
}
