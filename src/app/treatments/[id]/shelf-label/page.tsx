import { wall } from "@/core/units";
import { waitsAt } from "@/core/views/brief";
import { ShelfLabelPage } from "@/ui/paper/ShelfLabelPage";
import { treatmentPage } from "@/work/treatments";
import { asId, withRecord } from "../../../(shop)/withRecord";

export const metadata = { title: "Shelf label" };

/** The label of a piece on the shelf, for print: it stands alone, without bar and Shelf. */
export default async function ShelfLabel({ params }: PageProps<"/treatments/[id]/shelf-label">) {
  const id = asId((await params).id);
  return withRecord(
    () => treatmentPage(id),
    ({ record, item, time_zone, now }) => {
      const here = wall(time_zone);
      // what may be touched first: a window that is missed costs more than a label that is printed again
      const [waits] = waitsAt(item.brief, now);
      const words = (ms: number | undefined) => (ms === undefined ? "" : here.when(ms, now));
      return (
        <ShelfLabelPage
          treatment={id}
          piece={record.piece_title}
          mark={record.reference}
          waits={waits}
          until={words(waits?.from)}
          then_until={words(waits?.until)}
        />
      );
    },
  );
}
