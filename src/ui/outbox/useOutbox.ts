"use client";
import { useRouter } from "next/navigation";
import { useEffect, useRef, useSyncExternalStore } from "react";
import { inMemory, onDisk, orElse } from "./device";
import { Outbox } from "./outbox";
import type { Kept } from "./queue";

const NAME = "wanderjahr-outbox";
const RETRY_MS = 10_000;
const NONE: readonly Kept[] = [];

let shared: Outbox | undefined;

/** The one outbox of this window; windows of a device share what is kept, and send one at a time. */
export function outbox(): Outbox {
  shared ??= new Outbox(orElse(onDisk(), inMemory()), {
    tell: () => {
      const channel = new BroadcastChannel(NAME);
      channel.postMessage("changed");
      channel.close();
    },
    // locks are for pages that the browser trusts; without them the key of an entry still makes a repeat one entry
    alone: (work) => ("locks" in navigator ? navigator.locks.request(NAME, work) : work()),
  });
  return shared;
}

/** What is kept on this device, in its order. */
export const useKeptEntries = (): readonly Kept[] => useSyncExternalStore(subscribe, snapshot, () => NONE);
const subscribe = (listener: () => void) => outbox().subscribe(listener);
const snapshot = () => outbox().snapshot();

/** Sends what is kept when the page opens, when the network comes back, and every ten seconds while something waits. */
export function useOutboxPost(): readonly Kept[] {
  const router = useRouter();
  const kept = useKeptEntries();
  const waiting = kept.length;
  useEffect(() => {
    const [box, channel] = [outbox(), new BroadcastChannel(NAME)];
    const go = () => void box.flush();
    channel.onmessage = () => void box.load();
    window.addEventListener("online", go);
    go();
    return () => {
      channel.close();
      window.removeEventListener("online", go);
    };
  }, []);
  useEffect(() => {
    if (waiting === 0) return;
    const again = setInterval(() => void outbox().flush(), RETRY_MS);
    return () => clearInterval(again);
  }, [waiting]);
  const before = useRef(waiting);
  useEffect(() => {
    if (waiting < before.current) router.refresh();
    before.current = waiting;
  }, [waiting, router]);
  return kept;
}
