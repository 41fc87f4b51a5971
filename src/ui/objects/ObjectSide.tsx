"use client";
import { stationLabel, substrateRow } from "@/core/catalogue";
import { Link } from "../frame/Link";
import { useWall } from "../frame/now";
import type { Row } from "./columns";

/** The selected piece beside the list: its treatments, its owner, the way in. */
export function ObjectSide({ item, act }: Row) {
  const wall = useWall();
  return (
    <aside className="objects-side" aria-label="Selected piece">
      <h2 className="text-title leading-[24px]">
        <Link href={`/objects/${item.piece_id}`} className="link clamp-3">
          {item.piece}
        </Link>
      </h2>
      <p className="sub pt-1">
        {item.reference} · {substrateRow(item.substrate).label.toLowerCase()}
      </p>
      <div className="rule mt-4 pt-2">
        <h3>Treatments</h3>
        {[item, ...item.others].map((each) => (
          <Link key={each.id} href={`/treatments/${each.id}`} className="flex min-h-[48px] items-center border-b border-ash">
            <b className="clamp-3 font-semibold">{each.title}</b>
          </Link>
        ))}
      </div>
      <div className="rule mt-4 pt-2">
        <h3>Owner</h3>
        <p className="wrap-anywhere">{item.owner_reference || "no owner reference"}</p>
        {item.promised && <p className="sub">promised {wall.day(wall.moment(item.promised, 12))}</p>}
      </div>
      <Link href={`/treatments/${item.id}/${act.station}`} className="btn mt-6 w-full">
        Open at {stationLabel(act.station)}
      </Link>
    </aside>
  );
}
