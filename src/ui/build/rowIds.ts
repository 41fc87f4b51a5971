import { useRef } from "react";

interface RowIds {
  readonly of: (i: number) => string;
  readonly remove: (i: number) => void;
  readonly move: (from: number, to: number) => void;
}

/** Names for rows that have none of their own: they go with their row when it is moved, so that what is typed in it stays in it. */
export function useRowIds(): RowIds {
  const ids = useRef<string[]>([]);
  return {
    of: (i) => {
      while (ids.current.length <= i) ids.current.push(`row-${ids.current.length}-${Math.random()}`);
      return ids.current[i] as string;
    },
    remove: (i) => {
      ids.current.splice(i, 1);
    },
    move: (from, to) => {
      const [id] = ids.current.splice(from, 1);
      if (id !== undefined) ids.current.splice(to, 0, id);
    },
  };
}
