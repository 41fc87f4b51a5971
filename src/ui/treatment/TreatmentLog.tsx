"use client";
import { useRouter } from "next/navigation";
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useRef, useState } from "react";
import type { FieldError, Problem } from "@/core/problem";
import type { EventBody } from "@/core/record/events.schema";
import { whoIsHere } from "../frame/AtBench";
import { useShop } from "../frame/now";
import { KeptEntry } from "../outbox/KeptEntry";
import { type EntryOptions, type Kept, type KeptBatch, takesOf } from "../outbox/queue";
import { outbox, useKeptEntries } from "../outbox/useOutbox";
import { NotSaved } from "../states/NotSaved";

interface Log {
  readonly treatment: string;
  /** How many entries the page has seen. */
  readonly version: number;
  /** Write an entry; true when it stands in the log, or is kept here until it can. */
  readonly write: (body: EventBody, options?: EntryOptions) => Promise<boolean>;
  /** The same for one mix that others take of too: `body` is what it is for this treatment. */
  readonly writeBatch: (body: EventBody, batch: KeptBatch) => Promise<boolean>;
  readonly busy: boolean;
  /** What the last refusal said of single fields, and in all. */
  readonly errors: readonly FieldError[];
  readonly refusal?: string;
  /** Entries of this treatment that are on their way. */
  readonly kept: readonly Kept[];
}

const LogContext = createContext<Log>({
  treatment: "",
  version: 0,
  write: async () => false,
  writeBatch: async () => false,
  busy: false,
  errors: [],
  kept: [],
});

/** Writing in the log of the treatment on this page. */
export const useLog = () => useContext(LogContext);

/** Who stands at this device, where they said so and are of the shop still. */
function who(people: readonly string[]): Pick<EntryOptions, "by"> {
  const by = whoIsHere();
  return people.includes(by) ? { by } : {};
}

interface Refused {
  readonly body: EventBody;
  readonly problem: Problem;
}

/**
 * Writes entries one at a time, each kept on this device first, so that nothing is lost and nothing is written twice; a collision with
 * another window is told, not overwritten.
 */
export function TreatmentLog({ id, piece, version, children }: { id: string; piece: string; version: number; children: ReactNode }) {
  const router = useRouter();
  const all = useKeptEntries();
  const { people } = useShop();
  const [refused, setRefused] = useState<Refused>();
  const [busy, setBusy] = useState(false);
  // held from the press until the page shows the entry, so that a second press never meets the state before the first
  const held = useRef<{ readonly until: number } | undefined>(undefined);
  // the page may show an entry before its writer is told that it stands
  const shown = useRef(version);

  const put = useCallback(
    async (body: EventBody, options: EntryOptions, batch?: KeptBatch): Promise<boolean> => {
      if (held.current && held.current.until > version) return false;
      held.current = { until: Number.POSITIVE_INFINITY };
      setBusy(true);
      const outcome = await outbox().write(
        { treatment: id, piece, key: crypto.randomUUID(), body, options: { ...who(people), ...options }, ...(batch ? { batch } : {}) },
        version,
      );
      if (outcome.state === "saved") {
        held.current = { until: outcome.version };
        if (shown.current >= outcome.version) setBusy(false);
        setRefused(undefined);
        router.refresh();
        return true;
      }
      held.current = undefined;
      setBusy(false);
      setRefused(outcome.state === "refused" ? { body, problem: outcome.problem } : undefined);
      // the page then shows what the other wrote
      if (outcome.problem.status === 409) router.refresh();
      return outcome.state === "kept" && outcome.problem.status !== 409;
    },
    [id, piece, version, router, people],
  );

  const write = useCallback((body: EventBody, options: EntryOptions = {}) => put(body, options), [put]);
  const writeBatch = useCallback((body: EventBody, batch: KeptBatch) => put(body, {}, batch), [put]);

  useEffect(() => {
    shown.current = version;
    if (held.current && held.current.until <= version) setBusy(false);
  }, [version]);

  const kept = useMemo(() => all.filter((entry) => takesOf(entry).some(({ treatment }) => treatment === id)), [all, id]);
  const value = useMemo(
    () => ({
      treatment: id,
      version,
      write,
      writeBatch,
      busy,
      errors: refused?.problem.errors ?? [],
      kept,
      ...(refused ? { refusal: refused.problem.detail } : {}),
    }),
    [id, version, write, writeBatch, busy, refused, kept],
  );
  return (
    <LogContext value={value}>
      {refused && <NotSaved {...refused} understood={() => setRefused(undefined)} />}
      {kept
        .filter(({ problem }) => problem !== undefined)
        .map((entry) => (
          <KeptEntry key={entry.id} entry={entry} />
        ))}
      {children}
    </LogContext>
  );
}
