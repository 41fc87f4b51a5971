"use client";
import { DESTINATIONS } from "./destinations";
import { Panel } from "./Panel";

const SHOWN = [
  ["/", "find or jump"],
  ["1 – 9", "start that line on Bench"],
  ...DESTINATIONS.map(({ key, label }) => [`G then ${key.toUpperCase()}`, `go to ${label}`]),
  ["[ and ]", "previous or next station"],
  ["↑ and ↓", "through what to do at a station"],
  ["N", "to what is open there"],
  ["M", "to its minutes"],
  ["B", "the open step alone, large, for the bench"],
  ["S", "to the Shelf"],
  ["?", "these keys"],
] as const;

/** The list of keys behind `?`; loaded when it is first asked for. */
export function KeysDialog({ close }: { close: () => void }) {
  return (
    <Panel title="All keys" close={close}>
      <dl className="mt-2 grid grid-cols-[130px_1fr] gap-y-2 text-read leading-[22px]">
        {SHOWN.map(([keys, what]) => (
          <div key={keys} className="contents">
            <dt>
              <kbd>{keys}</kbd>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <button type="button" className="btn mt-4" onClick={close}>
        Back
      </button>
    </Panel>
  );
}
