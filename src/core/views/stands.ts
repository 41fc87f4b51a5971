import type { EventBody, EventKind, LogEntry } from "../record/events.schema";
import { readLog, type Treatment } from "../record/treatment";
import { entryWords } from "./entryWords";

/** Works a log out, as far as its pages do; throws where it can't be. */
export type WorkOut = (treatment: Treatment) => unknown;

/** Why a log can't be worked out, and the entry from which on it can't. */
export interface Trouble {
  readonly entry: string;
  readonly seq: number;
  readonly words: string;
  readonly message: string;
}

/** The entry from which on a log can't be worked out; undefined where it can. */
export function troubleOf(log: readonly LogEntry[], work: WorkOut): Trouble | undefined {
  const message = failure(log, work);
  if (message === undefined) return undefined;
  // so many can be worked out, and with one more they can't
  let [works, fails] = [0, log.length];
  while (fails - works > 1) {
    const middle = Math.floor((works + fails) / 2);
    if (failure(log.slice(0, middle), work) === undefined) works = middle;
    else fails = middle;
  }
  const entry = log[fails - 1];
  return { entry: entry?.id ?? "", seq: entry?.seq ?? 0, words: entry ? entryWords(entry.body) : "", message };
}

function failure(log: readonly LogEntry[], work: WorkOut): string | undefined {
  try {
    work(readLog(log));
    return undefined;
  } catch (error) {
    return (error as Error).message;
  }
}

/** Nothing of a plan is read from these. */
const INERT: readonly EventKind[] = ["noted", "marked", "recipe-kept", "swatch-read", "came-out", "sheen-read"];

/** What a refusal of an entry is said of: its own figures, else the whole of it. */
const FIELD: Partial<Readonly<Record<EventKind, string>>> = {
  surveyed: "/body/survey",
  matched: "/body/chain",
  braced: "/body/size",
  "fill-set": "/body",
  done: "/body/start",
  "batch-mixed": "/body/start",
};

/** Why an entry can't be kept though it is written as it should be: with it the repair can't be worked out. */
export interface Unplannable {
  readonly path: string;
  readonly message: string;
}

/**
 * Whether the repair can be worked out with an entry in its log. Where it can't be even without, what may mend it is let in, and a note is;
 * everything else waits until the entry that is named is corrected or taken back.
 */
export function unplannable(log: readonly LogEntry[], entry: LogEntry, work: WorkOut): Unplannable | undefined {
  const { body, corrects } = entry;
  if (INERT.includes(body.kind)) return undefined;
  const message = failure([...log, entry], work);
  if (message === undefined) return undefined;
  const before = troubleOf(log, work);
  if (!before) return { path: fieldOf(body), message: `With this the repair can’t be worked out: ${message}.` };
  if (corrects !== undefined) return undefined;
  return { path: "", message: `${saidOf(before)} Correct that entry or take it back first.` };
}

const fieldOf = ({ kind }: EventBody): string => FIELD[kind] ?? "/body";

/** The trouble in a sentence for whoever reads the page. */
export const saidOf = ({ seq, words, message }: Trouble): string =>
  `This record can’t be worked out since entry ${seq}, “${words}”: ${message}.`;
