"use client";
import { useEffect, useState } from "react";
import { lazily } from "../frame/lazily";
import { Sign } from "../signs/Sign";
import { KeptEntry } from "./KeptEntry";
import { useOutboxPost } from "./useOutbox";
import { fetchWords } from "./words";

const fetchPanel = () => import("../frame/Panel").then((module) => module.Panel);
const Panel = lazily(fetchPanel);

/** With the first press or key comes what tells of an entry that could not go up: later it may be too late. */
function useReadiness(): void {
  useEffect(() => {
    const events = ["pointerdown", "keydown"] as const;
    const fetch = () => {
      for (const event of events) window.removeEventListener(event, fetch);
      void Promise.allSettled([fetchPanel(), fetchWords()]);
    };
    for (const event of events) window.addEventListener(event, fetch);
    return () => {
      for (const event of events) window.removeEventListener(event, fetch);
    };
  }, []);
}

/** `3 kept here`: what this device keeps until the record takes it; nothing while nothing waits. */
export function OutboxButton() {
  useReadiness();
  const kept = useOutboxPost();
  const [open, setOpen] = useState(false);
  // what is being sent is no news
  if (!kept.some(({ problem }) => problem !== undefined)) return null;
  return (
    <>
      <button type="button" className="kept-here" onClick={() => setOpen(true)} aria-label={`${kept.length} kept here`}>
        <Sign name="away">
          {kept.length} <span className="kept-words">kept here</span>
        </Sign>
      </button>
      {open && (
        <Panel title="Kept here, on its way to the record" close={() => setOpen(false)}>
          <p className="pt-1">
            It goes up by itself, in this order, as soon as the record takes it. It outlives a reload and a closed tab.
          </p>
          {kept.map((entry) => (
            <KeptEntry key={entry.id} entry={entry} named />
          ))}
        </Panel>
      )}
    </>
  );
}
