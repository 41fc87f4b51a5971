import type { ReactNode } from "react";
import { type PieceKind, type Station, type Substrate, substrateRow } from "@/core/catalogue";
import type { RouteStop } from "@/core/views/route";
import { Link } from "../frame/Link";
import { Route } from "../route/Route";
import { PieceIcon } from "../signs/PieceIcon";
import { Broken } from "../states/Broken";
import { TreatmentLog } from "../treatment/TreatmentLog";
import { TreatmentMenu } from "../treatment/TreatmentMenu";
import { StationBody } from "./StationBody";

export interface TreatmentHead {
  readonly id: string;
  readonly version: number;
  readonly title: string;
  readonly piece: string;
  readonly piece_id: string;
  readonly reference: string;
  readonly kind: PieceKind;
  readonly substrate: Substrate;
  /** `34 × 11 × 6 mm` */
  readonly size: string;
  /** A damage is surveyed and the record is open: a further one may be added. */
  readonly settled: boolean;
  readonly next_damage: string;
  /** Why its plan can't be worked out. */
  readonly broken?: string;
  readonly broken_by?: { readonly entry: string; readonly seq: number };
}

/** Head, route and log around a station's own work. */
export function StationFrame({
  head,
  stops,
  here,
  children,
}: {
  head: TreatmentHead;
  stops: readonly RouteStop[];
  here: Station | "written-up";
  children: ReactNode;
}) {
  const facts = [head.reference, substrateRow(head.substrate).label.toLowerCase(), head.size].filter(Boolean).join(" · ");
  return (
    <TreatmentLog id={head.id} piece={head.piece} version={head.version}>
      <div className="thead">
        <PieceIcon kind={head.kind} />
        <h1 className="clamp-3">
          {head.piece}, {head.title}
        </h1>
        <span className="inv one-line">{facts}</span>
        <div className="thead-right">
          {head.settled && (
            <Link className="btn small" href={`/treatments/${head.id}/survey?damage=${head.next_damage}`}>
              Another damage
            </Link>
          )}
          {head.settled && here !== "written-up" && (
            <Link className="btn small" href={`/treatments/${head.id}/written-up`}>
              Write up
            </Link>
          )}
          <TreatmentMenu id={head.id} pieceId={head.piece_id} title={head.title} />
        </div>
      </div>
      <Route treatment={head.id} stops={stops} here={here} />
      {head.broken && (
        <StationBody>
          <Broken why={head.broken} {...(head.broken_by ? { by: head.broken_by } : {})} />
        </StationBody>
      )}
      {children}
    </TreatmentLog>
  );
}
