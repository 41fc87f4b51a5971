import { useEffect, useState } from "react";
import type { EventBody } from "@/core/record/events.schema";

type Say = typeof import("@/core/views/entryWords").entryWords;

let asked: Promise<Say> | undefined;

/** The words of every kind of entry need the catalogue: they come with the first press or key, so that they are here when the record is away. */
export function fetchWords(): Promise<Say> {
  asked ??= import("@/core/views/entryWords")
    .then(({ entryWords }) => entryWords)
    .catch((error: unknown) => {
      asked = undefined;
      throw error;
    });
  return asked;
}

/** An entry in one line; by its kind alone where the words can't be fetched. */
export function useEntryWords(body: EventBody): string {
  const [words, setWords] = useState<string>();
  useEffect(() => {
    let shown = true;
    fetchWords().then(
      (say) => shown && setWords(say(body)),
      () => undefined,
    );
    return () => {
      shown = false;
    };
  }, [body]);
  return words ?? body.kind.replaceAll("-", " ");
}
