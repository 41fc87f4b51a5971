"use client";
import { useState } from "react";
import { useKept } from "../forms/kept";
import { lazily } from "./lazily";

const Panel = lazily(() => import("./Panel").then((module) => module.Panel));

/** Who stands at this device; kept here, and said by every entry. */
const AT_BENCH = "at-bench";
export const whoIsHere = (): string => {
  const kept = localStorage.getItem(`wanderjahr:${AT_BENCH}`);
  return kept ? String(JSON.parse(kept)) : "";
};

/** One press tells who is at the bench; nothing where the shop names nobody. */
export function AtBench({ people }: { people: readonly string[] }) {
  const [who, keep] = useKept(AT_BENCH, "");
  const [open, setOpen] = useState(false);
  if (people.length === 0) return null;
  const here = people.includes(who) ? who : "";
  return (
    <>
      <button
        type="button"
        className="kept-here at-bench"
        aria-haspopup="dialog"
        aria-label={here === "" ? "Who is at the bench?" : `At the bench: ${here}. Change it`}
        onClick={() => setOpen(true)}
      >
        {here === "" ? "Who?" : here}
      </button>
      {open && (
        <Panel title="Who is at the bench?" close={() => setOpen(false)}>
          <div className="grid gap-2 pt-2">
            {people.map((name) => (
              <button
                key={name}
                type="button"
                className={`btn ${name === here ? "go" : ""}`}
                aria-pressed={name === here}
                onClick={() => {
                  keep(name);
                  setOpen(false);
                }}
              >
                {name}
              </button>
            ))}
          </div>
        </Panel>
      )}
    </>
  );
}
