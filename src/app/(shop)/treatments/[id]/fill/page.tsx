import { cutsOf } from "@/core/views/cut";
import { filledPlaces, fillSets } from "@/core/views/fillPlaces";
import { FillSets } from "@/ui/section/FillSets";
import { HowMuch } from "@/ui/section/HowMuch";
import { Sections } from "@/ui/section/Sections";
import { buildPanel, spotsPanel, stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/fill">) => stationMetadata(params, "fill");

export default async function FillPage({ params }: PageProps<"/treatments/[id]/fill">) {
  return stationPage(params, "fill", (view) => {
    const { id, record, treatment, worked, acts } = view;
    return workStation(view, "fill", {
      panels: worked ? (
        <>
          <Sections treatment={id} piece={record.piece_title} cuts={cutsOf(worked, acts)} />
          {!treatment.closed && <FillSets sets={fillSets(treatment, worked.repair)} />}
          {spotsPanel(view)}
          <HowMuch places={filledPlaces(treatment, worked.repair)} />
          {buildPanel(view, ["layers"])}
        </>
      ) : null,
    });
  });
}
