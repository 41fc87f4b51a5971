import type { ClassName } from "@/core/catalogue";
import { RUBBED_FROM_UM } from "@/core/colour/sheen";
import { clearFilm_um, coatSchemes, colourCoats } from "@/core/views/coats";
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
  const operations = worked?.repair.operations ?? [];
  const tints = operations.filter(({ kind, station }) => station === "colour" && kind === "tint").length;
  const classes = [...new Set(operations.flatMap(({ role, class: name }) => (role === "colour" && name ? [name as ClassName] : [])))];
  const films = worked ? filmBudgetsOf(worked) : [];
  const clear_um = worked ? clearFilm_um(worked) : 0;
  return (
    <>
      {buildPanel(view, ["coats"])}
      {worked && <ThinThick schemes={coatSchemes(worked, air)} />}
      {films.map((film) => (
        <FilmBudget key={film.damage} film={film} />
      ))}
      {worked && classes.length > 0 && !treatment.closed && (
        <ColourTools
          tints={tints}
          coats={colourCoats(worked)}
          classes={classes}
          colours={colours}
          {...(clear_um > 0 ? { sheen: { thin: clear_um < RUBBED_FROM_UM } } : {})}
        />
      )}
    </>
  );
}
