import { densityOf } from "@/core/plan/links";
import { volumeOf } from "@/core/survey/place";
import { inSentence } from "@/core/units";
import { cutsOf } from "@/core/views/cut";
import type { Worked } from "@/core/views/worked";
import { type FilledPlace, HowMuch } from "@/ui/section/HowMuch";
import { Sections } from "@/ui/section/Sections";
import { buildPanel, stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/fill">) => stationMetadata(params, "fill");

export default async function FillPage({ params }: PageProps<"/treatments/[id]/fill">) {
  return stationPage(params, "fill", (view) =>
    workStation(view, "fill", {
      panels: view.worked ? (
        <>
          <Sections treatment={view.id} piece={view.record.piece_title} cuts={cutsOf(view.worked, view.acts)} />
          <HowMuch places={filledPlaces(view.worked)} />
          {buildPanel(view, ["layers"])}
        </>
      ) : null,
    }),
  );
}

/** Every place that is filled out of a cup, with what is planned for it. */
function filledPlaces({ repair }: Worked): FilledPlace[] {
  return repair.places.flatMap((place): FilledPlace[] => {
    const link = repair.links.find((each) => each.place === place.id && each.role === "filler");
    const mixes = repair.operations.filter(
      ({ kind, station, places }) => kind === "mix" && station === "fill" && places.includes(place.id),
    );
    const planned_g = mixes.reduce(
      (sum, { portions, mass_g = 0 }) => sum + (portions?.find((each) => each.place === place.id)?.mass_g ?? mass_g),
      0,
    );
    const cm3 = volumeOf(place);
    if (!link || planned_g === 0 || cm3 === 0) return [];
    return [
      { id: place.id, label: place.label, cm3, material: inSentence(link.material.name), density: densityOf(link.material), planned_g },
    ];
  });
}
