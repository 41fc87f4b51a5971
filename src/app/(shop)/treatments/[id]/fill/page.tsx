import { substrateRow } from "@/core/catalogue";
import { layersOf } from "@/core/plan/layers";
import { densityOf } from "@/core/plan/links";
import { profileOf } from "@/core/plan/profile";
import { volumeOf } from "@/core/survey/place";
import { inSentence } from "@/core/units";
import type { Worked } from "@/core/views/worked";
import { type FilledPlace, HowMuch } from "@/ui/section/HowMuch";
import { type Cut, Sections } from "@/ui/section/Sections";
import { buildPanel, stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/fill">) => stationMetadata(params, "fill");

export default async function FillPage({ params }: PageProps<"/treatments/[id]/fill">) {
  return stationPage(params, "fill", (view) =>
    workStation(view, "fill", {
      panels: view.worked ? (
        <>
          <Sections cuts={cutsOf(view.worked)} />
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

/** Every place that is filled here, cut through, with its layers as planned. */
function cutsOf({ repair }: Worked): Cut[] {
  return repair.places.flatMap((place): Cut[] => {
    const links = repair.links.filter((each) => each.place === place.id && each.role === "filler");
    const [link] = links;
    const on = repair.damages.find(({ id }) => id === place.damage)?.context.f.on;
    const profile = profileOf(place);
    if (!link || !profile || !on || link.class === "veneer-sheet" || link.class === "wood-inlay") return [];
    const { layers, proud_mm } = layersOf(place, links);
    // along a tip the layers lie around its core, not one on the other
    const fill = place.radial ? { surfaces: [proud_mm], proud_mm } : { surfaces: layers.map(({ surface_mm }) => surface_mm), proud_mm };
    return [
      {
        id: place.id,
        label: place.label,
        profile,
        hatch: on.hatch,
        substrate: substrateRow(on.substrate as Parameters<typeof substrateRow>[0]).label.toLowerCase(),
        fill,
        fillHatch: link.material.hatch,
        material: link.material.name,
      },
    ];
  });
}
