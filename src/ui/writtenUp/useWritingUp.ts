"use client";
import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import type { Problem } from "@/core/problem";
import { readTime, typedTime } from "@/core/units";
import { type PlacedRow, placed, type UpRow } from "@/core/views/writtenUp";
import { useKept } from "../forms/kept";
import { send } from "../forms/send";
import { whoIsHere } from "../frame/AtBench";
import type { Air } from "../frame/climate";
import { useNow, useShop, useWall, useWorkingDay } from "../frame/now";
import { emptyDraft, isKept, type UpDraft, type UpEntry, upEntry } from "./upEntries";

interface Draft {
  readonly began: string;
  readonly rows: Readonly<Record<string, UpDraft>>;
}

/** What the record answers to a write-up. */
interface Answer {
  readonly version: number;
  readonly written: ReadonlyArray<{ readonly key: string }>;
  readonly refused: ReadonlyArray<{ readonly key: string; readonly detail: string }>;
}

/** What is typed of the day, kept on this device, and the time that each row has by it. */
export function useWritingUp(treatment: string, version: number, rows: readonly UpRow[], air: Air, lastAt: number | undefined) {
  const now = useNow(15_000);
  const wall = useWall();
  const { begins } = useWorkingDay();
  const [draft, keep] = useKept<Draft>(`written-up:${treatment}`, { began: "", rows: {} });
  const { sent, ...sending } = useSending(treatment, version);
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

/** The press itself: what goes up in one request, what the record would not take, and why. */
function useSending(treatment: string, version: number) {
  const router = useRouter();
  const { people } = useShop();
  const [refusals, setRefusals] = useState<ReadonlyMap<string, string>>(new Map());
  const [problem, setProblem] = useState<Problem>();
  const [kept, setKept] = useState(0);
  const [busy, setBusy] = useState(false);
  /** The keys of what stands in the record now; undefined where nothing was taken. */
  const sent = async (entries: readonly UpEntry[]): Promise<ReadonlySet<string> | undefined> => {
    setBusy(true);
    const who = whoIsHere();
    const by = people.includes(who) ? { by: who } : {};
    const answer = await send<Answer>("POST", `/api/treatments/${treatment}/written-up`, {
      // what others wrote meanwhile was told: the next press knows of it
      version: Math.max(version, problem?.version ?? 0),
      entries: entries.map((entry) => ({ ...entry, ...by })),
    });
    setBusy(false);
    setProblem(answer.ok ? undefined : answer.problem);
    router.refresh();
    if (!answer.ok) return undefined;
    const stands = new Set(answer.value.written.map(({ key }) => key));
    setRefusals(new Map(answer.value.refused.map(({ key, detail }) => [key, detail])));
    setKept(stands.size);
    return stands;
  };
  return { sent, refusals, problem, kept, busy };
}
