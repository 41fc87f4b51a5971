"use client";
import { type ReactNode, useState } from "react";
import { type Station, stationLabel } from "@/core/catalogue";
import { formatMinutes } from "@/core/units";
import type { ActBrief } from "@/core/views/brief";
import type { OperationView, PlaceView } from "@/core/views/operationView";
import type { RoundView } from "@/core/views/rounds";
import type { Air } from "../frame/climate";
import { Link } from "../frame/Link";
import { OwnStep } from "../ready/OwnStep";
import { Sign } from "../signs/Sign";
import { Aside } from "./Aside";
import { BackTo } from "./BackTo";
import { LeaveOut } from "./LeaveOut";
import { OperationRow } from "./OperationRow";
import { Places } from "./Places";
import { Rounds } from "./Rounds";

export interface WorkProps {
  readonly treatment: string;
  readonly station: Station;
  /** Every operation of the treatment, in order. */
  readonly operations: readonly OperationView[];
  readonly places: readonly PlaceView[];
  /** Rounds that come through this station. */
  readonly rounds: readonly RoundView[];
  readonly acts: ActBrief;
  readonly air: Air;
  readonly closed: boolean;
  /** Stations that one can go back to from here. */
  readonly back: readonly Station[];
  readonly next: Station;
  /** Operations that are recorded by a panel of their own, by kind. */
  readonly elsewhere?: Readonly<Record<string, string>>;
  readonly children?: ReactNode;
}

/** A station at work: its places, what to do with those that are chosen, what is too early, what runs. */
export function WorkStation({
  treatment,
  station,
  operations,
  places,
  rounds,
  acts,
  air,
  closed,
  back,
  next,
  elsewhere = {},
  children,
}: WorkProps) {
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const several = new Set(places.map(({ damage }) => damage)).size > 1;
  const listed = places.filter(({ kind }) => kind !== "core");
  const withPlaces = listed.length > 2 || several;
  const mine = (operation: OperationView) =>
    chosen.size === 0 || operation.places.length === 0 || operation.places.some((place) => chosen.has(place));
  const here = operations.filter((operation) => operation.station === station && mine(operation));
  const open = here.filter(({ mark }) => mark === undefined);
  const behind = here.filter(({ mark }) => mark !== undefined);
  const first = open.find(({ state }) => state === "now")?.id;
  const toggle = (id: string) =>
    setChosen((before) => new Set(before.has(id) ? [...before].filter((each) => each !== id) : [...before, id]));
  const row = (operation: OperationView) => (
    <OperationRow
      key={operation.id}
      operation={operation}
      places={places}
      air={air}
      now={operation.id === first && !closed}
      closed={closed}
      several={several}
      elsewhere={elsewhere[operation.kind]}
    />
  );
  return (
    <div className={`work ${withPlaces ? "with-places" : ""}`}>
      {withPlaces && <Places places={listed} chosen={chosen} toggle={toggle} all={() => setChosen(new Set())} />}
      <section aria-label={`What to do at ${stationLabel(station)}`} className="dusty">
        <h2>
          What to do
          <span className="sub">
            {open.length === 0 ? "nothing is open here" : `${open.length} to do, ${formatMinutes(handsOf(open))} of hands`}
          </span>
        </h2>
        <Rounds rounds={rounds} closed={closed} />
        {here.length === 0 ? (
          <p className="py-3 text-read leading-[22px]">Nothing is done at {stationLabel(station)} in this repair.</p>
        ) : (
          <>
            {behind.length > 0 && (
              <details open={open.length === 0}>
                <summary className="link-btn inline-flex cursor-pointer items-center">{behind.length} behind</summary>
                <ol aria-label="Behind">{behind.map(row)}</ol>
              </details>
            )}
            <ol aria-label="Operations">{open.map(row)}</ol>
          </>
        )}
        {!closed && (
          <div className="btn-row flex-wrap pt-3">
            {open.length === 0 && next !== station && (
              <Link className="btn go" href={`/treatments/${treatment}/${next}`}>
                Go on to {stationLabel(next)}
              </Link>
            )}
            <BackTo stations={back} here={station} places={places} />
            <LeaveOut operations={open} />
            <OwnStep station={station} operations={operations.filter((operation) => operation.station === station)} />
          </div>
        )}
        {closed && <Sign name="done">This treatment is signed and closed.</Sign>}
        {children}
      </section>
      <Aside treatment={treatment} operations={operations.filter(mine)} acts={acts} />
    </div>
  );
}

const handsOf = (operations: readonly OperationView[]) =>
  operations.reduce((sum, { hands_min }) => sum + (hands_min[0] + hands_min[1]) / 2, 0);
