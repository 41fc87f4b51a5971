"use client";
import { proxy, type Remote, wrap } from "comlink";
import { useCallback, useEffect, useRef, useState } from "react";
import type { Surface, SurfaceInput, surface, surfaceRows } from "@/core/level/surface";

interface Bench {
  readonly surface: typeof surface;
  readonly surfaceRows: typeof surfaceRows;
}

/** A surface with its picture. */
export interface Drawn {
  readonly surface: Surface;
  readonly rows: readonly (readonly number[])[];
}

interface State {
  readonly drawn?: readonly Drawn[];
  /** How far it is, 0 to 1; undefined = nothing runs. */
  readonly share?: number;
  readonly cancelled?: boolean;
}

/** Reckons some surfaces in a worker, one after the other; says how far it is, and can be cancelled. */
export function useSurface(rows: number) {
  const thread = useRef<Worker>(undefined);
  const [state, setState] = useState<State>({});
  const stop = useCallback(() => {
    thread.current?.terminate();
    thread.current = undefined;
  }, []);
  useEffect(() => stop, [stop]);
  const start = useCallback(
    async (inputs: readonly SurfaceInput[]) => {
      stop();
      const own = new Worker(new URL("../../workers/surface.worker.ts", import.meta.url), { type: "module" });
      thread.current = own;
      const bench: Remote<Bench> = wrap<Bench>(own);
      setState({ share: 0 });
      const drawn: Drawn[] = [];
      for (const [i, input] of inputs.entries()) {
        const told = proxy((share: number) => {
          if (thread.current === own) setState((before) => ({ ...before, share: (i + share) / inputs.length }));
        });
        drawn.push({ surface: await bench.surface(input), rows: await bench.surfaceRows(input, rows, told) });
        if (thread.current !== own) return;
      }
      stop();
      setState({ drawn });
    },
    [rows, stop],
  );
  const cancel = useCallback(() => {
    stop();
    setState({ cancelled: true });
  }, [stop]);
  return { ...state, start, cancel };
}
