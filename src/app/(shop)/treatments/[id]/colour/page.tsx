import { filmBudgetsOf } from "@/core/views/filmBudget";
import { ColourTools } from "@/ui/colour/ColourTools";
import { FilmBudget } from "@/ui/level/FilmBudget";
import { buildPanel, type StationView, stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/colour">) => stationMetadata(params, "colour");

export default async function ColourPage({ params }: PageProps<"/treatments/[id]/colour">) {
  return stationPage(params, "colour", (view) => workStation(view, "colour", { panels: panels(view) }));
}

/** Coats as they are planned, and what works their colour out. */
function panels(view: StationView) {
  const operations = view.worked?.repair.operations ?? [];
  const tints = operations.filter(({ kind, station }) => station === "colour" && kind === "tint").length;
  const coloured = operations.some(({ role }) => role === "colour");
  return (
    <>
      {buildPanel(view, ["coats"])}
      {view.worked && filmBudgetsOf(view.worked).map((film) => <FilmBudget key={film.damage} film={film} />)}
      {coloured && !view.treatment.closed && <ColourTools tints={tints} />}
    </>
  );
}
