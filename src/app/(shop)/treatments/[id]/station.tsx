import type { ReactNode } from "react";
import type { Station } from "@/core/catalogue";
import { STATION_ORDER } from "@/core/record/treatment";
import { present, wall } from "@/core/units";
import { buildOf } from "@/core/views/build";
import type { BuildPlace } from "@/core/views/buildRows";
import { operationViews, placeViews } from "@/core/views/operationView";
import { type RoundView, roundViews, spotsOf } from "@/core/views/rounds";
import { routeOf } from "@/core/views/route";
import type { Worked } from "@/core/views/worked";
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
      const needed = (each: Station) =>
        worked === undefined || each === "close" || worked.repair.operations.some((operation) => operation.station === each);
      const next = STATION_ORDER.slice(STATION_ORDER.indexOf(station as Station) + 1).find(needed) ?? "close";
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
  const all = placeViews(treatment, worked);
  const filled = damages.flatMap(({ treatment: of, damage, title, mark }) => {
    const places = all.filter(({ id: place, damage: on }) => on === damage && isFilled(worked, place));
    return of === id && places.length > 0 ? [{ damage, title, places, ...present({ mark }) }] : [];
  });
  return (
    <Spots kind={record.kind} damages={filled} spots={spotsOf(treatment)} {...(map_photograph ? { photograph: map_photograph } : {})} />
  );
}

/** A round comes through the station that it was opened for and those behind it. */
const comesThrough = (station: Station) => (round: RoundView) => STATION_ORDER.indexOf(round.station) <= STATION_ORDER.indexOf(station);

const isFilled = ({ repair }: Worked, place: string) => repair.links.some((link) => link.place === place && link.role === "filler");

/** A station of hands: its operations, or what has to come first. */
export function workStation(
  view: StationView,
  station: Station,
  own: { readonly elsewhere?: Readonly<Record<string, string>>; readonly panels?: ReactNode } = {},
): ReactNode {
  const { id, treatment, worked, acts, item, air, next, products, now } = view;
  if (item.brief.broken) return null;
  if (!worked)
    return (
      <Earlier
        id={id}
        first={treatment.damages.length > 0 ? "match" : "survey"}
        why="What is done here follows from survey and materials. Choose the chain at Match first."
      />
    );
  const stations = new Set(worked.repair.operations.map((operation) => operation.station));
  const back = STATION_ORDER.slice(2, STATION_ORDER.indexOf(station) + 1).filter((each) => stations.has(each) && each !== "close");
  return (
    <WorkStation
      treatment={id}
      station={station}
      operations={operationViews(treatment, worked, acts, products, now)}
      places={placeViews(treatment, worked)}
      rounds={roundViews(treatment, new Map(worked.repair.places.map((place) => [place.id, place.label]))).filter(comesThrough(station))}
      acts={item.brief}
      air={air}
      closed={treatment.closed !== undefined}
      back={back}
      next={next}
      elsewhere={own.elsewhere ?? {}}
    >
      {own.panels}
    </WorkStation>
  );
}
