import { buildPanel, stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/colour">) => stationMetadata(params, "colour");

export default async function ColourPage({ params }: PageProps<"/treatments/[id]/colour">) {
  return stationPage(params, "colour", (view) => workStation(view, "colour", { panels: buildPanel(view, ["coats"]) }));
}
