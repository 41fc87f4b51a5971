"use client";
import Link from "next/link";
import { useEffect, useRef } from "react";
import { lastMinuteAt } from "@/core/views/brief";
import type { ShelfItem } from "../shelf/Shelf";
import { useNow } from "./now";
import { sound } from "./Tones";

/** Three knocks, rising: nothing else on the bench sounds so. Hz, s. */
const TONE = [
  [659, 0],
  [784, 0.2],
  [988, 0.4],
] as const;

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
    lastMinuteAt(brief, now).map((act) => ({ key: `${id} ${act.op}`, id, piece, act })),
  );
  useEffect(() => {
    const fresh = closing.some(({ key }) => !told.current.has(key));
    told.current = new Set(closing.map(({ key }) => key));
    if (fresh && sounds) sound(TONE);
  });
  const [first] = closing;
  if (!flash || !first) return null;
  const seconds = Math.max(0, Math.ceil(((first.act.until ?? now) - now) / 1000));
  return (
    <div className="last-minute no-print" role="alert">
      <Link href={`/treatments/${first.id}/${first.act.station}#${first.act.op}`}>
        <b>Last minute:</b> {first.act.title}, {first.piece}
        {closing.length > 1 ? `, and ${closing.length - 1} more` : ""}
      </Link>
      <span aria-hidden="true" className="last-minute-left">
        {seconds} s
      </span>
    </div>
  );
}
