"use client";
import Link from "next/link";
import { useMemo, useState } from "react";
import { type PieceKind, type Station, type Substrate, stationLabel, substrateRow } from "@/core/catalogue";
import { formatMinutes } from "@/core/units";
import { actAt, type NextAct } from "@/core/views/brief";
import { Segmented } from "../forms/Segmented";
import { useNow, useWall } from "../frame/now";
import { MiniRoute } from "../route/MiniRoute";
import type { ShelfItem } from "../shelf/Shelf";
import { HatchSwatch } from "../signs/Hatches";
import { PieceIcon } from "../signs/PieceIcon";
import { Sign, type SignName } from "../signs/Sign";
import { ObjectSide } from "./ObjectSide";

export interface ObjectItem extends ShelfItem {
  readonly piece_id: string;
  readonly reference: string;
  readonly owner_reference: string;
  readonly kind: PieceKind;
  readonly substrate: Substrate;
  readonly promised: string | null;
  readonly marks: Partial<Record<Station, "done" | "skipped" | "unneeded">>;
}

type Filter = "open" | "hands" | "off" | "closed";
type Sort = "promised" | "act" | "reference";

interface Row {
  readonly item: ObjectItem;
  readonly act: NextAct;
}

const SORTS: Readonly<Record<Sort, (a: Row, b: Row) => number>> = {
  promised: (a, b) => (a.item.promised ?? "9999").localeCompare(b.item.promised ?? "9999"),
  act: (a, b) => (a.act.from ?? 0) - (b.act.from ?? 0),
  reference: (a, b) => a.item.reference.localeCompare(b.item.reference, "en", { numeric: true }),
};

/** All treatments with where they stand; the selected one opens beside the list. */
export function ObjectList({
  items,
  openCount,
  closed,
  closedCount,
}: {
  items: readonly ObjectItem[];
  openCount: number;
  closed: readonly ObjectItem[];
  closedCount: number;
}) {
  const now = useNow(15_000);
  const [words, setWords] = useState("");
  const [filter, setFilter] = useState<Filter>("open");
  const [sort, setSort] = useState<Sort>("promised");
  const [selected, setSelected] = useState<string>();
  const rows = useMemo(() => items.map((item): Row => ({ item, act: actAt(item.brief, now) })), [items, now]);
  const shut = useMemo(() => closed.map((item): Row => ({ item, act: actAt(item.brief, now) })), [closed, now]);
  const off = rows.filter(({ act }) => act.state === "off");
  const sets: Readonly<Record<Filter, readonly Row[]>> = {
    open: rows,
    hands: rows.filter(({ act }) => act.state !== "off"),
    off,
    closed: shut,
  };
  const asked = words.trim().toLowerCase();
  const shown = sets[filter].filter(({ item }) => haystack(item).includes(asked)).sort(SORTS[sort]);
  const side = shown.find(({ item }) => item.id === selected) ?? shown[0];
  const chips: ReadonlyArray<readonly [Filter, string, number]> = [
    ["open", "On the way", openCount],
    ["hands", "Needs hands", rows.length - off.length],
    ["off", "Hands off", off.length],
    ["closed", "Closed", closedCount],
  ];
  return (
    <div className="objects">
      <section className="objects-main">
        <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
          <h1>Objects</h1>
          <input
            type="search"
            className="txt w-[340px] max-w-full"
            aria-label="Mark, name, material or owner"
            placeholder="Mark, name, material or owner"
            value={words}
            onChange={(event) => setWords(event.target.value)}
            maxLength={200}
          />
          <Link href="/objects/new" className="btn go ml-auto">
            New piece
          </Link>
        </div>
        <div className="flex flex-wrap items-center justify-between gap-2 py-2">
          <div className="chips">
            {chips.map(([name, label, count]) => (
              <button key={name} type="button" className="chip" aria-pressed={filter === name} onClick={() => setFilter(name)}>
                {label} {count}
              </button>
            ))}
          </div>
          <div className="btn-row">
            <span className="dim hide-narrow">Sort by</span>
            <Segmented
              label="Sort by"
              value={sort}
              options={[
                ["promised", "Promised"],
                ["act", "Next act"],
                ["reference", "Mark"],
              ]}
              onChange={setSort}
            />
          </div>
        </div>
        {shown.length === 0 ? (
          <NoRows words={words.trim()} any={sets[filter].length > 0} />
        ) : (
          <table className="lst">
            <thead>
              <tr>
                <th>Piece</th>
                <th className="hide-narrow">Substrate</th>
                <th className="hide-phone">Where on its route</th>
                <th>Next act</th>
                <th className="hide-narrow">Promised</th>
                <th className="num hide-narrow">Slack</th>
              </tr>
            </thead>
            <tbody>
              {shown.map((row) => (
                <ObjectRow key={row.item.id} {...row} selected={row.item.id === side?.item.id} select={() => setSelected(row.item.id)} />
              ))}
            </tbody>
          </table>
        )}
        <Beyond count={(filter === "closed" ? closedCount : openCount) - sets[filter === "closed" ? "closed" : "open"].length} />
      </section>
      {side && (
        <ObjectSide
          item={side.item}
          act={side.act}
          others={[...items, ...closed].filter(({ piece_id, id }) => piece_id === side.item.piece_id && id !== side.item.id)}
        />
      )}
    </div>
  );
}

/** What is not listed, and how it is found. */
function Beyond({ count }: { count: number }) {
  if (count <= 0) return null;
  return (
    <p className="dim py-3">
      {count} more are not listed: what has a clock and what is promised first stands here. Press / and type a mark or a name to find any of
      them.
    </p>
  );
}

function haystack({ piece, title, reference, owner_reference, substrate }: ObjectItem): string {
  return [piece, title, reference, owner_reference, substrateRow(substrate).label].join(" ").toLowerCase();
}

const SIGNS: Readonly<Record<NextAct["state"], SignName>> = { go: "go", closing: "soon", off: "off", never: "never", closed: "done" };
const DAY_MS = 86_400_000;

function ObjectRow({ item, act, selected, select }: Row & { selected: boolean; select: () => void }) {
  const now = useNow(15_000);
  const wall = useWall();
  const due = item.promised ? wall.moment(item.promised, 17) : undefined;
  return (
    <tr className={`obj-row ${selected ? "sel" : ""}`} onPointerEnter={select} onFocus={select}>
      <td>
        <Link href={`/treatments/${item.id}`} className="flex min-h-[48px] items-center gap-3 pl-1">
          <PieceIcon kind={item.kind} size={32} />
          <span className="min-w-0">
            <span className="obj-name clamp-3">
              {item.piece}, {item.title}
            </span>
            <span className="sub">{item.reference}</span>
          </span>
        </Link>
      </td>
      <td className="hide-narrow">
        <span className="flex items-center gap-2">
          <HatchSwatch hatch={substrateRow(item.substrate).hatch} />
          {substrateRow(item.substrate).label.toLowerCase()}
        </span>
      </td>
      <td className="hide-phone">
        <MiniRoute marks={item.marks} here={act.state === "closed" ? undefined : act.station} waiting={act.state === "off"} />
        <span className="sub">{act.state === "closed" ? "Closed" : stationLabel(act.station)}</span>
      </td>
      <td>
        <span className="block font-semibold leading-[18px]">
          <span className="clamp-3">{act.title}</span>
        </span>
        <Sign name={SIGNS[act.state]}>{actTime(act, now, (ms) => wall.when(ms, now))}</Sign>
      </td>
      <td className="hide-narrow whitespace-nowrap">{due ? wall.day(due) : "–"}</td>
      <td className="num hide-narrow whitespace-nowrap">{due && act.state !== "closed" ? <Slack days={(due - now) / DAY_MS} /> : "–"}</td>
    </tr>
  );
}

function actTime({ state, from, until, hands_min }: NextAct, now: number, when: (ms: number) => string): string {
  if (state === "closed") return "signed";
  if (state === "off") return when(from ?? now);
  if (until !== undefined) return `until ${when(until)}`;
  return state === "never" ? "needs a decision" : `now, ${formatMinutes(hands_min)}`;
}

function Slack({ days }: { days: number }) {
  const words = days < 0 ? `${formatMinutes(-days * 1440)} late` : formatMinutes(days * 1440);
  if (days < 0) return <Sign name="never">{words}</Sign>;
  return days < 2 ? <Sign name="soon">{words}</Sign> : <b className="text-[17px]">{words}</b>;
}

function NoRows({ words, any }: { words: string; any: boolean }) {
  if (words === "" || !any) return <p className="py-8 text-[17px] leading-[24px]">Nothing stands here.</p>;
  return (
    <div className="py-8">
      <p className="text-[20px] font-bold leading-[26px] wrap-anywhere">No piece here for “{words}”</p>
      <p className="pb-3">Looked in marks, names, materials and owners of this list. Find with / looks in everything.</p>
      <Link href={`/objects/new?title=${encodeURIComponent(words)}`} className="btn">
        <span className="clamp-3">New piece “{words}”</span>
      </Link>
    </div>
  );
}
