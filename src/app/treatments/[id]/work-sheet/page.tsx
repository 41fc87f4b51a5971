import { figure, wall } from "@/core/units";
import { sheetOf } from "@/core/views/sheetOf";
import { WorkSheetPage } from "@/ui/sheet/WorkSheetPage";
import { shop } from "@/work/shop";
import { treatmentPage } from "@/work/treatments";
import { asId, withRecord } from "../../../(shop)/withRecord";

export const metadata = { title: "Work sheet" };

/** What is still open of a treatment on A4, by the clock of the shop: it stands alone, without bar and Shelf. */
export default async function WorkSheet({ params }: PageProps<"/treatments/[id]/work-sheet">) {
  const id = asId((await params).id);
  return withRecord(
    () => Promise.all([treatmentPage(id), shop()]),
    ([{ record, treatment, worked, now, time_zone, calendar, air }, { name }]) => {
      const here = wall(time_zone);
      const title = `${record.piece_title}, ${record.title}`;
      return (
        <WorkSheetPage
          treatment={record.id}
          title={title}
          reference={record.reference}
          sheet={worked && sheetOf(treatment, worked, title, calendar, here, now)}
          planned={here.stamp(now)}
          foot={[name, `${figure(air.temp_C, 1)} °C, ${figure(air.rh_pct)} % RH`].filter(Boolean).join(" · ")}
        />
      );
    },
  );
}
