"use client";
import { useEffect, useRef } from "react";

const CHORD_MS = 1200;
let started: { key: string; at: number } | undefined;

/** Whether a key press belongs to what is being typed in. */
function isTyping(target: EventTarget | null): boolean {
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
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target) || document.querySelector("[role=dialog]")) return;
      const key = event.key.toLowerCase();
      const now = performance.now();
      const hit = second === undefined ? key === first && !chordOpen(now) : key === second && started?.key === first && chordOpen(now);
      if (second !== undefined && key === first) started = { key, at: now };
      if (!hit) return;
      started = undefined;
      event.preventDefault();
      latest.current();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [keys]);
}

function chordOpen(now: number): boolean {
  return started !== undefined && now - started.at < CHORD_MS;
}
