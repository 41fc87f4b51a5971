"use client";
import { stationLabel } from "@/core/catalogue";
import type { RoundView } from "@/core/views/rounds";
import { useLog } from "../treatment/TreatmentLog";

/** The rounds that go through this station, what each was opened for, and its way back while nothing of it is done. */
export function Rounds({ rounds, closed }: { rounds: readonly RoundView[]; closed: boolean }) {
  const log = useLog();
  if (rounds.length === 0) return null;
  return (
    <ul aria-label="Rounds" className="border-b border-ash-deep px-5 py-1">
      {rounds.map(({ entry, round, station, places, because, begun }) => (
        <li key={entry} className="flex flex-wrap items-center gap-x-3">
          <span className="round-mark">Round {round}</span>
          <span className="wrap-anywhere">
            Back to {stationLabel(station)}: {because}. {places.join(", ")}
          </span>
          {!begun && !closed && (
            <button
              type="button"
              className="link-btn"
              disabled={log.busy}
              onClick={() => void log.write({ kind: "withdrawn" }, { corrects: entry })}
              aria-label={`Take round ${round} back`}
            >
              Take it back
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
