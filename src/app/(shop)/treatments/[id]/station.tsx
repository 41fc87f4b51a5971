import type { ReactNode } from "react";
import type { Station } from "@/core/catalogue";
import { present, wall } from "@/core/units";
import { buildOf } from "@/core/views/build";
import type { BuildPlace } from "@/core/views/buildRows";
import { filledDamages } from "@/core/views/filledDamages";
import { operationViews, placeViews, withPictures } from "@/core/views/operationView";
import { roundsThrough, spotsOf } from "@/core/views/rounds";
import { routeOf, stationAfter, stationsBack } from "@/core/views/route";
import { Build } from "@/ui/build/Build";
import { WorkStation } from "@/ui/operations/WorkStation";
import { Spots } from "@/ui/spots/Spots";
import { StationFrame } from "@/ui/stations/StationFrame";
import { type TreatmentPage, treatmentPage } from "@/work/treatments";
import { asId, withRecord } from "../../withRecord";
import { Earlier } from "./Earlier";

/** What a station page needs to lead on: which station comes next on this treatment's route. */
export interface StationView extends TreatmentPage {
  readonly id: string;
  readonly next: Station;
}

/** The page of one station: reads the treatment, draws head and route, leaves the work to `render`. */
export async function stationPage(
  params: Promise<{ id: string }>,
  station: Station | "written-up",
  render: (view: StationView) => ReactNode,
  right?: ReactNode,
): Promise<ReactNode> {
  const id = asId((await params).id);
  return withRecord(
    () => treatmentPage(id),
    (page) => {
      const { record, treatment, worked, item, damages, now, time_zone } = page;
      const mine = damages.filter((damage) => damage.treatment === id);
      const head = {
        id,
        version: record.version,
        title: record.title,
        piece: record.piece_title,
        piece_id: record.piece_id,
        reference: record.reference,
        kind: record.kind,
        substrate: record.substrate,
        size: mine.length > 1 ? `${mine.length} damages` : (mine[0]?.size ?? ""),
        settled: treatment.damages.length > 0 && treatment.closed === undefined,
        next_damage: treatment.next_damage,
        ...present({ broken: item.brief.broken, broken_by: item.brief.broken_by }),
      };
      const stops = routeOf(treatment, worked, item.brief, wall(time_zone), now);
      const next = station === "written-up" ? "close" : stationAfter(station, worked);
      return (
        <StationFrame head={head} stops={stops} here={station} right={right}>
          {render({ ...page, id, next })}
        </StationFrame>
      );
    },
  );
}

/** What the places of this treatment are built of, to be changed by hand; nothing once it is closed. */
export function buildPanel({ treatment, worked, products }: StationView, what: readonly BuildPlace["what"][]): ReactNode {
  if (!worked || treatment.closed) return null;
  return <Build {...buildOf(treatment, worked, products, what)} />;
}

/** What was found of the filled faces when they were looked at; nothing once it is closed, or where nothing is filled. */
export function spotsPanel({ record, treatment, worked, damages, map_photograph, id }: StationView): ReactNode {
  if (!worked || treatment.closed) return null;
  const filled = filledDamages(
    treatment,
    worked,
    damages.filter(({ treatment: of }) => of === id),
  );
  return <Spots kind={record.kind} damages={filled} spots={spotsOf(treatment)} {...present({ photograph: map_photograph })} />;
}

/** A station of hands: its operations, or what has to come first. */
export function workStation(
  view: StationView,
  station: Station,
  own: { readonly elsewhere?: Readonly<Record<string, string>>; readonly panels?: ReactNode } = {},
): ReactNode {
  const { id, treatment, worked, acts, item, air, next, products, photographs, now } = view;
  if (item.brief.broken) return null;
  if (!worked)
    return (
      <Earlier
        id={id}
        first={treatment.damages.length > 0 ? "match" : "survey"}
        why="What is done here follows from survey and materials. Choose the chain at Match first."
      />
    );
  return (
    <WorkStation
      treatment={id}
      station={station}
      operations={withPictures(operationViews(treatment, worked, acts, products, now), photographs)}
      places={placeViews(treatment, worked)}
      rounds={roundsThrough(station, treatment, worked)}
      acts={item.brief}
      air={air}
      closed={treatment.closed !== undefined}
      back={stationsBack(station, worked)}
      next={next}
      elsewhere={own.elsewhere ?? {}}
    >
      {own.panels}
    </WorkStation>
  );
}
