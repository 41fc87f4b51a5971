"use client";
import { type Remote, wrap } from "comlink";
import { useEffect, useRef, useState } from "react";
import type { colour } from "@/core/colour/colour";
import type { corrected, stripOf } from "@/core/colour/drawdown";
import type { topUp } from "@/core/colour/topUp";

interface Bench {
  readonly colour: typeof colour;
  readonly stripOf: typeof stripOf;
  readonly corrected: typeof corrected;
  readonly topUp: typeof topUp;
}

/** Asks the worker one question and shows its last answer; what is older than the last question is dropped. `undefined` asks nothing. */
export function useColourWorker<K extends keyof Bench>(
  name: K,
  question: Parameters<Bench[K]> | undefined,
): { answer?: ReturnType<Bench[K]>; busy: boolean } {
  const worker = useRef<Remote<Bench>>(undefined);
  const [state, setState] = useState<{ answer?: ReturnType<Bench[K]>; busy: boolean }>({ busy: false });
  const asked = question && JSON.stringify(question);
  useEffect(() => {
    const thread = new Worker(new URL("../../workers/colour.worker.ts", import.meta.url), { type: "module" });
    worker.current = wrap<Bench>(thread);
    return () => thread.terminate();
  }, []);
  useEffect(() => {
    if (asked === undefined) {
      setState({ busy: false });
      return;
    }
    let stale = false;
    setState((before) => ({ ...before, busy: true }));
    const ask = worker.current?.[name] as unknown as (...all: unknown[]) => Promise<ReturnType<Bench[K]>>;
    void ask(...(JSON.parse(asked) as unknown[])).then((answer) => !stale && setState({ answer, busy: false }));
    return () => {
      stale = true;
    };
  }, [asked, name]);
  return state;
}
