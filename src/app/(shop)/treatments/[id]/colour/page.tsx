import { coatSchemes, colourCoats, colourNeeds } from "@/core/views/coats";
import { filmBudgetsOf } from "@/core/views/filmBudget";
import { ColourTools } from "@/ui/colour/ColourTools";
import { ThinThick } from "@/ui/colour/ThinThick";
import { FilmBudget } from "@/ui/level/FilmBudget";
import { coloursOfShop } from "@/work/colours";
import { buildPanel, type StationView, stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/colour">) => stationMetadata(params, "colour");

export default async function ColourPage({ params }: PageProps<"/treatments/[id]/colour">) {
  const colours = await coloursOfShop();
  return stationPage(params, "colour", (view) => workStation(view, "colour", { panels: panels(view, colours) }));
}

/** Coats as they are planned, and what works their colour out. */
function panels(view: StationView, colours: Awaited<ReturnType<typeof coloursOfShop>>) {
  const { worked, treatment, air } = view;
  if (!worked) return null;
  const needs = colourNeeds(worked);
  return (
    <>
      {buildPanel(view, ["coats"])}
      <ThinThick schemes={coatSchemes(worked, air)} />
      {filmBudgetsOf(worked).map((film) => (
        <FilmBudget key={film.damage} film={film} />
      ))}
      {needs.classes.length > 0 && !treatment.closed && <ColourTools {...needs} coats={colourCoats(worked)} colours={colours} />}
    </>
  );
}
