"use client";
import { useState } from "react";
import { type Station, stationLabel } from "@/core/catalogue";
import type { PlaceView } from "@/core/views/operationView";
import { FieldError } from "../forms/FieldError";
import { useKept } from "../forms/kept";
import { parseNumber } from "../forms/parse";
import { useLog } from "../treatment/TreatmentLog";

interface Props {
  readonly stations: readonly Station[];
  readonly here: Station;
  readonly places: readonly PlaceView[];
}

interface Draft {
  readonly station: Station;
  readonly places: readonly string[];
  readonly because: string;
  readonly low: string;
}

type Wrong = Partial<Record<"places" | "because" | "low", string | undefined>>;

/** "Back to Fill, because the primer shows a low spot": the operations of those places come again from there on. */
export function BackTo({ stations, here, places }: Props) {
  const log = useLog();
  const [open, setOpen] = useState(false);
  const [tried, setTried] = useState(false);
  const worked = places.filter(({ kind }) => kind !== "surface" && kind !== "core");
  const first: Draft = {
    station: stations.includes("fill") ? "fill" : (stations.at(-1) ?? here),
    places: worked.length === 1 ? worked.map(({ id }) => id) : [],
    because: "",
    low: "",
  };
  const [draft, keep, forget] = useKept(`back:${log.treatment}`, first);
  const change = (to: Partial<Draft>) => keep({ ...draft, ...to });
  if (stations.length === 0 || worked.length === 0) return null;
  const low = draft.low.trim() === "" ? undefined : parseNumber(draft.low);
  const wrong: Wrong = {
    places: draft.places.length === 0 ? "Choose at least one place." : undefined,
    because: draft.because.trim() === "" ? "Say what was found: the record tells the round by it." : undefined,
    low: low && !(low.ok && low.value > 0 && low.value <= 1000) ? "Enter millimetres above zero." : undefined,
  };
  const write = async () => {
    setTried(true);
    if (wrong.places || wrong.because || wrong.low) return;
    const saved = await log.write({
      kind: "round-opened",
      station: draft.station,
      places: [...draft.places],
      because: draft.because.trim(),
      ...(low?.ok ? { low_mm: low.value } : {}),
    });
    if (!saved) return;
    forget();
    keep(first);
    setOpen(false);
    setTried(false);
  };
  if (!open)
    return (
      <button type="button" className="btn" onClick={() => setOpen(true)}>
        Back to …
      </button>
    );
  const shown: Wrong = tried ? wrong : {};
  return (
    <form
      method="post"
      aria-label="Open a further round"
      className="panel-block grid max-w-[520px] gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void write();
      }}
      noValidate
    >
      <h3>Back to an earlier station</h3>
      <label className="txt-label">
        Station
        <select className="txt" value={draft.station} onChange={(event) => change({ station: event.target.value as Station })}>
          {stations.map((station) => (
            <option key={station} value={station}>
              {stationLabel(station)}
            </option>
          ))}
        </select>
      </label>
      <fieldset className="grid gap-1">
        <legend className="txt-label">Places</legend>
        {worked.map(({ id, label, size }) => (
          <label key={id} className="flex min-h-[44px] items-center gap-3">
            <input
              type="checkbox"
              className="size-5"
              checked={draft.places.includes(id)}
              onChange={(event) =>
                change({ places: event.target.checked ? [...draft.places, id] : draft.places.filter((each) => each !== id) })
              }
            />
            {label} <span className="sub">{size}</span>
          </label>
        ))}
        <FieldError id="back-places">{shown.places}</FieldError>
      </fieldset>
      <label className="txt-label">
        Because
        <input
          className={`txt ${shown.because ? "wrong" : ""}`}
          value={draft.because}
          maxLength={2000}
          placeholder="pinhole under the skin"
          aria-invalid={shown.because ? true : undefined}
          onChange={(event) => change({ because: event.target.value })}
        />
        <FieldError id="back-because">{shown.because}</FieldError>
      </label>
      <label className="txt-label">
        How low it is, mm (if measured)
        <input className="txt" inputMode="decimal" value={draft.low} onChange={(event) => change({ low: event.target.value })} />
        <FieldError id="back-low">{shown.low}</FieldError>
      </label>
      <div className="btn-row">
        <button type="submit" className="btn go" disabled={log.busy}>
          Open the round
        </button>
        <button type="button" className="btn" onClick={() => setOpen(false)}>
          Not now
        </button>
      </div>
    </form>
  );
}
