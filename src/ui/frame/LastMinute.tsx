"use client";
import { useEffect, useRef } from "react";
import { lastMinuteAt } from "@/core/views/brief";
import type { ShelfItem } from "../shelf/Shelf";
import { Link } from "./Link";
import { useNow } from "./now";
import { sound } from "./Tones";

/** Three knocks, rising: nothing else on the bench sounds so. Hz, s. */
const TONE = [
  [659, 0],
  [784, 0.2],
  [988, 0.4],
] as const;

/** More than these at once hide the page. */
const MOST = 4;

interface Props {
  readonly items: readonly ShelfItem[];
  readonly sounds: boolean;
  readonly flash: boolean;
}

/** The last minute of a window, over everything: what is about to set, and how many seconds are left. */
export function LastMinute({ items, sounds, flash }: Props) {
  const now = useNow(1000);
  const told = useRef<ReadonlySet<string>>(new Set());
  const closing = items.flatMap(({ id, piece, brief }) =>
    lastMinuteAt(brief, now).map((act) => ({ key: `${id} ${act.op} ${act.title}`, id, piece, act })),
  );
  useEffect(() => {
    const fresh = closing.some(({ key }) => !told.current.has(key));
    told.current = new Set(closing.map(({ key }) => key));
    if (fresh && sounds) sound(TONE);
  });
  if (!flash || closing.length === 0) return null;
  return (
    <div className="last-minute no-print" role="alert">
      {closing.slice(0, MOST).map(({ key, id, piece, act }) => (
        <p key={key}>
          <Link href={`/treatments/${id}/${act.station}#${act.op}`}>
            <b>Last minute:</b> {act.title}, {piece}
          </Link>
          <span aria-hidden="true" className="last-minute-left">
            {Math.max(0, Math.ceil(((act.until ?? now) - now) / 1000))} s
          </span>
        </p>
      ))}
      {closing.length > MOST && <p>and {closing.length - MOST} more on the Shelf</p>}
    </div>
  );
}
