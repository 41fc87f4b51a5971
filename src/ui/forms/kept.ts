"use client";
import { useCallback, useEffect, useState } from "react";

const PREFIX = "wanderjahr:";
/** Told to every part of the page that shows the same state: the card and its instrument are two. */
const CHANGED = "wanderjahr-kept";

/**
 * State that is kept on this device under a name, so that a closed tab loses nothing. Once it is recorded, `forget` it:
 * the next visit then starts from the record again.
 */
export function useKept<T>(name: string, start: T): readonly [value: T, keep: (next: T) => void, forget: () => void] {
  const key = PREFIX + name;
  const [value, setValue] = useState(start);
  useEffect(() => {
    const read = () => {
      const kept = localStorage.getItem(key);
      if (kept) setValue(JSON.parse(kept) as T);
    };
    const told = (event: Event) => event instanceof CustomEvent && event.detail === key && read();
    read();
    window.addEventListener(CHANGED, told);
    return () => window.removeEventListener(CHANGED, told);
  }, [key]);
  const keep = useCallback(
    (next: T) => {
      localStorage.setItem(key, JSON.stringify(next));
      setValue(next);
      window.dispatchEvent(new CustomEvent(CHANGED, { detail: key }));
    },
    [key],
  );
  const forget = useCallback(() => localStorage.removeItem(key), [key]);
  return [value, keep, forget];
}
