import type { ClosingView } from "@/core/views/closing";

/** What came back for another round and why, and what was done against the plan. */
export function Rounds({ rounds, against }: Pick<ClosingView, "rounds" | "against">) {
  if (rounds.length === 0 && against.length === 0) return null;
  return (
    <section aria-label="Rounds and departures" className="mt-4">
      {rounds.length > 0 && <h2 className="border-b border-ink pb-1">Rounds</h2>}
      {rounds.map(({ round, station, places, because }) => (
        <p key={round} className="border-b border-ash-deep py-1 wrap-anywhere">
          <b>Round {round}</b>, back to {station}, {places.join(", ")}: {because}
        </p>
      ))}
      {against.length > 0 && <h2 className="border-b border-ink pb-1 pt-3">Done against the plan</h2>}
      {against.map((words) => (
        <p key={words} className="border-b border-ash-deep py-1 wrap-anywhere">
          {words}
        </p>
      ))}
    </section>
  );
}
