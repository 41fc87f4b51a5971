import type { ReactNode } from "react";
import type { Station } from "@/core/catalogue";
import { actAt } from "@/core/plan/nextAct";
import { routeOf } from "@/core/plan/route";
import { STATION_ORDER } from "@/core/record/treatment";
import { lossOf } from "@/core/survey/loss";
import { wall } from "@/core/units";
import { StationFrame } from "@/ui/stations/StationFrame";
import { type TreatmentPage, treatmentPage } from "@/work/treatments";
import { asId, withRecord } from "../../withRecord";

/** What a station page needs to lead on: which station comes next on this treatment's route. */
export interface StationView extends TreatmentPage {
  readonly id: string;
  readonly next: Station;
  readonly done: boolean;
}

/** The page of one station: reads the treatment, draws head and route, leaves the work to `render`. */
export async function stationPage(
  params: Promise<{ id: string }>,
  station: Station,
  render: (view: StationView) => ReactNode,
  right?: ReactNode,
): Promise<ReactNode> {
  const id = asId((await params).id);
  return withRecord(
    () => treatmentPage(id),
    (page) => {
      const { record, treatment, plan, item, now, time_zone } = page;
      const head = {
        id,
        version: record.version,
        title: record.title,
        piece: record.piece_title,
        piece_id: record.piece_id,
        reference: record.reference,
        kind: record.kind,
        substrate: record.substrate,
        size: treatment.damage ? lossOf(treatment.damage).size : "",
      };
      const stops = routeOf(treatment, plan, actAt(item.brief, now), wall(time_zone), now);
      const next = STATION_ORDER.slice(STATION_ORDER.indexOf(station) + 1).find((each) => plan?.stations[each].needed ?? true) ?? "close";
      return (
        <StationFrame head={head} stops={stops} here={station} right={right}>
          {render({ ...page, id, next, done: treatment.stations[station] !== undefined })}
        </StationFrame>
      );
    },
  );
}
