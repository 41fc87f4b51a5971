import { coatSchemes, colourCoats, colourNeeds } from "@/core/views/coats";
import { cutsOf } from "@/core/views/cut";
import { filmBudgetsOf } from "@/core/views/filmBudget";
import { CoatStrip, FilmPane, Lens, Recipe, Sheen, Swatches, ThinThick } from "@/ui/instruments/instruments";
import { coloursOfShop } from "@/work/colours";
import { buildPanel, type StationView, stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/colour">) => stationMetadata(params, "colour");

export default async function ColourPage({ params }: PageProps<"/treatments/[id]/colour">) {
  const colours = await coloursOfShop();
  return stationPage(params, "colour", (view) =>
    workStation(view, "colour", { instruments: (worked) => instruments(view, worked, colours) }),
  );
}

/** Coats as they are planned, and what works their colour out. */
function instruments(view: StationView, worked: NonNullable<StationView["worked"]>, colours: Awaited<ReturnType<typeof coloursOfShop>>) {
  const { tints, sheen, ...needs } = colourNeeds(worked);
  const schemes = coatSchemes(worked, view.air);
  const films = filmBudgetsOf(worked);
  const build = buildPanel(view, ["coats"]);
  const works = needs.classes.length > 0 && !view.treatment.closed;
  return {
    ...(build || (works && tints > 0)
      ? {
          coats: (
            <>
              {cutsOf(worked, view.acts).map(({ id, films: coats }) => (
                <Lens key={id} films={coats} />
              ))}
              {works && tints > 0 && <CoatStrip planned={tints} />}
              {build}
            </>
          ),
        }
      : {}),
    ...(works
      ? {
          recipe: <Recipe {...needs} coats={colourCoats(worked)} colours={colours} />,
          swatches: <Swatches swatches={colours.swatches} recipes={colours.recipes} classes={needs.classes} />,
          ...(sheen ? { sheen: <Sheen {...sheen} /> } : {}),
        }
      : {}),
    ...(schemes.length > 0 ? { schemes: <ThinThick schemes={schemes} /> } : {}),
    ...(films.length > 0 ? { film: <FilmPane films={films} /> } : {}),
  };
}
