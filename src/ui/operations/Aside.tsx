"use client";
import type { ActBrief } from "@/core/views/brief";
import type { OperationView } from "@/core/views/operationView";
import { platesOf } from "@/core/views/shelf";
import { Link } from "../frame/Link";
import { useNow, useWall } from "../frame/now";
import { Sign } from "../signs/Sign";

/** So many are told; the rest stand in the list. */
const MOST_EARLY = 4;

/** What is too early, and every clock that runs. */
export function Aside({ treatment, operations, acts }: { treatment: string; operations: readonly OperationView[]; acts: ActBrief }) {
  const now = useNow(15_000);
  const wall = useWall();
  const early = operations
    .filter(({ state, from = 0 }) => state === "too-early" && from > now)
    .sort((a, b) => (a.from ?? 0) - (b.from ?? 0));
  const plates = platesOf(acts, now, wall);
  return (
    <aside aria-label="Clocks">
      <h2 className="border-b border-ink pb-1">Too early</h2>
      {early.length === 0 && <p className="dim py-2">Nothing waits for a clock.</p>}
      {early.slice(0, MOST_EARLY).map(({ id, station, title, from = 0, because, consequence }) => (
        <div key={id} className="early">
          <b>{title}</b>
          <span>
            From {wall.when(from, now)}. {because} {consequence}
          </span>{" "}
          <Link className="link" href={`/treatments/${treatment}/${station}#${id}`}>
            Go there
          </Link>
        </div>
      ))}
      <h2 className="border-b border-ink pb-1 pt-4">Runs now</h2>
      {plates.length === 0 && <p className="dim py-2">No clock runs.</p>}
      {plates.map((plate) => (
        <div key={plate.key} className="early">
          <b>{plate.material}</b>
          <Sign name={plate.sign} wrap>
            {plate.word}
          </Sign>
          <p className="big-figure">{plate.left}</p>
          <p>{plate.until}</p>
        </div>
      ))}
    </aside>
  );
}
