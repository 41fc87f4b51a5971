"use client";
import type { Problem } from "@/core/problem";
import type { EventBody } from "@/core/record/events.schema";
import { entryWords } from "@/core/views/entryWords";
import { isPassing } from "../forms/send";
import { Sign } from "../signs/Sign";

interface Props {
  readonly problem: Problem;
  readonly body: EventBody;
  readonly busy: boolean;
  readonly again: () => void;
  readonly drop: () => void;
}

/** An entry that does not stand in the log yet: why, what was typed, and what to do. */
export function NotSaved({ problem, body, busy, again, drop }: Props) {
  const twice = problem.status === 409;
  const passing = isPassing(problem);
  const title = twice ? "Written twice" : passing ? "Not saved: the record is away" : "Not saved";
  return (
    <section className="notice" role="alert" aria-label={title}>
      <Sign name={passing ? "away" : "never"} size={16}>
        {title}
      </Sign>
      <p>{problem.detail}</p>
      <p className="notice-kept">
        Kept here: <b>{entryWords(body)}</b>
      </p>
      <div className="btn-row">
        {(twice || passing) && (
          <button type="button" className="btn" onClick={again} disabled={busy}>
            {twice ? "Save mine as well" : busy ? "Trying …" : "Try now"}
          </button>
        )}
        <button type="button" className="btn" onClick={() => void navigator.clipboard?.writeText(JSON.stringify(body, null, 1))}>
          Copy as text
        </button>
        <button type="button" className="btn" onClick={drop}>
          {twice || passing ? "Drop mine" : "Understood"}
        </button>
      </div>
    </section>
  );
}
