"use client";
import { useEffect, useRef, useState } from "react";
import type { OperationView } from "@/core/views/operationView";
import { isTyping } from "../frame/keys";
import { useLog } from "../treatment/TreatmentLog";

interface Pedal {
  readonly behind: readonly OperationView[];
  /** Go so many rows on, or back. */
  readonly step: (by: number) => void;
  /** How the last one came out, by its key; whether there is such a way. */
  readonly outcome: (n: number) => boolean;
}

const STEPS: ReadonlyMap<string, number> = new Map([
  ["PageDown", 1],
  ["ArrowDown", 1],
  ["PageUp", -1],
  ["ArrowUp", -1],
]);

/**
 * The keys of a foot pedal, heard wherever the focus lies: the button just pressed goes with its step, and the focus with it.
 * "Take back" pressed while the last act is still on its way is done once it stands.
 */
export function usePedal({ behind, step, outcome }: Pedal): void {
  const takeBack = useTakeBack(behind);
  const press = (key: string): boolean => {
    const by = STEPS.get(key);
    if (by !== undefined) step(by);
    else if (key === "Backspace") takeBack();
    else return /^[1-5]$/.test(key) && outcome(Number(key));
    return true;
  };
  const latest = useRef<(event: KeyboardEvent) => void>(() => undefined);
  useEffect(() => {
    latest.current = (event) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if (press(event.key)) event.preventDefault();
    };
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => latest.current(event);
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
}

function useTakeBack(behind: readonly OperationView[]): () => void {
  const log = useLog();
  const [asked, ask] = useState(false);
  const last = behind.at(-1)?.mark?.entry;
  useEffect(() => {
    if (!asked || log.busy) return;
    ask(false);
    if (last) void log.write({ kind: "withdrawn" }, { corrects: last });
  }, [asked, last, log]);
  return () => ask(true);
}
