"use client";
import { useState } from "react";
import { Panel } from "../frame/Panel";
import { Sign } from "../signs/Sign";
import { KeptEntry } from "./KeptEntry";
import { useOutboxPost } from "./useOutbox";

/** `3 kept here`: what this device keeps until the record takes it; nothing while nothing waits. */
export function OutboxButton() {
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
