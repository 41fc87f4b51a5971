import { closingView } from "@/core/views/closing";
import { CloseReview, OwnerDates, Photographs } from "@/ui/instruments/instruments";
import { stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/close">) => stationMetadata(params, "close");

export default async function ClosePage({ params }: PageProps<"/treatments/[id]/close">) {
  return stationPage(params, "close", (view) => {
    const { id, treatment, photographs } = view;
    return workStation(view, "close", {
      elsewhere: { sign: "Sign it at Look back and sign" },
      instruments: (worked) => {
        const closing = closingView(treatment, worked);
        return {
          review: <CloseReview treatment={id} closing={closing} />,
          owner: <OwnerDates owner={closing.owner} full_at={closing.full_at} />,
          photographs: <Photographs treatment={id} photographs={photographs} moment="after" />,
        };
      },
    });
  });
}
