import { closingView } from "@/core/plan/closing";
import { CloseStation } from "@/ui/stations/CloseStation";
import { Earlier } from "../Earlier";
import { stationPage } from "../station";

export const metadata = { title: "Close" };

export default async function ClosePage({ params }: PageProps<"/treatments/[id]/close">) {
  return stationPage(params, "close", ({ id, treatment, plan, cures, photographs, now }) => {
    if (!plan) return <Earlier id={id} first="survey" why="There is nothing to close yet. Survey the damage first." />;
    return <CloseStation treatment={id} photographs={photographs} {...closingView(treatment, plan, cures, now)} />;
  });
}
