"use client";
import { useState } from "react";
import { isPassing } from "../forms/send";
import { useWall } from "../frame/now";
import { Sign } from "../signs/Sign";
import { isAway, isCollision, type Kept } from "./queue";
import { outbox } from "./useOutbox";
import { useEntryWords } from "./words";

function stateOf(problem: Kept["problem"]) {
  const twice = problem !== undefined && isCollision(problem);
  const passing = problem === undefined || isPassing(problem);
  const away = problem === undefined || isAway(problem);
  return { twice, passing, title: twice ? "Written twice" : away ? "Not saved: the record is away" : "Not saved" };
}

/** An entry that does not stand in the log yet: why, what was typed, theirs beside mine, and what to do. */
export function KeptEntry({ entry, named = false }: { entry: Kept; named?: boolean }) {
  const [busy, setBusy] = useState(false);
  const wall = useWall();
  const said = useEntryWords(entry.body);
  const words = entry.batch?.words ?? said;
  const { problem, body, piece, since } = entry;
  const { twice, passing, title } = stateOf(problem);
  const press = (work: () => Promise<void>) => {
    setBusy(true);
    void work().finally(() => setBusy(false));
  };
  return (
    <section className="notice" role="alert" aria-label={title}>
      <Sign name={passing ? "away" : "never"} size={16}>
        {title}
      </Sign>
      <p>{problem?.detail ?? "It is being sent."}</p>
      <p className="notice-kept">
        Kept here: <b>{words}</b>
        {named && `, ${piece}`}, {wall.when(since, Date.now())}
      </p>
      {twice && entry.batch && <p>Drop it here and mix it anew at its station: what could take of it has changed.</p>}
      {problem?.theirs && (
        <p>
          Written there meanwhile: <b>{problem.theirs.join("; ")}</b>
        </p>
      )}
      <div className="btn-row">
        {((twice && !entry.batch) || passing) && (
          <button
            type="button"
            className="btn"
            onClick={() => press(() => (twice ? outbox().asWell(entry) : outbox().again(entry)))}
            disabled={busy}
          >
            {busy ? "Trying …" : twice ? "Save mine as well" : "Try now"}
          </button>
        )}
        <button type="button" className="btn" onClick={() => void navigator.clipboard?.writeText(JSON.stringify(body, null, 1))}>
          Copy as text
        </button>
        <button type="button" className="btn" onClick={() => press(() => outbox().drop(entry))}>
          Drop mine
        </button>
      </div>
    </section>
  );
}
