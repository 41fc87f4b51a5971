"use client";
import type { Problem } from "@/core/problem";
import type { EventBody } from "@/core/record/events.schema";
import { useEntryWords } from "../outbox/words";
import { Sign } from "../signs/Sign";

interface Props {
  readonly problem: Problem;
  readonly body: EventBody;
  readonly understood: () => void;
}

/** An entry that the record refuses: why, and what was typed. Its fields still hold it. */
export function NotSaved({ problem, body, understood }: Props) {
  const words = useEntryWords(body);
  return (
    <section className="notice" role="alert" aria-label="Not saved">
      <Sign name="never" size={16}>
        Not saved
      </Sign>
      <p>{problem.detail}</p>
      <p className="notice-kept">
        Kept here: <b>{words}</b>
      </p>
      <div className="btn-row">
        <button type="button" className="btn" onClick={() => void navigator.clipboard?.writeText(JSON.stringify(body, null, 1))}>
          Copy as text
        </button>
        <button type="button" className="btn" onClick={understood}>
          Understood
        </button>
      </div>
    </section>
  );
}
