import { useRouter } from "next/navigation";
import { useEffect, useRef, useState, useTransition } from "react";
import type { ListName, ListOrder } from "@/core/views/listed";
import { receive } from "../forms/send";
import type { ObjectItem, ObjectPage } from "./objectPage";

interface Asked {
  readonly list: ListName;
  readonly order: ListOrder;
  readonly words: string;
}

/** So long after the last key the record is asked. */
const PAUSE_MS = 250;

/** What is asked of the list stands in the address, so that it can be gone back to; further pages follow below the first. */
export function useList(page: ObjectPage) {
  const router = useRouter();
  const [asking, startAsking] = useTransition();
  const [asked, setAsked] = useState<Asked>(page);
  const [further, setFurther] = useState<{ readonly of: ObjectPage; readonly items: readonly ObjectItem[]; readonly next?: string }>();
  const [fetching, setFetching] = useState(false);
  const [trouble, setTrouble] = useState("");
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined);
  // the address that was asked for last, until its page is here
  const awaited = useRef("");
  useEffect(() => () => clearTimeout(pause.current), []);
  useEffect(() => {
    if (awaited.current === "") setAsked(({ words }) => ({ ...page, words: words.trim() === page.words ? words : page.words }));
    else if (awaited.current === JSON.stringify(addressOf(page))) awaited.current = "";
  }, [page]);

  const ask = (change: Partial<Asked>) => {
    const next = { ...asked, ...change };
    setAsked(next);
    awaited.current = JSON.stringify(addressOf(next));
    clearTimeout(pause.current);
    pause.current = setTimeout(
      () => startAsking(() => router.replace(`/objects?${new URLSearchParams({ ...addressOf(next) })}`, { scroll: false })),
      change.words === undefined ? 0 : PAUSE_MS,
    );
  };
  // what was shown below an older first page does not belong to this one
  const below = further?.of === page ? further : undefined;
  const next = below ? below.next : page.next;
  const more = async () => {
    if (next === undefined) return;
    setFetching(true);
    const got = await receive<ObjectPage>(`/api/objects?${new URLSearchParams({ ...addressOf(page), after: next })}`);
    setFetching(false);
    setTrouble(got.ok ? "" : got.problem.detail);
    if (got.ok)
      setFurther({ of: page, items: [...(below?.items ?? []), ...got.value.items], ...(got.value.next ? { next: got.value.next } : {}) });
  };
  return { ...asked, items: [...page.items, ...(below?.items ?? [])], next, busy: asking || fetching, trouble, ask, more };
}

/** What differs from the list that stands first. */
function addressOf({ list, order, words }: Asked): Record<string, string> {
  return {
    ...(list === "open" ? {} : { list }),
    ...(order === "promised" ? {} : { order }),
    ...(words.trim() === "" ? {} : { words: words.trim() }),
  };
}
