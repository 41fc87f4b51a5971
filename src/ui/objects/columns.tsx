import { stationLabel, substrateRow } from "@/core/catalogue";
import { formatMinutes } from "@/core/units";
import type { NextAct } from "@/core/views/brief";
import { Link } from "../frame/Link";
import { useNow, useWall } from "../frame/now";
import { MiniRoute } from "../route/MiniRoute";
import { HatchSwatch } from "../signs/Hatches";
import { PieceIcon } from "../signs/PieceIcon";
import { Sign, type SignName } from "../signs/Sign";
import type { Column } from "../table/DataTable";
import type { ObjectItem } from "./objectPage";

/** A treatment with what is next at it. */
export interface Row {
  readonly item: ObjectItem;
  readonly act: NextAct;
}

export const COLUMNS: readonly Column<Row>[] = [
  { id: "piece", head: "Piece", cell: ({ item }) => <Piece {...item} /> },
  {
    id: "substrate",
    head: "Substrate",
    className: "hide-narrow",
    cell: ({ item: { substrate } }) => (
      <span className="flex items-center gap-2">
        <HatchSwatch hatch={substrateRow(substrate).hatch} />
        {substrateRow(substrate).label.toLowerCase()}
      </span>
    ),
  },
  { id: "route", head: "Where on its route", className: "hide-phone", cell: (row) => <Where {...row} /> },
  { id: "act", head: "Next act", cell: ({ act }) => <Next act={act} /> },
  { id: "promised", head: "Promised", className: "hide-narrow whitespace-nowrap", cell: ({ item }) => <Promised date={item.promised} /> },
  { id: "slack", head: "Slack", className: "num hide-narrow whitespace-nowrap", cell: (row) => <Slack {...row} /> },
];

function Piece({ id, kind, piece, title, reference }: ObjectItem) {
  return (
    <Link href={`/treatments/${id}`} className="flex min-h-[48px] items-center gap-3 pl-1">
      <PieceIcon kind={kind} size={32} />
      <span className="min-w-0">
        <span className="obj-name clamp-3">
          {piece}, {title}
        </span>
        <span className="sub">{reference}</span>
      </span>
    </Link>
  );
}

function Where({ item, act }: Row) {
  return (
    <>
      <MiniRoute marks={item.marks} here={act.state === "closed" ? undefined : act.station} waiting={act.state === "too-early"} />
      <span className="sub">{act.state === "closed" ? "Closed" : stationLabel(act.station)}</span>
    </>
  );
}

const SIGNS: Readonly<Record<NextAct["state"], SignName>> = {
  now: "go",
  closing: "soon",
  "too-early": "off",
  "too-late": "never",
  never: "never",
  closed: "done",
};

function Next({ act }: { act: NextAct }) {
  const now = useNow(15_000);
  const wall = useWall();
  return (
    <>
      <span className="block font-semibold leading-[18px]">
        <span className="clamp-3">{act.title}</span>
      </span>
      <Sign name={SIGNS[act.state]}>{actTime(act, now, (ms) => wall.when(ms, now))}</Sign>
    </>
  );
}

function actTime({ state, from, until, hands_min }: NextAct, now: number, when: (ms: number) => string): string {
  if (state === "closed") return "signed";
  if (state === "too-early") return when(from ?? now);
  if (until !== undefined) return `until ${when(until)}`;
  if (state === "too-late") return "window closed";
  return state === "never" ? "needs a decision" : `now, ${formatMinutes(hands_min)}`;
}

function Promised({ date }: { date: string | null }) {
  const wall = useWall();
  return date ? wall.day(wall.moment(date, 17)) : "–";
}

const DAY_MS = 86_400_000;

/** How much time is left until it is promised; late and close are said with a sign. */
function Slack({ item, act }: Row) {
  const now = useNow(15_000);
  const wall = useWall();
  if (!item.promised || act.state === "closed") return "–";
  const days = (wall.moment(item.promised, 17) - now) / DAY_MS;
  if (days < 0) return <Sign name="never">{formatMinutes(-days * 1440)} late</Sign>;
  return days < 2 ? <Sign name="soon">{formatMinutes(days * 1440)}</Sign> : <b className="text-read">{formatMinutes(days * 1440)}</b>;
}
