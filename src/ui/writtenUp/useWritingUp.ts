"use client";
import { useMemo } from "react";
import { readTime, typedTime } from "@/core/units";
import { type PlacedRow, placed, type UpRow } from "@/core/views/writtenUp";
import { useKept } from "../forms/kept";
import type { Air } from "../frame/climate";
import { useNow, useWall, useWorkingDay } from "../frame/now";
import { useSendingAll } from "../treatment/useSendingAll";
import { emptyDraft, isKept, type UpDraft, upEntry } from "./upEntries";

interface Draft {
  readonly began: string;
  readonly rows: Readonly<Record<string, UpDraft>>;
}

/** What is typed of the day, kept on this device, and the time that each row has by it. */
export function useWritingUp(treatment: string, version: number, rows: readonly UpRow[], air: Air, lastAt: number | undefined) {
  const now = useNow(15_000);
  const wall = useWall();
  const { begins } = useWorkingDay();
  const [draft, keep] = useKept<Draft>(`written-up:${treatment}`, { began: "", rows: {} });
  const { sent, ...sending } = useSendingAll(treatment, version);
  const refusalOf = ({ row }: PlacedRow) => sending.refusals.get(draft.rows[row.operation.id]?.key ?? "");

  const opened = wall.moment(wall.date(now), Math.floor(begins / 60), begins % 60);
  const usual = Math.min(now, Math.max(lastAt ?? 0, opened));
  const read = draft.began.trim() === "" ? undefined : readTime(draft.began, { after: usual, now, wall });
  const began = read?.ok ? read.at : usual;
  const times = useMemo(
    () => placed(rows, new Map(Object.entries(draft.rows)), { began, now, wall }),
    [rows, draft.rows, began, now, wall],
  );
  const goesUp = (each: PlacedRow) => isKept(each, draft.rows[each.row.operation.id], refusalOf(each) !== undefined);

  const change = (op: string, to: Partial<UpDraft>) => {
    // at another time it is another question to the record
    const asked = to.at === undefined ? {} : { key: crypto.randomUUID(), not_yet: false };
    keep({ ...draft, rows: { ...draft.rows, [op]: { ...(draft.rows[op] ?? emptyDraft()), ...to, ...asked } } });
  };
  const putBack = (op: string) => keep({ ...draft, rows: without(draft.rows, ({ id }) => id === op) });
  const toggle = (op: string) => keep({ ...draft, rows: stopped(draft.rows, rows, op) });

  const press = async () => {
    const going = times.filter(goesUp);
    if (going.length === 0 || sending.busy) return;
    // keys are kept before anything is sent: an answer that was lost is found again by them
    const keyed = { ...draft.rows };
    for (const { row } of going) keyed[row.operation.id] ??= emptyDraft();
    keep({ ...draft, rows: keyed });
    const stands = await sent(
      going.map((each) => upEntry(each, keyed[each.row.operation.id] as UpDraft, air, refusalOf(each) !== undefined)),
    );
    if (stands) keep({ began: "", rows: without(keyed, ({ key }) => stands.has(key)) });
  };

  return {
    ...sending,
    times,
    goesUp,
    refusalOf,
    change,
    putBack,
    toggle,
    press,
    now,
    drafts: draft.rows,
    began: {
      text: draft.began,
      set: (text: string) => keep({ ...draft, began: text }),
      shown: typedTime(began, { now, wall }),
      wrong: read && !read.ok ? read.says : undefined,
    },
  };
}

type Rows = Draft["rows"];

const without = (rows: Rows, gone: (each: { readonly id: string; readonly key: string }) => boolean): Rows =>
  Object.fromEntries(Object.entries(rows).filter(([id, { key }]) => !gone({ id, key })));

/** The tick of one taken off, with those after it that nobody timed; or put on again, it alone. */
function stopped(rows: Rows, all: readonly UpRow[], op: string): Rows {
  const order = all.map(({ operation }) => operation.id);
  const not_yet = !rows[op]?.not_yet;
  const touched = not_yet ? order.slice(order.indexOf(op)).filter((id) => id === op || (rows[id]?.at ?? "") === "") : [op];
  return { ...rows, ...Object.fromEntries(touched.map((id) => [id, { ...(rows[id] ?? emptyDraft()), not_yet }])) };
}
