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
}

interface Pending {
  readonly key: string;
  readonly body: EventBody;
  readonly options: EntryOptions;
}

interface Log {
  /** Write an entry; true when it stands in the log. */
  readonly write: (body: EventBody, options?: EntryOptions) => Promise<boolean>;
  readonly busy: boolean;
  /** What the last refusal said of single fields. */
  readonly errors: readonly FieldError[];
}

const LogContext = createContext<Log>({ write: async () => false, busy: false, errors: [] });
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
      const sent = await send<{ version: number }>("POST", `/api/treatments/${id}/log`, {
        key: entry.key,
        version,
        body: entry.body,
        ...entry.options,
      });
      held.current = sent.ok ? { until: sent.value.version } : undefined;
      if (!sent.ok) setBusy(false);
      if (sent.ok || !(isPassing(sent.problem) || sent.problem.status === 409)) localStorage.removeItem(store);
      setProblem(sent.ok ? undefined : sent.problem);
      setPending(sent.ok ? undefined : entry);
      // after a collision too: the page then shows what the other wrote, and its version goes with the next try
      if (sent.ok || sent.problem.status === 409) router.refresh();
      return sent.ok;
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
  const value = useMemo(() => ({ write, busy, errors: errors ?? [] }), [write, busy, errors]);
  return (
    <LogContext value={value}>
      {pending && problem && <NotSaved problem={problem} body={pending.body} busy={busy} again={() => void put(pending)} drop={drop} />}
      {children}
    </LogContext>
  );
}
