"use client";
import { stationLabel } from "@/core/catalogue";
import type { PlaceView } from "@/core/views/operationView";

interface Props {
  readonly places: readonly PlaceView[];
  readonly chosen: ReadonlySet<string>;
  readonly toggle: (id: string) => void;
  readonly all: () => void;
}

/** The places of the treatment: press to choose whose operations are shown. */
export function Places({ places, chosen, toggle, all }: Props) {
  return (
    <section aria-label="Places">
      <h2 className="border-b border-ink pb-1">
        Places
        {chosen.size > 0 ? (
          <button type="button" className="link-btn" onClick={all}>
            Show all
          </button>
        ) : (
          <span className="sub">press to choose</span>
        )}
      </h2>
      {places.map(({ id, number, label, size, station, round }) => (
        <button key={id} type="button" className="pl" aria-pressed={chosen.has(id)} onClick={() => toggle(id)}>
          <span className={`tok ${chosen.has(id) ? "on" : ""}`}>{number}</span>
          <span className="min-w-0">
            <b className="clamp-3">{label}</b>
            <small>{[size, round > 1 ? `round ${round}` : ""].filter(Boolean).join(", ")}</small>
          </span>
          <span className="sub">{stationLabel(station).toLowerCase()}</span>
        </button>
      ))}
    </section>
  );
}
