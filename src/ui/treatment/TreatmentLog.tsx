"use client";
import { useRouter } from "next/navigation";
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useRef, useState } from "react";
import type { FieldError, Problem } from "@/core/problem";
import type { EventBody } from "@/core/record/events.schema";
import { isPassing, send } from "../forms/send";
import { NotSaved } from "../states/NotSaved";

export interface EntryOptions {
  readonly corrects?: string;
  readonly minutes_ago?: number;
  /** When it was done, ISO 8601; absent = now. */
  readonly at?: string;
}

interface Pending {
  readonly key: string;
  readonly body: EventBody;
  readonly options: EntryOptions;
}

interface Log {
  readonly treatment: string;
  /** How many entries the page has seen. */
  readonly version: number;
  /** Write an entry; true when it stands in the log. */
  readonly write: (body: EventBody, options?: EntryOptions) => Promise<boolean>;
  readonly busy: boolean;
  /** What the last refusal said of single fields. */
  readonly errors: readonly FieldError[];
}

const LogContext = createContext<Log>({ treatment: "", version: 0, write: async () => false, busy: false, errors: [] });
const RETRY_MS = 10_000;

/** Writing in the log of the treatment on this page. */
export const useLog = () => useContext(LogContext);

/**
 * Writes entries one at a time. What cannot be saved is kept on this device under its key and offered again, so that
 * nothing is lost and nothing is written twice; a collision with another window is told, not overwritten.
 */
export function TreatmentLog({ id, version, children }: { id: string; version: number; children: ReactNode }) {
  const router = useRouter();
  const [pending, setPending] = useState<Pending>();
  const [problem, setProblem] = useState<Problem>();
  const [busy, setBusy] = useState(false);
  // held from the press until the page shows the entry, so that a second press never meets the state before the first
  const held = useRef<{ readonly until: number } | undefined>(undefined);
  const store = `wanderjahr:entry:${id}`;

  const put = useCallback(
    async (entry: Pending): Promise<boolean> => {
      if (held.current && held.current.until > version) return false;
      held.current = { until: Number.POSITIVE_INFINITY };
      setBusy(true);
      localStorage.setItem(store, JSON.stringify(entry));
      const { key, body, options } = entry;
      const sent = await send<{ version: number }>("POST", `/api/treatments/${id}/log`, { key, version, body, ...options });
      if (sent.ok) {
        held.current = { until: sent.value.version };
        localStorage.removeItem(store);
        setProblem(undefined);
        setPending(undefined);
        router.refresh();
        return true;
      }
      held.current = undefined;
      setBusy(false);
      setProblem(sent.problem);
      setPending(entry);
      if (!mayStandLater(sent.problem)) localStorage.removeItem(store);
      // the page then shows what the other wrote, and its version goes with the next try
      if (isCollision(sent.problem)) router.refresh();
      return false;
    },
    [id, version, router, store],
  );

  useEffect(() => {
    if (held.current && held.current.until <= version) setBusy(false);
  }, [version]);

  const write = useCallback((body: EventBody, options: EntryOptions = {}) => put({ key: crypto.randomUUID(), body, options }), [put]);
  useEffect(() => {
    const kept = localStorage.getItem(store);
    if (kept) {
      setPending(JSON.parse(kept) as Pending);
      setProblem({ type: "", title: "Not saved", status: 0, detail: "This entry was not saved before the page was left." });
    }
  }, [store]);
  const passing = problem !== undefined && isPassing(problem);
  useEffect(() => {
    if (!pending || !passing) return;
    const again = setInterval(() => void put(pending), RETRY_MS);
    return () => clearInterval(again);
  }, [pending, passing, put]);

  const drop = () => {
    localStorage.removeItem(store);
    setPending(undefined);
    setProblem(undefined);
  };
  const errors = problem?.errors;
  const value = useMemo(() => ({ treatment: id, version, write, busy, errors: errors ?? [] }), [id, version, write, busy, errors]);
  return (
    <LogContext value={value}>
      {pending && problem && <NotSaved problem={problem} body={pending.body} busy={busy} again={() => void put(pending)} drop={drop} />}
      {children}
    </LogContext>
  );
}

const isCollision = ({ status }: Problem) => status === 409;

/** Worth keeping beyond this page: the same entry may stand in the log once the cause is gone. */
const mayStandLater = (problem: Problem) => isPassing(problem) || isCollision(problem);
