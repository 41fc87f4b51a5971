"use client";
import { useCallback, useEffect, useState } from "react";

const PREFIX = "wanderjahr:";

/**
 * State that is kept on this device under a name, so that a closed tab loses nothing. Once it is recorded, `forget` it:
 * the next visit then starts from the record again.
 */
export function useKept<T>(name: string, start: T): readonly [value: T, keep: (next: T) => void, forget: () => void] {
  const key = PREFIX + name;
  const [value, setValue] = useState(start);
  useEffect(() => {
    const kept = localStorage.getItem(key);
    if (kept) setValue(JSON.parse(kept) as T);
  }, [key]);
  const keep = useCallback(
    (next: T) => {
      localStorage.setItem(key, JSON.stringify(next));
      setValue(next);
    },
    [key],
  );
  const forget = useCallback(() => localStorage.removeItem(key), [key]);
  return [value, keep, forget];
}
