"use client";
import { useEffect, useRef } from "react";

const CHORD_MS = 1200;
let started: { key: string; at: number } | undefined;

/** Whether a key press belongs to what is being typed in; a file is chosen, not typed. */
export function isTyping(target: EventTarget | null): boolean {
  if (target instanceof HTMLInputElement && target.type === "file") return false;
  return target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));
}

/**
 * Call `act` when a key is pressed outside fields; `"g b"` is G, then B within a second or so.
 * @example useShortcut("/", open)
 */
export function useShortcut(keys: string, act: () => void): void {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    const [first, second] = keys.split(" ");
    const onKey = (event: KeyboardEvent) => {
      if (isElsewhere(event)) return;
      const key = event.key.toLowerCase();
      const now = performance.now();
      if (!isHit(key, first, second, now)) {
        if (second !== undefined && key === first) started = { key, at: now };
        return;
      }
      started = undefined;
      event.preventDefault();
      latest.current();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [keys]);
}

/** Keys with a modifier, in fields and in dialogs are not ours. */
function isElsewhere(event: KeyboardEvent): boolean {
  return event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target) || document.querySelector("[role=dialog]") !== null;
}

function isHit(key: string, first: string | undefined, second: string | undefined, now: number): boolean {
  if (second === undefined) return key === first && !chordOpen(now);
  return key === second && started?.key === first && chordOpen(now);
}

function chordOpen(now: number): boolean {
  return started !== undefined && now - started.at < CHORD_MS;
}
