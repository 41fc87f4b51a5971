"use client";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";

/** A treatment whose log can't be worked out: since which entry, why, and the press that takes that one back. */
export function Broken({ why, by }: { why: string; by?: { readonly entry: string; readonly seq: number } }) {
  const { write, busy } = useLog();
  return (
    <section className="notice mx-0" role="alert" aria-label="Can’t be worked out">
      <Sign name="never" wrap>
        {why}
      </Sign>
      <p>
        Nothing on record is lost. Correct the entry at its station, or take it back: it stays in the log, and the plan goes on without it.
      </p>
      {by && (
        <button
          type="button"
          className="btn justify-self-start"
          disabled={busy}
          onClick={() => void write({ kind: "withdrawn" }, { corrects: by.entry })}
        >
          Take entry {by.seq} back
        </button>
      )}
    </section>
  );
}
