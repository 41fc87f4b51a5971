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
  /** What the piece is called. */
  readonly piece: string;
  /** How many entries the page has seen. */
  readonly version: number;
  /** Write an entry; true when it stands in the log, or is kept here until it can. */
  readonly write: (body: EventBody, options?: EntryOptions) => Promise<boolean>;
  /** The same for a press that tells its refusal itself, right there. */
  readonly attempt: (body: EventBody, options: EntryOptions, typed: string) => Promise<Put>;
  /** What the last such press was refused with, and the time as it was typed for it. */
  readonly refusedHere?: Refused & { readonly typed: string };
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
  piece: "",
  version: 0,
  write: async () => false,
  attempt: async () => ({ stands: false }),
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

/** What became of a press: the entry stands, or is kept here until it can; else why it was refused. */
interface Put {
  readonly stands: boolean;
  readonly refused?: Refused;
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
    async (body: EventBody, options: EntryOptions, batch?: KeptBatch): Promise<Put> => {
      if (held.current && held.current.until > version) return { stands: false };
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
        return { stands: true };
      }
      held.current = undefined;
      setBusy(false);
      // the page then shows what the other wrote
      if (outcome.problem.status === 409) router.refresh();
      if (outcome.state === "refused") return { stands: false, refused: { body, problem: outcome.problem } };
      setRefused(undefined);
      return { stands: outcome.problem.status !== 409 };
    },
    [id, piece, version, router, people],
  );

  const told = useCallback(({ stands, refused: why }: Put): boolean => {
    if (why) setRefused(why);
    return stands;
  }, []);
  const write = useCallback(async (body: EventBody, options: EntryOptions = {}) => told(await put(body, options)), [put, told]);
  const [refusedHere, setRefusedHere] = useState<Log["refusedHere"]>();
  const attempt = useCallback(
    async (body: EventBody, options: EntryOptions, typed: string) => {
      const outcome = await put(body, options);
      setRefusedHere(outcome.refused && { ...outcome.refused, typed });
      return outcome;
    },
    [put],
  );
  const writeBatch = useCallback(async (body: EventBody, batch: KeptBatch) => told(await put(body, {}, batch)), [put, told]);

  useEffect(() => {
    shown.current = version;
    if (held.current && held.current.until <= version) setBusy(false);
  }, [version]);

  const kept = useMemo(() => all.filter((entry) => takesOf(entry).some(({ treatment }) => treatment === id)), [all, id]);
  const value = useMemo(
    () => ({
      treatment: id,
      piece,
      version,
      write,
      attempt,
      writeBatch,
      busy,
      errors: refused?.problem.errors ?? [],
      kept,
      ...(refused ? { refusal: refused.problem.detail } : {}),
      ...(refusedHere ? { refusedHere } : {}),
    }),
    [id, piece, version, write, attempt, writeBatch, busy, refused, refusedHere, kept],
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
