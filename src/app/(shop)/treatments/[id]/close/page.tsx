import { closingView } from "@/core/views/closing";
import { CloseStation } from "@/ui/stations/CloseStation";
import { stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/close">) => stationMetadata(params, "close");

export default async function ClosePage({ params }: PageProps<"/treatments/[id]/close">) {
  return stationPage(params, "close", (view) => {
    const { id, treatment, worked, photographs } = view;
    return workStation(view, "close", {
      elsewhere: { sign: "sign it below" },
      panels: worked ? <CloseStation treatment={id} photographs={photographs} {...closingView(treatment, worked)} /> : null,
    });
  });
}
