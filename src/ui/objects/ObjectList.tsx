"use client";
import { useMemo, useState } from "react";
import { actAt } from "@/core/views/brief";
import type { ListName } from "@/core/views/listed";
import { Segmented } from "../forms/Segmented";
import { Link } from "../frame/Link";
import { useNow } from "../frame/now";
import { DataTable } from "../table/DataTable";
import { COLUMNS, type Row } from "./columns";
import { ObjectSide } from "./ObjectSide";
import type { ObjectPage } from "./objectPage";
import { useList } from "./useList";

const CHIPS: ReadonlyArray<readonly [ListName, string]> = [
  ["open", "On the way"],
  ["hands", "Needs hands"],
  ["off", "Hands off"],
  ["closed", "Closed"],
];

/** All treatments with where they stand, a page at a time; the selected one opens beside the list. */
export function ObjectList({ page }: { page: ObjectPage }) {
  const now = useNow(15_000);
  const { items, next, list, order, words, busy, trouble, ask, more } = useList(page);
  const [selected, setSelected] = useState<string>();
  const rows = useMemo(() => items.map((item): Row => ({ item, act: actAt(item.brief, now) })), [items, now]);
  const side = rows.find(({ item }) => item.id === selected) ?? rows[0];
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
            onChange={(event) => ask({ words: event.target.value })}
            maxLength={200}
          />
          <span className="dim" role="status">
            {busy ? "Looking …" : trouble}
          </span>
          <Link href="/objects/new" className="btn go ml-auto">
            New piece
          </Link>
        </div>
        <div className="flex flex-wrap items-center justify-between gap-2 py-2">
          <div className="chips">
            {CHIPS.map(([name, label]) => (
              <button key={name} type="button" className="chip" aria-pressed={list === name} onClick={() => ask({ list: name })}>
                {label} {counted(page.counts[name])}
              </button>
            ))}
          </div>
          <div className="btn-row">
            <span className="dim hide-narrow">Sort by</span>
            <Segmented
              label="Sort by"
              value={order}
              options={[
                ["promised", "Promised"],
                ["act", list === "closed" ? "When closed" : "Next act"],
                ["reference", "Mark"],
              ]}
              onChange={(chosen) => ask({ order: chosen })}
            />
          </div>
        </div>
        {rows.length === 0 ? (
          <NoRows words={page.words} />
        ) : (
          <DataTable columns={COLUMNS} rows={rows} idOf={({ item }) => item.id} here={side?.item.id} enter={setSelected} />
        )}
        {next !== undefined && (
          <button type="button" className="btn mt-3" onClick={() => void more()} disabled={busy}>
            Show more
          </button>
        )}
      </section>
      {side && <ObjectSide {...side} />}
    </div>
  );
}

/** More than a thousand nobody counts. */
const counted = (count: number): string => (count > 1000 ? "1000+" : String(count));

function NoRows({ words }: { words: string }) {
  if (words === "") return <p className="py-8 text-read leading-[24px]">Nothing stands here.</p>;
  return (
    <div className="py-8">
      <p className="text-title font-bold leading-[26px] wrap-anywhere">No piece here for “{words}”</p>
      <p className="pb-3">Looked in marks, names, materials and owners of this list. Find with / looks in everything.</p>
      <Link href={`/objects/new?title=${encodeURIComponent(words)}`} className="btn">
        <span className="clamp-3">New piece “{words}”</span>
      </Link>
    </div>
  );
}
