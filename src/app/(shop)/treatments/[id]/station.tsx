import type { ReactNode } from "react";
import type { Station } from "@/core/catalogue";
import { present, wall } from "@/core/units";
import { buildOf } from "@/core/views/build";
import type { BuildPlace } from "@/core/views/buildRows";
import { filledDamages } from "@/core/views/filledDamages";
import type { Instrument } from "@/core/views/instrument";
import { operationViews, placeViews, withPictures } from "@/core/views/operationView";
import { roundsThrough, spotsOf } from "@/core/views/rounds";
import { routeOf, stationAfter, stationsBack } from "@/core/views/route";
import { startsNow } from "@/core/views/week/startWords";
import { Build, Spots } from "@/ui/instruments/instruments";
import { WorkStation } from "@/ui/operations/WorkStation";
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
        <StationFrame head={head} stops={stops} here={station}>
          {render({ ...page, id, next })}
        </StationFrame>
      );
    },
  );
}

/** What the places of this treatment are built of, to be changed by hand; nothing once it is closed. */
export function buildPanel({ treatment, worked, products }: StationView, what: readonly BuildPlace["what"][]): ReactNode {
  if (!worked || treatment.closed) return null;
  const build = buildOf(treatment, worked, products, what);
  return build.places.length > 0 ? <Build {...build} /> : null;
}

/** What was found of the filled faces when they were looked at; nothing once it is closed, or where nothing is filled. */
export function spotsPanel({ record, treatment, worked, damages, map_photograph, id }: StationView): ReactNode {
  if (!worked || treatment.closed) return null;
  const filled = filledDamages(
    treatment,
    worked,
    damages.filter(({ treatment: of }) => of === id),
  );
  if (filled.length === 0) return null;
  return <Spots kind={record.kind} damages={filled} spots={spotsOf(treatment)} {...present({ photograph: map_photograph })} />;
}

interface Own {
  readonly elsewhere?: Readonly<Record<string, string>>;
  readonly instruments: (worked: NonNullable<StationView["worked"]>) => Readonly<Partial<Record<Instrument, ReactNode>>>;
}

/** A station of hands: its operations and their instruments, or what has to come first. */
export function workStation(view: StationView, station: Station, { elsewhere = {}, instruments }: Own): ReactNode {
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
      station={station}
      operations={withPictures(operationViews(treatment, worked, acts, products, now), photographs)}
      places={placeViews(treatment, worked)}
      rounds={roundsThrough(station, treatment, worked)}
      air={air}
      closed={treatment.closed !== undefined}
      back={stationsBack(station, worked)}
      {...(next === station ? {} : { next: { station: next, href: `/treatments/${id}/${next}` } })}
      elsewhere={elsewhere}
      starts={treatment.closed ? {} : startsNow(acts, view.calendar, now, wall(view.time_zone))}
      instruments={instruments(worked)}
    />
  );
}
