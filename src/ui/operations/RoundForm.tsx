"use client";
import { useState } from "react";
import { type ClassName, type Station, stationLabel } from "@/core/catalogue";
import type { PlaceView } from "@/core/views/operationView";
import { CheckList } from "../forms/CheckList";
import { FieldError } from "../forms/FieldError";
import { useKept } from "../forms/kept";
import { parseNumber } from "../forms/parse";
import { TypedField } from "../forms/TypedField";
import { useLog } from "../treatment/TreatmentLog";

/** A round as it is about to be opened, as typed. */
export interface RoundDraft {
  readonly station: Station;
  readonly places: readonly string[];
  readonly because: string;
  readonly low: string;
  /** Of places that are alike: how many. */
  readonly count: string;
  /** "" = as the plan proposes. */
  readonly filler: ClassName | "";
}

interface Props {
  /** What it is kept under until it is opened. */
  readonly name: string;
  readonly stations: readonly Station[];
  readonly places: readonly PlaceView[];
  /** What is known already. */
  readonly first: RoundDraft;
  readonly close: () => void;
}

type Wrong = Partial<Record<"places" | "because" | "low" | "count", string | undefined>>;

function wrongIn({ places, because, low, count }: RoundDraft, alike: number): Wrong {
  const many = parseNumber(count);
  const read = low.trim() === "" ? undefined : parseNumber(low);
  return {
    places: places.length === 0 ? "Choose at least one place." : undefined,
    because: because.trim() === "" ? "Say what was found: the record tells the round by it." : undefined,
    low: read && !(read.ok && read.value > 0 && read.value <= 1000) ? "Enter millimetres above zero." : undefined,
    count:
      alike > 1 && !(many.ok && Number.isInteger(many.value) && many.value >= 1 && many.value <= alike)
        ? `Enter 1 to ${alike}.`
        : undefined,
  };
}

/** "Back to Fill, because the primer shows a low spot": which places, why, how low, in what. */
export function RoundForm({ name, stations, places, first, close }: Props) {
  const log = useLog();
  const [tried, setTried] = useState(false);
  const [kept, keep, forget] = useKept(`${name}:${log.treatment}`, first);
  // what was kept on this device may be older than a field
  const draft = { ...first, ...kept };
  const change = (to: Partial<RoundDraft>) => keep({ ...draft, ...to });
  const fillers = draft.station === "fill" ? fillersFor(places.filter(({ id }) => draft.places.includes(id))) : [];
  const filler = fillers.find((each) => each.class === draft.filler)?.class;
  const alike = Math.max(1, ...places.filter(({ id }) => draft.places.includes(id)).map((place) => place.alike ?? 1));
  const wrong = wrongIn(draft, alike);
  const shown: Wrong = tried ? wrong : {};
  const write = async () => {
    setTried(true);
    if (Object.values(wrong).some((each) => each !== undefined)) return;
    const low = parseNumber(draft.low);
    const saved = await log.write({
      kind: "round-opened",
      station: draft.station,
      places: [...draft.places],
      because: draft.because.trim(),
      ...(low.ok ? { low_mm: low.value } : {}),
      ...(filler ? { filler } : {}),
      ...(alike > 1 ? { count: Number(draft.count) } : {}),
    });
    if (!saved) return;
    forget();
    close();
  };
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
      <CheckList
        legend="Places"
        rows={places.map(({ id, label, size }) => ({
          id,
          label: (
            <span>
              {label} <span className="sub">{size}</span>
            </span>
          ),
        }))}
        chosen={draft.places}
        choose={(chosen) => change({ places: chosen })}
      >
        <FieldError id={`${name}-places`}>{shown.places}</FieldError>
      </CheckList>
      <TypedField
        label="Because"
        wrong={shown.because}
        value={draft.because}
        placeholder="pinhole under the skin"
        set={(because) => change({ because })}
      />
      {alike > 1 && (
        <TypedField
          label={`How many of the ${alike} alike`}
          wrong={shown.count}
          value={draft.count}
          set={(count) => change({ count })}
          number
        />
      )}
      <TypedField label="How low it is, mm (if measured)" wrong={shown.low} value={draft.low} set={(low) => change({ low })} number />
      {fillers.length > 0 && (
        <label className="txt-label">
          Filled with
          <select className="txt" value={filler ?? ""} onChange={(event) => change({ filler: event.target.value as RoundDraft["filler"] })}>
            <option value="">as the plan proposes</option>
            {fillers.map((each) => (
              <option key={each.class} value={each.class}>
                {each.name}
              </option>
            ))}
          </select>
        </label>
      )}
      <div className="btn-row">
        <button type="submit" className="btn go" disabled={log.busy}>
          Open the round
        </button>
        <button type="button" className="btn" onClick={close}>
          Not now
        </button>
      </div>
    </form>
  );
}

/** What fits all of these places, best first. */
function fillersFor(places: readonly PlaceView[]): NonNullable<PlaceView["fillers"]> {
  const [first, ...others] = places.map(({ fillers = [] }) => fillers);
  return (first ?? []).filter(({ class: name }) => others.every((fillers) => fillers.some((each) => each.class === name)));
}
