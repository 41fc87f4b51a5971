import { densityOf } from "@/core/mix/weigh";
import { extraProposed, filledPlaces as filledPlacesOf } from "@/core/plan/subjects/fill";
import { volumeOf } from "@/core/survey/place";
import { inSentence, present } from "@/core/units";
import { cutsOf } from "@/core/views/cut";
import type { Worked } from "@/core/views/worked";
import { type FillSet, FillSets } from "@/ui/section/FillSets";
import { type FilledPlace, HowMuch } from "@/ui/section/HowMuch";
import { Sections } from "@/ui/section/Sections";
import { buildPanel, type StationView, spotsPanel, stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/fill">) => stationMetadata(params, "fill");

export default async function FillPage({ params }: PageProps<"/treatments/[id]/fill">) {
  return stationPage(params, "fill", (view) =>
    workStation(view, "fill", {
      panels: view.worked ? (
        <>
          <Sections treatment={view.id} piece={view.record.piece_title} cuts={cutsOf(view.worked, view.acts)} />
          {!view.treatment.closed && <FillSets sets={setsOf(view, view.worked)} />}
          {spotsPanel(view)}
          <HowMuch places={filledPlaces(view, view.worked)} />
          {buildPanel(view, ["layers"])}
        </>
      ) : null,
    }),
  );
}

/** Every place that is filled out of a cup, with what is planned for it. */
function filledPlaces({ treatment }: StationView, { repair }: Worked): FilledPlace[] {
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
    const damage = treatment.damages.find(({ id }) => id === place.damage);
    return [
      {
        id: place.id,
        damage: place.damage,
        label: place.label,
        cm3,
        measured_cm3: volumeOf({ solids: place.solids ?? [] }),
        material: inSentence(link.material.name),
        density: densityOf(link.material),
        planned_g,
        ...present({ set: damage?.fill?.body }),
      },
    ];
  });
}

/** Damages whose shape is given back by hand: what is set of each, and what is proposed. */
function setsOf({ treatment }: StationView, { repair }: Worked): FillSet[] {
  return repair.damages.flatMap(({ id, context }) => {
    const [filled] = filledPlacesOf(context);
    const link = filled?.layers.at(-1)?.link;
    if (!filled || !link) return [];
    const { fill: _fill, ...proposed } = context;
    const [plain] = filledPlacesOf(proposed);
    return [
      {
        damage: id,
        label: filled.place.label,
        shaped: link.material.rigidity === "rigid" && filled.place.kind === "void",
        proud_mm: plain?.proud_mm ?? 0,
        extra_pct: extraProposed(proposed),
        ...present({ set: treatment.damages.find((each) => each.id === id)?.fill?.body }),
      },
    ];
  });
}
