import { cutsOf } from "@/core/views/cut";
import { filledPlaces, fillSets } from "@/core/views/fillPlaces";
import { FillSets, HowMuch, Sections } from "@/ui/instruments/instruments";
import { buildPanel, spotsPanel, stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/fill">) => stationMetadata(params, "fill");

export default async function FillPage({ params }: PageProps<"/treatments/[id]/fill">) {
  return stationPage(params, "fill", (view) =>
    workStation(view, "fill", {
      instruments: (worked) => {
        const { id, record, treatment, acts } = view;
        const filled = filledPlaces(treatment, worked.repair);
        return {
          section: <Sections treatment={id} piece={record.piece_title} cuts={cutsOf(worked, acts)} below={buildPanel(view, ["layers"])} />,
          ...(filled.length > 0 ? { amounts: <HowMuch places={filled} /> } : {}),
          ...(treatment.closed ? {} : { shape: <FillSets sets={fillSets(treatment, worked.repair)} /> }),
          found: spotsPanel(view),
        };
      },
    }),
  );
}
